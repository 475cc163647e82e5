import { create } from 'zustand';
import type { GoneResident } from '@/contract/records';
import { call } from './api';

interface Gone {
  /** Those that are here no longer, once they were asked for. */
  gone: GoneResident[];
  load: () => Promise<void>;
}

/** The dead, the passed on and the joined: asked for only where somebody looks for them. */
export const useGone = create<Gone>()((set) => ({
  gone: [],
  load: async () => {
    const { residents } = await call('goneResidents', {});
    set({ gone: residents });
  },
}));
