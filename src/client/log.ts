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
  isProblem?: boolean;
}

interface Log {
  notice: Notice | null;
  show: (notice: Notice | null) => void;
  /** Writes an entry, tells so in `text`, and brings the house up to date. Answers false when it was refused. */
  write: (entry: NewEntry, text: string) => Promise<boolean>;
  undo: (entryId: string) => Promise<void>;
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
  undo: async (entryId) => {
    try {
      await call('undoEntry', { params: { id: entryId } });
      set({ notice: { text: 'Taken back.' } });
      await useHouse.getState().load();
    } catch (error) {
      set({ notice: { text: problemOf(error), isProblem: true } });
    }
  },
}));
