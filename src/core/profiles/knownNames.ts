import { withoutAuthor } from '@/core/measure/nameParts';

/** A species by its names: the one in use, what people call it, and those it bore before. */
export interface KnownName {
  name: string;
  commonName?: string | null | undefined;
  synonyms?: readonly string[] | undefined;
}

/** Each list is read once, and so is each name that is asked for. */
const finders = new WeakMap<readonly KnownName[], (name: string) => KnownName | undefined>();

/** More names than a house has; whatever strangers ask about is not kept for ever. */
const MOST_ASKED = 5000;

function finderOf(list: readonly KnownName[]) {
  // Of two of one name the first counts: it is set last.
  const lastFirst = [...list].reverse();
  const byName = new Map(
    lastFirst.flatMap((each) => (each.synonyms ?? []).map((name) => [withoutAuthor(name), each] as const)),
  );
  for (const each of lastFirst) byName.set(each.name, each);
  const asked = new Map<string, KnownName | undefined>();
  return (name: string) => {
    if (asked.size >= MOST_ASKED) asked.clear();
    if (!asked.has(name)) asked.set(name, byName.get(withoutAuthor(name)));
    return asked.get(name);
  };
}

/** The one of a list that bears a name, now or before, with its author or without; undefined where none does. */
export function findByName<Known extends KnownName>(list: readonly Known[], name: string): Known | undefined {
  const find = finders.get(list) ?? finderOf(list);
  finders.set(list, find);
  return find(name) as Known | undefined;
}
