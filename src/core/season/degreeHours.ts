import { HOUR_MS } from '@/core/readings/reading';

/** Readings further apart than this say nothing of what lay between. Chosen here: a probe that was away for a quarter of a day */
const LONGEST_GAP_MS = 6 * HOUR_MS;

/** Fewer degree-hours outside a band than these are none: a degree too warm for an hour. Chosen here */
export const TELLING_DEGREE_HOURS = 1;

/**
 * How far and how long a place was outside a band: the area between the readings and the limit, as straight lines from
 * one reading to the next (trapezoids, cut where they cross the limit).
 * @param readings in the order of time; gaps of more than six hours are left out
 * @returns degree-hours above and below, and the hours that readings speak for
 */
export function degreeHoursOutside(
  readings: readonly { at: number; temperatureC: number }[],
  band: { min: number; max: number },
): { above: number; below: number; hours: number } {
  const sums = { above: 0, below: 0, hours: 0 };
  for (let index = 1; index < readings.length; index += 1) {
    const [from, to] = [readings[index - 1], readings[index]];
    if (!from || !to || to.at - from.at > LONGEST_GAP_MS) continue;
    const hours = (to.at - from.at) / HOUR_MS;
    sums.hours += hours;
    sums.above += areaOver(from.temperatureC - band.max, to.temperatureC - band.max, hours);
    sums.below += areaOver(band.min - from.temperatureC, band.min - to.temperatureC, hours);
  }
  return sums;
}

/** The part over nothing of a straight line from one value to another. */
function areaOver(from: number, to: number, hours: number): number {
  if (from <= 0 && to <= 0) return 0;
  if (from >= 0 && to >= 0) return (hours * (from + to)) / 2;
  const high = Math.max(from, to);
  return (hours * high ** 2) / (2 * Math.abs(to - from));
}
