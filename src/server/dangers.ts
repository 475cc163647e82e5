import { shippedHazards, shippedSpecies } from '@/contract/shipped';
import type { Species } from '@/contract/species';
import { withoutAuthor } from '@/core/measure/nameParts';
import { dangersOf, type Caution, type Dangers } from '@/core/profiles/hazards';

interface Who {
  scientificName: string;
  profile: string;
}

const speciesByName = new Map(
  shippedSpecies.flatMap((species) =>
    [species.name, ...(species.synonyms ?? [])].map((name) => [name, species] as const),
  ),
);

/** What is known of a species, by the name in use or an old one, with its author or without. */
export const speciesOf = (scientificName: string): Species | undefined =>
  speciesByName.get(withoutAuthor(scientificName));

export const dangersOfResident = ({ scientificName, profile }: Who): Dangers =>
  dangersOf(shippedHazards, profile, speciesOf(scientificName));

/** Those for which nobody who does not know the animal should open its box. */
const DANGEROUS: readonly Caution[] = ['serious-venom', 'venom', 'sting', 'stab', 'spray'];

export const isDangerous = (who: Who): boolean =>
  dangersOfResident(who).hazards.some(({ id }) => DANGEROUS.includes(id));
