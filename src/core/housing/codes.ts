/**
 * The codes that go on from one: A1, A2, A3; D9, D10; T08, T09, T10; `lid` goes on as `lid 2`. Those that are taken are passed
 * over. Written as it begins: with as many noughts in front.
 * @param first the code that is gone on from; it is not among the answers
 * @param taken codes that stand on a box already
 * @param count 0 or more
 * @param lettersMost the codes are no longer than this
 * @throws RangeError when so many codes of that length do not go on from it
 */
export function codesAfter(first: string, taken: Iterable<string>, count: number, lettersMost = 12): string[] {
  const known = new Set([...taken].map((code) => code.toLowerCase()));
  const [, stem = first, digits] = /^(.*?)(\d+)$/.exec(first) ?? [];
  const head = digits === undefined ? `${first} ` : stem;
  const codes: string[] = [];
  for (let number = Number(digits ?? 1) + 1; codes.length < count; number += 1) {
    const code = `${head}${String(number).padStart(digits?.length ?? 1, '0')}`;
    if (code.length > lettersMost)
      throw new RangeError(`No code of ${lettersMost} letters goes on from ${first} so often.`);
    if (!known.has(code.toLowerCase())) codes.push(code);
  }
  return codes;
}

/** The last of so many codes that go on from one; null where so many of its length do not. */
export function codeAfter(first: string, taken: Iterable<string>, count = 1): string | null {
  try {
    return codesAfter(first, taken, count).at(-1) ?? null;
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
