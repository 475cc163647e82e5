import type { GoneResident, Resident } from '@/contract/records';
import type { Kin } from '@/core/growth/kin';
import { carriedOn } from '@/core/profiles/animal';
import { careOf } from '../care';
import type { Queries } from './database';

interface ResidentRow {
  id: string;
  called: string | null;
  scientific_name: string;
  common_name: string | null;
  profile: Resident['profile'];
  stage: Resident['stage'];
  measures: Pick<Resident, 'legSpanMm' | 'bodyLengthMm' | 'carapaceWidthMm'>;
  measured_on: string;
  mass_g: number | null;
  weighed_on: string | null;
  head_count: number | null;
  instar: number | null;
  form: Resident['form'];
  born_on: string | null;
  mother_id: string | null;
  father_id: string | null;
  out_of_id: string | null;
  batch: string | null;
  sex: Resident['sex'];
  sex_by: Resident['sexBy'];
  grown_mm: number | null;
  plants: string[] | null;
  kind: string;
  source: string | null;
  permit: string | null;
  schools: Resident['schools'] | null;
  forbidden: Resident['forbidden'] | null;
  kept_so: Resident['keptSo'] | null;
  condition: NonNullable<Resident['condition']> | null;
  moults_since: number;
  taken_in_on: string;
  home_id: string;
  left_on: string | null;
  left_by: GoneResident['leftBy'] | null;
}

const fromRow = (row: ResidentRow): Resident => ({
  id: row.id,
  called: row.called,
  scientificName: row.scientific_name,
  commonName: row.common_name,
  profile: row.profile,
  stage: row.stage,
  ...row.measures,
  ...(row.head_count !== null && { headCount: row.head_count }),
  ...(row.mass_g !== null && row.weighed_on !== null && { massG: row.mass_g, weighedOn: row.weighed_on }),
  // Of a group its census tells who is in which.
  ...(row.instar !== null && row.form === 'single' && { instar: row.instar }),
  measuredOn: row.measured_on,
  form: formNow(row),
  bornOn: row.born_on,
  motherId: row.mother_id,
  fatherId: row.father_id,
  outOfId: row.out_of_id,
  batch: row.batch,
  sex: row.sex,
  sexBy: row.sex_by,
  kind: row.kind,
  ...(row.plants !== null && { plants: row.plants }),
  ...(row.grown_mm !== null && { grownMm: row.grown_mm }),
  source: row.source,
  permit: row.permit,
  schools: row.schools ?? {},
  forbidden: row.forbidden ?? {},
  keptSo: row.kept_so ?? {},
  ...(row.condition !== null && { condition: row.condition }),
  takenInOn: row.taken_in_on,
  homeId: row.home_id,
});

/** Eggs that have hatched are a group from then on, and eggs again when that is taken back. */
function formNow({ form, stage }: ResidentRow): Resident['form'] {
  if (form === 'colony') return form;
  return stage === 'egg' ? 'eggs' : form === 'eggs' ? 'group' : form;
}

/** A resident with what is chosen for it: schools from the nearest choice, forbidden food, how it looked last. */
const CHOSEN = `r.*,
  (SELECT k.grown_mm FROM resident k WHERE k.id = r.id) AS grown_mm,
  (SELECT k.plants FROM resident k WHERE k.id = r.id) AS plants,
  coalesce((SELECT o.profile ->> 'kind' FROM own_profile o WHERE o.id = r.profile), r.profile) AS kind,
  (SELECT jsonb_object_agg(near.topic, near.school) FROM (
     SELECT DISTINCT ON (c.topic) c.topic, c.school FROM school_choice c
     WHERE (c.scope = 'resident' AND c.about = r.id::text) OR (c.scope = 'kind' AND c.about = r.profile)
       OR (c.scope = 'room' AND c.about = (
         SELECT hs.room_id::text FROM home hh JOIN shelf hs ON hs.id = hh.shelf_id WHERE hh.id = r.home_id))
     ORDER BY c.topic, CASE c.scope WHEN 'resident' THEN 0 WHEN 'kind' THEN 1 ELSE 2 END) near) AS schools,
  (SELECT jsonb_object_agg(f.food, f.why) FROM forbidden_food f WHERE f.resident_id = r.id) AS forbidden,
  (SELECT jsonb_object_agg(k.data ->> 'rule', k.data ->> 'why' ORDER BY k.on_day, k.at, k.seq) FROM entry k
   WHERE k.resident_id = r.id AND k.kind = 'kept-so' AND k.undone_at IS NULL AND (k.on_day, k.at, k.seq) > (
     SELECT l.on_day, l.at, l.seq FROM entry l
     WHERE l.resident_id = r.id AND l.kind IN ('taken-in', 'moved') AND l.undone_at IS NULL
     ORDER BY l.on_day DESC, l.at DESC, l.seq DESC LIMIT 1)) AS kept_so,
  (SELECT e.on_day FROM entry e
   WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured') AND e.undone_at IS NULL
     AND e.data ? 'massG'
   ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1) AS weighed_on,
  (SELECT e.data ->> 'condition' FROM entry e
   WHERE e.resident_id = r.id AND e.kind = 'measured' AND e.undone_at IS NULL AND e.data ? 'condition'
   ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1) AS condition,
  (SELECT count(DISTINCT e.on_day)::integer FROM entry e
   WHERE e.resident_id = r.id AND e.kind = 'moulted' AND e.undone_at IS NULL AND NOT e.data ? 'count'
     AND e.on_day > r.measured_on) AS moults_since`;

/** Residents by their rows, each as large as it has come to be since it was measured. */
async function fromRows(queries: Queries, rows: ResidentRow[]): Promise<Resident[]> {
  if (!rows.some((row) => row.moults_since > 0)) return rows.map(fromRow);
  const care = await careOf(queries);
  return rows.map((row) => {
    const resident = fromRow(row);
    return care.has(row.profile) ? carriedOn(care.of(resident), resident, row.moults_since) : resident;
  });
}

/** Some residents as they are now, in no order; those that are not here are left out. */
export async function residentsNow(queries: Queries, ids: readonly string[]): Promise<Resident[]> {
  const rows = await queries.query<ResidentRow>(`SELECT ${CHOSEN} FROM resident_now r WHERE r.id = ANY ($1::uuid[])`, [
    ids,
  ]);
  return fromRows(queries, rows);
}

/** The ids of all that ever were here. */
export async function everyId(queries: Queries): Promise<string[]> {
  return (await queries.query<{ id: string }>('SELECT id FROM resident')).map(({ id }) => id);
}

export async function findResident(queries: Queries, id: string): Promise<Resident | undefined> {
  return (await residentsNow(queries, [id]))[0];
}

/** Somebody here, or with the day on which it left. */
export type Ever = Resident & { leftOn: string | null };

/** Some of this house, here or gone. */
export async function findAllEver(queries: Queries, ids: string[]): Promise<Ever[]> {
  const rows = await queries.query<ResidentRow>(`SELECT ${CHOSEN} FROM resident_ever r WHERE r.id = ANY ($1::uuid[])`, [
    ids,
  ]);
  const residents = await fromRows(queries, rows);
  return rows.flatMap(({ left_on }, index) => {
    const resident = residents[index];
    return resident ? [{ ...resident, leftOn: left_on }] : [];
  });
}

export async function findEver(queries: Queries, id: string): Promise<Ever | undefined> {
  return (await findAllEver(queries, [id]))[0];
}

/** Those of one species that ever were here. */
export async function listOfSpecies(queries: Queries, scientificName: string): Promise<Resident[]> {
  const rows = await queries.query<ResidentRow>(
    `SELECT ${CHOSEN} FROM resident_ever r
     WHERE r.id = ANY (ARRAY(SELECT k.id FROM resident k WHERE k.scientific_name = $1)) ORDER BY r.taken_in_on, r.id`,
    [scientificName],
  );
  return fromRows(queries, rows);
}

/** All who are tied to one as parents, young, or what they came out of, over any number of steps, without itself. */
export async function familyOf(queries: Queries, id: string): Promise<Resident[]> {
  const rows = await queries.query<ResidentRow>(
    `WITH RECURSIVE family (id) AS (
       SELECT $1::uuid
       UNION
       SELECT k.id FROM family f JOIN resident s ON s.id = f.id
         JOIN resident k ON k.id IN (s.mother_id, s.father_id, s.out_of_id)
           OR f.id IN (k.mother_id, k.father_id, k.out_of_id))
     SELECT ${CHOSEN} FROM resident_ever r WHERE r.id <> $1 AND r.id = ANY (ARRAY(SELECT id FROM family)) ORDER BY r.id`,
    [id],
  );
  return fromRows(queries, rows);
}

/** Whether somebody was ever taken in under an id. */
export async function isKnown(queries: Queries, id: string): Promise<boolean> {
  return (await queries.query('SELECT id FROM resident WHERE id = $1', [id])).length > 0;
}

/** Who is related to whom, of all that ever were here, or of one species. */
export async function listKin(queries: Queries, scientificName: string | null): Promise<Kin[]> {
  const rows = await queries.query<ResidentRow>(
    `SELECT id, scientific_name, mother_id, out_of_id, batch FROM resident
     WHERE $1::text IS NULL OR scientific_name = $1 ORDER BY id`,
    [scientificName],
  );
  return rows.map(kinFromRow);
}

/** To whom some are related, here or gone. */
export async function kinOfIds(queries: Queries, ids: readonly string[]): Promise<Kin[]> {
  const rows = await queries.query<ResidentRow>(
    'SELECT id, scientific_name, mother_id, out_of_id, batch FROM resident WHERE id = ANY ($1::uuid[])',
    [ids],
  );
  return rows.map(kinFromRow);
}

const kinFromRow = ({ id, scientific_name, mother_id, out_of_id, batch }: ResidentRow): Kin => ({
  ...{ id, scientificName: scientific_name, motherId: mother_id, outOfId: out_of_id, batch },
});

/** Those whom an entry says to have left, by the kinds that `left_on` of `resident_ever` knows. Looked up one by one: 8 ms for 1,056 residents with 92,000 entries. */
const EVER_LEFT = `SELECT g.id FROM resident g CROSS JOIN LATERAL (
    SELECT 1 FROM entry e
    WHERE e.resident_id = g.id AND e.kind IN ('died', 'passed-on', 'joined-into') AND e.undone_at IS NULL
      AND e.data ? 'everybody' LIMIT 1
  ) left_once`;

/**
 * Those that are here no longer, the last to leave first. Who they are is asked before how they stood: of everybody it takes 90 ms
 * and more, of those 22 to 34.
 */
export async function listGone(queries: Queries): Promise<GoneResident[]> {
  const rows = await queries.query<ResidentRow>(
    `SELECT ${CHOSEN} FROM resident_ever r WHERE r.left_on IS NOT NULL AND r.id = ANY (ARRAY(${EVER_LEFT}))
     ORDER BY r.left_on DESC, r.left_at DESC, r.id`,
  );
  return rows.flatMap((row) =>
    row.left_on !== null && row.left_by !== null ? [{ ...fromRow(row), leftOn: row.left_on, leftBy: row.left_by }] : [],
  );
}

/**
 * Those that were ever in the home `$1`. As an array the planner looks them up one by one; with `IN` it works out everybody
 * of the house (measured on 1,056 residents: 153 ms instead of 9).
 */
export const EVER_IN_HOME = `SELECT v.resident_id FROM entry v
  WHERE v.home_id = $1 AND v.kind IN ('taken-in', 'moved') AND v.undone_at IS NULL`;

/** Who lives in a home, other than `besides`. */
export async function residentsIn(queries: Queries, homeId: string, besides?: string): Promise<Resident[]> {
  const rows = await queries.query<ResidentRow>(
    `SELECT ${CHOSEN} FROM resident_now r
     WHERE r.home_id = $1 AND r.id = ANY (ARRAY(${EVER_IN_HOME}))
     ORDER BY r.taken_in_on, r.id`,
    [homeId],
  );
  return (await fromRows(queries, rows)).filter((resident) => resident.id !== besides);
}

export type ResidentFacts = Pick<
  Resident,
  | 'id'
  | 'called'
  | 'scientificName'
  | 'commonName'
  | 'profile'
  | 'sex'
  | 'source'
  | 'permit'
  | 'form'
  | 'bornOn'
  | 'motherId'
  | 'fatherId'
  | 'outOfId'
  | 'batch'
  | 'grownMm'
>;

const valuesOf = (resident: ResidentFacts) => [
  resident.id,
  resident.called,
  resident.scientificName,
  resident.commonName,
  resident.profile,
  resident.sex,
  resident.source,
  resident.permit,
  resident.motherId,
  resident.fatherId,
  resident.batch,
  resident.grownMm ?? null,
];

/** Corrects who a resident is; the day of its birth is a matter of its own. */
export async function updateResident(queries: Queries, resident: ResidentFacts): Promise<void> {
  await queries.query(
    `UPDATE resident SET called = $2, scientific_name = $3, common_name = $4, profile = $5, sex = $6, source = $7,
       permit = $8, mother_id = $9, father_id = $10, batch = $11, grown_mm = $12, form = $13
     WHERE id = $1`,
    [...valuesOf(resident), resident.form],
  );
}

/** Sets the day it was born; of eggs that hatched here their hatching tells it. */
export async function updateBirth(queries: Queries, id: string, bornOn: string | null): Promise<void> {
  await queries.query('UPDATE resident SET born_on = $2 WHERE id = $1', [id, bornOn]);
}

/** Writes who a resident is. It is not here before its `taken-in` entry is written too. */
export async function insertResident(queries: Queries, resident: ResidentFacts): Promise<void> {
  await queries.query(
    `INSERT INTO resident (id, called, scientific_name, common_name, profile, sex, source, permit, mother_id,
       father_id, batch, grown_mm, out_of_id, form,
       born_on)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15)`,
    [...valuesOf(resident), resident.outOfId, resident.form, resident.bornOn],
  );
}

/** The plants that one is given, the usual one first; null for those of its species. */
export async function writePlants(queries: Queries, id: string, plants: readonly string[] | null): Promise<void> {
  await queries.query('UPDATE resident SET plants = $2::jsonb WHERE id = $1', [id, plants && JSON.stringify(plants)]);
}

/** Sets what one is never given, all at once. */
export async function writeForbidden(queries: Queries, id: string, forbidden: Resident['forbidden']): Promise<void> {
  await queries.query('DELETE FROM forbidden_food WHERE resident_id = $1', [id]);
  await queries.query(
    `INSERT INTO forbidden_food (resident_id, food, why)
     SELECT $1, f.key, f.value FROM jsonb_each_text($2::jsonb) AS f (key, value)`,
    [id, JSON.stringify(forbidden)],
  );
}
