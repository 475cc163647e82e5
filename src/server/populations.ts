import { shippedFeeders, shippedPopulations } from '@/contract/shipped';
import type { PopulationKind } from '@/core/colony/kind';
import { feederPopulation } from '@/core/feeding/feederPopulation';

const feeders = shippedFeeders.map(feederPopulation);

/** How the kind of a care profile, or of a feeder, multiplies; undefined where nobody gave its numbers. */
export const populationOf = (id: string): PopulationKind | undefined =>
  [...shippedPopulations, ...feeders].find((each) => each.profiles.includes(id));
