/** What can be looked for: by any of its names, the chief one first. */
export interface Named {
  id: string;
  names: readonly string[];
}

/** One that was found, by which of its names, and how far that is from what was typed: 0 for the same. */
export interface Found {
  id: string;
  by: string;
  distance: number;
}

export interface NameIndex {
  search: (typed: string, most: number) => Found[];
}

/** What a typing error, and a beginning instead of a whole word, count. Chosen here: errors are worse than haste */
const ERROR = 1;
const BEGINNING = 0.2;
const INSIDE = 0.6;
/** Words so short bear no error, those up to the next length one, longer ones two. letters, chosen here */
const EXACT_UP_TO = 3;
const ONE_ERROR_UP_TO = 6;

const errorsBorne = (word: string) => (word.length <= EXACT_UP_TO ? 0 : word.length <= ONE_ERROR_UP_TO ? 1 : 2);

/**
 * Finds names in spite of capitals, marks on letters, missing ends and typing errors. Every word typed must be like one
 * word of the same name: the same, its beginning, inside it, or within one or two errors (a letter wrong, missing, too
 * many, or two changed about: Damerau 1964, Levenshtein 1966). Nearest first, then by chief name.
 */
export function nameIndex(list: readonly Named[]): NameIndex {
  const entries = list.flatMap(({ id, names }) =>
    names.map((name, order) => ({ id, name, chief: names[0] ?? name, order, words: wordsOf(name) })),
  );
  return {
    search: (typed, most) => {
      const asked = wordsOf(typed);
      if (asked.length === 0) return [];
      const best = new Map<string, Found & { chief: string; order: number }>();
      for (const { id, name, chief, order, words } of entries) {
        const distance = distanceOf(asked, words);
        const before = best.get(id);
        if (distance === null || (before && before.distance <= distance)) continue;
        best.set(id, { id, by: name, distance, chief, order });
      }
      return [...best.values()]
        .sort((a, b) => a.distance - b.distance || a.order - b.order || a.chief.localeCompare(b.chief))
        .slice(0, most)
        .map(({ id, by, distance }) => ({ id, by, distance }));
    },
  };
}

const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** The sum over the words typed of their distance to the nearest word; null where one is like none. */
function distanceOf(asked: readonly string[], words: readonly string[]): number | null {
  let sum = 0;
  for (const word of asked) {
    let nearest: number | null = null;
    for (const other of words) {
      const distance = wordDistance(word, other);
      if (distance !== null && (nearest === null || distance < nearest)) nearest = distance;
    }
    if (nearest === null) return null;
    sum += nearest;
  }
  return sum;
}

function wordDistance(typed: string, word: string): number | null {
  if (typed === word) return 0;
  if (word.startsWith(typed)) return BEGINNING;
  if (typed.length >= EXACT_UP_TO && word.includes(typed)) return INSIDE;
  const borne = errorsBorne(typed);
  if (borne === 0) return null;
  const whole = editDistance(typed, word, borne);
  if (whole !== null) return ERROR * whole;
  // Only the beginning has been typed so far, with an error in it.
  const begun = word.length > typed.length ? editDistance(typed, word.slice(0, typed.length), borne) : null;
  return begun === null ? null : ERROR * begun + BEGINNING;
}

/**
 * The fewest letters put in, left out, changed, or changed about with their neighbour, that make one word of another
 * (optimal string alignment); null when it takes more than `most`.
 */
export function editDistance(a: string, b: string, most: number): number | null {
  if (Math.abs(a.length - b.length) > most) return null;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, column) => column);
  for (let row = 1; row <= a.length; row += 1) {
    const now = [row];
    let least = row;
    for (let column = 1; column <= b.length; column += 1) {
      const same = a[row - 1] === b[column - 1];
      let cost = Math.min(
        (last[column] ?? 0) + 1,
        (now[column - 1] ?? 0) + 1,
        (last[column - 1] ?? 0) + (same ? 0 : 1),
      );
      const isSwap = row > 1 && column > 1 && a[row - 1] === b[column - 2] && a[row - 2] === b[column - 1];
      if (isSwap) cost = Math.min(cost, (before[column - 2] ?? 0) + 1);
      now.push(cost);
      least = Math.min(least, cost);
    }
    if (least > most) return null;
    before = last;
    last = now;
  }
  const distance = last[b.length] ?? 0;
  return distance <= most ? distance : null;
}
