import { v4 as newId } from 'uuid';
import { create } from 'zustand';
import type { Entry } from '@/contract/storedEntries';
import type { Day } from '@/core/measure/day';
import type { JobKind } from '@/core/plan/jobs';
import type { SkipReason } from '@/core/plan/work';
import { call, CallFailed } from './api';
import { markOf, problemOf, useHouse } from './house';
import { keeperField, usePreferences } from './preferences';
import { isMine, useQueue, type Act, type NamedEntry, type NewEntry } from './queue';

export type { NewEntry } from './queue';

/** What was just written and can be taken back, or what went wrong. */
interface Notice {
  text: string;
  isProblem?: boolean;
  /** It is shown until something is done about it. */
  stays?: boolean;
  /** What can be done about it: taken back, or sent again. */
  action?: { title: string; run: () => Promise<unknown> };
}

/** That what was written can be taken back, all at once. */
export const undoing = (...ids: string[]): Pick<Notice, 'action'> => ({
  action: { title: 'Undo', run: () => useLog.getState().undoMany(ids) },
});

interface Log {
  notice: Notice | null;
  /** Answers that are on their way. */
  sending: Act[];
  show: (notice: Notice | null) => void;
  /**
   * Writes an entry, tells so in `text`, and brings the house up to date. Answers false when it was refused: that is told by a
   * notice, or handed to `place`, which tells it at the fields of a form.
   */
  write: (entry: NewEntry, text: string, place?: (error: unknown) => void) => Promise<boolean>;
  /** Writes many entries as one act: all or none. */
  writeMany: (entries: NewEntry[], text: string) => Promise<boolean>;
  /** Answers a job of the round: it is shown as done at once, and as open again when the server refuses. */
  answer: (residentId: string, kind: JobKind, entries: NewEntry[], text: string) => Promise<void>;
  /** Puts a job of the round off, with the reason. */
  putOff: (residentId: string, kind: JobKind, until: Day, why: SkipReason, text: string) => Promise<void>;
  undo: (entryId: string) => Promise<void>;
  undoMany: (entryIds: string[]) => Promise<void>;
  /** Brings back what was taken back. */
  restore: (entryId: string) => Promise<void>;
}

export const useLog = create<Log>()((set, get) => ({
  notice: null,
  sending: [],
  show: (notice) => set({ notice }),
  write: async (entry, text, place) => {
    // The phone names the entry: sent again after a lost answer, it is still written once.
    const id = entry.id ?? newId();
    try {
      const { already } = await call('addEntry', { body: { ...keeperField(), ...entry, id } });
      set({ notice: already ? alreadyNotice(already) : { text, ...undoing(id) } });
      await useHouse.getState().load();
      return true;
    } catch (error) {
      const mayInsist = error instanceof CallFailed && error.fields.some(({ path }) => path === 'insist');
      if (place && !mayInsist) {
        place(error);
        return false;
      }
      const again = () => get().write({ ...entry, id, insist: true } as NewEntry, text);
      const action = mayInsist ? { action: { title: 'Write it all the same', run: again } } : {};
      set({ notice: { text: mayInsist ? error.message : problemOf(error), isProblem: true, ...action } });
      return false;
    }
  },
  writeMany: async (entries, text) => {
    const named = entries.map(withId);
    try {
      const { already } = await call('addEntries', { body: { entries: named } });
      set({ notice: already ? alreadyNotice(already) : { text, ...undoing(...named.map(({ id }) => id)) } });
      await useHouse.getState().load();
      return true;
    } catch (error) {
      set({ notice: { text: problemOf(error), isProblem: true } });
      return false;
    }
  },
  answer: (residentId, kind, entries, text) => sendOrKeep(set, get, actOf(residentId, kind, entries, text)),
  putOff: (residentId, kind, until, why, text) => {
    const entry: NewEntry = { kind: 'skipped', residentId, job: kind, until, why };
    return sendOrKeep(set, get, { ...actOf(residentId, kind, [entry], text), skip: { until, why } });
  },
  undo: (entryId) =>
    takingBack(set, [entryId], (along) =>
      call('undoEntry', { params: { id: entryId }, query: along ? { along: 'yes' } : {} }),
    ),
  undoMany: (ids) => takingBack(set, ids, (along) => call('undoEntries', { body: { ids, along } })),
  restore: async (entryId) => {
    try {
      await call('restoreEntry', { params: { id: entryId } });
      set({ notice: { text: 'Brought back.' } });
      await useHouse.getState().load();
    } catch (error) {
      set({ notice: { text: problemOf(error), isProblem: true } });
    }
  },
}));

const withId = (entry: NewEntry): NamedEntry => ({ ...keeperField(), ...entry, id: entry.id ?? newId() });

/** Somebody else had logged the same: nothing was written twice. */
function alreadyNotice({ keeper }: Entry): Notice {
  return { text: `${keeper ?? 'Somebody'} had logged this already. It is written once.` };
}

const actOf = (residentId: string, kind: JobKind, entries: NewEntry[], text: string): Act => ({
  ...{ id: newId(), residentId, kind, entries: entries.map(withId), text },
  madeAt: new Date().toISOString(),
  heardOn: useHouse.getState().round?.on ?? '',
  personId: usePreferences.getState().personId,
});

type Set = (change: Partial<Pick<Log, 'notice' | 'sending'>>) => void;

/** Shows an answer at once and sends it; while the server is away, or older answers wait, it is kept behind them. */
async function sendOrKeep(set: Set, get: () => Log, act: Act): Promise<void> {
  const { residentId, kind, entries, text } = act;
  const house = useHouse.getState();
  const queue = useQueue.getState();
  house.markJob(residentId, kind, markOf(act));
  const undo = undoing(...entries.map(({ id }) => id));
  if (queue.acts.some((each) => isMine(each, act.personId))) {
    queue.add(act);
    set({ notice: { text: `${text} Kept on this phone.`, ...undo } });
    if (await queue.send()) await house.load();
    return;
  }
  set({ sending: [...get().sending, act], notice: { text, ...undo } });
  const arrived = () => set({ sending: get().sending.filter((each) => each !== act) });
  try {
    const { already } = await call('addEntries', { body: { entries } });
    arrived();
    if (already) set({ notice: alreadyNotice(already) });
    await house.load();
  } catch (error) {
    arrived();
    if (error instanceof CallFailed && error.isAway) {
      queue.add(act);
      set({ notice: { text: `${text} Kept on this phone until the server answers.`, ...undo } });
      return;
    }
    house.markJob(residentId, kind, {});
    set({ notice: { text: problemOf(error), isProblem: true } });
  }
}

/**
 * What was not sent yet is taken out of what is kept; the rest is undone by the server. Where others rest on it, it is said
 * which, and asked.
 */
async function takingBack(
  set: Set,
  ids: readonly string[],
  work: (along: boolean) => Promise<unknown>,
  along = false,
): Promise<void> {
  const kept = useQueue.getState().acts.find(({ entries }) => entries.some(({ id }) => ids.includes(id)));
  if (kept && (await useQueue.getState().drop(kept.entries[0]?.id ?? ''))) {
    useHouse.getState().markJob(kept.residentId, kept.kind, {});
    set({ notice: { text: 'Taken back.' } });
    return;
  }
  try {
    await work(along);
    set({ notice: { text: 'Taken back.' } });
    await useHouse.getState().load();
  } catch (error) {
    const mayGoAlong = error instanceof CallFailed && error.fields.some(({ path }) => path === 'along');
    const action = { title: 'Take all of it back', run: () => takingBack(set, ids, work, true) };
    const text = mayGoAlong ? error.message : problemOf(error);
    set({ notice: { text, isProblem: true, ...(mayGoAlong && { action }) } });
  }
}
