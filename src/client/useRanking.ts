import { useMemo } from 'react';
import type { Home, Resident } from '@/contract/records';
import type { RankedHome } from '@/core/housing/rank';
import { boxesFor } from './boxes';
import { useHouse } from './house';

interface Ranking {
  resident: Resident | undefined;
  present: Home | undefined;
  /** Its own home and those that are put forward, best first. */
  ranking: RankedHome[];
  /** Those where it would live with others that it bears. */
  withOthers: RankedHome[];
}

/** A resident, its home, and every home it may live in. */
export function useRanking(residentId: string): Ranking {
  const { homes, residents, care } = useHouse();
  const resident = residents.find((each) => each.id === residentId);
  const boxes = useMemo(
    () => (resident ? boxesFor(care, resident, homes, residents) : { ranking: [], withOthers: [] }),
    [resident, homes, residents, care],
  );
  return { resident, present: homes.find((home) => home.id === resident?.homeId), ...boxes };
}
