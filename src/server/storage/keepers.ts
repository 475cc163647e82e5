import type { Keeper } from '@/contract/keepers';
import type { Queries } from './database';

interface KeeperRow {
  id: string;
  name: string;
  room_ids: string[];
  walk_at: string;
  zone: string;
  calendar_sha256: string | null;
  busy_days: string[];
}

/** What is written down about a keeper. */
export type KeeperFacts = Pick<Keeper, 'id' | 'name' | 'roomIds' | 'walkAt' | 'zone'>;

const fromRow = ({ id, name, room_ids, walk_at, zone, calendar_sha256, busy_days }: KeeperRow): Keeper => ({
  ...{ id, name, roomIds: room_ids, walkAt: walk_at, zone },
  busyDays: busy_days,
  hasCalendar: calendar_sha256 !== null,
});

/** All keepers by name, each with the days from one on on which there is no time. */
export async function listKeepers(queries: Queries, from: string): Promise<Keeper[]> {
  const rows = await queries.query<KeeperRow>(
    `SELECT k.*, coalesce((SELECT jsonb_agg(b.on_day::text ORDER BY b.on_day) FROM keeper_busy b
       WHERE b.keeper_id = k.id AND b.on_day >= $1), '[]'::jsonb) AS busy_days
     FROM keeper k ORDER BY lower(k.name)`,
    [from],
  );
  return rows.map(fromRow);
}

export async function insertKeeper(queries: Queries, { id, name, roomIds, walkAt, zone }: KeeperFacts): Promise<void> {
  await queries.query('INSERT INTO keeper (id, name, room_ids, walk_at, zone) VALUES ($1, $2, $3::jsonb, $4, $5)', [
    ...[id, name, JSON.stringify(roomIds), walkAt, zone],
  ]);
}

export async function updateKeeper(queries: Queries, { id, name, roomIds, walkAt, zone }: KeeperFacts): Promise<void> {
  await queries.query('UPDATE keeper SET name = $2, room_ids = $3::jsonb, walk_at = $4, zone = $5 WHERE id = $1', [
    ...[id, name, JSON.stringify(roomIds), walkAt, zone],
  ]);
}

export async function deleteKeeper(queries: Queries, id: string): Promise<void> {
  await queries.query('DELETE FROM keeper WHERE id = $1', [id]);
}

/** Puts the days without time from one on in place of those before. */
export async function writeBusyDays(
  queries: Queries,
  id: string,
  from: string,
  days: readonly string[],
): Promise<void> {
  await queries.query('DELETE FROM keeper_busy WHERE keeper_id = $1 AND on_day >= $2', [id, from]);
  await queries.query(
    `INSERT INTO keeper_busy (keeper_id, on_day) SELECT $1, d::date FROM jsonb_array_elements_text($2::jsonb) AS d
     ON CONFLICT DO NOTHING`,
    [id, JSON.stringify(days)],
  );
}

/** The secret of a calendar's address; null shuts it. */
export async function writeCalendarSecret(queries: Queries, id: string, sha256: string | null): Promise<void> {
  await queries.query('UPDATE keeper SET calendar_sha256 = $2 WHERE id = $1', [id, sha256]);
}

export async function keeperOfCalendar(queries: Queries, sha256: string): Promise<string | undefined> {
  const [row] = await queries.query<{ id: string }>('SELECT id FROM keeper WHERE calendar_sha256 = $1', [sha256]);
  return row?.id;
}
