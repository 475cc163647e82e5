import type { Lived, Stay } from '@/core/growth/warmthLived';
import { USUAL_WARMTH } from '@/core/growth/pace';
import type { Day } from '@/core/measure/day';
import { groupBy } from '@/core/groupBy';
import { HOUR_MS } from '@/core/readings/reading';
import type { Queries } from './database';

const WEEK_MS = 7 * 24 * HOUR_MS;
/** A Monday at midnight, UTC. ms since 1970 */
const FIRST_MONDAY = Date.UTC(2000, 0, 3);
/** A week is told by so many of its hours. Chosen here */
const WEEK_HOURS = 24;

/** Works the weeks of a probe from one instant to another out again; one that stays as warm is not written. ms since 1970 */
export async function refreshWeeks(queries: Queries, probeId: string, from: number, to: number): Promise<void> {
  const mondayMs = (at: number) => FIRST_MONDAY + WEEK_MS * Math.floor((at - FIRST_MONDAY) / WEEK_MS);
  const [first, end] = [mondayMs(from), mondayMs(to) + WEEK_MS].map((at) => new Date(at).toISOString());
  const weeks = `SELECT h.probe_id, (date_bin('7 days', h.hour, TIMESTAMPTZ '2000-01-03Z') AT TIME ZONE 'UTC')::date AS week,
      round(avg(greatest(h.temperature_c, $4::real))::numeric, 1) AS warmth_c
    FROM reading_hour h
    WHERE h.probe_id = $1 AND h.hour >= $2 AND h.hour < $3 AND h.temperature_c IS NOT NULL
    GROUP BY 1, 2 HAVING count(*) >= ${WEEK_HOURS}`;
  const asked = [probeId, first, end, USUAL_WARMTH.baseC];
  await queries.query(
    `DELETE FROM reading_week w WHERE w.probe_id = $1 AND w.week >= $2::timestamptz::date AND w.week < $3::timestamptz::date
       AND w.week NOT IN (SELECT x.week FROM (${weeks}) x)`,
    asked,
  );
  await queries.query(
    `INSERT INTO reading_week (probe_id, week, warmth_c) ${weeks}
     ON CONFLICT (probe_id, week) DO UPDATE SET warmth_c = excluded.warmth_c
       WHERE reading_week.warmth_c <> excluded.warmth_c`,
    asked,
  );
}

/** From a day on a room is as warm as was said; what was said of later days is no longer so. */
export async function writeRoomWarmth(
  queries: Queries,
  roomId: string,
  from: Day,
  temperatureC: number | null,
): Promise<void> {
  await queries.query('DELETE FROM room_warmth WHERE room_id = $1 AND from_day > $2', [roomId, from]);
  await queries.query(
    `INSERT INTO room_warmth (room_id, from_day, temperature_c) VALUES ($1, $2, $3)
     ON CONFLICT (room_id, from_day) DO UPDATE SET temperature_c = excluded.temperature_c`,
    [roomId, from, temperatureC],
  );
}

interface Place {
  homeId: string;
  roomId: string;
  warmingK: number;
}

/** Where some have lived, here or gone, and how warm it was there week by week: by probes in the home, by its room's, as set. */
export async function livedOf(queries: Queries, ids: readonly string[]): Promise<Map<string, Lived>> {
  const rows = await queries.query<Stay & { id: string }>(
    `SELECT e.resident_id AS id, e.home_id AS "homeId", e.on_day AS "from" FROM entry e
     WHERE e.kind IN ('taken-in', 'moved') AND e.undone_at IS NULL AND e.resident_id = ANY ($1::uuid[])
     ORDER BY e.resident_id, e.on_day, e.at, e.seq`,
    [ids],
  );
  const places = await queries.query<Place>(
    `SELECT h.id AS "homeId", s.room_id AS "roomId", coalesce((h.heat ->> 'warmingK')::double precision, 0) AS "warmingK"
     FROM home h JOIN shelf s ON s.id = h.shelf_id WHERE h.id = ANY ($1::uuid[])`,
    [[...new Set(rows.map(({ homeId }) => homeId))]],
  );
  const warmth = await warmthOf(queries, places);
  return new Map([...groupBy(rows, ({ id }) => id)].map(([id, stays]) => [id, { stays, warmth }]));
}

async function warmthOf(queries: Queries, places: readonly Place[]): Promise<Lived['warmth']> {
  const rooms = [...new Set(places.map(({ roomId }) => roomId))];
  const weeks = await queries.query<{ place: string; week: Day; warmth: number }>(
    `SELECT coalesce(p.home_id, p.room_id) AS place, w.week, avg(w.warmth_c) AS warmth
     FROM probe p JOIN reading_week w ON w.probe_id = p.id
     WHERE p.place <> 'outworld' AND (p.home_id = ANY ($1::uuid[]) OR p.room_id = ANY ($2::uuid[])) GROUP BY 1, 2`,
    [places.map(({ homeId }) => homeId), rooms],
  );
  const set = await queries.query<{ room: string; from: Day; temperatureC: number | null }>(
    `SELECT w.room_id AS room, w.from_day AS "from", w.temperature_c AS "temperatureC" FROM room_warmth w
     WHERE w.room_id = ANY ($1::uuid[]) ORDER BY w.from_day`,
    [rooms],
  );
  const read = new Map(weeks.map(({ place, week, warmth }) => [`${place} ${week}`, warmth]));
  const setIn = groupBy(set, ({ room }) => room);
  const placeOf = new Map(places.map((place) => [place.homeId, place]));
  return (homeId, monday) => {
    const inHome = read.get(`${homeId} ${monday}`);
    const place = placeOf.get(homeId);
    if (inHome !== undefined || !place) return inHome;
    const said = setIn.get(place.roomId) ?? [];
    // What was said first holds for the time before, too.
    const asSet = said.findLast(({ from }) => from <= monday) ?? said[0];
    const room = read.get(`${place.roomId} ${monday}`) ?? asSet?.temperatureC ?? undefined;
    return room === undefined ? undefined : room + place.warmingK;
  };
}
