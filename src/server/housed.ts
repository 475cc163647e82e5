import type { Resident } from '@/contract/records';
import { together, type Housemate } from '@/core/housing/together';
import type { CareBook } from '@/core/profiles/careBook';
import { groupBy } from './groupBy';

/** Residents with what living together makes of each: heads of its kind in its home, and whether it is a guest there. */
export function housed<One extends Resident>(care: CareBook, residents: readonly One[]): One[] {
  const byHome = groupBy(residents, (resident) => resident.homeId);
  const mate = (resident: Resident): Housemate => ({
    profile: care.of(resident),
    headCount: resident.headCount,
    isEggs: resident.form === 'eggs',
  });
  return residents.map((resident) => {
    const others = (byHome.get(resident.homeId) ?? []).filter(({ id }) => id !== resident.id);
    if (others.length === 0) return resident;
    return { ...resident, ...together(mate(resident), others.map(mate)) };
  });
}
