/** What a refusal says that names fields and nothing more: why each of them is wrong stands with it. */
export const refusedFields = (count: number): string =>
  count === 1 ? 'One field needs another value.' : `${count} fields need other values.`;
