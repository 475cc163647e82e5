import { create } from 'zustand';
import type { GoneResident, TakenBack } from '@/contract/records';
import { call } from './api';

interface Gone {
  /** Those that are here no longer, once they were asked for. */
  gone: GoneResident[];
  /** Those whose taking in was taken back. */
  takenBack: TakenBack[];
  load: () => Promise<void>;
}

/** The dead, the passed on and the joined: asked for only where somebody looks for them. */
export const useGone = create<Gone>()((set) => ({
  gone: [],
  takenBack: [],
  load: async () => {
    const { residents, takenBack } = await call('goneResidents', {});
    set({ gone: residents, takenBack });
  },
}));
