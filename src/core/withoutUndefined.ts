/** The record without the fields that hold nothing: they are left out, not written as empty. */
export function withoutUndefined<Fields extends object>(record: Fields): Partial<Fields> {
  return Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as Partial<Fields>;
}
