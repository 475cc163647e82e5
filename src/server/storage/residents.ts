import type { Resident } from '@/contract/records';
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
  head_count: number | null;
  sex: Resident['sex'];
  source: string | null;
  permit: string | null;
  school: string | null;
  taken_in_on: string;
  home_id: string;
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
  measuredOn: row.measured_on,
  sex: row.sex,
  source: row.source,
  permit: row.permit,
  school: row.school,
  takenInOn: row.taken_in_on,
  homeId: row.home_id,
});

/** All residents as they are now, in the order of the round. */
export async function listResidents(queries: Queries): Promise<Resident[]> {
  const rows = await queries.query<ResidentRow>(
    `SELECT r.* FROM resident_now r JOIN home h ON h.id = r.home_id JOIN shelf s ON s.id = h.shelf_id
     ORDER BY s.position, h.place, h.code, r.taken_in_on, r.id`,
  );
  return rows.map(fromRow);
}

export async function findResident(queries: Queries, id: string): Promise<Resident | undefined> {
  const [row] = await queries.query<ResidentRow>('SELECT r.* FROM resident_now r WHERE r.id = $1', [id]);
  return row && fromRow(row);
}

/** Who lives in a home, other than `besides`. */
export async function residentsIn(queries: Queries, homeId: string, besides?: string): Promise<Resident[]> {
  const rows = await queries.query<ResidentRow>(
    'SELECT r.* FROM resident_now r WHERE r.home_id = $1 ORDER BY r.taken_in_on, r.id',
    [homeId],
  );
  return rows.map(fromRow).filter((resident) => resident.id !== besides);
}

export type ResidentFacts = Pick<
  Resident,
  'id' | 'called' | 'scientificName' | 'commonName' | 'profile' | 'sex' | 'source' | 'permit' | 'school'
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
  resident.school,
];

/** Corrects who a resident is. */
export async function updateResident(queries: Queries, resident: ResidentFacts): Promise<void> {
  await queries.query(
    `UPDATE resident SET called = $2, scientific_name = $3, common_name = $4, profile = $5, sex = $6, source = $7,
       permit = $8, school = $9
     WHERE id = $1`,
    valuesOf(resident),
  );
}

/** Writes who a resident is. It is not here before its `taken-in` entry is written too. */
export async function insertResident(queries: Queries, resident: ResidentFacts): Promise<void> {
  await queries.query(
    `INSERT INTO resident (id, called, scientific_name, common_name, profile, sex, source, permit, school)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
    valuesOf(resident),
  );
}
