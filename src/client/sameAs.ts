/**
 * A list as it came anew, with those things of the list before that have not changed: what draws one of them need not
 * draw it again; where none has, the very list before. Things are told apart by `keyOf`.
 */
export function sameAs<Thing>(before: Thing[], after: readonly Thing[], keyOf: (thing: Thing) => string): Thing[] {
  const known = new Map(before.map((thing) => [keyOf(thing), thing]));
  const merged = after.map((thing) => {
    const old = known.get(keyOf(thing));
    // Both were read from JSON: what is written the same is the same.
    return old !== undefined && JSON.stringify(old) === JSON.stringify(thing) ? old : thing;
  });
  const isSame = merged.length === before.length && merged.every((thing, index) => thing === before[index]);
  return isSame ? before : merged;
}
