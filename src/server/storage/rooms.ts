import type { RoomAir } from '@/core/climate/moisture';
import type { Day } from '@/core/measure/day';
import type { Queries } from './database';
import { writeRoomWarmth } from './livedWarmth';

export interface RoomRow {
  id: string;
  name: string;
  /** As a keeper has set it. */
  air: RoomAir | null;
}

export function listRooms(queries: Queries): Promise<RoomRow[]> {
  return queries.query<RoomRow>(
    `SELECT r.id, r.name, r.air FROM room r
     ORDER BY (SELECT min(s.position) FROM shelf s WHERE s.room_id = r.id), r.name`,
  );
}

export async function findRoom(queries: Queries, id: string): Promise<RoomRow | undefined> {
  return (await queries.query<RoomRow>('SELECT id, name, air FROM room WHERE id = $1', [id]))[0];
}

export async function insertRoom(queries: Queries, { id, name }: Pick<RoomRow, 'id' | 'name'>): Promise<void> {
  await queries.query('INSERT INTO room (id, name) VALUES ($1, $2)', [id, name]);
}

/** The air of a room from a day on. */
export async function updateRoomAir(queries: Queries, id: string, air: RoomAir | null, from: Day): Promise<void> {
  await queries.query('UPDATE room SET air = $2::jsonb WHERE id = $1', [id, air && JSON.stringify(air)]);
  await writeRoomWarmth(queries, id, from, air?.temperatureC ?? null);
}

/** The room that each shelf stands in. */
export async function roomOfShelf(queries: Queries): Promise<Map<string, string>> {
  const rows = await queries.query<{ id: string; room_id: string }>('SELECT id, room_id FROM shelf');
  return new Map(rows.map((row) => [row.id, row.room_id]));
}

/** Means of the air of each room by its probes, since an instant; doubted readings left out. */
export async function measuredRooms(
  queries: Queries,
  since: string,
): Promise<Map<string, { temperatureC: number; relativeHumidityPct: number; swingK: number }>> {
  const rows = await queries.query<{ room_id: string; temperature: number; humidity: number; swing: number }>(
    `SELECT p.room_id, avg(r.temperature_c) AS temperature, avg(r.relative_humidity_pct) AS humidity,
       coalesce(stddev_pop(r.temperature_c), 0) * sqrt(2) AS swing
     FROM probe p JOIN reading r ON r.probe_id = p.id
     WHERE p.room_id IS NOT NULL AND r.mark IS NULL AND r.at > $1
     GROUP BY p.room_id
     HAVING count(r.temperature_c) >= 4 AND count(r.relative_humidity_pct) >= 4`,
    [since],
  );
  return new Map(
    rows.map(({ room_id, temperature, humidity, swing }) => [
      room_id,
      { temperatureC: temperature, relativeHumidityPct: humidity, swingK: swing },
    ]),
  );
}
