import type { Forebear, Lineage } from '@/contract/life';
import type { Queries } from './database';

/** Further back nobody asks, and a circle ends. Generations, chosen here */
const MOST_GENERATIONS = 12;

/** Of whom somebody comes, each once, the nearest first. */
export async function forebearsOf(queries: Queries, id: string): Promise<Lineage['forebears']> {
  return queries.query<Lineage['forebears'][number]>(
    `WITH RECURSIVE line AS (
       SELECT r.id, r.mother_id, r.father_id, r.out_of_id, 0 AS generation FROM resident r WHERE r.id = $1
       UNION
       SELECT p.id, p.mother_id, p.father_id, p.out_of_id, line.generation + 1
       FROM line JOIN resident p ON p.id IN (line.mother_id, line.father_id, line.out_of_id)
       WHERE line.generation < ${MOST_GENERATIONS}
     ), nearest AS (SELECT id, min(generation)::int AS generation FROM line WHERE id <> $1 GROUP BY id)
     SELECT r.id, r.called, r.scientific_name AS "scientificName", r.common_name AS "commonName", r.profile, r.sex, r.form,
       r.born_on AS "bornOn", r.batch, r.mother_id AS "motherId", r.father_id AS "fatherId", r.out_of_id AS "outOfId",
       n.generation,
       EXISTS (SELECT 1 FROM entry e WHERE e.resident_id = r.id AND e.kind = 'taken-in' AND e.undone_at IS NULL)
         AS "isOfThisHouse"
     FROM nearest n JOIN resident r ON r.id = n.id ORDER BY n.generation, r.scientific_name, r.id`,
    [id],
  );
}

/** Those of some ids that are written down here, whether they ever lived here or not. */
export async function knownAmong(queries: Queries, ids: readonly string[]): Promise<string[]> {
  const rows = await queries.query<{ id: string }>('SELECT id FROM resident WHERE id = ANY ($1::uuid[])', [ids]);
  return rows.map(({ id }) => id);
}

/** Writes those down that are not known yet: they never lived here, and others come of them. */
export async function insertForebears(queries: Queries, forebears: readonly Forebear[]): Promise<void> {
  await queries.query(
    `INSERT INTO resident (id, called, scientific_name, common_name, profile, sex, form, born_on, batch, mother_id,
       father_id, out_of_id)
     SELECT f.id, f.called, f."scientificName", f."commonName", f.profile, f.sex, f.form, f."bornOn", f.batch,
       f."motherId", f."fatherId", f."outOfId"
     FROM jsonb_to_recordset($1::jsonb) AS f (id uuid, called text, "scientificName" text, "commonName" text, profile text,
       sex text, form text, "bornOn" date, batch text, "motherId" uuid, "fatherId" uuid, "outOfId" uuid)
     ON CONFLICT (id) DO NOTHING`,
    [JSON.stringify(forebears)],
  );
}

/** Says of whom somebody comes, also of those that never lived here; of those that nobody here knows it says nothing. */
export async function writeParents(
  queries: Queries,
  id: string,
  { motherId, fatherId, outOfId }: Pick<Forebear, 'motherId' | 'fatherId' | 'outOfId'>,
): Promise<void> {
  await queries.query(
    `UPDATE resident SET mother_id = (SELECT m.id FROM resident m WHERE m.id = $2),
       father_id = (SELECT f.id FROM resident f WHERE f.id = $3), out_of_id = (SELECT o.id FROM resident o WHERE o.id = $4)
     WHERE id = $1`,
    [id, motherId, fatherId, outOfId],
  );
}
