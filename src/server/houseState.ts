import type { Database, Queries } from './storage/database';

/** An answer stands so long though nothing was written: a probe that fell silent is told by then. ms */
const STANDS_FOR_MS = 10 * 60_000;

const countsWrites = (queries: Queries): queries is Database => 'writes' in queries && queries.writes !== undefined;

/**
 * Another one whenever something written, the day or the time may have changed what is answered; undefined where another
 * program may write to the same database, or within a transaction that has not ended.
 */
export function houseState(queries: Queries, on: string, now: string): string | undefined {
  if (!countsWrites(queries) || queries.writes === undefined) return undefined;
  return `${queries.writes()} ${on} ${Math.floor(Date.parse(now) / STANDS_FOR_MS)}`;
}
