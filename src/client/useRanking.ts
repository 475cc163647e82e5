import { useMemo } from 'react';
import type { Home, Resident } from '@/contract/records';
import type { RankedHome } from '@/core/housing/rank';
import { companyOf, rankFor } from './fitting';
import { useHouse } from './house';

interface Ranking {
  resident: Resident | undefined;
  present: Home | undefined;
  /** Its own home and those it may live in, free or with company it bears, best first. */
  ranking: RankedHome[];
}

/** A resident, its home, and every home it may live in. */
export function useRanking(residentId: string): Ranking {
  const { homes, residents, care } = useHouse();
  const resident = residents.find((each) => each.id === residentId);
  const ranking = useMemo(() => {
    if (!resident) return [];
    const open = homes.filter(
      (home) => home.id === resident.homeId || companyOf(care, resident, home, residents).verdict !== 'fail',
    );
    return rankFor(care, resident, open);
  }, [resident, homes, residents, care]);
  return { resident, present: homes.find((home) => home.id === resident?.homeId), ranking };
}
