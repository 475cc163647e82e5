import { addDays, type Day } from '@/core/measure/day';

export interface RefreshStep {
  on: Day;
  /** Litres to take out, and as many to put in. */
  changeL: number;
  /** Share of the soil of today that is still there afterwards. % */
  oldLeftPct: number;
}

/** At most half at a time: the other half keeps the young, the springtails and what decays the litter (common practice). */
export const MOST_AT_ONCE_PCT = 50;

/**
 * A plan that renews soil without ever taking out more than half: each change takes an even share of old and new, so
 * the old falls by the same factor each time, until at most `oldLeftPct` of it is left.
 * @param volumeL soil in the home, L
 * @param sharePct share changed each time, over 0 to 50 %
 * @param everyDays days between two changes
 * @param oldLeftPct share of the old that may stay, 1 to 99 %
 */
export function refreshPlan(
  volumeL: number,
  sharePct: number,
  everyDays: number,
  oldLeftPct: number,
  startOn: Day,
): RefreshStep[] {
  const share = Math.min(sharePct, MOST_AT_ONCE_PCT) / 100;
  const steps: RefreshStep[] = [];
  for (let left = 100, index = 0; left > oldLeftPct + 1e-9; index += 1) {
    left *= 1 - share;
    steps.push({ on: addDays(startOn, index * everyDays), changeL: volumeL * share, oldLeftPct: left });
  }
  return steps;
}
