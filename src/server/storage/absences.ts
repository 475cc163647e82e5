import type { AbsenceFacts } from '@/contract/plan';
import type { Queries } from './database';

interface AbsenceRow {
  id: string;
  keeper_id: string | null;
  from_day: string;
  until_day: string;
  sitter: string | null;
  call: string | null;
  page_sha256: string | null;
}

const fromRow = ({ id, keeper_id, from_day, until_day, sitter, call, page_sha256 }: AbsenceRow): AbsenceFacts => ({
  ...{ id, keeperId: keeper_id, from: from_day, until: until_day, sitter, call },
  hasPage: page_sha256 !== null,
});

/** Absences that end on a day or later, and have not been given up. */
export async function listAbsences(queries: Queries, from: string): Promise<AbsenceFacts[]> {
  const rows = await queries.query<AbsenceRow>(
    'SELECT * FROM absence WHERE undone_at IS NULL AND until_day >= $1 ORDER BY from_day, until_day, id',
    [from],
  );
  return rows.map(fromRow);
}

export async function findAbsence(queries: Queries, id: string): Promise<AbsenceFacts | undefined> {
  const [row] = await queries.query<AbsenceRow>('SELECT * FROM absence WHERE undone_at IS NULL AND id = $1', [id]);
  return row && fromRow(row);
}

export async function absenceOfPage(queries: Queries, sha256: string): Promise<AbsenceFacts | undefined> {
  const [row] = await queries.query<AbsenceRow>('SELECT * FROM absence WHERE undone_at IS NULL AND page_sha256 = $1', [
    sha256,
  ]);
  return row && fromRow(row);
}

export async function insertAbsence(queries: Queries, absence: Omit<AbsenceFacts, 'hasPage'>): Promise<void> {
  const { id, keeperId, from, until, sitter, call } = absence;
  await queries.query(
    'INSERT INTO absence (id, keeper_id, from_day, until_day, sitter, call) VALUES ($1, $2, $3, $4, $5, $6)',
    [id, keeperId, from, until, sitter, call],
  );
}

export async function markAbsenceUndone(queries: Queries, id: string, at: string): Promise<void> {
  await queries.query('UPDATE absence SET undone_at = $2, page_sha256 = NULL WHERE id = $1', [id, at]);
}

export async function writePageSecret(queries: Queries, id: string, sha256: string): Promise<void> {
  await queries.query('UPDATE absence SET page_sha256 = $2 WHERE id = $1', [id, sha256]);
}
