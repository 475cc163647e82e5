/**
 * Steps that cover 0 to 1 evenly in every dimension at once: the additive recurrence of the generalised golden ratios.
 * @param dimensions 1 or more
 * @source Roberts, M. (2018), The unreasonable effectiveness of quasirandom sequences; from memory
 */
export function evenSteps(dimensions: number): number[] {
  let g = 2;
  for (let round = 0; round < 40; round += 1) g = (1 + g) ** (1 / (dimensions + 1));
  return Array.from({ length: dimensions }, (_, index) => (1 / g) ** (index + 1) % 1);
}

/** The chance of one draw along a dimension, kept off the ends, where a normal quantile has no end. */
export const evenAt = (draw: number, step: number): number => clipChance((0.5 + (draw + 1) * step) % 1);

/** Chances as far from 0 and 1 as a draw is taken: a normal quantile has no end there. */
export const clipChance = (chance: number) => Math.min(0.9999, Math.max(0.0001, chance));
