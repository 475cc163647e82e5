import type { EggKind } from '@/core/broods/eggs';
import type { MothKind } from '@/core/broods/emergence';
import type { PopulationKind } from '@/core/colony/kind';
import type { FeederKind, Food } from '@/core/feeding/food';
import type { StillnessGuide } from '@/core/growth/stillness';
import type { BoxSize } from '@/core/housing/ladder';
import type { CareProfile } from '@/core/profiles/profile';
import type { SpeciesOverrides } from '@/core/profiles/species';
import type { RestKind } from '@/core/season/rest';
import type { Material, Mix } from '@/core/substrate/material';
import type { Cause, Sign, TroubleKind } from '@/core/trouble/table';

/** A species, as far as engines ask of it. */
export interface KnownSpecies {
  name: string;
  profile: string;
  overrides?: SpeciesOverrides | undefined;
}

/** Everything that the program believes about animals, boxes, soil and food: the numbers that its engines reckon with. */
export interface Knowledge {
  profiles: readonly CareProfile[];
  species: readonly KnownSpecies[];
  materials: readonly Material[];
  mixes: readonly Mix[];
  boxSizes: readonly BoxSize[];
  feeders: readonly FeederKind[];
  foods: readonly Food[];
  populations: readonly PopulationKind[];
  rests: readonly RestKind[];
  eggs: readonly EggKind[];
  moths: readonly MothKind[];
  stillness: readonly StillnessGuide[];
  causes: readonly Cause[];
  boxSigns: readonly Sign[];
  troubles: readonly TroubleKind[];
}

/** The parts of what is believed. */
export const KNOWLEDGE_PARTS = [
  'profiles',
  'species',
  'materials',
  'mixes',
  'boxSizes',
  'feeders',
  'foods',
  'populations',
  'rests',
  'eggs',
  'moths',
  'stillness',
  'causes',
  'boxSigns',
  'troubles',
] as const satisfies readonly (keyof Knowledge)[];
export type KnowledgePart = (typeof KNOWLEDGE_PARTS)[number];
