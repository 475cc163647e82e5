/**
 * An answer with its numbers to six digits: what machines reckon otherwise in the last of theirs is no other answer. For
 * answers that are held against what they were when somebody last looked them over.
 */
export function rounded(value: unknown): unknown {
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
