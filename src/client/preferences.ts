import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { LengthUnit } from '@/core/measure/length';

export type TemperatureUnit = 'C' | 'F';

interface Preferences {
  look: 'day' | 'night';
  lengthUnit: LengthUnit;
  temperatureUnit: TemperatureUnit;
  /** Whose phone this is; written beside every entry. */
  keeper: string;
  /** Who is signed in here; null in a house where nobody signs in. */
  personId: string | null;
  /** Which part of the house is walked: `all`, `mine`, or a room by its id. */
  walk: string;
  /** Tips that were used on this device: they are not shown again. */
  tipsUsed: string[];
  set: (change: Partial<Omit<Preferences, 'set'>>) => void;
}

/** What belongs to this phone and not to the house; kept in the browser. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      look: 'day',
      lengthUnit: 'mm',
      temperatureUnit: 'C',
      keeper: '',
      personId: null,
      walk: 'all',
      tipsUsed: [],
      set,
    }),
    {
      name: 'verdant-burrow-preferences',
      partialize: ({ set: _set, ...kept }) => kept,
    },
  ),
);

// Another tab of this device has changed them: this one follows.
if (typeof window !== 'undefined') {
  window.addEventListener('storage', ({ key }) => {
    if (key === usePreferences.persist.getOptions().name) void usePreferences.persist.rehydrate();
  });
}

/** The keeper as an entry carries it: left out while nobody has said who they are. */
export function keeperField(): { keeper?: string } {
  const keeper = usePreferences.getState().keeper.trim();
  return keeper ? { keeper } : {};
}
