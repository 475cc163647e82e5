import { v4 as newId } from 'uuid';
import { create } from 'zustand';
import type { z } from 'zod';
import type { newEntry } from '@/contract/records';
import { call } from './api';
import { problemOf, useHouse } from './house';
import { keeperField } from './preferences';

type NewEntry = z.input<typeof newEntry>;

/** What was just written and can be taken back, or what went wrong. */
interface Notice {
  text: string;
  undoEntryId?: string;
  /** Of many that were written as one. */
  undoEntryIds?: string[];
  isProblem?: boolean;
}

interface Log {
  notice: Notice | null;
  show: (notice: Notice | null) => void;
  /** Writes an entry, tells so in `text`, and brings the house up to date. Answers false when it was refused. */
  write: (entry: NewEntry, text: string) => Promise<boolean>;
  /** Writes many entries as one act: all or none. */
  writeMany: (entries: NewEntry[], text: string) => Promise<boolean>;
  undo: (entryId: string) => Promise<void>;
  undoMany: (entryIds: string[]) => Promise<void>;
}

export const useLog = create<Log>()((set) => ({
  notice: null,
  show: (notice) => set({ notice }),
  write: async (entry, text) => {
    // The phone names the entry: sent again after a lost answer, it is still written once.
    const id = entry.id ?? newId();
    try {
      await call('addEntry', { body: { ...keeperField(), ...entry, id } });
      set({ notice: { text, undoEntryId: id } });
      await useHouse.getState().load();
      return true;
    } catch (error) {
      set({ notice: { text: problemOf(error), isProblem: true } });
      return false;
    }
  },
  writeMany: async (entries, text) => {
    const named = entries.map((entry) => ({ ...keeperField(), ...entry, id: entry.id ?? newId() }));
    try {
      await call('addEntries', { body: { entries: named } });
      set({ notice: { text, undoEntryIds: named.map(({ id }) => id) } });
      await useHouse.getState().load();
      return true;
    } catch (error) {
      set({ notice: { text: problemOf(error), isProblem: true } });
      return false;
    }
  },
  undo: (entryId) => takingBack(set, () => call('undoEntry', { params: { id: entryId } })),
  undoMany: (ids) => takingBack(set, () => call('undoEntries', { body: { ids } })),
}));

async function takingBack(set: (change: Pick<Log, 'notice'>) => void, work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
    set({ notice: { text: 'Taken back.' } });
    await useHouse.getState().load();
  } catch (error) {
    set({ notice: { text: problemOf(error), isProblem: true } });
  }
}
