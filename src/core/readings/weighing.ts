import type { Reading } from './reading';

/** Two weighings of one box: what it lost is water, as long as nothing was put in or taken out. */
export interface WaterLost {
  fromAt: number;
  toAt: number;
  lostMl: number;
  mlPerDay: number;
}

/**
 * Water lost between weighings since `since` (when the box was last damped, filled or opened for more than a look). A
 * box that got heavier was watered: what was weighed before does not count. Null with fewer than two weighings.
 * A gram is a millilitre.
 */
export function waterLost(readings: Reading[], since: number): WaterLost | null {
  const weighed = readings.filter((each) => each.massG !== undefined && each.at >= since).sort((a, b) => a.at - b.at);
  let first = 0;
  weighed.forEach((each, index) => {
    const before = weighed[index - 1];
    if (before && (each.massG ?? 0) > (before.massG ?? 0) + SCALE_ERROR_G) first = index;
  });
  const [from, to] = [weighed[first], weighed.at(-1)];
  if (!from || !to || to.at <= from.at) return null;
  const lostMl = Math.max(0, (from.massG ?? 0) - (to.massG ?? 0));
  return { fromAt: from.at, toAt: to.at, lostMl, mlPerDay: lostMl / ((to.at - from.at) / 86_400_000) };
}

/** A kitchen scale is good to about a gram either way; from memory. */
const SCALE_ERROR_G = 2;
