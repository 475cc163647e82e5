import { formatDrill, formatLength, formatLengthNumber } from '@/core/measure/length';

export interface LengthWords {
  unit: 'mm' | 'cm' | 'in';
  /** `118 mm` in the keeper's unit. */
  long: (mm: number) => string;
  /** The number alone. */
  short: (mm: number) => string;
  /** A hole, by the bit that drills it. */
  drill: (mm: number) => string;
}

/** Lengths as a keeper who thinks in a unit is told them. */
export const lengthWords = (unit: LengthWords['unit']): LengthWords => ({
  unit,
  long: (mm) => formatLength(mm, unit),
  short: (mm) => formatLengthNumber(mm, unit),
  drill: (mm) => formatDrill(mm, unit),
});
