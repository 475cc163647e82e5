import type { Day } from '@/core/measure/day';
import type { CareProfile } from './profile';

/**
 * Usual weight of an animal of a length, by the cube of the measure that is taken. g
 * @param sizeMm of the taken measure, over 0
 * @returns null for kinds whose weight nobody gave
 */
export function usualMassG({ massGPerCm3 }: CareProfile, sizeMm: number): number | null {
  return massGPerCm3 ? massGPerCm3.value * (sizeMm / 10) ** 3 : null;
}

/**
 * Whether a weight still stands for the animal: nobody took its length since, and it has not moulted.
 * @param sizedOn the day its length was last taken
 */
export function weightHolds(weighedOn: Day, sizedOn: Day, moultedOn: Day | undefined): boolean {
  return weighedOn >= sizedOn && (moultedOn === undefined || weighedOn >= moultedOn);
}
