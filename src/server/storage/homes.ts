import type { Home } from '@/contract/records';
import type { Day } from '@/core/measure/day';
import type { Queries } from './database';
import { EVER_IN_HOME } from './residents';

interface HomeRow {
  id: string;
  code: string;
  shelf_id: string;
  place: number;
  container: Home['container'];
  substrate_depth_mm: number;
  soil: Home['soil'] | null;
  furniture: Home['furniture'] | null;
  litter_depth_mm: number | null;
  nest: Home['nest'] | null;
  heat: Home['heat'] | null;
  dish_area_cm2: number | null;
  factors: Home['factors'] | null;
  mix_id: string | null;
  weight_limit_kg: number | null;
  quarantine_since: string | null;
  photo_version: number | null;
  resident_ids: string[];
}

const fromRow = (row: HomeRow): Home => ({
  id: row.id,
  code: row.code,
  shelfId: row.shelf_id,
  place: row.place,
  container: row.container,
  substrateDepthMm: row.substrate_depth_mm,
  ...(row.soil && { soil: row.soil }),
  ...(row.furniture && { furniture: row.furniture }),
  ...(row.litter_depth_mm !== null && { litterDepthMm: row.litter_depth_mm }),
  ...(row.nest && { nest: row.nest }),
  ...(row.heat && { heat: row.heat }),
  ...(row.dish_area_cm2 !== null && { dishAreaCm2: row.dish_area_cm2 }),
  ...(row.factors && { factors: row.factors }),
  mixId: row.mix_id,
  weightLimitKg: row.weight_limit_kg,
  quarantineSince: row.quarantine_since,
  photoVersion: row.photo_version,
  residentIds: row.resident_ids,
});

/** The ids of all homes in the order of the round: room by room as their shelves stand, and on a shelf from the left. */
export async function homeOrder(queries: Queries): Promise<string[]> {
  const rows = await queries.query<{ id: string }>(
    'SELECT h.id FROM home h JOIN shelf s ON s.id = h.shelf_id ORDER BY s.position, h.place, h.code',
  );
  return rows.map(({ id }) => id);
}

/** Some homes, in no order; who lives in them is left out. */
export async function homesOf(queries: Queries, ids: readonly string[]): Promise<Home[]> {
  const rows = await queries.query<HomeRow>(
    `SELECT h.*, '[]'::json AS resident_ids FROM home_now h WHERE h.id = ANY ($1::uuid[])`,
    [ids],
  );
  return rows.map(fromRow);
}

export async function findHome(queries: Queries, id: string): Promise<Home | undefined> {
  const [row] = await queries.query<HomeRow>(
    `SELECT h.*, (SELECT coalesce(json_agg(r.id ORDER BY r.taken_in_on, r.id), '[]'::json)
       FROM resident_now r WHERE r.home_id = $1 AND r.id = ANY (ARRAY(${EVER_IN_HOME}))) AS resident_ids
     FROM home_now h WHERE h.id = $1`,
    [id],
  );
  return row && fromRow(row);
}

/** Keeps others from moving anybody in or out until the transaction ends; false when there is no such home. */
export async function holdHome(queries: Queries, id: string): Promise<boolean> {
  return (await queries.query('SELECT id FROM home WHERE id = $1 FOR UPDATE', [id])).length > 0;
}

/** Puts homes on a shelf, from the left in this order; those that stand there besides follow in theirs. Answers all of them. */
export async function arrange(queries: Queries, shelfId: string, ids: readonly string[]): Promise<string[]> {
  const rows = await queries.query<{ id: string }>(
    `SELECT id FROM home WHERE shelf_id = $1 AND NOT id = ANY ($2::uuid[]) ORDER BY place, code FOR UPDATE`,
    [shelfId, ids],
  );
  const all = [...ids, ...rows.map(({ id }) => id)];
  await queries.query(
    `UPDATE home h SET shelf_id = $1, place = o.place
     FROM unnest($2::uuid[]) WITH ORDINALITY AS o (id, place) WHERE h.id = o.id AND (h.shelf_id <> $1 OR h.place <> o.place)`,
    [shelfId, all],
  );
  return all;
}

/** A free place at the right end of a shelf. */
export async function nextPlace(queries: Queries, shelfId: string): Promise<number> {
  const [row] = await queries.query<{ next: number }>(
    'SELECT 1 + coalesce(max(place), 0) AS next FROM home WHERE shelf_id = $1',
    [shelfId],
  );
  return row?.next ?? 1;
}

export type HomeFacts = Pick<Home, 'id' | 'code' | 'shelfId' | 'place' | 'container'> &
  Partial<
    Pick<
      Home,
      'furniture' | 'litterDepthMm' | 'nest' | 'heat' | 'dishAreaCm2' | 'mixId' | 'weightLimitKg' | 'quarantineSince'
    >
  >;

const json = (value: unknown) => (value === undefined || value === null ? null : JSON.stringify(value));

const valuesOf = (home: HomeFacts) => [
  home.id,
  home.code,
  home.shelfId,
  home.place,
  JSON.stringify(home.container),
  json(home.furniture),
  home.litterDepthMm ?? null,
  json(home.nest),
  home.mixId ?? null,
  home.weightLimitKg ?? null,
  home.quarantineSince ?? null,
  json(home.heat),
  home.dishAreaCm2 ?? null,
];

/** Every box by what no other may have, and where it stands. */
export const standingBoxes = (queries: Queries): Promise<Pick<Home, 'id' | 'code' | 'shelfId' | 'place'>[]> =>
  queries.query('SELECT id, code, shelf_id AS "shelfId", place FROM home');

/** The codes of all boxes. */
export async function everyCode(queries: Queries): Promise<string[]> {
  return (await queries.query<{ code: string }>('SELECT code FROM home')).map(({ code }) => code);
}

/** Takes a box away with the depths that were written of it. Anything else that was written keeps it. */
export async function deleteHome(queries: Queries, id: string): Promise<void> {
  const depths = "SELECT id FROM entry WHERE home_id = $1 AND kind = 'soil-set'";
  await queries.query(`DELETE FROM entry_version WHERE entry_id IN (${depths})`, [id]);
  await queries.query(`DELETE FROM entry WHERE id IN (${depths})`, [id]);
  await queries.query('DELETE FROM home_photo WHERE home_id = $1', [id]);
  await queries.query('DELETE FROM home WHERE id = $1', [id]);
}

export async function insertHomes(queries: Queries, homes: readonly HomeFacts[]): Promise<void> {
  await queries.query(
    `INSERT INTO home (id, code, shelf_id, place, container, furniture, litter_depth_mm, nest, mix_id,
       weight_limit_kg, quarantine_since, heat, dish_area_cm2)
     SELECT r.* FROM jsonb_to_recordset($1::jsonb) AS r (id uuid, code text, "shelfId" uuid, place integer, container jsonb,
       furniture jsonb, "litterDepthMm" double precision, nest jsonb, "mixId" text, "weightLimitKg" double precision,
       "quarantineSince" date, heat jsonb, "dishAreaCm2" double precision)`,
    [JSON.stringify(homes)],
  );
}

/** What of a home says how many there is room for. */
export type HomeWas = Pick<Home, 'container' | 'furniture' | 'nest'> & { homeId: string; until: Day };

/** How some homes were before they were changed, oldest first. */
export async function homesAsTheyWere(queries: Queries, ids: readonly string[]): Promise<HomeWas[]> {
  const rows = await queries.query<{
    home_id: string;
    until_day: Day;
    container: Home['container'];
    furniture: Home['furniture'] | null;
    nest: Home['nest'] | null;
  }>('SELECT * FROM home_was WHERE home_id = ANY ($1::uuid[]) ORDER BY until_day', [ids]);
  return rows.map(({ home_id: homeId, until_day: until, container, furniture, nest }) => ({
    ...{ homeId, until, container },
    ...(furniture && { furniture }),
    ...(nest && { nest }),
  }));
}

/** Changes a home on a day; where another room comes of it, what it was before is kept. */
export async function updateHome(queries: Queries, home: HomeFacts, on: Day): Promise<void> {
  await queries.query(
    `INSERT INTO home_was (home_id, until_day, container, furniture, nest)
     SELECT h.id, $5, h.container, h.furniture, h.nest FROM home h WHERE h.id = $1
       AND (h.container, h.furniture, h.nest) IS DISTINCT FROM ($2::jsonb, $3::jsonb, $4::jsonb)
     ON CONFLICT (home_id, until_day) DO NOTHING`,
    [home.id, JSON.stringify(home.container), json(home.furniture), json(home.nest), on],
  );
  await queries.query(
    `UPDATE home SET code = $2, shelf_id = $3, place = $4, container = $5::jsonb, furniture = $6::jsonb,
       litter_depth_mm = $7, nest = $8::jsonb, mix_id = $9, weight_limit_kg = $10, quarantine_since = $11,
       heat = $12::jsonb, dish_area_cm2 = $13
     WHERE id = $1`,
    valuesOf(home),
  );
}

/** Keeps a photo of a home in the place of one before. Pictures travel as base64: both databases take it alike. */
export async function writePhoto(queries: Queries, homeId: string, jpegBase64: string): Promise<void> {
  await queries.query('DELETE FROM home_photo WHERE home_id = $1', [homeId]);
  await queries.query(`INSERT INTO home_photo (home_id, jpeg) VALUES ($1, decode($2, 'base64'))`, [homeId, jpegBase64]);
}

export async function removePhoto(queries: Queries, homeId: string): Promise<void> {
  await queries.query('DELETE FROM home_photo WHERE home_id = $1', [homeId]);
}

/** The photo of a home as it was sent. */
export async function readPhoto(queries: Queries, homeId: string): Promise<Buffer | undefined> {
  const [row] = await queries.query<{ jpeg: string }>(
    `SELECT encode(jpeg, 'base64') AS jpeg FROM home_photo WHERE home_id = $1`,
    [homeId],
  );
  return row && Buffer.from(row.jpeg, 'base64');
}

/** Keeps what the readings of a home have taught; null forgets it. */
export async function updateFactors(queries: Queries, homeId: string, factors: Home['factors'] | null): Promise<void> {
  await queries.query('UPDATE home SET factors = $2::jsonb WHERE id = $1', [homeId, json(factors)]);
}
