/**
 * An answer as it is held against what it was when somebody last looked it over: a line for each of its parts, with numbers to
 * six digits. What machines reckon otherwise in the last of theirs is no other answer.
 */
export function inLines(answer: unknown): string {
  const known = rounded(answer);
  if (Array.isArray(known)) return known.map((each) => JSON.stringify(each)).join('\n');
  if (typeof known !== 'object' || known === null) return JSON.stringify(known);
  return Object.entries(known)
    .map(([name, each]) => `${name}: ${JSON.stringify(each)}`)
    .join('\n');
}

function rounded(value: unknown): unknown {
  if (typeof value === 'number') return sixDigits(value);
  if (ArrayBuffer.isView(value)) return Array.from(value as unknown as ArrayLike<number>, rounded);
  if (Array.isArray(value)) return value.map(rounded);
  if (value instanceof Map) return Object.fromEntries([...value].map(([key, each]) => [String(key), rounded(each)]));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, rounded(each)]));
}

/** Less than this is nothing: its digits are chance. */
const NOTHING = 1e-9;
const sixDigits = (value: number) =>
  !Number.isFinite(value) ? String(value) : Math.abs(value) < NOTHING ? 0 : Number(value.toPrecision(6));
