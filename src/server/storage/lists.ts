import type { BroughtList } from '@/contract/lists';
import { dayOfMoment } from '@/core/measure/day';
import type { TableKind } from '@/core/records/readTable';
import type { Queries } from './database';

export interface ListToKeep {
  id: string;
  kind: TableKind;
  name: string | null;
  rows: number;
  hash: string;
  at: string;
  entryIds: readonly string[];
  homeIds: readonly string[];
}

interface ListRow {
  id: string;
  kind: TableKind;
  name: string | null;
  rows: number;
  at: string;
  undone_at: string | null;
  entry_ids: string[];
  home_ids: string[];
}

const fromRow = ({ id, kind, name, rows, at, undone_at }: ListRow): BroughtList => ({
  ...{ id, kind, name, rows, on: dayOfMoment(new Date(at)), undoneAt: undone_at },
});

export async function insertList(queries: Queries, list: ListToKeep): Promise<void> {
  const { id, kind, name, rows, hash, at, entryIds, homeIds } = list;
  await queries.query(
    `INSERT INTO brought_list (id, kind, name, rows, hash, at, entry_ids, home_ids)
     VALUES ($1, $2, $3, $4, $5, $6, $7::uuid[], $8::uuid[])`,
    [id, kind, name, rows, hash, at, entryIds, homeIds],
  );
}

/** The same list, where it was brought in before and stands. */
export async function findSame(queries: Queries, kind: TableKind, hash: string): Promise<BroughtList | undefined> {
  const [row] = await queries.query<ListRow>(
    'SELECT * FROM brought_list WHERE kind = $1 AND hash = $2 AND undone_at IS NULL',
    [kind, hash],
  );
  return row && fromRow(row);
}

/** The lists that were brought in, the latest first. */
export async function listLists(queries: Queries): Promise<BroughtList[]> {
  const rows = await queries.query<ListRow>('SELECT * FROM brought_list ORDER BY at DESC, id LIMIT 50');
  return rows.map(fromRow);
}

/** A list with what it wrote. */
export async function findList(
  queries: Queries,
  id: string,
): Promise<(BroughtList & { entryIds: string[]; homeIds: string[] }) | undefined> {
  const [row] = await queries.query<ListRow>('SELECT * FROM brought_list WHERE id = $1 FOR UPDATE', [id]);
  return row && { ...fromRow(row), entryIds: row.entry_ids, homeIds: row.home_ids };
}

/** How many standing entries there are about those that a list took in, beside its own. */
export async function countResting(queries: Queries, entryIds: readonly string[]): Promise<number> {
  const [row] = await queries.query<{ times: number }>(
    `SELECT count(*) AS times FROM entry e
     WHERE e.undone_at IS NULL AND NOT e.id = ANY ($1::uuid[]) AND e.resident_id IN (
       SELECT t.resident_id FROM entry t WHERE t.id = ANY ($1::uuid[]) AND t.kind = 'taken-in' AND t.undone_at IS NULL)`,
    [entryIds],
  );
  return Number(row?.times ?? 0);
}

/** Marks a list as taken back. */
export async function undoList(queries: Queries, id: string, at: string): Promise<void> {
  await queries.query('UPDATE brought_list SET undone_at = $2 WHERE id = $1', [id, at]);
}
