import { LONE_QUEEN } from '@/core/house/colonyState';
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
import type { Resident } from '@/contract/records';
import { feederPopulation } from '@/core/feeding/feederPopulation';
import { knownOf, type HoldsFor, type OfKind } from '@/core/profiles/holdsFor';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import type { Schools } from '@/core/profiles/schools';
import type { RestKind } from '@/core/season/rest';
import { atStage, troubleTable, type TroubleTable } from '@/core/trouble/table';

/** What is known of a kind, or of a species of it, in one of the lists that ship; undefined where nobody gave its numbers. */
const lookUp =
  <Row extends HoldsFor>(rows: readonly Row[]) =>
  (who: OfKind): Row | undefined =>
    knownOf(rows, who);

/** How the kind of a care profile, or of a feeder, multiplies. */
export const populationOf = lookUp([...shippedPopulations, ...shippedFeeders.map(feederPopulation)]);
/** What decides over the winter of one. */
export type Rester = OfKind & Pick<Resident, 'headCount' | 'stage'> & { schools?: Schools | undefined };

/** Of a kind whose queens seal themselves in, and without workers as far as anybody has counted. */
const maySealIn = (resident: OfKind & Pick<Resident, 'headCount'>): boolean =>
  populationOf(resident)?.founding?.isSealed === true && (resident.headCount ?? 0) <= LONE_QUEEN;

/** The winter of a kind. */
export const restKindOf = lookUp(shippedRests);
/** The winter of somebody; a queen that is sealed in is carried there and back, and not opened. */
export function restKindFor(resident: Rester): RestKind | undefined {
  const kind = restKindOf(resident);
  if (kind && kind.need !== 'never' && kind.stages && !kind.stages.includes(resident.stage)) {
    const { profiles, basis } = kind;
    return { profiles, basis, need: 'never', why: `Of this kind only the stage ${kind.stages.join(', ')} is cooled.` };
  }
  if (!kind || kind.need === 'never') return kind;
  const bySchool =
    resident.schools?.winter === 'no-rest'
      ? { need: 'may' as const, why: `Kept without a rest by your school. ${kind.why}` }
      : {};
  return { ...kind, ...bySchool, ...(maySealIn(resident) && { isUnopened: true }) };
}
/** How its eggs are kept. */
export const eggKindOf = lookUp(shippedEggs);
/** How its moths come out. */
export const mothKindOf = lookUp(shippedMoths);
/** What may be wrong with it, at a stage where one is told, and by what that shows. */
export function troublesOf(profile: CareProfile, stage?: Stage): TroubleTable {
  const { silhouette } = profile;
  const kind = shippedTroubles.find(({ silhouettes }) => silhouettes.includes(silhouette));
  if (!kind) throw new Error(`Nobody gave the troubles of ${silhouette}.`);
  const table = troubleTable(kind, shippedCauses, shippedBoxSigns);
  return stage === undefined ? table : atStage(table, profile, stage);
}
