import { randomUUID } from 'node:crypto';
import type { Entry, NewEntry } from '@/contract/records';
import { requireStage } from '@/core/profiles/animal';
import { deepestMm, meanDepthMm } from '@/core/housing/soil';
import type { CareBook } from '@/core/profiles/careBook';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import { countStanding, findEntry, insertEntry, markUndone } from '../storage/entries';
import { findHome } from '../storage/homes';
import { findResident } from '../storage/residents';
import { dayOf, type Deps } from './deps';
import { requireDepthFits, requireRoomFor } from './occupancy';

export function entryHandlers({ database, clock }: Deps): Pick<Handlers, 'addEntry' | 'undoEntry'> {
  return {
    addEntry: ({ body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        // A phone that got no answer sends again: the first one counts.
        const known = await findEntry(queries, id);
        if (known) return { entry: known };
        const on = dayOf(clock, body.on);
        await requireSense(queries, await careOf(queries), body, on);
        await insertEntry(queries, { ...recordOf(body), id, on, at: clock.now() });
        return { entry: await requireEntry(queries, id) };
      }),

    undoEntry: ({ params }) =>
      database.transaction(async (queries) => {
        const entry = await requireEntry(queries, params.id);
        if (entry.undoneAt === null) {
          await requireUndoable(queries, entry);
          await markUndone(queries, entry.id, clock.now());
          await requireHomeStillFree(queries, await careOf(queries), entry);
        }
        return { entry: await requireEntry(queries, params.id) };
      }),
  };
}

async function requireEntry(queries: Queries, id: string): Promise<Entry> {
  const entry = await findEntry(queries, id);
  if (!entry) throw notFound('entry with that id');
  return entry;
}

/** Refuses what cannot have happened: nobody there, before it came, a stage it cannot have, a box that is taken. */
async function requireSense(queries: Queries, care: CareBook, body: NewEntry, on: string): Promise<void> {
  if (body.kind === 'soil-set') {
    const home = await findHome(queries, body.homeId);
    if (!home) throw invalid('homeId', 'There is no home with that id. See /api/homes.');
    requireDepthFits(home, body.soil ? deepestMm(body.soil) : body.substrateDepthMm);
    if (body.soil && Math.abs(meanDepthMm(body.soil) - body.substrateDepthMm) > 0.5) {
      const message = `Must be the mean depth of the soil, ${meanDepthMm(body.soil)} mm; got ${body.substrateDepthMm}.`;
      throw invalid('substrateDepthMm', message);
    }
    return;
  }
  const resident = await findResident(queries, body.residentId);
  if (!resident) throw invalid('residentId', 'There is no resident with that id. See /api/residents.');
  if (on < resident.takenInOn) {
    throw invalid('on', `Must not be before it was taken in, on ${resident.takenInOn}; got ${on}.`);
  }
  if (body.kind === 'moved') await requireRoomFor(queries, care, body.homeId, 'homeId', resident);
  if (body.kind === 'moulted' || body.kind === 'measured') {
    if (body.stage) requireStage(care.of(resident), body.stage);
    const seen = body.legSpanMm ?? body.bodyLengthMm ?? body.carapaceWidthMm ?? body.headCount ?? body.stage;
    if (body.kind === 'measured' && seen === undefined) {
      const { takes } = care.of(resident).measure;
      throw invalid(takes, 'Give what was measured or counted: a length in mm, headCount or the stage.');
    }
  }
}

const COMMON = new Set(['id', 'kind', 'on', 'keeper', 'note', 'residentId', 'homeId']);

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

/** Taking a move back sends the animal to its old home: somebody else may live there by now. */
async function requireHomeStillFree(queries: Queries, care: CareBook, entry: Entry): Promise<void> {
  if (entry.kind !== 'moved' || entry.residentId === null) return;
  const resident = await findResident(queries, entry.residentId);
  if (resident) await requireRoomFor(queries, care, resident.homeId, 'id', resident);
}
