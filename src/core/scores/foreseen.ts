import { normalBelow, normalQuantile } from '@/core/numerics/normal';
import { TENTH_SD } from '@/core/numerics/tails';

/**
 * A day or an amount as it was forecast: one of ten is under `p10`, half are under `p50`, one of ten is over `p90`. Between and
 * beyond them it is taken as two halves of normal curves that meet in the middle, of the logarithm where `isLog`.
 */
export interface Foreseen {
  p10: number;
  p50: number;
  p90: number;
  isLog?: boolean | undefined;
}

/** A window may be so narrow that its sides fall together: it is not surer than this. In its own unit */
const NARROWEST = 0.25;

const scaleOf = ({ isLog }: Foreseen) =>
  isLog
    ? { to: (x: number) => Math.log(Math.max(1e-9, x)), from: Math.exp }
    : { to: (x: number) => x, from: (x: number) => x };

function sides(foreseen: Foreseen) {
  const { to } = scaleOf(foreseen);
  const { p10, p50, p90 } = foreseen;
  const least = (to(p50 + NARROWEST) - to(p50)) / TENTH_SD;
  return {
    middle: to(p50),
    below: Math.max(least, (to(p50) - to(p10)) / TENTH_SD),
    above: Math.max(least, (to(p90) - to(p50)) / TENTH_SD),
  };
}

/** How many standard deviations off the middle it came, later or more than foreseen being over 0. */
export function deviateOf(foreseen: Foreseen, happened: number): number {
  const { middle, below, above } = sides(foreseen);
  const off = scaleOf(foreseen).to(happened) - middle;
  return off / (off < 0 ? below : above);
}

/** The value under which it was foreseen with a chance between 0 and 1. */
export function quantileOf(foreseen: Foreseen, chance: number): number {
  const { middle, below, above } = sides(foreseen);
  const z = normalQuantile(chance);
  return scaleOf(foreseen).from(middle + z * (z < 0 ? below : above));
}

/** Whether what came lies in the window; what has not come by its end does not. */
export const holds = ({ p10, p90 }: Foreseen, happened: number | undefined): boolean =>
  happened !== undefined && happened >= p10 && happened <= p90;

/** The chance that was foreseen for a value or less. */
export const chanceBelow = (foreseen: Foreseen, value: number): number => normalBelow(deviateOf(foreseen, value));

/** So many quantiles stand for the whole curve: the score errs by less than 0.5 %. */
const QUANTILES = 200;

/**
 * The continuous ranked probability score: how far the forecast was off, in its own unit; 0 for one that was sure and right. Of a
 * forecast that is a single value it is the distance to that value. A proper score: nobody gains by saying anything but what he
 * thinks.
 * @source as twice the mean pinball loss over all quantiles: Gneiting, T. and Raftery, A. E. (2007), J. Am. Stat. Assoc. 102
 */
export function crpsOf(foreseen: Foreseen, happened: number): number {
  let sum = 0;
  for (let step = 0; step < QUANTILES; step += 1) {
    const chance = (step + 0.5) / QUANTILES;
    const value = quantileOf(foreseen, chance);
    sum += (happened < value ? 1 - chance : -chance) * (value - happened);
  }
  return (2 * sum) / QUANTILES;
}
