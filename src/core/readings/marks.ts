import { HOUR_MS, median, usualStepMs, type MarkedReading, type Reading } from './reading';

/** A probe that is held in the hand or breathed on jumps by more than this and comes back; from memory. */
const SPIKE = { temperatureC: 3, relativeHumidityPct: 12 } as const;
/** So many times the usual scatter round the median of the neighbours (Hampel's rule, with 1.4826 x MAD for sigma). */
const SIGMAS = 4;
const NEIGHBOURS = 3;
/** A break of so many usual steps is a gap. */
const GAP_STEPS = 3.5;
const SHORTEST_GAP_MS = HOUR_MS / 2;

/**
 * Marks spikes: single readings, or two in a row, that stand off the median of their neighbours by more than four times
 * the usual scatter and by more than a room can change. Nothing is dropped.
 * @param readings of one probe in the order of time
 * @source Hampel, F. R. (1974), J. Am. Stat. Assoc. 69, 383-393
 */
export function markSpikes<R extends Reading>(readings: R[]): (R & MarkedReading)[] {
  const marked = readings.map((each) => ({ ...each, mark: null as MarkedReading['mark'] }));
  for (const field of ['temperatureC', 'relativeHumidityPct'] as const) {
    const values = readings.map((each) => each[field]);
    values.forEach((value, index) => {
      if (value === undefined) return;
      const window = values
        .slice(Math.max(0, index - NEIGHBOURS), index + NEIGHBOURS + 1)
        .filter((each): each is number => each !== undefined);
      if (window.length < 2 * NEIGHBOURS) return;
      const middle = median(window) ?? value;
      const scatter = 1.4826 * (median(window.map((each) => Math.abs(each - middle))) ?? 0);
      const off = Math.abs(value - middle);
      const reading = marked[index];
      if (reading && off > SPIKE[field] && off > SIGMAS * scatter) reading.mark = 'spike';
    });
  }
  return marked;
}

export interface Gap {
  fromAt: number;
  toAt: number;
}

/** Where a probe said nothing for much longer than usual. */
export function gapsIn(readings: readonly { at: number }[]): Gap[] {
  const longest = Math.max(SHORTEST_GAP_MS, GAP_STEPS * usualStepMs(readings));
  return readings.slice(1).flatMap((each, index) => {
    const fromAt = readings[index]?.at ?? 0;
    return each.at - fromAt > longest ? [{ fromAt, toAt: each.at }] : [];
  });
}
