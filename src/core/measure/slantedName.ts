import { isCross, partsOf } from './nameParts';

/** A piece of a scientific name, and whether it is set in italics. */
export interface Slant {
  text: string;
  isSlanted: boolean;
}

/**
 * A scientific name in pieces: genus, subgenus and epithets are slanted; "sp.", "cf.", "aff.", the cross, the line in quotes and
 * the author stand upright. Joined with spaces they are the name.
 * @source International Code of Zoological Nomenclature, 4th ed., App. B 6 (another font than the text); that qualifiers and
 * authors stand upright is common practice. From memory
 * @example slantedName("Cubaris sp. 'Ridge' Marsh, 1990") // Cubaris slanted, the rest not
 */
export function slantedName(name: string): Slant[] {
  const { words, author, locality } = partsOf(name.trim().replace(/\s+/g, ' '));
  const pieces: Slant[] = [
    ...words.map((text) => ({ text, isSlanted: !isCross(text) && !/\.$/.test(text) })),
    ...[locality === null ? [] : `'${locality}'`, author ?? []].flat().map((text) => ({ text, isSlanted: false })),
  ];
  const joined: Slant[] = [];
  for (const piece of pieces) {
    const last = joined.at(-1);
    if (last && last.isSlanted === piece.isSlanted) last.text += ` ${piece.text}`;
    else joined.push({ ...piece });
  }
  return joined;
}
