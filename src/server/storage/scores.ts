import type { Scored } from '@/contract/scores';
import type { Day } from '@/core/measure/day';
import type { Foreseen } from '@/core/scores/foreseen';
import type { Queries } from './database';

/** A window as it was shown. Days are counted from `since`. */
export interface KeptForecast extends Foreseen {
  engine: Scored;
  subject: string;
  since: Day;
  kind: string;
  madeOn: Day;
  isLog: boolean;
  naive: number | null;
  spreadTimes: number;
  closeDays: number | null;
  isReplayed: boolean;
  happened: number | null;
}

const COLUMNS = `engine, subject, since, kind, made_on AS "madeOn", p10, p50, p90, is_log AS "isLog", naive,
  spread_times AS "spreadTimes", close_days AS "closeDays", is_replayed AS "isReplayed", happened`;

/** So many of the latest of an engine tell how good it is: more do not tell more, and take their time to read. Chosen here */
const LATEST = 1500;

/** The latest windows of an engine, oldest first. */
export async function latestForecasts(queries: Queries, engine: Scored): Promise<KeptForecast[]> {
  const rows = await queries.query<KeptForecast>(
    `SELECT ${COLUMNS} FROM forecast_kept WHERE engine = $1 ORDER BY made_on DESC, subject DESC, since DESC LIMIT ${LATEST}`,
    [engine],
  );
  return rows.reverse();
}

/** Which windows are kept, from which day on each counts, and what is known already of what came. */
export function keptForecasts(
  queries: Queries,
): Promise<Pick<KeptForecast, 'engine' | 'subject' | 'since' | 'happened'>[]> {
  return queries.query(`SELECT engine, subject, since, happened FROM forecast_kept ORDER BY since`);
}

/** Keeps windows; one that is kept already stays as it was shown first. */
export async function keepForecasts(queries: Queries, forecasts: readonly KeptForecast[]): Promise<void> {
  if (forecasts.length === 0) return;
  await queries.query(
    `INSERT INTO forecast_kept (engine, subject, since, kind, made_on, p10, p50, p90, is_log, naive, spread_times,
       close_days, is_replayed, happened)
     SELECT f.engine, f.subject, f.since, f.kind, f."madeOn", f.p10, f.p50, f.p90, f."isLog", f.naive, f."spreadTimes",
       f."closeDays", f."isReplayed", f.happened
     FROM jsonb_to_recordset($1::jsonb) AS f (engine text, subject text, since date, kind text, "madeOn" date,
       p10 double precision, p50 double precision, p90 double precision, "isLog" boolean, naive double precision,
       "spreadTimes" double precision, "closeDays" double precision, "isReplayed" boolean, happened double precision)
     ON CONFLICT DO NOTHING`,
    [JSON.stringify(forecasts)],
  );
}

/** Those of some entries that have not been taken back. */
export async function standingEntries(queries: Queries, ids: readonly string[]): Promise<ReadonlySet<string>> {
  const rows = await queries.query<{ id: string }>(
    'SELECT id FROM entry WHERE id = ANY ($1::uuid[]) AND undone_at IS NULL',
    [ids],
  );
  return new Set(rows.map(({ id }) => id));
}

/** Something offered, and whether it was refused. */
export interface AnsweredOffer {
  residentId: string;
  on: Day;
  isRefused: boolean;
}

/** What some were offered from a day on and somebody looked after, oldest first. */
export async function answeredOffers(
  queries: Queries,
  residentIds: readonly string[],
  since: Day,
): Promise<AnsweredOffer[]> {
  const rows = await queries.query<{ resident_id: string; on_day: Day; kind: string }>(
    `SELECT e.resident_id, e.on_day, e.kind FROM entry e
     WHERE e.resident_id = ANY ($1::uuid[]) AND e.kind IN ('offered', 'eaten', 'refused') AND e.undone_at IS NULL
       AND e.on_day >= $2
     ORDER BY e.on_day, e.at, e.seq`,
    [residentIds, since],
  );
  const open = new Map<string, Day>();
  return rows.flatMap(({ resident_id: residentId, on_day: on, kind }) => {
    if (kind === 'offered') {
      open.set(residentId, on);
      return [];
    }
    // An outcome belongs to the offer before it.
    const offeredOn = open.get(residentId);
    open.delete(residentId);
    return offeredOn === undefined ? [] : [{ residentId, on: offeredOn, isRefused: kind === 'refused' }];
  });
}

/** How many of each size of feeder were fed on each day since one; sizes by their ids. */
export function piecesFed(queries: Queries, since: Day): Promise<{ food: string; on: Day; pieces: number }[]> {
  return queries.query(
    `SELECT d ->> 'food' AS food, e.on_day AS "on", sum((d ->> 'count')::double precision) AS pieces
     FROM entry e CROSS JOIN LATERAL jsonb_array_elements(e.data -> 'dishes') AS d
     WHERE e.kind = 'offered' AND e.undone_at IS NULL AND e.on_day >= $1 AND jsonb_typeof(e.data -> 'dishes') = 'array'
       AND d ? 'count'
     GROUP BY 1, 2`,
    [since],
  );
}
