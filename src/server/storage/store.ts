import type { Culture, StockEntry } from '@/contract/store';
import type { Dish } from '@/core/feeding/food';
import type { Queries } from './database';

interface StockRow extends Omit<StockEntry, 'on' | 'undoneAt'> {
  on_day: string;
  undone_at: string | null;
}

const COLUMNS = 'id, item, kind, amount, on_day, at, keeper, note, undone_at';

const fromRow = ({ on_day, undone_at, ...row }: StockRow): StockEntry => ({ ...row, on: on_day, undoneAt: undone_at });

/** What stands of the store, in the order in which it happened. */
export async function standingStockEntries(queries: Queries): Promise<StockEntry[]> {
  const rows = await queries.query<StockRow>(
    `SELECT ${COLUMNS} FROM stock_entry WHERE undone_at IS NULL ORDER BY on_day, at, seq`,
  );
  return rows.map(fromRow);
}

/** The last 200, newest first. */
export async function listStockEntries(queries: Queries, item: string | null): Promise<StockEntry[]> {
  const rows = await queries.query<StockRow>(
    `SELECT ${COLUMNS} FROM stock_entry WHERE undone_at IS NULL AND ($1::text IS NULL OR item = $1)
     ORDER BY on_day DESC, at DESC, seq DESC LIMIT 200`,
    [item],
  );
  return rows.map(fromRow);
}

export async function findStockEntry(queries: Queries, id: string): Promise<StockEntry | undefined> {
  const [row] = await queries.query<StockRow>(`SELECT ${COLUMNS} FROM stock_entry WHERE id = $1`, [id]);
  return row && fromRow(row);
}

export async function insertStockEntry(queries: Queries, entry: Omit<StockEntry, 'undoneAt'>): Promise<void> {
  await queries.query(
    `INSERT INTO stock_entry (id, item, kind, amount, on_day, at, keeper, note)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8) ON CONFLICT (id) DO NOTHING`,
    [entry.id, entry.item, entry.kind, entry.amount, entry.on, entry.at, entry.keeper, entry.note],
  );
}

export async function undoStockEntry(queries: Queries, id: string, at: string): Promise<void> {
  await queries.query('UPDATE stock_entry SET undone_at = $2 WHERE id = $1 AND undone_at IS NULL', [id, at]);
}

/** What some were fed from a day on, dish by dish, in the order in which it happened. */
export async function fedBy(
  queries: Queries,
  residentIds: readonly string[],
  since: string,
): Promise<{ residentId: string; dish: Dish; on: string; at: string }[]> {
  return queries.query(
    `SELECT e.resident_id AS "residentId", d AS dish, e.on_day AS on, e.at
     FROM entry e CROSS JOIN LATERAL jsonb_array_elements(e.data -> 'dishes') d
     WHERE e.resident_id = ANY ($1::uuid[]) AND e.kind = 'offered' AND e.undone_at IS NULL AND e.on_day >= $2
       AND e.data ? 'dishes'
     ORDER BY e.on_day, e.at, e.seq`,
    [residentIds, since],
  );
}

type CultureRow = Omit<Culture, 'yieldPerWeek' | 'begunOn'> & { begun_on: string };
export type CultureFacts = Omit<Culture, 'yieldPerWeek'>;

const cultureOf = ({ begun_on, ...row }: CultureRow): CultureFacts => ({ ...row, begunOn: begun_on });

export async function listCultures(queries: Queries): Promise<CultureFacts[]> {
  const rows = await queries.query<CultureRow>(
    'SELECT id, called, kind, breeders, harvested, begun_on FROM feeder_culture ORDER BY begun_on, id',
  );
  return rows.map(cultureOf);
}

export async function writeCulture(queries: Queries, culture: CultureFacts): Promise<void> {
  await queries.query(
    `INSERT INTO feeder_culture (id, called, kind, breeders, harvested, begun_on) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (id) DO UPDATE SET called = excluded.called, breeders = excluded.breeders,
       harvested = excluded.harvested`,
    [culture.id, culture.called, culture.kind, culture.breeders, culture.harvested, culture.begunOn],
  );
}

export async function deleteCulture(queries: Queries, id: string): Promise<boolean> {
  return (await queries.query('DELETE FROM feeder_culture WHERE id = $1 RETURNING id', [id])).length > 0;
}

export async function readPriceList(queries: Queries, supplier: string): Promise<string | undefined> {
  const [row] = await queries.query<{ csv: string }>('SELECT csv FROM price_list WHERE supplier = $1', [supplier]);
  return row?.csv;
}

/** Null goes back to the list that ships. */
export async function writePriceList(
  queries: Queries,
  supplier: string,
  csv: string | null,
  at: string,
): Promise<void> {
  await queries.query('DELETE FROM price_list WHERE supplier = $1', [supplier]);
  if (csv === null) return;
  await queries.query('INSERT INTO price_list (supplier, csv, set_at) VALUES ($1, $2, $3)', [supplier, csv, at]);
}
