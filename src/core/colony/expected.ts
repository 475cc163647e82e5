import type { Band } from './project';

export const COUNT_VERDICTS = ['as-expected', 'fewer', 'crash', 'more'] as const;
export type CountVerdict = (typeof COUNT_VERDICTS)[number];

/** A count of less than this share of what nine of ten cultures have is a crash. Chosen here */
const CRASH_SHARE = 0.5;

/**
 * What a count says against the course that was forecast from the count before: fewer than nine of ten cultures would
 * have, less than half of that, or more than nine of ten.
 * @param expected at the day of the count, before anything was taken out
 * @param removed since: taken out, passed on, parted, dead
 */
export function countVerdict(counted: number, expected: Band, removed: number): CountVerdict {
  const [low, high] = [Math.max(0, expected.p10 - removed), Math.max(0, expected.p90 - removed)];
  if (counted < CRASH_SHARE * low) return 'crash';
  if (counted < low) return 'fewer';
  return counted > high ? 'more' : 'as-expected';
}

/** Whether the usual course still holds for whoever has such a count: of a crash nobody knows what comes, so nothing is promised of it. */
export const holdsCourse = (verdict: CountVerdict | null): boolean => verdict !== 'crash';
