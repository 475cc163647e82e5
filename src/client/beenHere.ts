import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Day } from '@/core/measure/day';

interface BeenHere {
  day: Day;
  homeIds: string[];
  /** Notes that its keeper stood before a box on a day; another day's walk begins anew. */
  note: (homeId: string, day: Day) => void;
}

/** The boxes that were scanned on today's walk, on this phone. */
export const useBeenHere = create<BeenHere>()(
  persist(
    (set) => ({
      day: '',
      homeIds: [],
      note: (homeId, day) =>
        set((before) => ({ day, homeIds: [...new Set([...(before.day === day ? before.homeIds : []), homeId])] })),
    }),
    { name: 'verdant-burrow-been-here', partialize: ({ day, homeIds }) => ({ day, homeIds }) },
  ),
);

/** The boxes that were scanned on a day. */
export const beenOn = ({ day, homeIds }: Pick<BeenHere, 'day' | 'homeIds'>, today: Day): string[] =>
  day === today ? homeIds : [];
