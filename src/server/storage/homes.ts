import type { Home } from '@/contract/records';
import type { Container } from '@/core/housing/container';
import type { Queries } from './database';

interface HomeRow {
  id: string;
  code: string;
  shelf_id: string;
  place: number;
  container: Container;
  substrate_depth_mm: number;
  resident_ids: string[];
}

const SELECT = `
  WITH tenants AS MATERIALIZED (
    SELECT r.home_id, json_agg(r.id ORDER BY r.taken_in_on, r.id) AS resident_ids FROM resident_now r GROUP BY r.home_id
  )
  SELECT h.id, h.code, h.shelf_id, h.place, h.container, h.substrate_depth_mm,
    coalesce(t.resident_ids, '[]'::json) AS resident_ids
  FROM home_now h JOIN shelf s ON s.id = h.shelf_id LEFT JOIN tenants t ON t.home_id = h.id`;

const fromRow = (row: HomeRow): Home => ({
  id: row.id,
  code: row.code,
  shelfId: row.shelf_id,
  place: row.place,
  container: row.container,
  substrateDepthMm: row.substrate_depth_mm,
  residentIds: row.resident_ids,
});

/** All homes in the order of the round. */
export async function listHomes(queries: Queries): Promise<Home[]> {
  return (await queries.query<HomeRow>(`${SELECT} ORDER BY s.position, h.place, h.code`)).map(fromRow);
}

export async function findHome(queries: Queries, id: string): Promise<Home | undefined> {
  const [row] = await queries.query<HomeRow>(`${SELECT} WHERE h.id = $1`, [id]);
  return row && fromRow(row);
}

/** Keeps others from moving anybody in or out until the transaction ends; false when there is no such home. */
export async function holdHome(queries: Queries, id: string): Promise<boolean> {
  return (await queries.query('SELECT id FROM home WHERE id = $1 FOR UPDATE', [id])).length > 0;
}

/** A free place at the right end of a shelf. */
export async function nextPlace(queries: Queries, shelfId: string): Promise<number> {
  const [row] = await queries.query<{ next: number }>(
    'SELECT 1 + coalesce(max(place), 0) AS next FROM home WHERE shelf_id = $1',
    [shelfId],
  );
  return row?.next ?? 1;
}

export type HomeFacts = Pick<Home, 'id' | 'code' | 'shelfId' | 'place' | 'container'>;

export async function insertHome(queries: Queries, home: HomeFacts): Promise<void> {
  await queries.query('INSERT INTO home (id, code, shelf_id, place, container) VALUES ($1, $2, $3, $4, $5::jsonb)', [
    home.id,
    home.code,
    home.shelfId,
    home.place,
    JSON.stringify(home.container),
  ]);
}

export async function updateHome(queries: Queries, home: HomeFacts): Promise<void> {
  await queries.query('UPDATE home SET code = $2, shelf_id = $3, place = $4, container = $5::jsonb WHERE id = $1', [
    home.id,
    home.code,
    home.shelfId,
    home.place,
    JSON.stringify(home.container),
  ]);
}
