import { HIGHEST_INSTAR } from '@/core/profiles/profile';
import { numberIn } from '@/core/measure/typedNumber';
import { checkScientificName } from '@/core/measure/scientificName';
import { formatLength, parseLength, type LengthUnit } from '@/core/measure/length';

/** A check for a length typed in the keeper's unit that has to lie between two limits (mm). */
export function lengthCheck(unit: LengthUnit, minMm: number, maxMm: number) {
  return (text: string): string | true => {
    const parsed = parseLength(text, unit);
    if (!parsed.ok) return parsed.problem;
    if (parsed.mm >= minMm && parsed.mm <= maxMm) return true;
    return `Must be from ${formatLength(minMm, unit)} to ${formatLength(maxMm, unit)}.`;
  };
}

/** What may stay empty is checked only where something is typed. */
export const orEmpty =
  (check: (text: string) => string | true) =>
  (text: string): string | true =>
    text.trim() === '' || check(text);

/** A check for what has to be written. */
export const needed =
  (message: string) =>
  (text: string): string | true =>
    text.trim() !== '' || message;

/** A check for a length typed in the keeper's unit, of any size. */
export function anyLength(unit: LengthUnit) {
  return (text: string): string | true => {
    const parsed = parseLength(text, unit);
    return parsed.ok || parsed.problem;
  };
}

/** A check for a whole number of animals, from 1 up. */
export const headsCheck = (text: string): string | true =>
  headCountIn(text) !== undefined || 'A whole number from 1 up.';

/** A check for how many there are, none being one of the answers; empty is none. */
export const countOrNoneCheck = (text: string): string | true =>
  countOrNoneIn(text) !== undefined || 'A whole number from 0 up.';

/** A check for the number of an instar. */
export const instarCheck = (text: string): string | true => instarIn(text) !== undefined || INSTAR_PROBLEM;

/** A check for a weight. */
export const gramsCheck = (text: string): string | true =>
  (numberIn(text) ?? 0) > 0 || 'Grams as a number over 0, for example 17.4.';

/** A check for a scientific name; a slip is told with what is likely meant. */
export function nameCheck(text: string): string | true {
  const check = checkScientificName(text);
  if (check.ok) return true;
  return check.suggestion ? `${check.problem} Write ${check.suggestion}.` : check.problem;
}

/** A whole number of animals as typed; undefined when it is none. */
export function headCountIn(text: string): number | undefined {
  const count = Number(text.trim());
  return /^\d+$/.test(text.trim()) && count >= 1 && count <= 1_000_000 ? count : undefined;
}

/** How many as typed, none for an empty field; undefined when it is no number. */
export const countOrNoneIn = (text: string): number | undefined =>
  ['', '0'].includes(text.trim()) ? 0 : headCountIn(text);

/** The number of an instar as typed; undefined when it is none. */
export function instarIn(text: string): number | undefined {
  const instar = headCountIn(text);
  return instar !== undefined && instar <= HIGHEST_INSTAR ? instar : undefined;
}
export const INSTAR_PROBLEM = `A whole number from 1 to ${HIGHEST_INSTAR}.`;

/** A check for how many of something there are. */
export const countCheck = (text: string): string | true =>
  (/^\s*\d+\s*$/.test(text) && Number(text) >= 1 && Number(text) <= 2000) || 'A whole number from 1 to 2000.';

/** The length a field holds, in mm; undefined while it holds none. */
export function lengthIn(text: string, unit: LengthUnit): number | undefined {
  const parsed = parseLength(text, unit);
  return parsed.ok ? parsed.mm : undefined;
}

/** A check for a plain number between two limits. */
export function numberCheck(min: number, max: number) {
  return (text: string): string | true => {
    const value = numberIn(text);
    return (value !== undefined && value >= min && value <= max) || `A number from ${min} to ${max}.`;
  };
}
