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
 * The length that an animal of a weight usually has; the other way round. mm
 * @param massG over 0
 */
export function usualSizeMm({ massGPerCm3 }: CareProfile, massG: number): number | null {
  return massGPerCm3 ? 10 * Math.cbrt(massG / massGPerCm3.value) : null;
}
