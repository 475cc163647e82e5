import { addDays } from 'date-fns/addDays';
import { dayOfMoment } from '@/core/measure/day';

/** The only place that asks what time it is. */
export interface Clock {
  /** The local day of the house: of the server's time zone (`TZ`). */
  today(): string;
  /** This instant, UTC. */
  now(): string;
}

const clockOf = (ms: () => number): Clock => ({
  today: () => dayOfMoment(new Date(ms())),
  now: () => new Date(ms()).toISOString(),
});

export const systemClock: Clock = clockOf(Date.now);

/** A clock for tests: it begins at a chosen instant, goes on from there, and is moved on at will. */
export interface SettableClock extends Clock {
  /** Sets it to an instant, UTC. */
  setTo(instant: string): void;
  /** Moves it on: whole days keep the time of day, also where the clocks change in between. */
  moveOn(by: { days?: number | undefined; hours?: number | undefined }): void;
}

/**
 * @param start an instant, UTC
 * @param passed the milliseconds that have gone by, whatever they are counted from
 */
export function settableClock(start: string, passed: () => number = () => performance.now()): SettableClock {
  let base = Date.parse(start);
  let since = passed();
  const ms = () => base + Math.floor(passed() - since);
  const set = (instantMs: number) => {
    base = instantMs;
    since = passed();
  };
  return {
    ...clockOf(ms),
    setTo: (instant) => set(Date.parse(instant)),
    moveOn: ({ days = 0, hours = 0 }) => set(addDays(new Date(ms()), days).getTime() + hours * 3_600_000),
  };
}
