import { findByName } from '@/core/profiles/knownNames';
import { dangersOf, together, type Dangers, type HazardBook } from '@/core/profiles/hazards';
import type { CareBook } from '@/core/profiles/careBook';
import type { Species } from '@/contract/species';
import { useHouse } from './house';

interface Who {
  scientificName: string;
  profile: string;
}

export const dangersIn = (hazards: HazardBook, species: readonly Species[], care: CareBook, who: Who): Dangers =>
  dangersOf(hazards, care.kindOf(who.profile), findByName(species, who.scientificName));

/** The dangers of animals by their names, or by their kinds where nobody knows the name. */
export function useDangers(...whom: readonly Who[]): Dangers {
  const hazards = useHouse((house) => house.hazards);
  const species = useHouse((house) => house.species);
  const care = useHouse((house) => house.care);
  return together(whom.map((who) => dangersIn(hazards, species, care, who)));
}
