import { parseLength, type LengthUnit } from '@/core/measure/length';

/** A column that a table may have: what its cells go into, and the words that stand over it. */
export interface Column {
  name: string;
  words: readonly string[];
  /** Without it no row can be read. */
  isNeeded?: boolean;
}

/** Which column of a table, by its place from 0, holds what. */
export type Mapping = Readonly<Partial<Record<string, number>>>;

const UNITS: Record<string, LengthUnit> = { mm: 'mm', cm: 'cm', in: 'in', inch: 'in', inches: 'in', '"': 'in' };

/** What stands over a column, without its unit, and that unit: "Leg span (cm)" is "leg span", in cm. */
export function titleOf(title: string): { words: string; unit: LengthUnit | undefined } {
  const plain = title
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ');
  const match = /^(.*?)[ ,]*[([]?\b(mm|cm|inches|inch|in|g|grams|c|°c)\b[)\]]?$/.exec(plain);
  const [, words = '', unit = ''] = match ?? [];
  // "mm" or "in" alone is a column of its own name.
  if (!match || words === '') return { words: plain, unit: UNITS[plain] };
  return { words, unit: UNITS[unit] };
}

/**
 * Which column is what, by the words over it: first those that are called so, then those whose title holds such a word. Each
 * column of the table is taken once.
 */
export function mappingOf(header: readonly string[], columns: readonly Column[]): Mapping {
  const titles = header.map((title) => titleOf(title).words);
  const mapping: Partial<Record<string, number>> = {};
  const taken = new Set<number>();
  const take = (fits: (title: string, word: string) => boolean) => {
    for (const { name, words } of columns) {
      if (mapping[name] !== undefined) continue;
      // The words of a column in their order: the first is the one that is meant most often.
      const at = words
        .map((word) => titles.findIndex((title, index) => !taken.has(index) && fits(title, word)))
        .find((index) => index >= 0);
      if (at === undefined) continue;
      mapping[name] = at;
      taken.add(at);
    }
  };
  take((title, word) => title === word);
  take((title, word) => word.length > 3 && ` ${title} `.includes(` ${word} `));
  return mapping;
}

/** A row of a table by the names of its columns; empty where a column is not there. */
export function cellsOf(row: readonly string[], mapping: Mapping): (name: string) => string {
  return (name) => {
    const at = mapping[name];
    return at === undefined ? '' : (row[at] ?? '').trim();
  };
}

/** A length in a cell, in the unit behind it, over its column, or as its keeper thinks. @returns mm, or what would be right */
export function lengthInCell(text: string, title: string, unit: LengthUnit): number | string {
  const read = parseLength(text, titleOf(title).unit ?? unit);
  return read.ok ? Math.round(read.mm * 10) / 10 : read.problem;
}

/** A whole number of heads in a cell, and whether it was a guess: "200", "~200", "about 200", "200+". Null for anything else. */
export function headsInCell(text: string): { heads: number; isAbout: boolean } | null {
  const match = /^(about|around|ca\.?|c\.|~|>)?\s*(\d{1,3}(?:[ ,.]\d{3})+|\d{1,7})\s*(\+)?$/i.exec(text.trim());
  if (!match) return null;
  const heads = Number((match[2] ?? '').replace(/[ ,.]/g, ''));
  return heads >= 1 && heads <= 1_000_000 ? { heads, isAbout: match[1] !== undefined || match[3] !== undefined } : null;
}
