import { addDays, daysBetween, type Day } from '@/core/measure/day';

export const HEMISPHERES = ['north', 'south'] as const;
export type Hemisphere = (typeof HEMISPHERES)[number];

const YEAR_DAYS = 365.25;
/** A day of the southern year is as far on as this one of the northern. days */
const HALF_A_YEAR = 183;

/** Whether a day lies within a part of the year that is told for the north, `MM-DD` to `MM-DD`, not over the turn of the year. */
export function isWithinYear(on: Day, { from, to }: { from: string; to: string }, hemisphere: Hemisphere): boolean {
  const monthDay = (hemisphere === 'north' ? on : addDays(on, HALF_A_YEAR)).slice(5);
  return monthDay >= from && monthDay <= to;
}

/** Deciduous plants bear leaves while the year is this far from midwinter. From memory: April to October */
const IN_LEAF_BELOW = 0.65;

/**
 * Where in the year a day lies: 0 at midsummer, 1 at midwinter, along a cosine; and whether plants that shed their
 * leaves bear them.
 */
export function seasonOf(on: Day, hemisphere: Hemisphere): { winterShare: number; inLeaf: boolean } {
  // Any solstice serves: the 21st of December is midwinter in the north.
  const days = daysBetween('2020-12-21', on);
  const north = (1 + Math.cos((2 * Math.PI * days) / YEAR_DAYS)) / 2;
  const winterShare = hemisphere === 'north' ? north : 1 - north;
  return { winterShare, inLeaf: winterShare < IN_LEAF_BELOW };
}
