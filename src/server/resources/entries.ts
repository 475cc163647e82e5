import { randomUUID } from 'node:crypto';
import type { Entry, NewEntry } from '@/contract/entries';
import { HEAD_KINDS } from '@/core/growth/census';
import type { CareBook } from '@/core/profiles/careBook';
import { Refusal } from '@/core/refusal';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import {
  countStanding,
  findAnswer,
  findEntry,
  holdResident,
  insertEntry,
  markUndone,
  noteAlso,
  writeEntryPhoto,
} from '../storage/entries';
import { findAllEver, findEver, findResident } from '../storage/residents';
import { dayOf, type Deps } from './deps';
import { requireRoomFor } from './occupancy';
import { requireAfterArrival, requireCensus, requireSense, type Find } from './sense';

type Names = 'addEntry' | 'addEntries' | 'undoEntry' | 'undoEntries' | 'addResidentPhoto';

export function entryHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const add = async (queries: Queries, care: CareBook, body: NewEntry, find: Find): Promise<Added> => {
    const id = body.id ?? randomUUID();
    // A phone that got no answer sends again: the first one counts.
    const known = await findEntry(queries, id);
    if (known) return { entry: known };
    // And of two keepers who answer the same job: the other is told, and so is the first.
    const before = await answeredBefore(queries, body);
    if (before) return { entry: before, already: before };
    const on = dayOf(clock, body.on);
    const extra = await requireSense(queries, care, body, on, clock.now(), find);
    const record = recordOf(body);
    await insertEntry(queries, { ...record, data: { ...record.data, ...extra }, id, on, at: clock.now() });
    if ('residentId' in body && HEADS.has(body.kind)) {
      await requireCensus(queries, { id: body.residentId }, clock.today());
    }
    return { entry: await requireEntry(queries, id) };
  };

  const undo = async (queries: Queries, care: CareBook, id: string): Promise<Entry> => {
    const entry = await requireEntry(queries, id);
    if (entry.undoneAt === null) {
      await requireUndoable(queries, entry);
      for (const each of await markUndone(queries, entry.id, clock.now())) {
        await requireHomeStillFree(queries, care, each);
        if (each.residentId !== null && HEADS.has(each.kind)) await requireHeadsStill(queries, each, clock.today());
      }
    }
    return requireEntry(queries, id);
  };

  return {
    addEntry: ({ body }) =>
      database.transaction(async (queries) => add(queries, await careOf(queries), body, (id) => findEver(queries, id))),

    addEntries: ({ body }) =>
      database.transaction(async (queries) => {
        const care = await careOf(queries);
        const entries: Entry[] = [];
        let already: Entry | undefined;
        const skipped = new Set<string>();
        // All are looked up at once, and again only those that an entry has changed.
        const ids = [...new Set(body.entries.flatMap((each) => ('residentId' in each ? each.residentId : [])))];
        const known = new Map((await findAllEver(queries, ids)).map((each) => [each.id, each]));
        for (const [index, each] of body.entries.entries()) {
          // What came of a meal that another keeper had logged is for that keeper to say.
          if ('answers' in each && skipped.has(each.answers ?? '')) continue;
          const added = await naming(index, () => add(queries, care, each, async (id) => known.get(id)));
          if (added.already) {
            already = added.already;
            skipped.add(`meal ${each.id}`);
          }
          entries.push(added.entry);
          if (!('residentId' in each) || !CHANGES.has(each.kind)) continue;
          const after = await findEver(queries, each.residentId);
          if (after) known.set(after.id, after);
        }
        return { entries, ...(already && { already }) };
      }),

    undoEntry: ({ params }) =>
      database.transaction(async (queries) => ({ entry: await undo(queries, await careOf(queries), params.id) })),

    undoEntries: ({ body }) =>
      database.transaction(async (queries) => {
        const care = await careOf(queries);
        // The last written first, as one goes back.
        for (const id of [...body.ids].reverse()) await undo(queries, care, id);
        return { undone: body.ids.length };
      }),

    addResidentPhoto: ({ params, body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        const known = await findEntry(queries, id);
        if (known) return { entry: known };
        const resident = await findEver(queries, params.id);
        if (!resident) throw notFound('resident with that id');
        const on = dayOf(clock, body.on);
        requireAfterArrival(resident, on);
        const { keeper = null, note = null } = body;
        const photo = { id, kind: 'photo' as const, residentId: resident.id, homeId: null, on, at: clock.now() };
        await insertEntry(queries, { ...photo, keeper, note, data: {} });
        await writeEntryPhoto(queries, id, body.jpegBase64);
        return { entry: await requireEntry(queries, id) };
      }),
  };
}

interface Added {
  entry: Entry;
  /** Set when it had been answered before, and nothing was written. */
  already?: Entry;
}

/** The entry that answered the same job; it is noted there that somebody else logged it too. */
async function answeredBefore(queries: Queries, body: NewEntry): Promise<Entry | undefined> {
  if (!('answers' in body) || body.answers === undefined) return undefined;
  await holdResident(queries, body.residentId);
  const before = await findAnswer(queries, body.residentId, body.answers);
  if (before && body.keeper !== undefined && body.keeper !== before.keeper) {
    await noteAlso(queries, before.id, body.keeper);
    return requireEntry(queries, before.id);
  }
  return before;
}

const HEADS = new Set<Entry['kind']>(HEAD_KINDS);

/** Entries after which a resident is another one than before. */
const CHANGES = new Set<Entry['kind']>([...HEADS, 'moved', 'sexed']);

/** Says of which entry of many a refusal speaks. */
async function naming<Result>(index: number, work: () => Promise<Result>): Promise<Result> {
  const under = ({ path, message }: { path: string; message: string }) => ({
    path: `entries.${index}.${path}`,
    message,
  });
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.fields.map(under));
    if (error instanceof Problem) throw new Problem(error.code, error.message, error.fields?.map(under));
    throw error;
  }
}

async function requireEntry(queries: Queries, id: string): Promise<Entry> {
  const entry = await findEntry(queries, id);
  if (!entry) throw notFound('entry with that id');
  return entry;
}

const COMMON = new Set(['id', 'kind', 'on', 'keeper', 'note', 'residentId', 'homeId', 'insist']);

/** Splits an entry into what every kind has and the data of its own kind. */
function recordOf(body: NewEntry): Omit<Entry, 'id' | 'on' | 'at' | 'undoneAt'> {
  const own = Object.entries(body).filter(([name, value]) => !COMMON.has(name) && value !== undefined);
  return {
    kind: body.kind,
    residentId: 'residentId' in body ? body.residentId : null,
    homeId: 'homeId' in body ? body.homeId : null,
    keeper: body.keeper ?? null,
    note: body.note ?? null,
    data: Object.fromEntries(own),
  };
}

/** The first depth of a home, written when it was made, has nothing before it to go back to. */
async function requireUndoable(queries: Queries, entry: Entry): Promise<void> {
  if (entry.kind !== 'soil-set' || entry.homeId === null) return;
  const standing = await countStanding(queries, entry.homeId, 'soil-set');
  if (standing < 2) throw new Problem('conflict', 'This is the only depth written for that home; set another instead.');
}

/** Those that bring an animal back into a home when they are undone. */
const BRINGS_BACK = new Set<Entry['kind']>(['moved', 'died', 'passed-on', 'joined-into']);

/** Taking a move or a leaving back sends the animal to its old home: somebody else may live there by now. */
async function requireHomeStillFree(queries: Queries, care: CareBook, entry: Entry): Promise<void> {
  if (!BRINGS_BACK.has(entry.kind) || entry.residentId === null) return;
  const resident = await findResident(queries, entry.residentId);
  if (resident) await requireRoomFor(queries, care, resident.homeId, 'id', resident);
}

/** @throws Problem when, without the entry, more would have left than there were. */
async function requireHeadsStill(queries: Queries, entry: Entry, today: string): Promise<void> {
  try {
    await requireCensus(queries, { id: entry.residentId ?? '' }, today);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const why = error.fields.map(({ message }) => message).join(' ');
    throw new Problem('conflict', `Without this entry the count would not hold: ${why} Undo what came after it first.`);
  }
}
