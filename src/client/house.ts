import { create } from 'zustand';
import type { Home, Resident, Shelf } from '@/contract/records';
import type { Round } from '@/contract/round';
import type { Species } from '@/contract/species';
import { careBook, type CareBook } from '@/core/profiles/careBook';
import { call, CallFailed } from './api';

interface House {
  shelves: Shelf[];
  homes: Home[];
  residents: Resident[];
  round: Round | null;
  /** How everybody is kept, and which profiles are the keepers' own. */
  care: CareBook;
  ownProfiles: string[];
  species: Species[];
  /** `empty` before the first answer, `ready` from then on. */
  state: 'empty' | 'ready';
  problem: string | null;
  /** Fetches everything that stands on the shelves, and today's round. */
  load: () => Promise<void>;
  /** As `load`, with the profiles, which seldom change. */
  loadCare: () => Promise<void>;
}

/** The house as the server last described it. */
export const useHouse = create<House>()((set, get) => ({
  shelves: [],
  homes: [],
  residents: [],
  round: null,
  care: careBook([], []),
  ownProfiles: [],
  species: [],
  state: 'empty',
  problem: null,
  load: async () => {
    try {
      const knowsCare = get().care.profiles.length > 0;
      const [{ shelves }, { homes }, { residents }, round, care] = await Promise.all([
        call('shelves', {}),
        call('homes', {}),
        call('residents', {}),
        call('round', { query: {} }),
        knowsCare ? undefined : fetchCare(),
      ]);
      set({ shelves, homes, residents, round, ...care, state: 'ready', problem: null });
    } catch (error) {
      set({ problem: problemOf(error) });
    }
  },
  loadCare: async () => {
    try {
      set(await fetchCare());
      await get().load();
    } catch (error) {
      set({ problem: problemOf(error) });
    }
  },
}));

async function fetchCare(): Promise<Pick<House, 'care' | 'ownProfiles' | 'species'>> {
  const [{ profiles, own }, { species }] = await Promise.all([call('profiles', {}), call('species', {})]);
  return { care: careBook(profiles, species), ownProfiles: own, species };
}

/** What went wrong, in words that can be shown. */
export function problemOf(error: unknown): string {
  if (error instanceof CallFailed) return [error.message, ...error.fields.map((field) => field.message)].join(' ');
  return 'Something went wrong in this page. Load it again.';
}
