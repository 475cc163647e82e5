import type { Basis } from '@/core/profiles/profile';
import type { CardPart } from '@/core/handbook/card';
import type { Caution, Permit } from '@/core/profiles/hazards';
import type { SpeciesOverrides } from '@/core/profiles/species';

export interface Species {
  name: string;
  commonName: string;
  profile: string;
  /** Names it bore before, or that others use for it. */
  synonyms?: string[] | undefined;
  cautions: Caution[];
  permit?: Permit | undefined;
  /** Where it comes from. */
  range: string;
  /** How old it becomes: males often less, females often more. */
  lifeYears: { min: number; max: number; basis: Basis };
  /** What keepers say of this species, by the part of its card. */
  notes?: Partial<Record<CardPart, string>> | undefined;
  overrides?: SpeciesOverrides | undefined;
  basis: Basis;
}
