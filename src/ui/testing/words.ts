import { formatLength, formatLengthNumber } from '@/core/measure/length';
import type { LengthWords } from '@/words/useLength';

/** What is left in words when something is missing, a date that nobody put into words, or two words run together. */
export const BROKEN = /undefined|null|NaN|\[object|\d{4}-\d\d-\d\d| {2}|, ,| ,|;;|: *$|^ | $|%%/;

/** Lengths as a keeper who thinks in a unit is told them. */
export const lengths = (unit: LengthWords['unit']): LengthWords => ({
  unit,
  long: (mm) => formatLength(mm, unit),
  short: (mm) => formatLengthNumber(mm, unit),
});
