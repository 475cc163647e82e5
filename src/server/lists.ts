import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import { newEntry, type NewEntry } from '@/contract/entries';
import { asHappened } from '@/contract/mending';
import { boxOfRow, shelfOfRow, type NewList, type RowProblem } from '@/contract/lists';
import { newHome, newResident } from '@/contract/records';
import type { EntryToKeep } from '@/contract/storedEntries';
import { groupBy } from '@/core/groupBy';
import type { CareBook } from '@/core/profiles/careBook';
import type { TableKind } from '@/core/records/readTable';
import { Refusal } from '@/core/refusal';
import type { Clock } from './clock';
import { HEADS, recordOf, type EntryWriter } from './entryWriter';
import { inParts, pauses } from './house/inTurn';
import { invalid, invalidBy, Problem } from './http/problem';
import { dayOf } from './resources/deps';
import { writeNewHomes, type NewBox } from './resources/homes';
import { asItLived, requireCensus, validateEntry } from './validation/entry';
import { sqlState, UNIQUE_VIOLATION, type Queries } from './storage/database';
import { headEntriesOf, insertEntries } from './storage/entries';
import { standingBoxes } from './storage/homes';
import { pairAll } from './storage/mending';
import { findAllEver, findEver, type Ever } from './storage/residents';
import { apart } from './storage/savepoint';
import { insertShelf, listShelves } from './storage/shelves';
import { takeIn } from './takingIn';

type Row = NewList['rows'][number];

/** What the rows of a list are written with. */
export interface Writing {
  queries: Queries;
  care: CareBook;
  clock: Clock;
  writer: EntryWriter;
  /** Past events are one act with this entry: taken back, all of it goes. */
  pair?: string | undefined;
}

/** What was written, and the rows that make no sense: while there are any, all has to be rolled back. */
export interface WrittenRows {
  entryIds: string[];
  homeIds: string[];
  problems: RowProblem[];
}

type Write = (writing: Writing) => Promise<WrittenRows>;

/**
 * Reads the rows of a list, each by itself, and goes on after one that makes no sense, so that all of those are told. What it
 * answers writes them, within a transaction: while that is open, others who write wait.
 */
export const readRows: Record<TableKind, (rows: readonly Row[], clock: Clock) => Promise<Write>> = {
  boxes: readBoxes,
  residents: readResidents,
  events: readEvents,
};

/** Reads each row by itself. Answers those that make sense, with their places in the list, and what is wrong with the others. */
async function eachRow<Read>(rows: readonly Row[], work: (row: Row) => Read) {
  const read: { index: number; row: Read }[] = [];
  const problems: RowProblem[] = [];
  const pause = pauses();
  for (const [index, row] of rows.entries()) {
    await rowOf(problems, index, async () => {
      read.push({ index, row: work(row) });
    });
    await pause();
  }
  return { read, problems };
}

/** Does the work of one row; a refusal becomes its problem. */
async function rowOf(problems: RowProblem[], row: number, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    problems.push({ row, fields: problemsOf(error) });
  }
}

function problemsOf(error: unknown): RowProblem['fields'] {
  if (sqlState(error) === UNIQUE_VIOLATION) return [{ path: 'id', message: 'Another has this id.' }];
  if (!(error instanceof Refusal) && !(error instanceof Problem)) throw error;
  return error.fields && error.fields.length > 0 ? error.fields : [{ path: '', message: error.message }];
}

/** @throws Problem with what would be right, field by field */
function parsed<Schema extends z.ZodType>(schema: Schema, row: unknown): z.output<Schema> {
  const read = schema.safeParse(row);
  if (!read.success) throw invalidBy(read.error);
  return read.data;
}

/** Stands for a shelf or a box that is known by its name only until the row is written. */
const BY_NAME = '00000000-0000-4000-8000-000000000000';

async function readBoxes(rows: readonly Row[]): Promise<Write> {
  const { read, problems } = await eachRow(rows, ({ room, shelf, ...row }) => {
    const named = parsed(shelfOfRow, { room, shelf });
    return { named, home: parsed(newHome, { ...row, shelfId: BY_NAME }) };
  });
  return async ({ queries, clock }) => {
    const written: WrittenRows = { entryIds: [], homeIds: [], problems };
    const pause = pauses();
    const keyOf = (room: string, name: string) => `${room.toLowerCase()}\n${name.toLowerCase()}`;
    const shelves = new Map((await listShelves(queries)).map(({ id, room, name }) => [keyOf(room, name), id]));
    const standing = await standingBoxes(queries);
    const taken = new Set(standing.flatMap(({ id, code }) => [id, code.toLowerCase()]));
    const places = new Map<string, number>();
    for (const { shelfId, place } of standing) places.set(shelfId, Math.max(place, places.get(shelfId) ?? 0));
    const shelfFor = async (room: string, name: string): Promise<string> => {
      const known = shelves.get(keyOf(room, name));
      if (known) return known;
      const id = randomUUID();
      await insertShelf(queries, { id, room, name });
      shelves.set(keyOf(room, name), id);
      return id;
    };
    const boxes: NewBox[] = [];
    for (const { index, row } of read) {
      await rowOf(problems, index, async () => {
        const { named, home } = row;
        const shelfId = await shelfFor(named.room, named.shelf);
        const id = home.id ?? randomUUID();
        const code = home.code.toLowerCase();
        if (taken.has(code)) throw invalid('code', 'Taken: every box has a code of its own.');
        if (taken.has(id)) throw invalid('id', 'Another box has this id.');
        taken.add(code).add(id);
        const place = home.place ?? (places.get(shelfId) ?? 0) + 1;
        places.set(shelfId, Math.max(place, places.get(shelfId) ?? 0));
        boxes.push({ ...home, shelfId, id, place });
        written.homeIds.push(id);
      });
      await pause();
    }
    for (let from = 0; from < boxes.length; from += AT_ONCE) {
      await writeNewHomes(queries, clock, boxes.slice(from, from + AT_ONCE));
      await pause();
    }
    return inOrder(written);
  };
}

async function readResidents(rows: readonly Row[]): Promise<Write> {
  const { read, problems } = await eachRow(rows, ({ box, ...row }) => {
    const named = parsed(boxOfRow, { box });
    return { named, newcomer: parsed(newResident, { ...row, homeId: BY_NAME }) };
  });
  return async ({ queries, care, clock, writer }) => {
    const written: WrittenRows = { entryIds: [], homeIds: [], problems };
    const pause = pauses();
    const idOf = new Map((await standingBoxes(queries)).map(({ id, code }) => [code.toLowerCase(), id]));
    for (const { index, row } of read) {
      await rowOf(problems, index, async () => {
        const { box } = row.named;
        const homeId = idOf.get(box.toLowerCase());
        if (homeId === undefined) throw invalid('box', `There is no box ${box}. Bring the boxes in first.`);
        const { entryIds } = await apart(queries, () =>
          takeIn(queries, care, clock, writer, { ...row.newcomer, homeId }),
        );
        written.entryIds.push(...entryIds);
      });
      await pause();
    }
    return inOrder(written);
  };
}

const inOrder = (written: WrittenRows): WrittenRows => ({
  ...written,
  problems: written.problems.sort((a, b) => a.row - b.row),
});

/** After these an animal lives elsewhere, or no longer: they are written one by one, by those who ask for more. */
const ONE_BY_ONE = new Set<NewEntry['kind']>(['moved', 'died', 'passed-on', 'hatched', 'rest-planned', 'move-planned']);

/** Rows are inserted so many at a time: no statement holds the embedded database for long. */
const AT_ONCE = 50;

/**
 * Past events in the order of their days. Most are held against what is known in memory, and written together: row by row
 * through the database 5,000 take ten seconds (measured).
 */
async function readEvents(rows: readonly Row[], clock: Clock): Promise<Write> {
  const { read, problems } = await eachRow(rows, (row) => {
    const entry = asHappened(parsed(newEntry, row));
    return { on: dayOf(clock, entry.on), entry };
  });
  read.sort((a, b) => a.row.on.localeCompare(b.row.on) || a.index - b.index);
  return async ({ queries, care, clock, writer, pair }) => {
    const written: WrittenRows = { entryIds: [], homeIds: [], problems };
    const pause = pauses();
    const known = await knownOf(
      queries,
      read.map(({ row }) => row.entry),
    );
    const waiting: EntryToKeep[] = [];
    const flush = async () => {
      for (let from = 0; from < waiting.length; from += AT_ONCE) {
        await insertEntries(queries, waiting.slice(from, from + AT_ONCE), pair);
        await pause();
      }
      waiting.length = 0;
    };
    const counted = new Map<string, number>();
    for (const { index, row } of read) {
      await rowOf(problems, index, async () => {
        const { on, entry } = row;
        const about = 'residentId' in entry ? entry.residentId : undefined;
        if (ONE_BY_ONE.has(entry.kind)) {
          await flush();
          const find = async (id: string) => asItLived(await findEver(queries, id), on);
          const added = await apart(queries, () => writer.add(queries, care, entry, find));
          written.entryIds.push(added.entry.id);
          if (pair !== undefined) await pairAll(queries, [added.entry.id], pair);
          const after = about === undefined ? undefined : await findEver(queries, about);
          if (after) known.residents.set(after.id, after);
          return;
        }
        const find = async (id: string) => asItLived(known.residents.get(id), on);
        const heads = async (id: string) => known.heads.get(id) ?? [];
        const extra = await validateEntry(queries, care, entry, on, clock.now(), find, heads);
        const record = recordOf(entry);
        const data = { ...record.data, ...extra };
        const kept = { ...record, data, id: entry.id ?? randomUUID(), on, at: clock.now() } as EntryToKeep;
        waiting.push(kept);
        written.entryIds.push(kept.id);
        if (about === undefined || !HEADS.has(entry.kind)) return;
        known.heads.set(about, [...(known.heads.get(about) ?? []), { ...kept, undoneAt: null } as never]);
        counted.set(about, index);
      });
      await pause();
    }
    await flush();
    for (const [id, index] of counted) {
      if (known.residents.get(id)?.form === 'single') continue;
      await rowOf(problems, index, () => requireCensus(queries, { id }, clock.today()));
      await pause();
    }
    return inOrder(written);
  };
}

/** Who the rows are about, and what was written of their sizes and heads before. */
async function knownOf(queries: Queries, entries: readonly NewEntry[]) {
  const ids = [...new Set(entries.flatMap((each) => ('residentId' in each ? each.residentId : [])))];
  const residents = new Map<string, Ever>();
  const heads = new Map<string, Awaited<ReturnType<typeof headEntriesOf>>>();
  await inParts(ids, async (some) => {
    for (const each of await findAllEver(queries, [...some])) residents.set(each.id, each);
    const of = groupBy(await headEntriesOf(queries, some), ({ residentId }) => residentId ?? '');
    for (const [id, list] of of) heads.set(id, list);
  });
  return { residents, heads };
}
