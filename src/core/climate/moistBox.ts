import { areaAtMm2, floorLongSideMm, volumeBelowMm3, type Container } from '@/core/housing/container';
import { depthAtMm, meanDepthMm, type Soil } from '@/core/housing/soil';
import type { MaterialTable, RecipePart } from '@/core/substrate/material';
import { capillarity } from '@/core/substrate/capillarity';
import { substrate } from '@/core/substrate/substrate';
import { spreadOfMix } from '@/core/substrate/spreadOfMix';
import { airWays, type AirWays, type AirWaysSettings } from './airFlow';

/** What is in a home, as far as its water is concerned. */
export interface Filling {
  soil: Soil;
  recipe: RecipePart[];
  /** Share of the floor that is the damp end. % */
  dampSharePct: number;
  /** Leaves or moss on top. mm */
  litterDepthMm?: number | undefined;
  /** Open water that is kept topped up. cm2 */
  dishAreaCm2?: number | undefined;
}

/** A home made ready to be followed through time: areas, water held, ways of the air. */
export interface MoistBox {
  ways: AirWays;
  /** Surface of the damp and the dry end. m2 */
  dampAreaM2: number;
  dryAreaM2: number;
  dishAreaM2: number;
  /** Walls and lid over the soil, where vapour can condense. m2 */
  wallAreaM2: number;
  /** Water at wetness 1. kg */
  dampHeldKg: number;
  dryHeldKg: number;
  /** How far that may be off, by the ranges of what is mixed: the spread of its logarithm. */
  heldSpread: number;
  /** The same of how fast water creeps through it. */
  creepSpread: number;
  /** Water drawn to the drier end for a difference of wetness of 1 where the soil is all wet, over the whole depth. kg/s */
  wickingKgS: number;
  /** The same upwards and downwards, for a way as long as the depth. kg/s */
  dampRiseKgS: number;
  dryRiseKgS: number;
  /** Height over which standing water thins out to 1/e. m */
  suctionM: number;
  /** Length of still air that the litter is worth. m */
  litterM: number;
  depthM: number;
  /** How long the soil takes to follow the room (to 1/e). s */
  heatLagS: number;
}

/** Vapour finds its way round leaves and moss: open share of the layer over its detours; from memory. */
const LITTER_OPENNESS = 0.5;
/** Heat from inside to the room through the wall and the air on both sides. W/(m2 K), from memory */
const WALL_HEAT_W_M2K = 4;
const SOLIDS_HEAT_J_KGK = 1200;
const WATER_HEAT_J_KGK = 4186;

/** Prepares a home for `followMoisture`. A home without soil is followed by its dish and walls alone. */
export function moistBox(
  container: Container,
  filling: Filling,
  materials: MaterialTable,
  settings: AirWaysSettings = {},
): MoistBox {
  const { soil, recipe, dampSharePct, litterDepthMm = 0, dishAreaCm2 = 0 } = filling;
  const depthMm = meanDepthMm(soil);
  const surfaceM2 = areaAtMm2(container, Math.min(depthMm, container.heightMm)) / 1e6;
  const dishAreaM2 = Math.min(dishAreaCm2 / 1e4, surfaceM2);
  const soilAreaM2 = depthMm > 0 ? surfaceM2 - dishAreaM2 : 0;
  const share = dampSharePct / 100;
  const filled = substrate({ container, soil, recipe, wetnessFrom: 0, wetnessTo: 1 }, materials);
  const heldKg = (filled.wetMassG - filled.dryMassG) / 1000;
  // The damp end is the front one: of a slope it takes more than its share of the soil.
  const dampVolume = dampShareOfVolume(soil, share);
  const lengthM = floorLongSideMm(container) / 1000;
  const crossM2 = depthMm > 0 ? filled.volumeL / 1000 / lengthM : 0;
  const heldKgM3 = filled.volumeL > 0 ? heldKg / (filled.volumeL / 1000) : 0;
  const bothEnds = share > 0 && share < 1;
  const depthM = depthMm / 1000;
  const { creepM2S, suctionM } = depthMm > 0 ? capillarity(recipe, materials) : { creepM2S: 0, suctionM: 1 };
  const riseKgS = (areaM2: number) => (depthM > 0 ? (creepM2S * heldKgM3 * areaM2) / depthM : 0);
  const outerM2 = surfaceOverSoilM2(container, depthMm) + soilAreaM2;
  const heatJK = (filled.dryMassG / 1000) * SOLIDS_HEAT_J_KGK + (heldKg / 2) * WATER_HEAT_J_KGK;
  return {
    ways: airWays(container, soil, settings),
    dampAreaM2: soilAreaM2 * share,
    dryAreaM2: soilAreaM2 * (1 - share),
    dishAreaM2,
    wallAreaM2: surfaceOverSoilM2(container, depthMm),
    dampHeldKg: heldKg * dampVolume,
    dryHeldKg: heldKg * (1 - dampVolume),
    heldSpread: spreadOfMix(recipe, materials, 'waterHeldMlPerL'),
    creepSpread: spreadOfMix(recipe, materials, 'creepMm2PerH'),
    // The middles of the two ends lie half the length apart.
    wickingKgS: bothEnds ? (creepM2S * heldKgM3 * crossM2) / (lengthM / 2) : 0,
    dampRiseKgS: riseKgS(soilAreaM2 * share),
    dryRiseKgS: riseKgS(soilAreaM2 * (1 - share)),
    suctionM,
    litterM: litterDepthMm / 1000 / LITTER_OPENNESS,
    depthM,
    heatLagS: heatJK / (WALL_HEAT_W_M2K * outerM2),
  };
}

const STRIPS = 64;

/** Share of the soil that lies in the damp end: strips of the floor, each at its own depth. */
function dampShareOfVolume(soil: Soil, share: number): number {
  if (soil.shape === 'flat') return share;
  let damp = 0;
  let total = 0;
  for (let strip = 0; strip < STRIPS; strip += 1) {
    const place = (strip + 0.5) / STRIPS;
    const depthMm = depthAtMm(soil, place);
    total += depthMm;
    if (place < share) damp += depthMm;
  }
  return total > 0 ? damp / total : share;
}

/** Walls over the soil and the lid. m2 */
function surfaceOverSoilM2(container: Container, depthMm: number): number {
  const { heightMm } = container;
  const lidM2 = areaAtMm2(container, heightMm) / 1e6;
  const meanM2 = volumeBelowMm3(container, heightMm) / heightMm / 1e6;
  const roundM =
    container.shape === 'box' ? 2 * (container.lengthMm + container.widthMm) * 1e-3 : 2 * Math.sqrt(Math.PI * meanM2);
  return lidM2 + roundM * (Math.max(0, heightMm - depthMm) / 1000);
}
