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
  set: (change: Partial<Pick<Preferences, 'look' | 'lengthUnit' | 'temperatureUnit' | 'keeper'>>) => void;
}

/** What belongs to this phone and not to the house; kept in the browser. */
export const usePreferences = create<Preferences>()(
  persist((set) => ({ look: 'day', lengthUnit: 'mm', temperatureUnit: 'C', keeper: '', set }), {
    name: 'verdant-burrow-preferences',
    partialize: ({ look, lengthUnit, temperatureUnit, keeper }) => ({ look, lengthUnit, temperatureUnit, keeper }),
  }),
);

/** The keeper as an entry carries it: left out while nobody has said who they are. */
export function keeperField(): { keeper?: string } {
  const keeper = usePreferences.getState().keeper.trim();
  return keeper ? { keeper } : {};
}
