import { QUANTITIES, type Quantity } from '@/core/profiles/profile';
import { floorAreaMm2, floorLongSideMm, floorShortSideMm, innerVolumeL, WALL_SIDES, type Container } from './container';
import { furnitureCount, lowestPerchMm, openBottleCount, type Furniture } from './furniture';
import { nestVolumeMl, type Nest } from './nest';
import {
  climbableWallCount,
  meshOverheadCount,
  meshSideCount,
  openUpToMm,
  ventSharePct,
  widestOpeningMm,
} from './openings';
import { deepestMm, fillVolumeL, flat, meanDepthMm, shallowestMm, type Soil } from './soil';

/** A home as the rules see it. What is left out is not known, and rules about it are not checked. */
export interface HomeState {
  container: Container;
  substrateDepthMm: number;
  /** The surface where it is not flat; its mean is `substrateDepthMm`. */
  soil?: Soil | undefined;
  furniture?: Furniture[] | undefined;
  litterDepthMm?: number | undefined;
  nest?: Nest | undefined;
}

export type Unit = 'mm' | 'count' | 'L' | 'mm2' | '%';

/** The unit in which a quantity is told. */
export function unitOf(quantity: Quantity): Unit {
  if (quantity.endsWith('Mm2')) return 'mm2';
  if (quantity.endsWith('Mm')) return 'mm';
  if (quantity.endsWith('Pct')) return '%';
  return quantity.endsWith('L') ? 'L' : 'count';
}

/** The field to fill in so that a quantity becomes known. */
export const NEEDS: { [Name in Quantity]?: string } = {
  litterDepthMm: 'litterDepthMm',
  perchDropMm: 'furniture',
  climbableWallCount: 'container.walls',
  topOpeningCount: 'container.opens',
  hideCount: 'furniture',
  hangingPlaceCount: 'furniture',
  creviceCount: 'furniture',
  bridgeCount: 'furniture',
  openBottleCount: 'furniture',
  floorAreaPerHeadMm2: 'headCount',
  nestFullnessPct: 'nest',
  tubeBoreMm: 'nest.tubeBoreMm',
  outworldCount: 'nest',
};

/** What can be told of a home before anybody asks for an animal or another depth; NaN where it is not known. */
export interface HomeFacts {
  heightMm: number;
  floorLongSideMm: number;
  floorShortSideMm: number;
  /** How much deeper the deepest, and less deep the shallowest, place of the soil is than its mean. mm */
  above: number;
  below: number;
  /** Values of the quantities that depend neither on the depth nor on the heads, by their place in QUANTITIES. */
  fixed: Float64Array;
  /** How high the openings of front, back, left and right reach. mm */
  openUpTo: [number, number, number, number];
  perchMm: number;
  /** Of the chambers; where none are listed the box itself is the nest. */
  nestMl: number;
  floorAreaMm2: number;
}

export const INDEX = Object.fromEntries(QUANTITIES.map((name, index) => [name, index])) as Record<Quantity, number>;

const known = (value: number | null | undefined) => value ?? NaN;

/** Reads everything off a home that does not depend on who lives in it. */
export function homeFacts(home: HomeState): HomeFacts {
  const { container, furniture, nest } = home;
  const soil = home.soil ?? flat(home.substrateDepthMm);
  const mean = meanDepthMm(soil);
  const fixed = new Float64Array(QUANTITIES.length).fill(NaN);
  const set = (name: Quantity, value: number | null | undefined) => {
    fixed[INDEX[name]] = known(value);
  };
  set('floorShortSideMm', floorShortSideMm(container));
  set('floorLongSideMm', floorLongSideMm(container));
  set('heightMm', container.heightMm);
  set('innerVolumeL', innerVolumeL(container));
  set('litterDepthMm', home.litterDepthMm);
  set('widestOpeningMm', widestOpeningMm(container));
  set('ventSharePct', ventSharePct(container));
  set('meshOverheadCount', meshOverheadCount(container));
  set('meshSideCount', meshSideCount(container));
  set('roofHoldCount', meshOverheadCount(container) + (furnitureCount(furniture, 'roof') ?? 0));
  set('climbableWallCount', climbableWallCount(container));
  set('topOpeningCount', container.opens === undefined ? null : container.opens === 'top' ? 1 : 0);
  set('hideCount', furnitureCount(furniture, 'hide'));
  set('hangingPlaceCount', hangingPlaces(home));
  set('creviceCount', furnitureCount(furniture, 'crevice'));
  set('bridgeCount', furnitureCount(furniture, 'bridge'));
  set('openBottleCount', openBottleCount(furniture));
  set('tubeBoreMm', nest?.tubeBoreMm);
  set('outworldCount', nest && (nest.outworld ? 1 : 0));
  const [front, back, left, right] = WALL_SIDES.map((side) => openUpToMm(container, side));
  return {
    heightMm: container.heightMm,
    floorLongSideMm: floorLongSideMm(container),
    floorShortSideMm: floorShortSideMm(container),
    above: deepestMm(soil) - mean,
    below: mean - shallowestMm(soil),
    fixed,
    openUpTo: [known(front), known(back), known(left), known(right)],
    perchMm: known(lowestPerchMm(furniture)),
    nestMl: nest ? nestVolumeMl(nest) : 1000 * (innerVolumeL(container) - fillVolumeL(container, soil)),
    floorAreaMm2: floorAreaMm2(container),
  };
}

/** Mesh to hang from counts with the furniture: a meshed wall or roof offers at least one place. */
function hangingPlaces({ container, furniture }: HomeState): number | null {
  const pieces = furnitureCount(furniture, 'hanging');
  const mesh = meshSideCount(container) + meshOverheadCount(container);
  return pieces === null && mesh === 0 ? null : (pieces ?? 0) + mesh;
}

/**
 * The value of a quantity with the soil at a mean depth; NaN where it is not known.
 * @param bound whether the value is held against a minimum or a maximum: of sloped soil, the worst place counts.
 */
export function quantityValue(
  quantity: Quantity,
  facts: HomeFacts,
  depthMm: number,
  headCount: number | undefined,
  perHeadMl: number | undefined,
  bound: 'min' | 'max',
): number {
  switch (quantity) {
    case 'substrateDepthMm':
      // One place deep enough to dig in serves; one too deep does harm.
      return depthMm + facts.above;
    case 'surfaceToLidMm':
      return bound === 'max' ? facts.heightMm - depthMm + facts.below : facts.heightMm - depthMm - facts.above;
    case 'perchDropMm':
      return facts.perchMm - depthMm - facts.above;
    case 'openSidePairs': {
      const [front, back, left, right] = facts.openUpTo;
      return Number(front > depthMm && back > depthMm) + Number(left > depthMm && right > depthMm);
    }
    case 'openSides':
      return facts.openUpTo.reduce((sum, height) => sum + Number(height > depthMm), 0);
    case 'headCount':
      return headCount ?? 1;
    case 'floorAreaPerHeadMm2':
      return headCount === undefined ? NaN : facts.floorAreaMm2 / headCount;
    case 'nestFullnessPct':
      return headCount === undefined || perHeadMl === undefined ? NaN : (100 * headCount * perHeadMl) / facts.nestMl;
    default:
      return facts.fixed[INDEX[quantity]] ?? NaN;
  }
}
