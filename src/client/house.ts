import { create } from 'zustand';
import type { Home, Resident, Shelf } from '@/contract/records';
import type { Round } from '@/contract/round';
import { call, CallFailed } from './api';

interface House {
  shelves: Shelf[];
  homes: Home[];
  residents: Resident[];
  round: Round | null;
  /** `empty` before the first answer, `ready` from then on. */
  state: 'empty' | 'ready';
  problem: string | null;
  /** Fetches everything that stands on the shelves, and today's round. */
  load: () => Promise<void>;
}

/** The house as the server last described it. */
export const useHouse = create<House>()((set) => ({
  shelves: [],
  homes: [],
  residents: [],
  round: null,
  state: 'empty',
  problem: null,
  load: async () => {
    try {
      const [{ shelves }, { homes }, { residents }, round] = await Promise.all([
        call('shelves', {}),
        call('homes', {}),
        call('residents', {}),
        call('round', { query: {} }),
      ]);
      set({ shelves, homes, residents, round, state: 'ready', problem: null });
    } catch (error) {
      set({ problem: problemOf(error) });
    }
  },
}));

/** What went wrong, in words that can be shown. */
export function problemOf(error: unknown): string {
  if (error instanceof CallFailed) return [error.message, ...error.fields.map((field) => field.message)].join(' ');
  return 'Something went wrong in this page. Load it again.';
}
