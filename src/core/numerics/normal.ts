import { TWENTIETH_SD } from './tails';

/** Chance that a standard normal value is under z. @source Hart (1968), as given by West (2005), error under 1e-14 */
export function normalBelow(z: number): number {
  const x = Math.abs(z);
  if (x > 37) return z > 0 ? 1 : 0;
  const e = Math.exp((-x * x) / 2);
  let tail: number;
  if (x < 7.07106781186547) {
    const top =
      (((((3.52624965998911e-2 * x + 0.700383064443688) * x + 6.37396220353165) * x + 33.912866078383) * x +
        112.079291497871) *
        x +
        221.213596169931) *
        x +
      220.206867912376;
    const bottom =
      ((((((8.83883476483184e-2 * x + 1.75566716318264) * x + 16.064177579207) * x + 86.7807322029461) * x +
        296.564248779674) *
        x +
        637.333633378831) *
        x +
        793.826512519948) *
        x +
      440.413735824752;
    tail = (e * top) / bottom;
  } else {
    tail = e / (x + 1 / (x + 2 / (x + 3 / (x + 4 / (x + 0.65))))) / 2.506628274631;
  }
  return z > 0 ? 1 - tail : tail;
}

/** The value that a standard normal one is under with this chance. @source Acklam (2003), relative error under 1.2e-9 */
export function normalQuantile(chance: number): number {
  if (chance <= 0) return -Infinity;
  if (chance >= 1) return Infinity;
  if (chance > 0.5) return -normalQuantile(1 - chance);
  if (chance < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(chance));
    return (
      (((((-7.784894002430293e-3 * q - 0.3223964580411365) * q - 2.400758277161838) * q - 2.549732539343734) * q +
        4.374664141464968) *
        q +
        2.938163982698783) /
      ((((7.784695709041462e-3 * q + 0.3224671290700398) * q + 2.445134137142996) * q + 3.754408661907416) * q + 1)
    );
  }
  const q = chance - 0.5;
  const r = q * q;
  return (
    ((((((-39.69683028665376 * r + 220.9460984245205) * r - 275.9285104469687) * r + 138.357751867269) * r -
      30.66479806614716) *
      r +
      2.506628277459239) *
      q) /
    (((((-54.47609879822406 * r + 161.5858368580409) * r - 155.6989798598866) * r + 66.80131188771972) * r -
      13.28068155288572) *
      r +
      1)
  );
}

/** The log-normal of which nine of ten lie between two values: the middle and the spread of its logarithm. */
export function logNormalWithin({ min, max }: { min: number; max: number }): { centre: number; spread: number } {
  return { centre: Math.log(min * max) / 2, spread: Math.log(max / min) / (2 * TWENTIETH_SD) };
}
