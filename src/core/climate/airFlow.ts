import { volumeBelowMm3, type Container, type VentSide } from '@/core/housing/container';
import { fillVolumeL, meanDepthMm, type Soil } from '@/core/housing/soil';
import { airOpenings, type AirOpening, type OpeningSettings } from './airOpenings';
import { STANDARD_PRESSURE_PA, vapourDiffusivityM2S, ZERO_C_K } from './psychrometrics';
import {
  AIR_DENSITY_KG_M3,
  AIR_DIFFUSIVITY_M2_S,
  AIR_VISCOSITY_PA_S,
  DISCHARGE,
  flowThrough,
  inSeries,
  jetLoss,
  manyOf,
  SHUT,
  sideBySide,
  type Resistance,
} from './resistance';

const GRAVITY_M_S2 = 9.80665;
/** Difference of the pressure coefficients of opposite sides of a low box in the open. @source BS 5925:1991, table 11, from memory */
const PRESSURE_COEFFICIENT_DIFFERENCE = 0.9;
/** Flow through openings of one side for a unit of area and draught, where air is thin. @source BS 5925:1991, section 6 */
const ONE_SIDED = 0.025;
/** A lid taken off exchanges its air at this speed even in a still room; from memory. m/s */
const OPEN_TOP_M_S = 0.05;
/** So often a box that can be opened is, to feed, and its air goes out each time; from memory. A week */
const LIFTS_A_WEEK = 2;
const WEEK_S = 7 * 86_400;
/** Damp air over dry is worth so much warmth; the split of low and high openings is chosen by it. K */
export const USUAL_BUOYANCY_K = 1.3;
/** Air lies still in a hole while its Rayleigh number by radius and depth is under this. @source Taylor (1954), Proc. Phys. Soc. B 67, 857, from memory */
const CRITICAL_RAYLEIGH = 67.94;
/** What goes both ways at once through a level hole, as a discharge coefficient. @source Epstein (1988), J. Heat Transfer 110, 885: 0.055, from memory */
const BOTH_WAYS_LEVEL = (4 * 0.055) / (Math.PI * Math.SQRT2);
/** And through an upright one, of which each half takes one way: Q = Cd A / 3 sqrt(g h dT / T). @source BS 5925:1991 */
const BOTH_WAYS_UPRIGHT = DISCHARGE / (3 * Math.SQRT2);
/** Thick air that goes both ways has half the hole for each (2^1.5 the cost), in and out, and half the height to drive it; derived here. */
const HALVES = 2 * 2 * 2 ** 1.5;

/** A way for the air that warmth drives: the pressure is its height times the weight of what is lighter. */
interface WarmWay {
  resistance: Resistance;
  riseM: number;
  /** Under this difference of temperature, over the temperature, nothing moves. */
  from: number;
}

/** How the openings of a home carry air, prepared so that a flow is worked out from warmth and draught alone. */
export interface AirWays {
  openings: AirOpening[];
  /** Conductance for vapour by diffusion, divided by the diffusivity. m */
  diffusionM: number;
  /** Through the home, from left to right and from front to back. */
  crossed: Resistance[];
  /** All openings at once, for the draught that finds no way through. */
  all: Resistance;
  /** In low and out high, and each opening by itself. */
  rising: WarmWay;
  alone: WarmWay[];
  /** Of a lid that is off. m2 */
  openTopM2: number;
  /** Share of the top through which the draught reaches what is under it: all of a lid that is off, the free share of mesh. 0 to 1 */
  topOpenness: number;
  /** Volume that goes out when the box is opened to feed, spread over the week. m3/s */
  liftedM3S: number;
  /** Air over the soil. m3 */
  airVolumeM3: number;
}

/** A home with its lid off passes whatever the room brings. */
export interface AirWaysSettings extends OpeningSettings {
  lidOff?: boolean | undefined;
}

/** Prepares the ways of the air of a home filled with soil. */
export function airWays(container: Container, soil: Soil, settings: AirWaysSettings = {}): AirWays {
  const openings = airOpenings(container, meanDepthMm(soil), settings);
  const volumeM3 = volumeBelowMm3(container, container.heightMm) / 1e9 - fillVolumeL(container, soil) / 1e3;
  // Where soil fills a box to the lid there is still a little air over it.
  const airVolumeM3 = Math.max(volumeM3, 1e-5);
  const topM2 =
    (volumeBelowMm3(container, container.heightMm) - volumeBelowMm3(container, container.heightMm - 1)) / 1e6;
  const lidOpenM2 = openings.filter(({ side }) => side === 'lid').reduce((sum, { openAreaM2 }) => sum + openAreaM2, 0);
  return {
    openings,
    diffusionM: openings.reduce((sum, each) => sum + each.shapeM, 0),
    ...{ crossed: crossedWays(openings), all: sideBySide(openings.map(({ resistance }) => resistance)) },
    ...{ rising: risingWay(openings), alone: aloneWays(openings) },
    openTopM2: settings.lidOff ? topM2 : 0,
    topOpenness: settings.lidOff ? 1 : Math.min(1, lidOpenM2 / topM2),
    liftedM3S: openings.length > 0 ? (LIFTS_A_WEEK * airVolumeM3) / WEEK_S : 0,
    airVolumeM3,
  };
}

/** In at one side, out at the opposite one and the lid, whichever way round passes more; a seam is a quarter of it at each side. */
function crossedWays(openings: AirOpening[]): Resistance[] {
  const seams = openings.filter(({ side }) => side === 'seam').map(({ resistance }) => manyOf(resistance, 1 / 4));
  const on = (side: VentSide) => [
    ...openings.filter((each) => each.side === side).map(({ resistance }) => resistance),
    ...seams,
  ];
  const top = openings.filter(({ side }) => side === 'lid').map(({ resistance }) => resistance);
  const through = (a: VentSide, b: VentSide) => {
    const one = inSeries(sideBySide(on(a)), sideBySide([...on(b), ...top]));
    const other = inSeries(sideBySide(on(b)), sideBySide([...on(a), ...top]));
    return one.linear <= other.linear ? one : other;
  };
  return [through('front', 'back'), through('left', 'right')].filter(({ linear }) => linear < Infinity);
}

/** In low and out high: the split of the openings in two that passes most. */
function risingWay(openings: AirOpening[]): WarmWay {
  const sorted = [...openings].sort((a, b) => a.heightM - b.heightM);
  let best: WarmWay = { resistance: SHUT, riseM: 0, from: 0 };
  let most = 0;
  for (let split = 1; split < sorted.length; split += 1) {
    const [low, high] = [group(sorted.slice(0, split)), group(sorted.slice(split))];
    const way = { resistance: inSeries(low.resistance, high.resistance), riseM: high.heightM - low.heightM, from: 0 };
    if (way.riseM <= 0) continue;
    const flow = warmFlow(way, USUAL_BUOYANCY_K / (20 + ZERO_C_K));
    if (flow > most) [best, most] = [way, flow];
  }
  return best;
}

/** Openings as one, at the height that what passes them has in the mean. */
function group(openings: AirOpening[]): { resistance: Resistance; heightM: number } {
  const passed = openings.reduce((sum, { resistance }) => sum + 1 / resistance.linear, 0);
  const heightM = openings.reduce((sum, { heightM, resistance }) => sum + heightM / resistance.linear, 0) / passed;
  return { resistance: sideBySide(openings.map(({ resistance }) => resistance)), heightM };
}

/** What each opening passes by itself, in and out at once: nothing while the air in it is too thick to turn over. */
function aloneWays(openings: AirOpening[]): WarmWay[] {
  // Warm air does not leave through the floor.
  const free = openings.filter(({ side }) => side !== 'seam' && side !== 'floor');
  return free.map(({ side, radiusM, pathM, tallM, resistance, count }) => {
    const areaM2 = count * Math.PI * radiusM ** 2;
    const isLevel = side === 'lid';
    return {
      resistance: {
        linear: HALVES * resistance.linear,
        square: jetLoss(areaM2, isLevel ? BOTH_WAYS_LEVEL : BOTH_WAYS_UPRIGHT) + meshSquare(resistance, areaM2),
      },
      riseM: isLevel ? 2 * radiusM : tallM,
      from:
        (CRITICAL_RAYLEIGH * (AIR_VISCOSITY_PA_S / AIR_DENSITY_KG_M3) * AIR_DIFFUSIVITY_M2_S * pathM) /
        (GRAVITY_M_S2 * radiusM ** 4),
    };
  });
}

/** What its mesh costs an opening over its jet. */
const meshSquare = ({ square }: Resistance, areaM2: number) => Math.max(0, square - jetLoss(areaM2));

/** @param lightness difference of temperature over temperature */
function warmFlow({ resistance, riseM, from }: WarmWay, lightness: number): number {
  if (lightness <= from || riseM <= 0) return 0;
  return flowThrough(resistance, AIR_DENSITY_KG_M3 * GRAVITY_M_S2 * riseM * lightness);
}

/** Flow by the draught of the room: straight through, the two directions as a slanting one would have them. m3/s */
export function draughtFlowM3S(ways: AirWays, draughtMS: number): number {
  const pressurePa = (AIR_DENSITY_KG_M3 / 2) * draughtMS ** 2;
  const crossed = Math.hypot(
    ...ways.crossed.map((way) => flowThrough(way, PRESSURE_COEFFICIENT_DIFFERENCE * pressurePa)),
  );
  const oneSided = flowThrough(ways.all, (ONE_SIDED / DISCHARGE) ** 2 * pressurePa);
  return Math.max(crossed, oneSided, ways.openTopM2 * draughtMS);
}

/** Flow by warmth: in low and out high, or each opening by itself. m3/s */
export function stackFlowM3S(ways: AirWays, warmerByK: number, temperatureC: number): number {
  const lightness = Math.abs(warmerByK) / (temperatureC + ZERO_C_K);
  let alone = 0;
  for (const way of ways.alone) alone += warmFlow(way, lightness);
  const top = ways.openTopM2 * OPEN_TOP_FACTOR * Math.sqrt(lightness);
  return Math.max(warmFlow(ways.rising, lightness), alone, top);
}

/** Makes the stack term of an open top pass OPEN_TOP_M_S at the usual buoyancy. */
const OPEN_TOP_FACTOR = OPEN_TOP_M_S / Math.sqrt(USUAL_BUOYANCY_K / (21 + ZERO_C_K));

/**
 * Bulk flow of air by warmth and draught together: the squares add. m3/s
 * @source ASHRAE Fundamentals, chapter 16
 */
export function bulkFlowM3S(stackM3S: number, draughtM3S: number): number {
  // Math.hypot is many times slower, and this is asked at every step of a forecast.
  return Math.sqrt(stackM3S * stackM3S + draughtM3S * draughtM3S);
}

/** The flow is shared among the openings as a draught of 0.1 m/s would share it. Pa */
const SHARED_AT_PA = 0.005;

export interface AirFlowQuestion extends AirWaysSettings {
  container: Container;
  soil: Soil;
  /** Of the air in the home. C */
  temperatureC: number;
  pressurePa?: number | undefined;
  /** By how much the home is warmer than the room. K */
  warmingK: number;
  /** Speed of the air in the room about the home. m/s */
  draughtMS: number;
}

export interface OpeningFlow {
  index: number | null;
  side: AirOpening['side'];
  count: number;
  openAreaMm2: number;
  /** Vapour conductance of this opening by diffusion, and its part of the flow of air. m3/s */
  diffusionM3S: number;
  bulkM3S: number;
  /** Of all that leaves the home. % */
  sharePct: number;
}

export interface AirFlowAnswer {
  /** Volume of air that diffusion and flow together exchange. m3/s */
  vapourConductanceM3S: number;
  diffusionM3S: number;
  stackFlowM3S: number;
  draughtFlowM3S: number;
  bulkFlowM3S: number;
  airVolumeL: number;
  airChangesPerHour: number;
  openings: OpeningFlow[];
}

/** What goes through the openings of a home, in all and opening by opening. */
export function airFlow(question: AirFlowQuestion): AirFlowAnswer {
  const { container, soil, temperatureC, warmingK, draughtMS } = question;
  const ways = airWays(container, soil, question);
  const diffusivity = vapourDiffusivityM2S(temperatureC, question.pressurePa ?? STANDARD_PRESSURE_PA);
  const [stackM3S, draughtM3S] = [stackFlowM3S(ways, warmingK, temperatureC), draughtFlowM3S(ways, draughtMS)];
  const bulk = bulkFlowM3S(stackM3S, draughtM3S);
  const conductance = diffusivity * ways.diffusionM + bulk;
  const shares = ways.openings.map(({ resistance }) => flowThrough(resistance, SHARED_AT_PA));
  const passed = shares.reduce((sum, each) => sum + each, 0);
  return {
    vapourConductanceM3S: conductance,
    diffusionM3S: diffusivity * ways.diffusionM,
    stackFlowM3S: stackM3S,
    draughtFlowM3S: draughtM3S,
    bulkFlowM3S: bulk,
    airVolumeL: ways.airVolumeM3 * 1000,
    airChangesPerHour: (3600 * conductance) / ways.airVolumeM3,
    openings: ways.openings.map((each, index) => {
      const diffusionM3S = diffusivity * each.shapeM;
      const bulkM3S = passed === 0 ? 0 : (bulk * (shares[index] ?? 0)) / passed;
      return {
        index: each.index,
        side: each.side,
        count: each.count,
        openAreaMm2: each.openAreaM2 * 1e6,
        diffusionM3S,
        bulkM3S,
        sharePct: conductance > 0 ? (100 * (diffusionM3S + bulkM3S)) / conductance : 0,
      };
    }),
  };
}
