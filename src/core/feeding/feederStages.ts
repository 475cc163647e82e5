import { daysBetween, type Day } from '@/core/measure/day';
import type { FeederKind } from './food';

/** What becomes of one feeder of a size in a day: it stays, or it has grown into the next size; else it has died. */
export interface DailyStep {
  stays: number;
  grows: number;
}

/**
 * The daily steps of a kind, size by size: each leaves its size after so many days on the mean, and dies at its rate.
 * The last size leaves it by dying of age.
 */
export function dailySteps(kind: FeederKind): DailyStep[] {
  return kind.classes.map(({ daysInClass, weeklyLossPct }, index) => {
    const lives = (1 - weeklyLossPct / 100) ** (1 / 7);
    const leaves = Math.min(1, 1 / daysInClass);
    const isLast = index === kind.classes.length - 1;
    return { stays: lives * (1 - leaves), grows: isLast ? 0 : lives * leaves };
  });
}

/** The feeders of each size after so many days, nothing taken out and nothing hatched. */
export function afterDays(kind: FeederKind, counts: readonly number[], days: number): number[] {
  const steps = dailySteps(kind);
  let now = [...counts];
  for (let day = 0; day < days; day += 1) {
    now = now.map((count, index) => {
      const before = index === 0 ? 0 : (now[index - 1] ?? 0) * (steps[index - 1]?.grows ?? 0);
      return count * (steps[index]?.stays ?? 0) + before;
    });
  }
  return now;
}

/** One thing that happened to a stock of feeders. */
export interface StockEvent {
  on: Day;
  /** Id of the size. */
  item: string;
  /** `counted` sets the number of its size, the others change it. */
  kind: 'counted' | 'in' | 'out';
  count: number;
}

/**
 * The feeders of each size as they must stand on `today`: what was counted, bought and taken, grown and thinned out from
 * day to day. Never under 0: what the book does not have was taken anyway.
 * @param events in the order in which they happened
 */
export function standingStock(kind: FeederKind, events: readonly StockEvent[], today: Day): number[] {
  const placeOf = new Map(kind.classes.map((each, index) => [each.id, index]));
  let counts = kind.classes.map(() => 0);
  let on: Day | undefined;
  for (const event of events) {
    const place = placeOf.get(event.item);
    if (place === undefined || event.on > today) continue;
    if (on !== undefined && event.on > on) counts = afterDays(kind, counts, daysBetween(on, event.on));
    on = on === undefined || event.on > on ? event.on : on;
    const before = counts[place] ?? 0;
    const change = { counted: event.count - before, in: event.count, out: -event.count }[event.kind];
    counts[place] = Math.max(0, before + change);
  }
  return on === undefined ? counts : afterDays(kind, counts, Math.max(0, daysBetween(on, today)));
}
