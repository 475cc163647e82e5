import type { Stop } from '@/contract/round';
import type { Job } from '@/core/plan/work';

/** Done, or put off. */
export const isSettled = ({ doneBy, skipped }: Job): boolean => doneBy !== undefined || skipped !== undefined;

/** What would be less work on a later day of this week, and can wait for it: it is not counted for today. */
export const isLater = ({ cannotWait, lighterIn }: Job): boolean => !cannotWait && lighterIn !== undefined;

/** What is still to be done today at some stops, as every page counts it. */
export const openToday = (stops: readonly Pick<Stop, 'jobs'>[]): Job[] =>
  stops.flatMap(({ jobs }) => jobs.filter((job) => !isSettled(job) && !isLater(job)));

/** What some jobs take, to the minute. min */
export const minutesOf = (jobs: readonly Job[]): number =>
  Math.round(jobs.reduce((sum, { minutes }) => sum + minutes, 0));
