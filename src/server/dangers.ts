import { shippedHazards, shippedSpecies } from '@/contract/shipped';
import { findByName } from '@/core/profiles/knownNames';
import { dangersOf, type Caution, type Dangers } from '@/core/profiles/hazards';

interface Who {
  scientificName: string;
  kind: string;
}

export const dangersOfResident = ({ scientificName, kind }: Who): Dangers =>
  dangersOf(shippedHazards, kind, findByName(shippedSpecies, scientificName));

/** Those for which nobody who does not know the animal should open its box. */
const DANGEROUS: readonly Caution[] = ['serious-venom', 'venom', 'sting', 'stab', 'spray'];

export const isDangerous = (who: Who): boolean =>
  dangersOfResident(who).hazards.some(({ id }) => DANGEROUS.includes(id));
