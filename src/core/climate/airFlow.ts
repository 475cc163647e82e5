import { volumeBelowMm3, type Container, type VentSide } from '@/core/housing/container';
import { fillVolumeL, meanDepthMm, type Soil } from '@/core/housing/soil';
import { airOpenings, type AirOpening, type OpeningSettings } from './airOpenings';
import { STANDARD_PRESSURE_PA, vapourDiffusivityM2S, ZERO_C_K } from './psychrometrics';

const GRAVITY_M_S2 = 9.80665;
/** Discharge coefficient of a sharp-edged opening. @source BS 5925:1991, section 6 */
const DISCHARGE = 0.6;
/** Difference of the pressure coefficients of opposite sides of a low box in the open. @source BS 5925:1991, table 11, from memory */
const PRESSURE_COEFFICIENT_DIFFERENCE = 0.9;
/** Flow through openings of one side for a unit of area and draught. @source BS 5925:1991, section 6 */
const ONE_SIDED = 0.025;
/** A lid taken off exchanges its air at this speed even in a still room; from memory. m/s */
const OPEN_TOP_M_S = 0.05;

/** How the openings of a home carry air, prepared so that a flow is worked out from warmth and draught alone. */
export interface AirWays {
  openings: AirOpening[];
  /** Conductance for vapour by diffusion, divided by the diffusivity. m */
  diffusionM: number;
  /** Flow for each m/s of draught. m2 */
  draughtM2: number;
  /** Flow by warmth: this times the square root of (temperature difference / temperature). m3/s */
  stackM3S: number;
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
  const ways = {
    openings,
    diffusionM: openings.reduce((sum, each) => sum + each.shapeM, 0),
    draughtM2: draughtFlowPerSpeedM2(openings),
    stackM3S: stackCoefficient(openings),
    airVolumeM3,
  };
  if (!settings.lidOff) return ways;
  const topM2 =
    (volumeBelowMm3(container, container.heightMm) - volumeBelowMm3(container, container.heightMm - 1)) / 1e6;
  return {
    ...ways,
    draughtM2: Math.max(ways.draughtM2, topM2),
    stackM3S: Math.max(ways.stackM3S, topM2 * OPEN_TOP_FACTOR),
  };
}

/** Makes the stack term of an open top pass OPEN_TOP_M_S at the usual buoyancy of damp air over dry, 1.3 K. */
const OPEN_TOP_FACTOR = OPEN_TOP_M_S / Math.sqrt(1.3 / 294);

/** Two openings one behind the other pass as much as one of this area. m2 */
const inSeries = (a: number, b: number) => (a > 0 && b > 0 ? 1 / Math.sqrt(1 / a ** 2 + 1 / b ** 2) : 0);

/**
 * Flow for each m/s of draught in the room. In at one side, out at the opposite one and the lid:
 * Q = Cd A* v sqrt(dCp); where no way leads through, Q = 0.025 A v. The two directions add as a slanting draught would
 * have them. A seam is too narrow to count.
 * @source BS 5925:1991, Code of practice for ventilation principles
 */
function draughtFlowPerSpeedM2(openings: AirOpening[]): number {
  const on = (side: VentSide) =>
    openings.filter((each) => each.side === side).reduce((sum, each) => sum + each.openAreaM2, 0);
  const top = on('lid');
  const through = (a: number, b: number) => {
    const ways = [inSeries(a, b + top), inSeries(b, a + top)];
    return DISCHARGE * Math.sqrt(PRESSURE_COEFFICIENT_DIFFERENCE) * Math.max(...ways);
  };
  const crossed = Math.hypot(through(on('front'), on('back')), through(on('left'), on('right')));
  const total = top + on('floor') + on('front') + on('back') + on('left') + on('right');
  return Math.max(crossed, ONE_SIDED * total);
}

/**
 * Flow by warmth, divided by sqrt(dT / T): low and high openings by Q = Cd A* sqrt(2 g dh dT / T) for the split of the
 * openings in two that passes most; a tall opening by itself Q = Cd A / 3 sqrt(g h dT / T).
 * @source BS 5925:1991
 */
function stackCoefficient(openings: AirOpening[]): number {
  const free = openings.filter((each) => each.side !== 'seam').sort((a, b) => a.heightM - b.heightM);
  let most = 0;
  for (let split = 1; split < free.length; split += 1) {
    const [low, high] = [group(free.slice(0, split)), group(free.slice(split))];
    const rise = Math.max(0, high.heightM - low.heightM);
    most = Math.max(most, DISCHARGE * inSeries(low.areaM2, high.areaM2) * Math.sqrt(2 * GRAVITY_M_S2 * rise));
  }
  const alone = free.reduce(
    (sum, each) => sum + ((DISCHARGE * each.openAreaM2) / 3) * Math.sqrt(GRAVITY_M_S2 * each.tallM),
    0,
  );
  return Math.max(most, alone);
}

function group(openings: AirOpening[]): { areaM2: number; heightM: number } {
  const areaM2 = openings.reduce((sum, each) => sum + each.openAreaM2, 0);
  return { areaM2, heightM: openings.reduce((sum, each) => sum + each.heightM * each.openAreaM2, 0) / areaM2 };
}

/** Bulk flow of air by warmth and draught together: the squares add. m3/s @source ASHRAE Fundamentals, chapter 16 */
export function bulkFlowM3S(ways: AirWays, warmerByK: number, temperatureC: number, draughtMS: number): number {
  const stack = ways.stackM3S * Math.sqrt(Math.abs(warmerByK) / (temperatureC + ZERO_C_K));
  const draught = ways.draughtM2 * draughtMS;
  // Math.hypot is many times slower, and this is asked at every step of a forecast.
  return Math.sqrt(stack * stack + draught * draught);
}

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
  const bulk = bulkFlowM3S(ways, warmingK, temperatureC, draughtMS);
  const conductance = diffusivity * ways.diffusionM + bulk;
  const free = ways.openings.filter((each) => each.side !== 'seam');
  const freeM2 = free.reduce((sum, each) => sum + each.openAreaM2, 0);
  return {
    vapourConductanceM3S: conductance,
    diffusionM3S: diffusivity * ways.diffusionM,
    stackFlowM3S: bulkFlowM3S(ways, warmingK, temperatureC, 0),
    draughtFlowM3S: bulkFlowM3S(ways, 0, temperatureC, draughtMS),
    bulkFlowM3S: bulk,
    airVolumeL: ways.airVolumeM3 * 1000,
    airChangesPerHour: (3600 * conductance) / ways.airVolumeM3,
    openings: ways.openings.map((each) => {
      const diffusionM3S = diffusivity * each.shapeM;
      const bulkM3S = each.side === 'seam' || freeM2 === 0 ? 0 : (bulk * each.openAreaM2) / freeM2;
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
