import { shippedPopulations } from '@/contract/shipped';
import type { PopulationKind } from '@/core/colony/kind';

/** How the kind of a care profile multiplies; undefined where nobody gave its numbers. */
export const populationOf = (profileId: string): PopulationKind | undefined =>
  shippedPopulations.find((each) => each.profiles.includes(profileId));
