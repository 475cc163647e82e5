/** What is left to mend in a scientific name, and the name as it would be written once mended. */
export type NameCheck = { ok: true; name: string } | { ok: false; problem: string; suggestion?: string };

const GENUS = /^[A-Z][a-z]+(?:-[a-z]+)?$/;
const EPITHET = /^[a-z]+(?:-[a-z]+)*$/;
const QUALIFIERS = new Set(['cf.', 'aff.']);

/**
 * Checks the *form* of a scientific name, not whether the name exists. Accepted forms:
 * `Genus species`, `Genus species subspecies`, `Genus cf. species`, `Genus sp.`, and for undescribed stock
 * `Genus sp. 'locality'`. A name that only needs its capitals, spaces, quotes or full stop put right comes back with
 * a suggestion. Source: International Code of Zoological Nomenclature, 4th ed., Art. 5 and 28 (binomen, capital of
 * the genus only); the quoted locality is common practice.
 */
export function checkScientificName(raw: string): NameCheck {
  const text = raw.trim().replace(/\s+/g, ' ');
  if (text === '') return { ok: false, problem: 'Write the genus and the species, for example Grammostola pulchra.' };
  const mended = mend(text);
  const problem = formProblem(mended);
  if (problem) return { ok: false, problem };
  if (mended !== text) return { ok: false, problem: 'Genus with a capital, the rest without.', suggestion: mended };
  return { ok: true, name: text };
}

/** Puts capitals, the full stop of `sp.` and the quotes of a locality right, and leaves everything else. */
function mend(text: string): string {
  const locality = /['‘’"“”](.+?)['‘’"“”]\s*$/.exec(text);
  const bare = (locality ? text.slice(0, locality.index) : text).trim();
  const words = bare.split(' ').map((word, index) => {
    const lower = word.toLowerCase();
    if (index === 0) return lower.charAt(0).toUpperCase() + lower.slice(1);
    if (lower === 'sp' || lower === 'spec.' || lower === 'sp.') return 'sp.';
    if (lower === 'cf' || lower === 'aff') return `${lower}.`;
    return lower;
  });
  return locality ? `${words.join(' ')} '${locality[1]}'` : words.join(' ');
}

function formProblem(name: string): string | undefined {
  const locality = / '(.+)'$/.exec(name);
  const words = (locality ? name.slice(0, locality.index) : name).split(' ');
  const [genus = '', second, third, ...rest] = words;
  if (!GENUS.test(genus)) return `“${genus}” is not a genus: letters only, for example Grammostola.`;
  if (second === undefined) return `The species is missing: “${genus} sp.” if it is not known.`;
  if (rest.length > 0) return 'Too many words: genus, species, and at most a subspecies.';
  if (second === 'sp.') {
    return third === undefined ? undefined : `After “sp.” only a locality in quotes: ${genus} sp. 'locality'.`;
  }
  if (locality) return `A locality goes with “sp.”: ${genus} sp. '${locality[1]}'.`;
  const epithets = QUALIFIERS.has(second) ? [third] : [second, third];
  if (epithets[0] === undefined) return `The species is missing after “${second}”.`;
  const wrong = epithets.find((word) => word !== undefined && (!EPITHET.test(word) || word.length < 2));
  return wrong === undefined ? undefined : `“${wrong}” is not a species name: small letters only.`;
}
