import { isCross, partsOf, written, type Parts } from './nameParts';

/** What is left to mend in a scientific name, and the name as it would be written once mended. */
export type NameCheck = { ok: true; name: string } | { ok: false; problem: string; suggestion?: string };

const GENUS = /^[A-Z][a-z]+$/;
const EPITHET = /^(?:[a-z]-)?[a-z]{2,}$/;
const QUALIFIERS = new Set(['cf.', 'aff.']);
/** One author, with initials and particles: `L. Koch`, `de la Cruz`. */
const ONE_AUTHOR = String.raw`(?:[A-Z]\.\s?)*(?:(?:de|da|von|van|der|den|du|la|le)\s)*\p{Lu}[\p{L}'’-]+`;
/** One or several with something between them, and the year: `L. Koch, 1870`, `Müller & de la Cruz, 2004`. */
const AUTHOR = new RegExp(
  String.raw`^${ONE_AUTHOR}(?:(?:,\s|\s&\s|\set\s)${ONE_AUTHOR})*(?:,\s(?:1[789]|20)\d\d)?$`,
  'u',
);

/**
 * Checks the *form* of a scientific name, not whether the name exists. Accepted forms:
 * `Genus species`, `Genus species subspecies`, `Genus (Subgenus) species`, `Genus cf. species`, `Genus aff. species`,
 * `Genus sp.`, `Genus sp. aff. species`, `Genus a × b` and `Genus a × Genus b`; each may end in a locality or line in
 * quotes, `Genus sp. 'locality'`, or in an author, in brackets when the species was first put in another genus:
 * `Genus species (Author, 1842)`. A name that only needs its capitals, spaces, marks on letters, quotes or full stop put
 * right comes back with a suggestion. Source, from memory: International Code of Zoological Nomenclature, 4th ed.,
 * Art. 5 (binomen, trinomen), 6.1 (subgenus), 11.8 and 11.9 (at least two letters), 28 (capital of the genus only),
 * 32.5.2 (no marks on letters, hyphen only after a single letter), 51 (author, brackets); the quoted locality and the
 * `×` are common practice.
 */
export function checkScientificName(raw: string): NameCheck {
  const text = raw.trim().replace(/\s+/g, ' ');
  if (text === '') return { ok: false, problem: 'Write the genus and the species, for example Grammostola pulchra.' };
  const parts = mend(partsOf(text));
  const problem = formProblem(parts);
  if (problem) return { ok: false, problem };
  const mended = written(parts);
  if (mended === text) return { ok: true, name: text };
  const sameLetters = mended.toLowerCase() === text.toLowerCase();
  return {
    ok: false,
    problem: sameLetters ? 'Genus with a capital, the rest without.' : 'It is written a little otherwise.',
    suggestion: mended,
  };
}

/** Puts capitals, marks on letters, the full stop of `sp.`, the cross and the quotes right, and leaves everything else. */
function mend({ words, author, locality }: Parts): Parts {
  const mended = words.map((word, index) => {
    const plain = word.normalize('NFD').replace(/\p{M}/gu, '');
    const lower = plain.toLowerCase();
    const isGenus =
      index === 0 || (isCross(words[index - 1] ?? '') && /^[A-Z]/.test(plain) && words.length > index + 1);
    if (isGenus) return lower.charAt(0).toUpperCase() + lower.slice(1);
    if (/^\([a-z]+\)$/i.test(plain)) return `(${lower.charAt(1).toUpperCase()}${lower.slice(2)}`;
    if (index > 1 && isCross(word)) return '×';
    if (lower === 'sp' || lower === 'spec.' || lower === 'sp.') return 'sp.';
    if (lower === 'cf' || lower === 'aff') return `${lower}.`;
    return lower;
  });
  return { words: mended, author, locality };
}

function formProblem({ words, author, locality }: Parts): string | undefined {
  const cross = words.indexOf('×');
  if (cross > 0) return hybridProblem(words.slice(0, cross), words.slice(cross + 1));
  const [genus = '', ...after] = words;
  if (!GENUS.test(genus)) return `“${genus}” is not a genus: letters only, for example Grammostola.`;
  const subgenus = after[0]?.startsWith('(') ? after[0] : undefined;
  if (subgenus !== undefined && !GENUS.test(subgenus.slice(1, -1)))
    return `“${subgenus}” is not a subgenus: one word with a capital, in brackets.`;
  const [second, third, ...rest] = subgenus === undefined ? after : after.slice(1);
  if (second === undefined) return `The species is missing: “${genus} sp.” if it is not known.`;
  const authorIsWrong = author !== null && !AUTHOR.test(author.replace(/^\((.+)\)$/, '$1'));
  if (authorIsWrong) return `“${author}” is not an author: a surname and a year, (Ausserer, 1871) or Pocock, 1899.`;
  if (second === 'sp.') return openProblem(genus, [third, ...rest], author, locality);
  if (rest.length > 0) return 'Too many words: genus, species, and at most a subspecies.';
  const epithets = QUALIFIERS.has(second) ? [third] : [second, third];
  if (epithets[0] === undefined) return `The species is missing after “${second}”.`;
  const wrong = epithets.find((word) => word !== undefined && !EPITHET.test(word));
  return wrong === undefined ? undefined : `“${wrong}” is not a species name: small letters only, two at least.`;
}

/** After `sp.` comes nothing, a species that it is near to, or a locality in quotes. */
function openProblem(
  genus: string,
  after: (string | undefined)[],
  author: string | null,
  locality: string | null,
): string | undefined {
  const given = after.filter((word) => word !== undefined);
  if (author !== null) return `A species without a name has no author: ${genus} sp. 'locality'.`;
  if (given.length === 0) return undefined;
  const [qualifier, near, ...rest] = given;
  if (qualifier === 'aff.' && near !== undefined && EPITHET.test(near) && rest.length === 0) return undefined;
  return `After “sp.” only a locality in quotes: ${genus} sp. '${locality ?? 'locality'}'.`;
}

function hybridProblem(mother: string[], father: string[]): string | undefined {
  const [genus = '', ...epithets] = mother;
  if (!GENUS.test(genus)) return `“${genus}” is not a genus: letters only, for example Grammostola.`;
  const [first = '', ...others] = father;
  const isOtherGenus = GENUS.test(first);
  const names = [...epithets, ...(isOtherGenus ? others : father)];
  const isWhole = epithets.length === 1 && (isOtherGenus ? others.length === 1 : father.length === 1);
  if (isWhole && names.every((word) => EPITHET.test(word))) return undefined;
  return `A hybrid is written with both parents: ${genus} ${epithets[0] ?? 'species'} × species.`;
}
