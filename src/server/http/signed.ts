/**
 * A body that is signed by whoever is signed in, whatever name it came with.
 * @param places where the name stands: `keeper`, or `entries.*.keeper` in each of a list
 */
export function signed(body: unknown, places: readonly string[] | undefined, name: string): unknown {
  return (places ?? []).reduce((whole, place) => within(whole, place.split('.'), name), body);
}

function within(value: unknown, [first, ...rest]: string[], name: string): unknown {
  if (first === undefined) return name;
  if (first === '*') return Array.isArray(value) ? value.map((each) => within(each, rest, name)) : value;
  if (typeof value !== 'object' || value === null) return value;
  return { ...value, [first]: within((value as Record<string, unknown>)[first], rest, name) };
}
