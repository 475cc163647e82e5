/** A list sorted into groups by a key, each in the order of the list. */
export function groupBy<Each>(all: Iterable<Each>, keyOf: (each: Each) => string): Map<string, Each[]> {
  const groups = new Map<string, Each[]>();
  for (const each of all) {
    const group = groups.get(keyOf(each)) ?? [];
    group.push(each);
    groups.set(keyOf(each), group);
  }
  return groups;
}
