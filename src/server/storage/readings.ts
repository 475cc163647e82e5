import { HOUR_MS, type Mark, type MarkedReading } from '@/core/readings/reading';
import type { Queries } from './database';
import { refreshWeeks } from './livedWarmth';

interface ReadingRow {
  probe_id: string;
  at: string;
  temperature_c: number | null;
  relative_humidity_pct: number | null;
  mass_g: number | null;
  mark: Mark | null;
}

const fromRow = (row: ReadingRow): MarkedReading => ({
  at: Date.parse(row.at),
  temperatureC: row.temperature_c ?? undefined,
  relativeHumidityPct: row.relative_humidity_pct ?? undefined,
  massG: row.mass_g ?? undefined,
  mark: row.mark,
});

const COLUMNS = 'r.probe_id, r.at, r.temperature_c, r.relative_humidity_pct, r.mass_g, r.mark';

/** The columns of readings as arrays, which both databases take in faster than anything else. */
/** What a column of the type real cannot hold is refused, not rounded. @source PostgreSQL, numeric types */
const LEAST_REAL = 1.2e-38;
const asReal = (value: number | undefined) => (value === undefined ? null : Math.abs(value) < LEAST_REAL ? 0 : value);

const columnsOf = (readings: MarkedReading[]) => [
  readings.map((each) => each.at),
  readings.map((each) => asReal(each.temperatureC)),
  readings.map((each) => asReal(each.relativeHumidityPct)),
  readings.map((each) => asReal(each.massG)),
  readings.map((each) => each.mark),
];

const RECORDS = `(SELECT to_timestamp(u.ms / 1000.0) AS at, u.t, u.h, u.m, u.mark
  FROM unnest($2::bigint[], $3::real[], $4::real[], $5::real[], $6::text[]) AS u (ms, t, h, m, mark)) x`;

/** Writes readings of one probe; those of an instant that is there already are left. Answers how many were new. */
export async function insertReadings(queries: Queries, probeId: string, readings: MarkedReading[]): Promise<number> {
  const rows = await queries.query(
    `INSERT INTO reading (probe_id, at, temperature_c, relative_humidity_pct, mass_g, mark)
     SELECT $1, x.at, x.t, x.h, x.m, x.mark FROM ${RECORDS}
     ON CONFLICT (probe_id, at) DO NOTHING RETURNING 1`,
    [probeId, ...columnsOf(readings)],
  );
  return rows.length;
}

/** The readings of a probe from an instant on that differ from those given for the same instants. */
export async function conflicting(queries: Queries, probeId: string, readings: MarkedReading[]): Promise<string[]> {
  const rows = await queries.query<{ at: string }>(
    `SELECT r.at FROM reading r JOIN ${RECORDS} ON x.at = r.at
     WHERE r.probe_id = $1 AND (r.temperature_c IS DISTINCT FROM x.t OR r.relative_humidity_pct IS DISTINCT FROM x.h
       OR r.mass_g IS DISTINCT FROM x.m)
     ORDER BY r.at LIMIT 5`,
    [probeId, ...columnsOf(readings)],
  );
  return rows.map((row) => row.at);
}

/** The last readings of a probe, in the order of time. */
export async function lastReadings(queries: Queries, probeId: string, count: number): Promise<MarkedReading[]> {
  const rows = await queries.query<ReadingRow>(
    `SELECT ${COLUMNS} FROM reading r WHERE r.probe_id = $1 ORDER BY r.at DESC LIMIT $2`,
    [probeId, count],
  );
  return rows.map(fromRow).reverse();
}

export async function markReadings(queries: Queries, probeId: string, marks: Map<number, Mark>): Promise<void> {
  for (const [at, mark] of marks) {
    await queries.query('UPDATE reading SET mark = $3 WHERE probe_id = $1 AND at = $2', [
      probeId,
      new Date(at).toISOString(),
      mark,
    ]);
  }
}

/** Works the hours of a probe from one instant to another out again, and the weeks they are in. ms since 1970 */
export async function refreshHours(queries: Queries, probeId: string, from: number, to: number): Promise<void> {
  const first = new Date(from - (from % HOUR_MS)).toISOString();
  const end = new Date(to - (to % HOUR_MS) + HOUR_MS).toISOString();
  await queries.query('DELETE FROM reading_hour WHERE probe_id = $1 AND hour >= $2 AND hour < $3', [
    probeId,
    first,
    end,
  ]);
  await queries.query(
    `INSERT INTO reading_hour (probe_id, hour, readings, last_at, temperature_c, relative_humidity_pct, mass_g, low_pct,
       high_pct)
     SELECT r.probe_id, date_bin('1 hour', r.at, TIMESTAMPTZ '2000-01-01Z'), count(*), max(r.at), avg(r.temperature_c),
       avg(r.relative_humidity_pct), avg(r.mass_g), min(r.relative_humidity_pct), max(r.relative_humidity_pct)
     FROM reading r WHERE r.probe_id = $1 AND r.at >= $2 AND r.at < $3 AND r.mark IS NULL
     GROUP BY 1, 2`,
    [probeId, first, end],
  );
  await refreshWeeks(queries, probeId, from, to);
}

/** What the probes of homes have said since an instant, hour by hour, by probe in the order of time. */
export const readingsOfHomes = (queries: Queries, since: string, homeId?: string) =>
  hoursOf(queries, since, 'p.home_id IS NOT NULL AND ($1::uuid IS NULL OR p.home_id = $1)', homeId ?? null);

/** The same of the probes that hang in rooms. */
export const readingsOfRooms = (queries: Queries, since: string, roomIds: readonly string[]) =>
  hoursOf(queries, since, 'p.home_id IS NULL AND p.room_id = ANY ($1::uuid[])', roomIds);

/** Probe by probe, with others let in after each: a month of five of them in one statement held the house for 0.14 s. */
async function hoursOf(
  queries: Queries,
  since: string,
  which: string,
  of: unknown,
): Promise<Map<string, MarkedReading[]>> {
  const probes = await queries.query<{ id: string }>(`SELECT p.id FROM probe p WHERE ${which} ORDER BY p.id`, [of]);
  const byProbe = new Map<string, MarkedReading[]>();
  for (const { id } of probes) {
    const rows = await queries.query<ReadingRow>(
      `SELECT h.probe_id, h.last_at AS at, h.temperature_c, h.relative_humidity_pct, h.mass_g, NULL AS mark
       FROM reading_hour h WHERE h.probe_id = $1 AND h.hour > $2 ORDER BY h.hour`,
      [id, since],
    );
    if (rows.length > 0) byProbe.set(id, rows.map(fromRow));
    await new Promise(setImmediate);
  }
  return byProbe;
}

export interface SeriesRow {
  at: string;
  temperatureC: number | null;
  relativeHumidityPct: number | null;
  massG: number | null;
  lowPct: number | null;
  highPct: number | null;
  readings: number;
}

const HOUR_MINUTES = 60;

/** A probe's course in steps of so many minutes: means, and the lowest and highest humidity of each step. */
export function seriesOf(
  queries: Queries,
  probeId: string,
  from: string,
  to: string,
  stepMinutes: number,
): Promise<SeriesRow[]> {
  const step = [probeId, from, to, stepMinutes];
  if (stepMinutes >= HOUR_MINUTES) {
    return queries.query<SeriesRow>(
      `SELECT date_bin(make_interval(mins => $4::integer), h.hour, TIMESTAMPTZ '2000-01-01Z') AS at,
         sum(h.temperature_c * h.readings) / sum(h.readings) FILTER (WHERE h.temperature_c IS NOT NULL) AS "temperatureC",
         sum(h.relative_humidity_pct * h.readings) / sum(h.readings) FILTER (WHERE h.relative_humidity_pct IS NOT NULL)
           AS "relativeHumidityPct",
         sum(h.mass_g * h.readings) / sum(h.readings) FILTER (WHERE h.mass_g IS NOT NULL) AS "massG",
         min(h.low_pct) AS "lowPct", max(h.high_pct) AS "highPct", sum(h.readings) AS readings
       FROM reading_hour h WHERE h.probe_id = $1 AND h.hour >= $2 AND h.hour < $3 GROUP BY 1 ORDER BY 1`,
      step,
    );
  }
  return queries.query<SeriesRow>(
    `SELECT date_bin(make_interval(mins => $4::integer), r.at, TIMESTAMPTZ '2000-01-01Z') AS at,
       avg(r.temperature_c) AS "temperatureC", avg(r.relative_humidity_pct) AS "relativeHumidityPct",
       avg(r.mass_g) AS "massG", min(r.relative_humidity_pct) AS "lowPct", max(r.relative_humidity_pct) AS "highPct",
       count(*) AS readings
     FROM reading r WHERE r.probe_id = $1 AND r.at >= $2 AND r.at < $3 AND r.mark IS NULL
     GROUP BY 1 ORDER BY 1`,
    step,
  );
}

/** Doubted readings of a probe in a stretch of time, at most so many. */
export async function doubtedOf(queries: Queries, probeId: string, from: string, to: string, limit: number) {
  const rows = await queries.query<ReadingRow>(
    `SELECT ${COLUMNS} FROM reading r
     WHERE r.probe_id = $1 AND r.at >= $2 AND r.at < $3 AND r.mark IS NOT NULL ORDER BY r.at LIMIT $4`,
    [probeId, from, to, limit],
  );
  return rows.map(({ at, temperature_c, relative_humidity_pct, mark }) => ({
    at,
    mark: mark ?? 'spike',
    temperatureC: temperature_c,
    relativeHumidityPct: relative_humidity_pct,
  }));
}

/** When a probe first and last said something. */
export async function spanOf(queries: Queries, probeId: string): Promise<{ first: string; last: string } | undefined> {
  const [row] = await queries.query<{ first: string | null; last: string | null }>(
    'SELECT min(at) AS first, max(at) AS last FROM reading WHERE probe_id = $1',
    [probeId],
  );
  return row?.first && row.last ? { first: row.first, last: row.last } : undefined;
}

// ---- files on their way in ----

export async function beginImport(queries: Queries, id: string, probeId: string, at: string): Promise<void> {
  await queries.query('INSERT INTO reading_import (id, probe_id, begun_at) VALUES ($1, $2, $3)', [id, probeId, at]);
}

export async function importProbe(queries: Queries, id: string): Promise<string | undefined> {
  const [row] = await queries.query<{ probe_id: string }>('SELECT probe_id FROM reading_import WHERE id = $1', [id]);
  return row?.probe_id;
}

export async function stageReadings(queries: Queries, importId: string, readings: MarkedReading[]): Promise<void> {
  await queries.query(
    `INSERT INTO reading_staged (import_id, at, temperature_c, relative_humidity_pct, mark)
     SELECT $1, x.at, x.t, x.h, x.mark FROM ${RECORDS}`,
    [importId, ...columnsOf(readings)],
  );
}

/** Lets the rows of a file in, all at once. Answers how many came and how many of them were new. */
export async function finishImport(queries: Queries, id: string): Promise<{ staged: number; added: number }> {
  const [came] = await queries.query<{ staged: number; first: string | null; last: string | null }>(
    'SELECT count(*) AS staged, min(at) AS first, max(at) AS last FROM reading_staged WHERE import_id = $1',
    [id],
  );
  const probeId = await importProbe(queries, id);
  const [moved] = await queries.query<{ added: number }>(
    `WITH moved AS (
       INSERT INTO reading (probe_id, at, temperature_c, relative_humidity_pct, mark)
       SELECT i.probe_id, s.at, s.temperature_c, s.relative_humidity_pct, s.mark
       FROM reading_staged s JOIN reading_import i ON i.id = s.import_id WHERE s.import_id = $1
       ON CONFLICT (probe_id, at) DO NOTHING RETURNING 1)
     SELECT count(*) AS added FROM moved`,
    [id],
  );
  if (probeId && came?.first && came.last) {
    await refreshHours(queries, probeId, Date.parse(came.first), Date.parse(came.last));
  }
  await dropImport(queries, id);
  return { staged: came?.staged ?? 0, added: moved?.added ?? 0 };
}

export async function dropImport(queries: Queries, id: string): Promise<void> {
  await queries.query('DELETE FROM reading_staged WHERE import_id = $1', [id]);
  await queries.query('DELETE FROM reading_import WHERE id = $1', [id]);
}

/** Files whose sender went away before the end leave nothing. */
export async function dropUnfinishedImports(queries: Queries, before: string): Promise<void> {
  await queries.query('DELETE FROM reading_import WHERE begun_at < $1', [before]);
  await queries.query(
    'DELETE FROM reading_staged s WHERE NOT EXISTS (SELECT 1 FROM reading_import i WHERE i.id = s.import_id)',
  );
}

/**
 * The warmth that counts for growth in each home that has a probe: the mean of its hours over a base since an instant.
 * The same degree-days as an unchanging temperature of that height. C
 */
export async function meanWarmthOfHomes(queries: Queries, since: string, baseC: number): Promise<Map<string, number>> {
  const rows = await queries.query<{ home_id: string; warmth: number }>(
    `SELECT p.home_id, avg(greatest(h.temperature_c, $2::real)) AS warmth
     FROM probe p JOIN reading_hour h ON h.probe_id = p.id
     WHERE p.home_id IS NOT NULL AND p.place <> 'outworld' AND h.hour > $1 AND h.temperature_c IS NOT NULL
     GROUP BY p.home_id HAVING count(*) >= 48`,
    [since, baseC],
  );
  return new Map(rows.map((row) => [row.home_id, row.warmth]));
}
