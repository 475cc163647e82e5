import { randomUUID } from 'node:crypto';
import type { Entry } from '@/contract/storedEntries';
import type { CareBook } from '@/core/profiles/careBook';
import { Refusal } from '@/core/refusal';
import { careOf } from '../care';
import { entryWriter, HEADS, requireEntry } from '../entryWriter';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import { replayed } from '../replay';
import type { Queries } from '../storage/database';
import { countStanding, findEntry, insertEntry, markUndone, writeEntryPhoto } from '../storage/entries';
import { findEver, findResident } from '../storage/residents';
import { dayOf, type Deps } from './deps';
import { requireRoomFor } from './occupancy';
import { requireCensus, requireInItsLife } from './sense';

type Names = 'addEntry' | 'addEntries' | 'replayEntries' | 'undoEntry' | 'undoEntries' | 'addResidentPhoto';

export function entryHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const writer = entryWriter(clock);

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
      database.transaction(async (queries) =>
        writer.add(queries, await careOf(queries), body, (id) => findEver(queries, id)),
      ),

    addEntries: ({ body }) => database.transaction((queries) => writer.addMany(queries, body.entries)),

    replayEntries: async ({ body }) => ({ results: await replayed(database, clock, writer, body) }),

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
        requireInItsLife(resident, on);
        const { keeper = null, note = null } = body;
        const photo = { id, kind: 'photo' as const, residentId: resident.id, homeId: null, on, at: clock.now() };
        await insertEntry(queries, { ...photo, keeper, note, data: {} });
        await writeEntryPhoto(queries, id, body.jpegBase64);
        return { entry: await requireEntry(queries, id) };
      }),
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
