import { useHouse } from '@/client/house';
import type { Home, Resident } from '@/contract/records';

/** A resident with its home, by its id; undefined while it is not known. */
export function useResidentOf(): (id: string) => { resident: Resident; home: Home } | undefined {
  const residents = useHouse((house) => house.residents);
  const homes = useHouse((house) => house.homes);
  return (id) => {
    const resident = residents.find((each) => each.id === id);
    const home = homes.find((each) => each.id === resident?.homeId);
    return resident && home ? { resident, home } : undefined;
  };
}
