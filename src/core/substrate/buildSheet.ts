import { areaAtMm2, innerVolumeL, type Container } from '@/core/housing/container';
import { drillPlan, type DrillPlan } from '@/core/housing/drilling';
import { fit, type FitQuestion } from '@/core/housing/fit';
import type { FurnitureKind } from '@/core/housing/furniture';
import { nestVolumeMl } from '@/core/housing/nest';
import { openingsOf } from '@/core/housing/openings';
import { flat, meanDepthMm, type Soil } from '@/core/housing/soil';
import type { CareProfile } from '@/core/profiles/profile';
import type { MaterialTable, RecipePart } from './material';
import { plaster, type PlasterAnswer } from './plaster';
import { substrate, type BricksToSoak, type MaterialAmount, type SubstrateAnswer } from './substrate';
import { feelOf, type Feel } from './wetness';

/** What can hurt someone at a step, said where it is done. */
export type BuildCaution =
  | 'drill'
  | 'hot-iron'
  | 'boiling-water'
  | 'dust'
  | 'caustic-dust'
  | 'sets-hot'
  | 'mould-spores'
  | 'unsprayed-leaves'
  | 'zip';

type StepBody =
  | { code: 'drill'; plan: DrillPlan }
  /** Walls that are not drilled, with less air than is wanted; whether mesh in the lid would harm nobody. */
  | { code: 'glass'; mayMeshLid: boolean }
  | { code: 'cover'; meshApertureMm: number }
  | { code: 'prepare'; material: MaterialAmount['material']; how: 'bake-or-boil' | 'rinse' | 'soak'; volumeL: number }
  | { code: 'soak-bricks'; bricks: BricksToSoak }
  | { code: 'pour'; plaster: PlasterAnswer }
  | { code: 'mix'; materials: MaterialAmount[] }
  /** What is still worked in, or lost; `fromBricksMl` is in it already. mL */
  | { code: 'water'; waterMl: number; excessWaterMl: number; fromBricksMl: number; feel: Feel }
  | { code: 'fill'; soil: Soil; volumeL: number; dampSharePct: number }
  | { code: 'litter'; depthMm: number; volumeL: number }
  | { code: 'furnish'; kind: FurnitureKind; count: number }
  /** Sand or fibre for larvae that spin. */
  | { code: 'grains' }
  | { code: 'settle'; days: number }
  | { code: 'label' };

export type BuildStep = StepBody & { cautions: BuildCaution[] };

/** A made home rests this long before anybody moves in: leaks, gnats and wrong wetness show. days; common practice */
const SETTLE_DAYS = 2;

export interface HomeToBuild extends FitQuestion {
  recipe: RecipePart[];
  wetnessFrom: number;
  /** What the profile asks of its damp end where it is not given. */
  wetnessTo?: number | undefined;
  /** The chosen school on openings; without one the kind's own. */
  openings?: string | undefined;
}

export interface BuiltHome {
  filling: SubstrateAnswer;
  steps: BuildStep[];
}

/**
 * What it takes to make one home for an animal, as it is described: holes, filling, and the steps.
 * @throws Refusal as `fit` and `substrate` do.
 */
export function buildHome(profile: CareProfile, home: HomeToBuild, materials: MaterialTable): BuiltHome {
  const { making } = profile;
  const soil = home.soil ?? flat(home.substrateDepthMm);
  const { largestSafeOpeningMm } = fit(profile, home);
  const plan = drillPlan(profile, home.container, home.substrateDepthMm, largestSafeOpeningMm, home.openings);
  const { container, recipe, wetnessFrom, wetnessTo = making.dampWetness } = home;
  const filling = substrate({ container, soil, recipe, wetnessFrom, wetnessTo }, materials);
  const isTooWide = largestSafeOpeningMm !== null && openingsOf(container).widestMm >= largestSafeOpeningMm;
  const tooWideFor = isTooWide ? largestSafeOpeningMm : null;
  const mayMeshLid = !profile.fit.some(({ quantity, max }) => quantity === 'meshOverheadCount' && max?.plus === 0);
  const steps = buildSteps(profile, container, soil, plan, tooWideFor, mayMeshLid, filling, materials);
  return { filling, steps: [...pourSteps(profile, home, filling), ...steps] };
}

/**
 * The work on one home in the order it is done: holes (and mesh over those that would let somebody out) while it is empty, everything that has to be baked or soaked,
 * the mix, its water, the filling, litter, furniture, a rest, the label.
 */
function buildSteps(
  { making, nest }: CareProfile,
  container: Container,
  soil: Soil,
  plan: DrillPlan,
  tooWideFor: number | null,
  mayMeshLid: boolean,
  filling: SubstrateAnswer,
  materials: MaterialTable,
): BuildStep[] {
  const litterL = (areaAtMm2(container, meanDepthMm(soil)) * making.litterMm) / 1e6;
  const steps: BuildStep[] = [];
  // Nests are aired through their tube and outworld.
  if (!nest && plan.isGlass && plan.isShort) steps.push({ code: 'glass', mayMeshLid, cautions: [] });
  if (!nest && plan.perSide > 0) steps.push({ code: 'drill', plan, cautions: ['drill', 'hot-iron'] });
  if (tooWideFor !== null) steps.push({ code: 'cover', meshApertureMm: tooWideFor, cautions: [] });
  // Plaster is poured, not mixed with soil.
  const parts = filling.materials.filter((part) => part.volumeL > 0 && part.material !== 'plaster');
  for (const { material, volumeL } of parts) {
    const how = materials[material].preparation;
    if (how) steps.push({ code: 'prepare', material, how, volumeL, cautions: preparationCautions(how) });
  }
  const hasLitter = parts.some(({ material }) => material === 'leaf-litter');
  if (litterL > 0 && !hasLitter) {
    steps.push({
      code: 'prepare',
      material: 'leaf-litter',
      how: 'bake-or-boil',
      volumeL: litterL,
      cautions: preparationCautions('bake-or-boil'),
    });
  }
  for (const bricks of filling.bricks) steps.push({ code: 'soak-bricks', bricks, cautions: ['boiling-water'] });
  if (parts.length > 0) {
    const dusts = new Set(parts.flatMap(({ material }) => materials[material].cautions));
    steps.push({ code: 'mix', materials: parts, cautions: [...dusts] });
    // What soaked bricks bring along is not worked in a second time.
    const fromBricksMl = filling.bricks.reduce((sum, each) => sum + each.pieceWaterMl, 0);
    steps.push({
      code: 'water',
      waterMl: Math.max(0, filling.waterMl - fromBricksMl),
      excessWaterMl: filling.excessWaterMl + Math.max(0, fromBricksMl - filling.waterMl),
      fromBricksMl,
      feel: feelOf(making.dampWetness),
      cautions: [],
    });
    steps.push({ code: 'fill', soil, volumeL: filling.volumeL, dampSharePct: making.dampSharePct, cautions: [] });
  }
  if (litterL > 0) steps.push({ code: 'litter', depthMm: making.litterMm, volumeL: litterL, cautions: [] });
  for (const { kind, count } of making.furniture) steps.push({ code: 'furnish', kind, count, cautions: [] });
  if (nest?.spinsCocoons) steps.push({ code: 'grains', cautions: [] });
  const zip: BuildCaution[] = container.opens === 'zip' ? ['zip'] : [];
  steps.push({ code: 'settle', days: SETTLE_DAYS, cautions: zip });
  steps.push({ code: 'label', cautions: [] });
  return steps;
}

/** Water to a gram of plaster powder; read the bag. mL; from memory */
const PLASTER_WATER = 0.7;

/**
 * The plaster of a nest: what its chambers leave of a box with plaster walls, cast round formers of damp sand; or a
 * floor, where the recipe is plaster.
 */
function pourSteps(profile: CareProfile, { container, nest }: HomeToBuild, filling: SubstrateAnswer): BuildStep[] {
  const floorMl =
    1000 * filling.materials.reduce((sum, part) => sum + (part.material === 'plaster' ? part.volumeL : 0), 0);
  const isBlock = profile.nest !== undefined && nest !== undefined && container.walls === 'plaster';
  const blockMl = isBlock ? Math.max(0, 1000 * innerVolumeL(container) - nestVolumeMl(nest)) : 0;
  const volumeMl = Math.max(floorMl, blockMl);
  if (volumeMl <= 0) return [];
  return [{ code: 'pour', plaster: plaster(volumeMl, PLASTER_WATER), cautions: ['sets-hot', 'dust'] }];
}

function preparationCautions(how: 'bake-or-boil' | 'rinse' | 'soak'): BuildCaution[] {
  return how === 'bake-or-boil' ? ['unsprayed-leaves', 'boiling-water'] : [];
}
