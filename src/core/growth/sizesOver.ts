import { daysBetween, type Day } from '../measure/day';

/** A size of one animal on a day. mm of the measure that is taken of it */
export interface SizeOn {
  on: Day;
  mm: number;
}

/** The size that held on a day: the last that was measured up to it; undefined before the first. */
export const sizeOn = (sizes: readonly SizeOn[], on: Day): number | undefined =>
  sizes.reduce<SizeOn | undefined>(
    (last, each) => (each.on <= on && (last === undefined || each.on >= last.on) ? each : last),
    undefined,
  )?.mm;

/** How one grew from a day to another. */
export interface Grown {
  days: number;
  moreMm: number;
  /** Of the size before. */
  times: number;
}

/** What lies between two sizes, the earlier first; null where one of them is not known. */
export function grownBetween(sizes: readonly SizeOn[], one: Day, other: Day): Grown | null {
  const [from, to] = one <= other ? [one, other] : [other, one];
  const [before, after] = [sizeOn(sizes, from), sizeOn(sizes, to)];
  if (before === undefined || after === undefined) return null;
  return { days: daysBetween(from, to), moreMm: after - before, times: after / before };
}
