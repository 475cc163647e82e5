import { Refusal } from '@/core/refusal';

/**
 * Degree-days of one day by the single sine: the temperature swings as one sine wave between its lowest and highest,
 * and only what lies over the base counts; over an upper limit no more than the limit does (horizontal cut-off). K d
 * @source Baskerville, G. L. and Emin, P. (1969), Ecology 50, 514-517
 * @throws Refusal when the highest is under the lowest, or the upper limit not over the base
 */
export function degreeDays(minC: number, maxC: number, baseC: number, upperC?: number): number {
  if (maxC < minC) throw new Refusal([{ path: 'maxC', message: `Must be at least minC, ${minC}; got ${maxC}.` }]);
  if (upperC === undefined) return over(minC, maxC, baseC);
  if (upperC <= baseC) {
    throw new Refusal([{ path: 'upperC', message: `Must be over baseC, ${baseC}; got ${upperC}.` }]);
  }
  // What lies over the upper limit counts only up to it.
  return over(minC, maxC, baseC) - over(minC, maxC, upperC);
}

/** Mean of what a sine between two temperatures has over a threshold. */
function over(minC: number, maxC: number, thresholdC: number): number {
  const mean = (minC + maxC) / 2;
  if (maxC <= thresholdC) return 0;
  if (minC >= thresholdC) return mean - thresholdC;
  const amplitude = (maxC - minC) / 2;
  const rise = Math.asin((thresholdC - mean) / amplitude);
  return ((mean - thresholdC) * (Math.PI / 2 - rise) + amplitude * Math.cos(rise)) / Math.PI;
}

/**
 * Degree-days of a logged series: between two readings the temperature runs straight, and only what lies over the base
 * counts (at most up to the upper limit). K d
 * @param series in the order of time, by hours
 */
export function degreeDaysOf(
  series: readonly { hour: number; temperatureC: number }[],
  baseC: number,
  upperC = Infinity,
): number {
  let sum = 0;
  for (let index = 1; index < series.length; index += 1) {
    const a = series[index - 1];
    const b = series[index];
    if (!a || !b) continue;
    const days = (b.hour - a.hour) / 24;
    sum += days * (meanOver(a.temperatureC, b.temperatureC, baseC) - meanOver(a.temperatureC, b.temperatureC, upperC));
  }
  return sum;
}

/** Mean over a straight line of what it has over a threshold. */
function meanOver(from: number, to: number, threshold: number): number {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  if (high <= threshold) return 0;
  if (low >= threshold) return (low + high) / 2 - threshold;
  return (high - threshold) ** 2 / (2 * (high - low));
}
