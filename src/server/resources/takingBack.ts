import type { Entry } from '@/contract/storedEntries';
import type { CareBook } from '@/core/profiles/careBook';
import { Refusal } from '@/core/refusal';
import { restingWords } from '@/words/resting';
import { careOf } from '../care';
import { HEADS, requireEntry } from '../entryWriter';
import { inParts, pauses } from '../house/inTurn';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import { sqlState, UNIQUE_VIOLATION, type Queries } from '../storage/database';
import { countStanding, markUndone, standingWith } from '../storage/entries';
import { markStanding, restingOn, undoneOf, undoneWith } from '../storage/mending';
import { isKnown } from '../storage/residents';
import type { Deps } from './deps';
import { requireHomeStillFree } from '../validation/occupancy';
import { requireCensus } from '../validation/entry';

type Names = 'undoEntry' | 'undoEntries' | 'restoreEntry' | 'takenBackEntries';

/** So many that were taken back are shown; whoever takes back more has no use for a list. */
const SHOWN = 100;

export function takingBackHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const undo = async (queries: Queries, care: CareBook, id: string, along: boolean): Promise<Entry> => {
    const entry = await requireEntry(queries, id);
    if (entry.undoneAt === null) {
      await requireUndoable(queries, entry);
      if (!along) await requireNothingRests(queries, entry);
      const at = clock.now();
      const ids = await standingWith(queries, entry.id);
      await requireStill(queries, care, await marked(ids, (some) => markUndone(queries, some, at)));
    }
    return requireEntry(queries, id);
  };

  /** @throws Problem where those that were taken back, or brought back, leave an animal without a box or a count that does not hold */
  const requireStill = async (queries: Queries, care: CareBook, changed: readonly Entry[]) => {
    const pause = pauses();
    const counted = new Set<string>();
    for (const each of changed) {
      await requireHomeStillFree(queries, care, each, 'id');
      if (each.residentId !== null && HEADS.has(each.kind)) counted.add(each.residentId);
      await pause();
    }
    for (const residentId of counted) await requireHeadsStill(queries, residentId, clock.today());
  };

  return {
    undoEntry: ({ params, query }) =>
      database.transaction(async (queries) => ({
        entry: await undo(queries, await careOf(queries), params.id, query.along === 'yes'),
      })),

    undoEntries: ({ body }) =>
      database.transaction(async (queries) => {
        const care = await careOf(queries);
        // The last written first, as one goes back.
        for (const id of [...body.ids].reverse()) await undo(queries, care, id, body.along === true);
        return { undone: body.ids.length };
      }),

    restoreEntry: async ({ params }) => {
      try {
        return await database.transaction(async (queries) => {
          const entry = await requireEntry(queries, params.id);
          if (entry.undoneAt !== null) {
            const ids = await undoneWith(queries, entry);
            const standing = await marked(ids, (some) => markStanding(queries, some));
            await requireStill(queries, await careOf(queries), standing);
          }
          return { entry: await requireEntry(queries, params.id) };
        });
      } catch (error) {
        if (sqlState(error) !== UNIQUE_VIOLATION) throw error;
        throw new Problem('conflict', 'The job that it answered was answered again since. Take that back first.');
      }
    },

    takenBackEntries: async ({ params }) => {
      if (!(await isKnown(database, params.id))) throw notFound('resident with that id');
      return { entries: await undoneOf(database, params.id, SHOWN) };
    },
  };
}

/** Marks entries part by part: an act may have thousands. Answers those that were marked. */
async function marked(
  ids: readonly string[],
  mark: (some: readonly string[]) => Promise<Entry[]>,
): Promise<readonly Entry[]> {
  const entries: Entry[] = [];
  await inParts(ids, async (some) => {
    entries.push(...(await mark(some)));
  });
  return entries;
}

/** @throws Problem that says what else goes, where others rest on an entry. */
async function requireNothingRests(queries: Queries, entry: Entry): Promise<void> {
  const resting = await restingOn(queries, entry);
  if (resting.size === 0) return;
  throw new Problem('conflict', `With it goes what rests on it: ${restingWords(resting)}.`, [
    { path: 'along', message: 'Send along=yes to take all of it back. It can be brought back as one.' },
  ]);
}

/** The first depth of a home, written when it was made, has nothing before it to go back to. */
async function requireUndoable(queries: Queries, entry: Entry): Promise<void> {
  if (entry.kind !== 'soil-set' || entry.homeId === null) return;
  const standing = await countStanding(queries, entry.homeId, 'soil-set');
  if (standing < 2) throw new Problem('conflict', 'This is the only depth written for that home; set another instead.');
}

/** @throws Problem when, with what was taken back or brought back, more would have left than there were. */
async function requireHeadsStill(queries: Queries, residentId: string, today: string): Promise<void> {
  try {
    await requireCensus(queries, { id: residentId }, today);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const why = error.fields.map(({ message }) => message).join(' ');
    throw new Problem('conflict', `Without this entry the count would not hold: ${why} Undo what came after it first.`);
  }
}
