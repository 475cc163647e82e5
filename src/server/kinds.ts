import {
  shippedBoxSigns,
  shippedCauses,
  shippedEggs,
  shippedFeeders,
  shippedMoths,
  shippedPopulations,
  shippedRests,
  shippedTroubles,
} from '@/contract/shipped';
import { feederPopulation } from '@/core/feeding/feederPopulation';
import type { CareProfile } from '@/core/profiles/profile';
import { troubleTable, type TroubleTable } from '@/core/trouble/table';

/** What is known of a care profile in one of the lists that ship; undefined where nobody gave its numbers. */
const lookUp =
  <Kind extends { profiles: string[] }>(kinds: readonly Kind[]) =>
  (profileId: string): Kind | undefined =>
    kinds.find((each) => each.profiles.includes(profileId));

/** How the kind of a care profile, or of a feeder, multiplies. */
export const populationOf = lookUp([...shippedPopulations, ...shippedFeeders.map(feederPopulation)]);
/** Its winter. */
export const restKindOf = lookUp(shippedRests);
/** How its eggs are kept. */
export const eggKindOf = lookUp(shippedEggs);
/** How its moths come out. */
export const mothKindOf = lookUp(shippedMoths);
/** What may be wrong with it, and by what that shows. */
export function troublesOf({ silhouette }: CareProfile): TroubleTable {
  const kind = shippedTroubles.find(({ silhouettes }) => silhouettes.includes(silhouette));
  if (!kind) throw new Error(`Nobody gave the troubles of ${silhouette}.`);
  return troubleTable(kind, shippedCauses, shippedBoxSigns);
}
