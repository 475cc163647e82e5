import { randomUUID } from 'node:crypto';
import type { Shelf } from '@/contract/records';
import type { Queries } from './database';

const COLUMNS = `
  SELECT s.id, s.name, r.name AS room, r.id AS "roomId", s.position, s.load_limit_kg AS "loadLimitKg"
  FROM shelf s JOIN room r ON r.id = s.room_id`;

/** All shelves in the order of the round. */
export function listShelves(queries: Queries): Promise<Shelf[]> {
  return queries.query<Shelf>(`${COLUMNS} ORDER BY s.position, s.name`);
}

export async function findShelf(queries: Queries, id: string): Promise<Shelf | undefined> {
  return (await queries.query<Shelf>(`${COLUMNS} WHERE s.id = $1`, [id]))[0];
}

/** Adds a shelf behind the last; its room is made, with the id given, where no room of that name stands yet. */
export async function insertShelf(
  queries: Queries,
  shelf: { id: string; room: string; name: string; loadLimitKg?: number | undefined; roomId?: string | undefined },
): Promise<void> {
  await queries.query(`INSERT INTO room (id, name) VALUES ($1, $2) ON CONFLICT (lower(name)) DO NOTHING`, [
    shelf.roomId ?? randomUUID(),
    shelf.room,
  ]);
  await queries.query(
    `INSERT INTO shelf (id, room_id, name, position, load_limit_kg)
     SELECT $1, r.id, $2, 1 + coalesce((SELECT max(position) FROM shelf), -1), $4 FROM room r WHERE lower(r.name) = lower($3)`,
    [shelf.id, shelf.name, shelf.room, shelf.loadLimitKg ?? null],
  );
}

/** Writes a shelf as it stood elsewhere, at its place on the walk. */
export async function insertShelfAt(
  queries: Queries,
  shelf: { id: string; roomId: string; name: string; place: number; loadLimitKg?: number | undefined },
): Promise<void> {
  await queries.query('INSERT INTO shelf (id, room_id, name, position, load_limit_kg) VALUES ($1, $2, $3, $4, $5)', [
    ...[shelf.id, shelf.roomId, shelf.name, shelf.place, shelf.loadLimitKg ?? null],
  ]);
}

export async function updateShelf(queries: Queries, shelf: Pick<Shelf, 'id' | 'name' | 'loadLimitKg'>): Promise<void> {
  await queries.query('UPDATE shelf SET name = $2, load_limit_kg = $3 WHERE id = $1', [
    shelf.id,
    shelf.name,
    shelf.loadLimitKg,
  ]);
}
