import { dayOfMoment } from '@/core/measure/day';

/** The only place that asks what time it is. */
export interface Clock {
  /** The local day of the house: of the server's time zone (`TZ`). */
  today(): string;
  /** This instant, UTC. */
  now(): string;
}

export const systemClock: Clock = {
  today: () => dayOfMoment(new Date()),
  now: () => new Date().toISOString(),
};
