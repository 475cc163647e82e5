import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import { profileOf } from './profileOf';
import { preyOf } from '@/core/feeding/food';
import type { Container } from '@/core/housing/container';
import { addDays } from '@/core/measure/day';
import { dueWork } from '@/core/plan/due';
import type { LogEntry, LogKind, ResidentToday } from '@/core/plan/work';

/* A grown ground tarantula that is well housed, on one day, with a log as the test asks. */

export const TODAY = '2026-03-14';
export const ago = (days: number) => addDays(TODAY, -days);

let counter = 0;
export const entry = (kind: LogKind, daysAgo: number, more: Partial<LogEntry> = {}): LogEntry => {
  counter += 1;
  const on = ago(daysAgo);
  return { id: `e${counter}`, kind, on, at: `${on}T19:00:${String(counter % 60).padStart(2, '0')}.000Z`, ...more };
};

export const LARDER = { feeders: preyOf(shippedFeeders), foods: shippedFoods };

export const container: Container = {
  shape: 'box',
  lengthMm: 310,
  widthMm: 240,
  heightMm: 296,
  lid: 'solid',
  vents: [
    { side: 'left', shape: 'hole', count: 3, diameterMm: 4 },
    { side: 'right', shape: 'hole', count: 3, diameterMm: 4 },
  ],
};

const settled = [entry('taken-in', 200), entry('watered', 1), entry('damped', 1), entry('cleaned', 1)];
const resident = (log: LogEntry[], change: Partial<ResidentToday> = {}): ResidentToday => ({
  profile: profileOf('ground-tarantula'),
  stage: 'adult',
  legSpanMm: 118,
  home: { container, substrateDepthMm: 130 },
  log: [...settled, ...log],
  ...change,
});
export const work = (log: LogEntry[], change?: Partial<ResidentToday>) => dueWork(resident(log, change), TODAY);
export const kinds = (log: LogEntry[], change?: Partial<ResidentToday>) =>
  work(log, change).jobs.map((job) => job.kind);
export const fed = (daysAgo: number) => [entry('offered', daysAgo), entry('eaten', daysAgo - 1)];
