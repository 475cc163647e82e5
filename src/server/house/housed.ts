import type { Resident } from '@/contract/records';
import type { ColonyState } from '@/core/house/colonyState';
import { together, type Housemate } from '@/core/housing/together';
import type { CareBook } from '@/core/profiles/careBook';
import { groupBy } from '@/core/groupBy';

/**
 * Residents with what living together makes of each: heads of its kind in its home, and whether it is a guest there. Those that
 * are counted count as they stand today, grown on since.
 */
export function housed<One extends Resident>(
  care: CareBook,
  residents: readonly One[],
  colonies: ReadonlyMap<string, Pick<ColonyState, 'heads' | 'isCounted'>>,
): One[] {
  const headsOf = ({ id, headCount }: Resident) => {
    const colony = colonies.get(id);
    return colony?.isCounted === true ? Math.round(colony.heads) : headCount;
  };
  const byHome = groupBy(residents, (resident) => resident.homeId);
  const mate = (resident: Resident): Housemate => ({
    profile: care.of(resident),
    headCount: headsOf(resident),
    isEggs: resident.form === 'eggs',
  });
  return residents.map((resident) => {
    const others = (byHome.get(resident.homeId) ?? []).filter(({ id }) => id !== resident.id);
    if (others.length === 0 && headsOf(resident) === resident.headCount) return resident;
    return { ...resident, ...together(mate(resident), others.map(mate)) };
  });
}
