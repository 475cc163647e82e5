import { z } from 'zod';
import { dataShape, ENTRY_KINDS, type Entry } from '@/contract/storedEntries';
import type { Queries } from '../storage/database';
import { fromRow, type EntryRow } from '../storage/entries';
import { column, ROWS_AT_ONCE, text, type Cell, type ColumnOut } from './columns';

/** An entry as it goes out. */
export interface EntryOut {
  entry: Entry;
  /** What it is called, else its species. */
  who: string | null;
  box: string | null;
}

/** What a field of an entry is in a table: lists and whatever has other types in other kinds are text. */
function typesOfFields(): Map<string, ColumnOut<unknown>['type']> {
  const types = new Map<string, ColumnOut<unknown>['type']>();
  for (const [field, schema] of ENTRY_KINDS.flatMap((kind) => Object.entries(dataShape(kind)))) {
    const { type } = z.toJSONSchema(schema as z.ZodType, { unrepresentable: 'any', io: 'output' });
    const here = type === 'integer' ? 'number' : type === 'number' || type === 'boolean' ? type : 'string';
    types.set(field, (types.get(field) ?? here) === here ? here : 'string');
  }
  return new Map([...types].sort(([one], [other]) => one.localeCompare(other)));
}

/** One row an event, with a column for each fact that any kind of event has. */
export const entryColumns = (): ColumnOut<EntryOut>[] => [
  text('id', ({ entry }) => entry.id),
  text('on', ({ entry }) => entry.on),
  text('at', ({ entry }) => entry.at),
  text('kind', ({ entry }) => entry.kind),
  text('who', ({ who }) => who),
  text('residentId', ({ entry }) => entry.residentId),
  text('homeId', ({ entry }) => entry.homeId),
  text('box', ({ box }) => box),
  text('keeper', ({ entry }) => entry.keeper),
  text('note', ({ entry }) => entry.note),
  ...[...typesOfFields()].map(([field, type]) =>
    column<EntryOut>(field, type, ({ entry }) => {
      const value = (entry.data as Record<string, unknown>)[field] ?? null;
      if (value === null || type !== 'string' || typeof value === 'string') return value as Cell;
      return JSON.stringify(value);
    }),
  ),
];

/** Entries that a list shows: of one resident, of some kinds. */
export interface EntryFilter {
  resident?: string | undefined;
  kinds?: readonly string[] | undefined;
}

/** The entries that stand, by their days. */
export async function* entryRows(queries: Queries, { resident, kinds }: EntryFilter): AsyncGenerator<EntryOut[]> {
  // Of one its own index gives them: one plan for both would read all.
  const ofWhom = resident === undefined ? '$3::uuid IS NULL' : 'e.resident_id = $3::uuid';
  let after: { on_day: string; seq: number } = { on_day: '0001-01-01', seq: 0 };
  for (;;) {
    const rows = await queries.query<
      EntryRow & { on_day: string; seq: number; who: string | null; box: string | null }
    >(
      `SELECT e.*, coalesce(r.called, r.scientific_name) AS who, h.code AS box
       FROM entry e LEFT JOIN resident r ON r.id = e.resident_id LEFT JOIN home h ON h.id = e.home_id
       WHERE e.undone_at IS NULL AND e.on_day >= $1 AND (e.on_day, e.seq) > ($1, $2)
         AND ${ofWhom} AND ($4::text[] IS NULL OR e.kind = ANY ($4))
       ORDER BY e.on_day, e.seq LIMIT ${ROWS_AT_ONCE}`,
      [after.on_day, after.seq, resident ?? null, kinds ?? null],
    );
    const last = rows.at(-1);
    if (!last) return;
    yield rows.map((row) => ({ entry: fromRow(row), who: row.who, box: row.box }));
    after = last;
  }
}
