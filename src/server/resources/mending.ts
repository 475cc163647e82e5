import type { NewEntry } from '@/contract/entries';
import { asHappened, fieldsOfKind, mendedEntry, type EntryChange, type MendedEntry } from '@/contract/mending';
import type { Entry } from '@/contract/storedEntries';
import { takenMeasure } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import { careOf } from '../care';
import { HEADS, recordOf, requireEntry } from '../entryWriter';
import type { Handlers } from '../http/mount';
import { invalid, invalidBy, Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import { firstDayOf, keepVersion, moveAnswers, rewriteEntry, setUndone, versionsOf } from '../storage/mending';
import { findEver, type Ever } from '../storage/residents';
import { dayOf, type Deps } from './deps';
import { requireHomeStillFree } from '../validation/occupancy';
import {
  asItLived,
  OF_THE_ANIMAL,
  requireAfterArrival,
  requireCensus,
  requireInItsLife,
  validateEntry,
} from '../validation/entry';

type Names = 'mendEntry' | 'entryVersions';

export function mendingHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    mendEntry: ({ params, body }) =>
      database.transaction(async (queries) => {
        const before = await requireEntry(queries, params.id);
        if (before.undoneAt !== null) {
          throw new Problem('conflict', 'This entry was taken back. Bring it back first, then put it right.');
        }
        const asked = askedOf(before, body);
        const on = dayOf(clock, asked.on);
        const arrived = asked.kind === 'taken-in' ? await requireEver(queries, before.residentId) : undefined;
        // Asked as if it had not been written: it is no second moult of its day.
        await setUndone(queries, before.id, clock.now());
        const care = await careOf(queries);
        const noted = arrived
          ? await requireArrival(queries, care, asked, arrived, on, clock.now())
          : await requireMended(queries, care, before, asked, on, clock.now());
        const mended = await keepVersion(queries, before, clock.now(), body.by ?? null);
        const record = recordOf(asked);
        const data = { ...lastingOf(before), ...record.data, ...noted, mended };
        const after = { ...before, ...record, on, data } as Entry;
        await rewriteEntry(queries, after);
        await settleOthers(queries, care, before, after, clock.today());
        return { entry: await requireEntry(queries, before.id) };
      }),

    entryVersions: async ({ params }) => {
      await requireEntry(database, params.id);
      return { versions: await versionsOf(database, params.id) };
    },
  };
}

/** The entry as it is to stand. @throws Problem for kinds that come of another act, and for fields that make none of its kind */
function askedOf(before: Entry, change: EntryChange): MendedEntry {
  const fields = fieldsOfKind(before.kind);
  if (!fields) {
    throw new Problem(
      'conflict',
      'This comes of another act and cannot be changed. Take it back, and do that act anew.',
    );
  }
  const { set = {}, by: _, ...given } = change;
  const { kind, residentId, homeId, on, keeper, note } = before;
  const data = Object.fromEntries(Object.entries(before.data).filter(([name]) => fields.has(name)));
  const isMoved = given.residentId !== undefined && given.residentId !== residentId;
  if (isMoved && !/^(meal|search) /.test(String(data['answers'] ?? ''))) delete data['answers'];
  const whole = { residentId, homeId, on, keeper, note, ...data, ...given, ...set };
  const told = Object.entries(whole).filter(([name, value]) => value !== null && (fields.has(name) || name in set));
  const parsed = mendedEntry.safeParse(asHappened({ ...Object.fromEntries(told), kind }));
  if (parsed.success) return parsed.data;
  throw invalidBy(parsed.error);
}

/** What goes with an entry however it is changed: that it was insisted on, and who else logged it. */
function lastingOf({ data }: Entry): object {
  const { alsoBy, inQuiet } = data as { alsoBy?: string; inQuiet?: 1 };
  return { ...(alsoBy !== undefined && { alsoBy }), ...(inQuiet && { inQuiet }) };
}

/** @throws Problem where what is asked cannot have happened. Answers what goes with it. */
async function requireMended(
  queries: Queries,
  care: CareBook,
  before: Entry,
  asked: MendedEntry,
  on: string,
  now: string,
): Promise<object> {
  const find = async (id: string) => asItLived(await findEver(queries, id), on);
  const isSamePlace =
    asked.kind === 'moved' && asked.residentId === before.residentId && asked.homeId === before.homeId;
  if (asked.kind === 'photo' || isSamePlace) {
    const resident = await requireEver(queries, asked.residentId);
    if (isSamePlace) requireAfterArrival(resident, on);
    else requireInItsLife(resident, on);
    return {};
  }
  return validateEntry(queries, care, asked as NewEntry, on, now, find);
}

/** @throws Problem for an arrival after something that was done with it here, after it left, or before it was born */
async function requireArrival(
  queries: Queries,
  care: CareBook,
  asked: MendedEntry,
  arrived: Ever,
  on: string,
  now: string,
): Promise<object> {
  const { kind: _, residentId, homeId: _home, ...measured } = asked as Extract<MendedEntry, { kind: 'taken-in' }>;
  if (residentId !== arrived.id) {
    throw invalid('residentId', 'Whose arrival it is stays: take it back, and take in the other.');
  }
  if (arrived.leftOn !== null && on > arrived.leftOn) {
    throw invalid('on', `Must not be after it left, on ${arrived.leftOn}; got ${on}.`);
  }
  if (arrived.bornOn !== null && on < arrived.bornOn) {
    throw invalid('on', `Must not be before it was born, on ${arrived.bornOn}; got ${on}.`);
  }
  const before = arrived.form === 'single' ? ([...OF_THE_ANIMAL, 'photo'] as const) : [];
  const first = await firstDayOf(queries, arrived.id, ['taken-in', ...before]);
  if (first && first.on < on) {
    throw invalid(
      'on',
      `Must not be after ${first.on}: of that day something is written that was done with it here. Got ${on}.`,
    );
  }
  takenMeasure(care.of({ ...arrived, stage: measured.stage }), measured);
  const sizes = { ...measured, kind: 'measured' as const, residentId, insist: true };
  await validateEntry(queries, care, sizes, on, now, async () => ({ ...arrived, takenInOn: on, leftOn: null }));
  return {};
}

/** What else an entry changes: of a meal what came of it, of heads the count, of a move who lives where. */
async function settleOthers(
  queries: Queries,
  care: CareBook,
  before: Entry,
  after: Entry,
  today: string,
): Promise<void> {
  const [from, to] = [before.residentId, after.residentId];
  if (from === null || to === null) return;
  if (from !== to && before.kind === 'offered') await moveAnswers(queries, before.id, from, to);
  if (HEADS.has(before.kind)) for (const id of new Set([from, to])) await requireCensus(queries, { id }, today);
  for (const entry of from === to ? [after] : [before, after]) {
    await requireHomeStillFree(queries, care, entry, 'homeId');
  }
}

async function requireEver(queries: Queries, id: string | null): Promise<Ever> {
  const resident = id === null ? undefined : await findEver(queries, id);
  if (!resident) throw invalid('residentId', 'There is no resident with that id. See /api/residents.');
  return resident;
}
