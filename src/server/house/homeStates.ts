import type { Home, Resident } from '@/contract/records';
import type { ColonyState } from '@/core/house/colonyState';
import { homeState, type StateOfHome } from '@/core/house/homeState';
import type { CareBook } from '@/core/profiles/careBook';
import { airSchool } from '@/core/profiles/schools';
import { groupBy } from '../groupBy';
import type { WaterOfHome } from './houseToday';

interface Scene {
  on: string;
  care: CareBook;
  homes: readonly Home[];
  /** As they count with those they live with. */
  residents: readonly Resident[];
  colonies: ReadonlyMap<string, ColonyState>;
  waters: ReadonlyMap<string, WaterOfHome>;
}

/** How each home stands for all who live in it. */
export function statesOfHomes({ on, care, homes, residents, colonies, waters }: Scene): Map<string, StateOfHome> {
  const tenantsOf = groupBy(residents, ({ homeId }) => homeId);
  return new Map(
    homes.map((home) => {
      const water = waters.get(home.id);
      const tenants = (tenantsOf.get(home.id) ?? []).map((resident) => {
        const profile = care.of(resident);
        const { id, stage, legSpanMm, bodyLengthMm, carapaceWidthMm, headCount, headsTogether, isGuest } = resident;
        const label = resident.called ?? resident.scientificName;
        const isEggs = resident.form === 'eggs';
        return {
          ...{ id, profile, stage, legSpanMm, bodyLengthMm, carapaceWidthMm, headCount, headsTogether, isGuest },
          school: airSchool(profile, resident.schools),
          lodger: { label, scientificName: resident.scientificName, profile, headCount, isEggs },
          fullPct: colonies.get(id)?.fullPct ?? null,
        };
      });
      const { air = null, now: watering = null, alarms = [] } = water ?? {};
      return [home.id, homeState({ home, today: on, tenants, air, watering, alarms })];
    }),
  );
}
