import type { Day } from '@/core/measure/day';
import { spreadOf, together } from '@/core/numerics/spreads';
import type { AnimalMeasures } from './animal';
import { BODY_MEASURES, type CareProfile } from './profile';

/**
 * Usual weight of an animal of a length, by the cube of the measure that is taken. g
 * @param sizeMm of the taken measure, over 0
 * @returns null for kinds whose weight nobody gave
 */
export function usualMassG({ massGPerCm3 }: CareProfile, sizeMm: number): number | null {
  return massGPerCm3 ? massGPerCm3.value * (sizeMm / 10) ** 3 : null;
}

/**
 * How far a usual weight may be off: by its ratio, and by three times what the length may be off, where that is the usual one of a kind
 * that nobody measured. In logarithms
 */
export function massSpread(profile: CareProfile, measures: AnimalMeasures): number {
  const { massGPerCm3, measure } = profile;
  const isMeasured = BODY_MEASURES.some((name) => measures[name] !== undefined);
  const length = measure.usualMm && !isMeasured ? spreadOf(measure.usualMm) : 0;
  return together(massGPerCm3 ? spreadOf(massGPerCm3) : 0, 3 * length);
}

/**
 * Whether a weight still stands for the animal: nobody took its length since, and it has not moulted.
 * @param sizedOn the day its length was last taken
 */
export function weightHolds(weighedOn: Day, sizedOn: Day, moultedOn: Day | undefined): boolean {
  return weighedOn >= sizedOn && (moultedOn === undefined || weighedOn >= moultedOn);
}
