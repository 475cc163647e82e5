import { QUANTITIES, type Quantity } from '@/core/profiles/profile';
import {
  floorAreaMm2,
  floorLongSideMm,
  floorShortSideMm,
  innerVolumeL,
  type Container,
  soilLimitMm,
} from './container';
import { furnitureCount, lowestPerchMm, openBottleCount, type Furniture } from './furniture';
import { nestVolumeMl, type Nest } from './nest';
import { climbableWallCount, openingsOf, type Openings } from './openings';
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
  /** Rules that are settled for the one who lives there, with the reason: what they find is told, and passes. */
  settled?: Readonly<Record<string, string>> | undefined;
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
  /** So high soil can stand at its deepest. mm */
  soilLimitMm: number;
  /** It opens in front, and nobody said how high its wall stands under the door. */
  isSillUnsaid: boolean;
  floorLongSideMm: number;
  floorShortSideMm: number;
  /** How much deeper the deepest, and less deep the shallowest, place of the soil is than its mean. mm */
  above: number;
  below: number;
  /** Values of the quantities that depend neither on the depth nor on the heads, by their place in QUANTITIES. */
  fixed: Float64Array;
  /** How high the openings of front, back, left and right reach. mm */
  openUpTo: Openings['upToMm'];
  /** Ways out of walls that nobody without pads climbs; null where they can be climbed, or nobody said what they are. */
  smoothWays: Openings['ways'] | null;
  perchMm: number;
  /** Of the chambers; where none are listed the box itself is the nest. */
  nestMl: number;
  floorAreaMm2: number;
  settled: Readonly<Record<string, string>> | undefined;
}

export const INDEX = Object.fromEntries(QUANTITIES.map((name, index) => [name, index])) as Record<Quantity, number>;

/** Quantities that depend on the depth of the soil or on how many live there. */
export const VARYING = new Set<Quantity>([
  'heightMm',
  'substrateDepthMm',
  'surfaceToLidMm',
  'perchDropMm',
  'openSidePairs',
  'openSides',
  'headCount',
  'floorAreaPerHeadMm2',
  'nestFullnessPct',
]);

const known = (value: number | null | undefined) => value ?? NaN;

/** Reads everything off a home that does not depend on who lives in it. */
export function homeFacts(home: HomeState): HomeFacts {
  const { container, furniture, nest } = home;
  const soil = home.soil ?? flat(home.substrateDepthMm);
  const mean = meanDepthMm(soil);
  const openings = openingsOf(container);
  const fixed = new Float64Array(QUANTITIES.length).fill(NaN);
  const set = (name: Quantity, value: number | null | undefined) => {
    fixed[INDEX[name]] = known(value);
  };
  set('floorShortSideMm', floorShortSideMm(container));
  set('floorLongSideMm', floorLongSideMm(container));
  set('innerVolumeL', innerVolumeL(container));
  set('litterDepthMm', home.litterDepthMm);
  set('widestOpeningMm', openings.widestMm);
  set('ventSharePct', openings.sharePct);
  set('meshOverheadCount', openings.meshOverhead);
  set('meshSideCount', openings.meshSides);
  set('roofHoldCount', openings.meshOverhead + (furnitureCount(furniture, 'roof') ?? 0));
  set('climbableWallCount', climbableWallCount(container, openings));
  set('topOpeningCount', container.opens === undefined ? null : container.opens === 'top' ? 1 : 0);
  set('hideCount', furnitureCount(furniture, 'hide'));
  set('hangingPlaceCount', hangingPlaces(furniture, openings));
  set('creviceCount', furnitureCount(furniture, 'crevice'));
  set('bridgeCount', furnitureCount(furniture, 'bridge'));
  set('openBottleCount', openBottleCount(furniture));
  set('tubeBoreMm', nest?.tubeBoreMm);
  set('nestCount', nest ? 1 : 0);
  set('outworldCount', nest && (nest.outworld ? 1 : 0));
  return {
    heightMm: container.heightMm,
    soilLimitMm: soilLimitMm(container),
    isSillUnsaid: container.opens === 'front' && container.sillMm === undefined,
    floorLongSideMm: floorLongSideMm(container),
    floorShortSideMm: floorShortSideMm(container),
    above: deepestMm(soil) - mean,
    below: mean - shallowestMm(soil),
    fixed,
    openUpTo: openings.upToMm,
    smoothWays: climbableWallCount(container, openings) === 0 ? openings.ways : null,
    perchMm: known(lowestPerchMm(furniture)),
    nestMl: nest ? nestVolumeMl(nest) : 1000 * (innerVolumeL(container) - fillVolumeL(container, soil)),
    floorAreaMm2: floorAreaMm2(container),
    settled: home.settled,
  };
}

/** Mesh to hang from counts with the furniture: a meshed wall or roof offers at least one place. */
function hangingPlaces(furniture: Furniture[] | undefined, { meshSides, meshOverhead }: Openings): number | null {
  const pieces = furnitureCount(furniture, 'hanging');
  const mesh = meshSides + meshOverhead;
  return pieces === null && mesh === 0 ? null : (pieces ?? 0) + mesh;
}

function openSides([front, back, left, right]: Openings['upToMm'], depthMm: number): number {
  return Number(front > depthMm) + Number(back > depthMm) + Number(left > depthMm) + Number(right > depthMm);
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
    case 'heightMm':
      // What is too high for it is so with soil or without; what it needs is free above the soil.
      return bound === 'max' ? facts.heightMm : facts.heightMm - depthMm - facts.above;
    case 'perchDropMm':
      return facts.perchMm - depthMm - facts.above;
    case 'openSidePairs': {
      const [front, back, left, right] = facts.openUpTo;
      return Number(front > depthMm && back > depthMm) + Number(left > depthMm && right > depthMm);
    }
    case 'openSides':
      return openSides(facts.openUpTo, depthMm);
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
