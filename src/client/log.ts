import { v4 as newId } from 'uuid';
import { create } from 'zustand';
import type { z } from 'zod';
import type { Entry, newEntry } from '@/contract/entries';
import type { JobKind } from '@/core/plan/work';
import { call, CallFailed } from './api';
import { problemOf, useHouse } from './house';
import { keeperField } from './preferences';

export type NewEntry = z.input<typeof newEntry>;
type NamedEntry = NewEntry & { id: string };

/** What was just written and can be taken back, or what went wrong. */
interface Notice {
  text: string;
  isProblem?: boolean;
  /** What can be done about it: taken back, or sent again. */
  action?: { title: string; run: () => Promise<unknown> };
}

/** That what was written can be taken back, all at once. */
export const undoing = (...ids: string[]): Pick<Notice, 'action'> => ({
  action: { title: 'Undo', run: () => useLog.getState().undoMany(ids) },
});

/** A job answered while the server was away. */
export interface Unsent {
  residentId: string;
  kind: JobKind;
  entries: NamedEntry[];
  text: string;
}

interface Log {
  notice: Notice | null;
  /** Jobs whose answer has not reached the server, and those that are on their way. */
  unsent: Unsent[];
  sending: Unsent[];
  show: (notice: Notice | null) => void;
  /** Writes an entry, tells so in `text`, and brings the house up to date. Answers false when it was refused. */
  write: (entry: NewEntry, text: string) => Promise<boolean>;
  /** Writes many entries as one act: all or none. */
  writeMany: (entries: NewEntry[], text: string) => Promise<boolean>;
  /** Answers a job of the round: it is shown as done at once, and as open again when the server refuses. */
  answer: (residentId: string, kind: JobKind, entries: NewEntry[], text: string) => Promise<void>;
  resend: (unsent: Unsent) => Promise<void>;
  undo: (entryId: string) => Promise<void>;
  undoMany: (entryIds: string[]) => Promise<void>;
}

export const useLog = create<Log>()((set, get) => ({
  notice: null,
  unsent: [],
  sending: [],
  show: (notice) => set({ notice }),
  write: async (entry, text) => {
    // The phone names the entry: sent again after a lost answer, it is still written once.
    const id = entry.id ?? newId();
    try {
      const { already } = await call('addEntry', { body: { ...keeperField(), ...entry, id } });
      set({ notice: already ? alreadyNotice(already) : { text, ...undoing(id) } });
      await useHouse.getState().load();
      return true;
    } catch (error) {
      set({ notice: { text: problemOf(error), isProblem: true } });
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
  answer: (residentId, kind, entries, text) => get().resend({ residentId, kind, entries: entries.map(withId), text }),
  resend: async (unsent) => {
    const { residentId, kind, entries, text } = unsent;
    const house = useHouse.getState();
    house.markJob(residentId, kind, entries[0]?.id);
    const others = get().unsent.filter((each) => each.residentId !== residentId || each.kind !== kind);
    const arrived = () => set({ sending: get().sending.filter((each) => each !== unsent) });
    set({
      unsent: others,
      sending: [...get().sending, unsent],
      notice: { text, ...undoing(...entries.map(({ id }) => id)) },
    });
    try {
      const { already } = await call('addEntries', { body: { entries } });
      arrived();
      if (already) set({ notice: alreadyNotice(already) });
      await house.load();
    } catch (error) {
      arrived();
      if (error instanceof CallFailed && error.isAway) {
        const why = 'Not saved yet: the server does not answer.';
        set({
          unsent: [...get().unsent, unsent],
          notice: { text: why, isProblem: true, action: { title: 'Try again', run: () => get().resend(unsent) } },
        });
        return;
      }
      house.markJob(residentId, kind, undefined);
      set({ notice: { text: problemOf(error), isProblem: true } });
    }
  },
  undo: (entryId) => takingBack(set, () => call('undoEntry', { params: { id: entryId } })),
  undoMany: (ids) => takingBack(set, () => call('undoEntries', { body: { ids } })),
}));

const withId = (entry: NewEntry): NamedEntry => ({ ...keeperField(), ...entry, id: entry.id ?? newId() });

/** Somebody else had logged the same: nothing was written twice. */
function alreadyNotice({ keeper }: Entry): Notice {
  return { text: `${keeper ?? 'Somebody'} had logged this already. It is written once.` };
}

async function takingBack(set: (change: Pick<Log, 'notice'>) => void, work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
    set({ notice: { text: 'Taken back.' } });
    await useHouse.getState().load();
  } catch (error) {
    set({ notice: { text: problemOf(error), isProblem: true } });
  }
}
