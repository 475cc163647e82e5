import type { LabelStock } from '@/core/labels/stock';
import type { Queries } from './database';

/** A print of labels, as it is asked for. */
export interface PrintRow {
  id: string;
  printedAt: string;
  wentTo: 'printer' | 'file';
  stock: LabelStock;
  startAt: number;
  address: string;
  cutMarks: boolean;
}

/** One that was made. */
export interface PrintMade extends PrintRow {
  labels: number;
}

/** A label of a print: whose, of which box, and what it says. */
export interface PrintedLabel {
  about: string;
  homeId: string;
  says: string;
}

export interface LastPrinted {
  about: string;
  says: string;
  printedAt: string;
}

const PRINT = `id, printed_at AS "printedAt", went_to AS "wentTo", stock, start_at AS "startAt", address, cut_marks AS "cutMarks",
  (SELECT count(*)::int FROM label_printed l WHERE l.print_id = label_print.id) AS labels`;

/** What each label said when it was printed last. */
export async function lastPrinted(queries: Queries): Promise<Map<string, LastPrinted>> {
  const rows = await queries.query<LastPrinted>(
    `SELECT DISTINCT ON (l.about) l.about, l.says, p.printed_at AS "printedAt"
     FROM label_printed l JOIN label_print p ON p.id = l.print_id WHERE p.undone_at IS NULL
     ORDER BY l.about, p.printed_at DESC, l.print_id`,
  );
  return new Map(rows.map((row) => [row.about, row]));
}

export async function findPrint(queries: Queries, id: string): Promise<PrintMade | undefined> {
  return (await queries.query<PrintMade>(`SELECT ${PRINT} FROM label_print WHERE id = $1`, [id]))[0];
}

/** The newest first. */
export const listPrints = (queries: Queries, wentTo: PrintRow['wentTo'] | null, most: number): Promise<PrintMade[]> =>
  queries.query<PrintMade>(
    `SELECT ${PRINT} FROM label_print WHERE $1::text IS NULL OR went_to = $1 ORDER BY printed_at DESC, id LIMIT $2`,
    [wentTo, most],
  );

export const labelsOfPrint = (queries: Queries, id: string): Promise<PrintedLabel[]> =>
  queries.query<PrintedLabel>(
    'SELECT about, home_id AS "homeId", says FROM label_printed WHERE print_id = $1 ORDER BY place',
    [id],
  );

export async function insertPrint(
  queries: Queries,
  { id, printedAt, wentTo, stock, startAt, address, cutMarks }: PrintRow,
  labels: readonly PrintedLabel[],
): Promise<void> {
  await queries.query(
    `INSERT INTO label_print (id, printed_at, went_to, stock, start_at, address, cut_marks)
     VALUES ($1, $2, $3, $4::jsonb, $5, $6, $7)`,
    [id, printedAt, wentTo, JSON.stringify(stock), startAt, address, cutMarks],
  );
  await queries.query(
    `INSERT INTO label_printed (print_id, place, about, home_id, says)
     SELECT $1, l.place, l.about, l.home_id, l.says
     FROM jsonb_to_recordset($2::jsonb) AS l (place int, about uuid, home_id uuid, says text)`,
    [id, JSON.stringify(labels.map(({ about, homeId, says }, place) => ({ place, about, home_id: homeId, says })))],
  );
}

export async function markPrintUndone(queries: Queries, id: string, at: string): Promise<void> {
  await queries.query('UPDATE label_print SET undone_at = $2 WHERE id = $1 AND undone_at IS NULL', [id, at]);
}
