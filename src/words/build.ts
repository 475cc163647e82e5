import type { SubstrateAnswer } from '@/core/substrate/substrate';
import type { DrillPlan } from '@/core/housing/drilling';
import { depthsOf } from '@/core/housing/soil';
import type { BuildCaution, BuildStep } from '@/core/substrate/buildSheet';
import { FEEL_WORDS, FURNITURE_WORDS, kilograms, litres, MATERIAL_WORDS, SIDE_WORDS } from './home';
import type { LengthWords } from './lengths';
import { countWords, listWords } from './count';

/** What a step is, and what it takes. */
export interface StepWords {
  title: string;
  detail: string;
}

const HOW_WORDS = { 'bake-or-boil': 'Bake or boil', rinse: 'Rinse', soak: 'Soak' } as const;

/** One step of a build sheet in words. */
export function stepWords(step: BuildStep, length: LengthWords, code: string): StepWords {
  switch (step.code) {
    case 'drill':
      return { title: drillTitle(step.plan, length), detail: drillDetail(step.plan, length) };
    case 'glass':
      return {
        title: 'Do not drill the glass: it cracks, and in the hand',
        detail: step.mayMeshLid
          ? 'It lets in less air than this kind wants. Set fine mesh into a lid of plastic, or take another box.'
          : 'It lets in less air than this kind wants, and mesh overhead would catch its claws: take another box.',
      };
    case 'cover':
      return {
        title: `Cover the wide openings with mesh finer than ${length.long(step.meshApertureMm)}`,
        detail: 'Glued from outside, no loose ends. As they are, somebody could leave.',
      };
    case 'prepare':
      return {
        title: `${HOW_WORDS[step.how]} ${litres(step.volumeL)} of ${MATERIAL_WORDS[step.material]}`,
        detail:
          step.how === 'bake-or-boil' ? 'Let it cool and drain.' : 'Until the water runs clear; wring or drain it.',
      };
    case 'soak-bricks': {
      const { count, material, pieceMassG, pieceWaterMl } = step.bricks;
      return {
        title: `Soak ${kilograms(pieceMassG)} of ${MATERIAL_WORDS[material]} brick in ${litres(pieceWaterMl / 1000)}`,
        detail: `Broken or sawn off, out of ${countWords(count, 'brick')}. All of this water goes into the mix with it. Read the label: bricks differ.`,
      };
    }
    case 'pour': {
      const { powderG, waterMl, dryMassG } = step.plaster;
      return {
        title: `Pour ${kilograms(powderG)} of plaster powder into ${litres(waterMl / 1000)} of water`,
        detail: `Round formers of damp sand, which leave the chambers and the water reservoir; one filling hole. Powder into water, stirred slowly. Weighs ${kilograms(dryMassG)} when it has dried, in a week or more.`,
      };
    }
    case 'mix':
      return {
        title: `Mix ${step.materials.map((each) => `${litres(each.volumeL)} ${MATERIAL_WORDS[each.material]}`).join(', ')}`,
        detail: 'Loose volumes, as poured into a measure.',
      };
    case 'water':
      return step.excessWaterMl > 0
        ? {
            title: `Wring or dry out ${litres(step.excessWaterMl / 1000)}`,
            detail: `It is wetter than it should be. A squeezed handful should feel: ${FEEL_WORDS[step.feel]}.`,
          }
        : {
            title: `Work in ${litres(step.waterMl / 1000)} of water`,
            detail: `${step.fromBricksMl > 0 ? `Besides the ${litres(step.fromBricksMl / 1000)} that were soaked up. ` : ''}Rain, reverse-osmosis or dechlorinated water. A squeezed handful: ${FEEL_WORDS[step.feel]}.`,
          };
    case 'fill':
      return {
        title: `Fill ${litres(step.volumeL)}, ${depthWords(step, length)}`,
        detail:
          step.dampSharePct >= 90
            ? 'Damp throughout. Press it lightly; it settles by a tenth.'
            : `Keep the damp mix to ${step.dampSharePct} % of the floor at the damp end, drier at the other. Press it lightly.`,
      };
    case 'litter':
      return { title: `Litter on top, ${length.long(step.depthMm)}`, detail: `${litres(step.volumeL)} of leaves.` };
    case 'furnish':
      return {
        title: `Put in ${step.count === 1 ? `a ${FURNITURE_WORDS[step.kind]}` : `${step.count} x ${FURNITURE_WORDS[step.kind]}`}`,
        detail: FURNISH_DETAIL[step.kind] ?? '',
      };
    case 'grains':
      return {
        title: 'A pinch of fine sand or coir fibre',
        detail: 'In a corner of the nest or of the outworld: the larvae spin their cocoons against the grains.',
      };
    case 'settle':
      return {
        title: `Leave it closed ${step.days} days`,
        detail: 'Then look: no wet walls all over, no sour smell, damp where it should be.',
      };
    case 'label':
      return { title: `Label it ${code}`, detail: 'Scientific name, common name, date.' };
  }
}

const FURNISH_DETAIL: { [Kind in string]?: string } = {
  bark: 'From the damp end to the dry end, or leaned a little shorter than the box.',
  'bark-round': 'Upright and wedged, so that it cannot fall.',
  'stone-stack':
    'On the floor before the soil goes round it, so that nothing digs under it; glued or wedged, so that it cannot slip.',
  slab: 'On the floor, bedded in the soil: nothing may dig it loose above itself.',
  bottle: 'Stop its neck with wool or a pierced lid, or they drown.',
  dish: 'Flat enough to walk out of; on the floor, or glued in the upper half for small climbers.',
  'roof-net': 'Stretched a finger under the lid, edges glued down.',
};

function drillTitle(plan: DrillPlan, length: LengthWords): string {
  const names = plan.sides.map((side) => SIDE_WORDS[side]).join(', ');
  const where = plan.sides.length === 1 ? `in the ${names} side` : `in each side: ${names}`;
  return `${plan.kind === 'holes' ? 'Drill' : 'Cut'} ${openingsWords(plan, length)} ${where}`;
}

/** "once drilled: 17 holes of 3 mm in each of left and right": the work before a box is a home. */
export function onceDrilledWords(plan: DrillPlan, length: LengthWords): string {
  const sides =
    plan.sides.length === 4 ? 'each of its four sides' : listWords(plan.sides.map((side) => SIDE_WORDS[side]));
  const verb = plan.kind === 'holes' ? 'drilled' : 'cut out';
  const mesh = plan.meshApertureMm === null ? '' : ', under mesh';
  return `once ${verb}: ${openingsWords(plan, length)} in ${plan.sides.length === 2 ? `each of ${sides}` : sides}${mesh}`;
}

/** "12 holes of 3 mm". */
export function openingsWords({ kind, perSide, diameterMm }: DrillPlan, length: LengthWords): string {
  const one = kind === 'holes' ? 'hole' : 'round opening';
  return `${countWords(perSide, one)} of ${length.drill(diameterMm)}`;
}

function drillDetail(
  { perSide, spacingMm, centreHeightMm, meshApertureMm, openSharePct, isShort, covered }: DrillPlan,
  length: LengthWords,
): string {
  return [
    perSide > 1 ? `${length.long(spacingMm)} apart` : null,
    `their middle ${length.long(centreHeightMm)} over the floor`,
    meshApertureMm === null ? null : `glue mesh of ${length.long(meshApertureMm)} or finer over them`,
    `opens ${openSharePct.toFixed(2)} % of the floor`,
    covered.length > 0
      ? `covered in the stack, so left out: ${covered.map((side) => SIDE_WORDS[side]).join(', ')}`
      : null,
    isShort ? 'less than wanted: no more fits on the free sides' : null,
  ]
    .filter((word) => word !== null)
    .join('; ');
}

function depthWords({ soil }: Extract<BuildStep, { code: 'fill' }>, length: LengthWords): string {
  const depths = depthsOf(soil).map(length.long);
  if (soil.shape === 'flat') return `${depths[0]} deep`;
  return soil.shape === 'slope'
    ? `sloped from ${depths[0]} at the damp end to ${depths[1]}`
    : `in steps of ${depths.join(', ')} from the damp end`;
}

export const CAUTION_WORDS: Record<BuildCaution, string> = {
  drill:
    'Drill: eyes covered, the box clamped and nobody in it, slow speed, a block behind the plastic. Follow the maker of the drill.',
  'hot-iron':
    'A hot iron instead of a drill: outdoors or under a hood, the fumes of plastic are harmful; set it down on metal.',
  'boiling-water':
    'Hot oven and boiling water: gloves, children and animals away, never left alone. Leaves in an oven can catch fire.',
  dust: 'Dust: mask, damp it before stirring.',
  'caustic-dust':
    'Lime dust burns eyes and lungs: mask, eyes covered, gloves. In an eye: rinse long with water and see a doctor.',
  'sets-hot': 'Plaster heats as it sets: never round fingers, never down a drain.',
  'mould-spores': 'Mould spores: open the bag outdoors, mask if you are sensitive.',
  'unsprayed-leaves': 'Only from unsprayed trees you are sure of, away from roads.',
  zip: 'A zip crushes: open it with fingers behind it, and look before it closes.',
};

/** Between which water and weight of a filling lie, where the ranges of its materials tell; null where a keeper has set them. */
export function fillingRangeWords({ between: { waterMl, wetMassG } }: Pick<SubstrateAnswer, 'between'>): string | null {
  if (wetMassG.min === wetMassG.max) return null;
  const water =
    waterMl.max > 0 ? `take ${litres(waterMl.min / 1000)} to ${litres(waterMl.max / 1000)} of water and ` : '';
  return `Eight of ten such fillings ${water}weigh ${kilograms(wetMassG.min)} to ${kilograms(wetMassG.max)}.`;
}
