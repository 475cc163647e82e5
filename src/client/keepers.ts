import { create } from 'zustand';
import type { Keeper } from '@/contract/keepers';
import { call } from './api';
import { problemOf } from './house';
import { useLog } from './log';

interface Keepers {
  /** Null before the first answer. */
  keepers: Keeper[] | null;
  load: () => Promise<void>;
  /** Does something to a keeper and fetches all anew; answers what came of it, or null where it was refused. */
  change: <Result>(work: () => Promise<Result>) => Promise<Result | null>;
}

/** Who keeps this house. */
export const useKeepers = create<Keepers>()((set, get) => ({
  keepers: null,
  load: async () => {
    try {
      set({ keepers: (await call('keepers', {})).keepers });
    } catch {
      // The walk goes on without: only which rooms a keeper walks is not known.
      set({ keepers: get().keepers ?? [] });
    }
  },
  change: async (work) => {
    try {
      const result = await work();
      await get().load();
      return result;
    } catch (error) {
      useLog.getState().show({ text: problemOf(error), isProblem: true });
      return null;
    }
  },
}));
