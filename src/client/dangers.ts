import { withoutAuthor } from '@/core/measure/nameParts';
import { dangersOf, type Dangers, type HazardBook } from '@/core/profiles/hazards';
import type { Species } from '@/contract/species';
import { useHouse } from './house';

interface Who {
  scientificName: string;
  profile: string;
}

/** What is known of a species by the name in use or an old one. */
export const speciesNamed = (species: readonly Species[], scientificName: string): Species | undefined => {
  const name = withoutAuthor(scientificName);
  return species.find((each) => each.name === name) ?? species.find((each) => each.synonyms?.includes(name));
};

export const dangersIn = (hazards: HazardBook, species: readonly Species[], who: Who): Dangers =>
  dangersOf(hazards, who.profile, speciesNamed(species, who.scientificName));

/** The dangers of an animal by its name, or by its kind where nobody knows the name. */
export function useDangers(who: Who): Dangers {
  const hazards = useHouse((house) => house.hazards);
  const species = useHouse((house) => house.species);
  return dangersIn(hazards, species, who);
}
