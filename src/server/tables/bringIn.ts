import { TABLES_IN, type TableIn, type TablesBroughtIn } from '@/contract/tables';
import type { EntryToKeep } from '@/contract/storedEntries';
import { fieldMessages, type FieldMessage } from '@/contract/errors';
import { groupBy } from '@/core/groupBy';
import { HOUR_MS } from '@/core/readings/reading';
import { pauses } from '../house/inTurn';
import { Problem } from '../http/problem';
import { insertAbsence } from '../storage/absences';
import { FOREIGN_KEY_VIOLATION, sqlState, UNIQUE_VIOLATION, type Database, type Queries } from '../storage/database';
import { insertEntries } from '../storage/entries';
import { insertHomes, updateFactors, type HomeFacts } from '../storage/homes';
import { insertKeeper, writeBusyDays } from '../storage/keepers';
import { insertProbe } from '../storage/probes';
import { insertReadings, refreshHours } from '../storage/readings';
import { insertResident, writeForbidden, writePlants } from '../storage/residents';
import { insertRoom, updateRoomAir } from '../storage/rooms';
import { writeChoice } from '../storage/schools';
import { insertShelfAt } from '../storage/shelves';
import { insertStockEntry } from '../storage/store';
import { rowIn, type Cells, type RowIn } from './rowsIn';

/** Rows that are told wrong at a time. */
const MOST_TOLD = 50;
/** No statement holds the embedded database for long. */
const AT_ONCE = 50;
const READINGS_AT_ONCE = 500;

/**
 * Writes tables as they came out of a house, all of them or nothing. What is derived in them (how large somebody is now) is not
 * read: it comes of the entries again.
 * @param today the day from which the air of a room holds
 * @throws Problem naming table, line and field of what cannot be
 */
export async function bringTablesIn(
  database: Database,
  tables: Partial<Record<TableIn, Iterable<Cells>>>,
  today: string,
): Promise<TablesBroughtIn> {
  const problems: FieldMessage[] = [];
  const pause = pauses();
  const rows: { [Name in TableIn]?: RowIn<Name>[] } = {};
  for (const name of TABLES_IN) {
    const read: RowIn<TableIn>[] = [];
    let index = -1;
    for (const cells of tables[name] ?? []) {
      index += 1;
      const parsed = rowIn(name, cells);
      if (parsed.success) read.push(parsed.data);
      else problems.push(...fieldMessages(parsed.error).map((each) => at(name, index, each)));
      if (problems.length > MOST_TOLD) throw refused(problems);
      await pause();
    }
    (rows as Record<string, unknown>)[name] = read;
  }
  if (problems.length > 0) throw refused(problems);
  await database.transaction(async (queries) => {
    await queries.query('SET CONSTRAINTS ALL DEFERRED');
    for (const name of TABLES_IN) await writeTable(queries, name, rows[name] ?? [], today, pause);
    // What points to nobody is told here, not after it was said to be written.
    await asRefusal('residents', -1, () => queries.query('SET CONSTRAINTS ALL IMMEDIATE'));
  });
  return Object.fromEntries(TABLES_IN.flatMap((name) => (tables[name] ? [[name, rows[name]?.length ?? 0]] : [])));
}

const at = (table: TableIn, index: number, { path, message }: FieldMessage): FieldMessage => ({
  // As a spreadsheet counts: its first line names the columns.
  path: index < 0 ? table : `${table}, line ${index + 2}${path === '' ? '' : `, ${path}`}`,
  message,
});

const refused = (fields: FieldMessage[]) =>
  new Problem('invalid', 'These tables cannot be brought in: nothing was written.', fields.slice(0, MOST_TOLD));

/** Does the work of a row; what the database refuses names the row. */
async function asRefusal(table: TableIn, index: number, work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const state = sqlState(error);
    const message =
      state === UNIQUE_VIOLATION
        ? 'It is here already, or another bears its name: tables are brought into an empty house, or one that has none of this.'
        : state === FOREIGN_KEY_VIOLATION
          ? 'It names a room, shelf, box, resident or keeper that is neither in these tables nor here.'
          : undefined;
    if (message === undefined) throw error;
    throw refused([at(table, index, { path: '', message })]);
  }
}

type Writers = { [Name in TableIn]: (queries: Queries, row: RowIn<Name>, today: string) => Promise<unknown> };

const WRITERS: Omit<Writers, 'entries' | 'readings'> = {
  rooms: async (queries, { id, name, air }, today) => {
    await insertRoom(queries, { id, name });
    if (air) await updateRoomAir(queries, id, air, today);
  },
  shelves: (queries, shelf) => insertShelfAt(queries, shelf),
  homes: async (queries, { home, factors }) => {
    const id = home.id ?? '';
    await insertHomes(queries, [{ ...home, id, place: home.place ?? 0 } as HomeFacts]);
    if (factors) await updateFactors(queries, id, factors);
  },
  residents: async (queries, { plants, forbidden, ...resident }) => {
    await insertResident(queries, resident as Parameters<typeof insertResident>[1]);
    if (plants) await writePlants(queries, resident.id, plants);
    if (Object.keys(forbidden).length > 0) await writeForbidden(queries, resident.id, forbidden);
  },
  // Of a device the token is shown once, where it was made: it is given a new one here.
  probes: (queries, probe) => insertProbe(queries, { ...probe, tokenSha256: null }),
  store: (queries, entry) => insertStockEntry(queries, entry),
  keepers: async (queries, { busyDays, ...keeper }) => {
    await insertKeeper(queries, keeper);
    await writeBusyDays(queries, keeper.id, '0001-01-01', busyDays);
  },
  absences: (queries, absence) => insertAbsence(queries, absence),
  schools: (queries, choice) => writeChoice(queries, choice),
};

async function writeTable(
  queries: Queries,
  name: TableIn,
  rows: readonly RowIn<TableIn>[],
  today: string,
  pause: ReturnType<typeof pauses>,
): Promise<void> {
  if (name === 'entries') {
    for (let from = 0; from < rows.length; from += AT_ONCE) {
      const some = rows.slice(from, from + AT_ONCE) as EntryToKeep[];
      await asRefusal(name, from, () => insertEntries(queries, some));
      await pause();
    }
    return;
  }
  if (name === 'readings') return writeReadings(queries, rows as RowIn<'readings'>[], pause);
  const write = WRITERS[name] as (queries: Queries, row: RowIn<TableIn>, today: string) => Promise<unknown>;
  for (const [index, row] of rows.entries()) {
    await asRefusal(name, index, () => write(queries, row, today));
    await pause();
  }
}

/** Hours are worked out of so many days of readings at a time. */
const DAYS_AT_ONCE = 30;
const DAY_MS = 24 * HOUR_MS;

/** Readings probe by probe, and the hours and weeks that are made of them. */
async function writeReadings(
  queries: Queries,
  rows: readonly RowIn<'readings'>[],
  pause: ReturnType<typeof pauses>,
): Promise<void> {
  for (const [probeId, own] of groupBy(rows, (row) => row.probeId)) {
    const readings = own.map(({ at: instant, probeId: _probeId, ...reading }) => ({
      ...reading,
      at: Date.parse(instant),
    }));
    for (let from = 0; from < readings.length; from += READINGS_AT_ONCE) {
      const some = readings.slice(from, from + READINGS_AT_ONCE) as Parameters<typeof insertReadings>[2];
      await asRefusal('readings', rows.indexOf(own[from] as RowIn<'readings'>), () =>
        insertReadings(queries, probeId, some),
      );
      await pause();
    }
    const last = readings.reduce((latest, { at: ms }) => Math.max(latest, ms), 0);
    const first = readings.reduce((earliest, { at: ms }) => Math.min(earliest, ms), last);
    for (let from = first; from <= last; from += DAYS_AT_ONCE * DAY_MS) {
      await refreshHours(queries, probeId, from, Math.min(last, from + DAYS_AT_ONCE * DAY_MS));
      await pause();
    }
  }
}
