import { bulkFlowM3S, draughtFlowM3S, stackFlowM3S } from './airFlow';
import type { MoistBox } from './moistBox';
import { LAYER_GAPS, LAYER_SHARES, layersAtStart, type Layers, type SoilLayers, type WateringWay } from './soilLayers';
import type { Spread } from './spread';
import {
  saturationDensityKgM3,
  STANDARD_PRESSURE_PA,
  VAPOUR_GAS_CONSTANT,
  vapourDiffusivityM2S,
  ZERO_C_K,
} from './psychrometrics';

/** The air of the room about the home. */
export interface RoomAir {
  temperatureC: number;
  relativeHumidityPct: number;
  /** Speed of the air about the home. m/s */
  draughtMS: number;
  /** How far the temperature swings to either side in a day, warmest at 15:00. K */
  dailySwingK?: number | undefined;
}

/** The room as a logger saw it, from the start of the forecast; between two readings it changes evenly. */
export interface RoomSeries {
  hour: number;
  temperatureC: number;
  relativeHumidityPct: number;
}

/** What a keeper's readings say about this one box, against a box of its kind; 1 is no difference. */
export interface BoxFactors {
  draught: number;
  surface: number;
  /** How sure that is: standard deviations of their logarithms; as usual for a box nobody measured if left out. */
  spread?: Spread | undefined;
}
export const NO_FACTORS: BoxFactors = { draught: 1, surface: 1 };

/** A way of keeping the air damp by hand. */
export interface Misting {
  /** Looked at once a day at this hour; misted when the air is drier than this. % */
  belowPct: number;
  waterMl: number;
  hourOfDay: number;
}

export interface MoistureQuestion {
  box: MoistBox;
  /** Of both ends as a whole at the start. */
  wetness: { damp: number; dry: number };
  /** How the water lies in them; evenly if left out. */
  layers?: SoilLayers | undefined;
  room: RoomAir;
  roomSeries?: RoomSeries[] | undefined;
  /** By how much the home is warmer than its room. K */
  warmingK: number;
  days: number;
  stepMinutes: number;
  factors?: BoxFactors | undefined;
  misting?: Misting | undefined;
  /** Hour of the day at which the forecast begins. */
  startHour?: number | undefined;
  /** It ends with the hour in which the damp end (or its surface, where that is judged) is under this. */
  endsUnder?: number | undefined;
  /** What has to stay damp of the damp end: the whole of it if left out, or its surface, for the small ones who live on it. */
  judged?: 'whole' | 'top' | undefined;
  /** How it is watered again; onto the damp end if left out. */
  way?: WateringWay | undefined;
}

/** The course of a home, one value an hour (the first is the start). */
export interface MoistureCourse {
  relativeHumidityPct: Float64Array;
  dampWetness: Float64Array;
  dryWetness: Float64Array;
  /** Surface, middle and lower half of the damp end, then of the dry end; see `layersAt`. */
  layers: Float64Array;
  temperatureC: Float64Array;
  /** Water that has left the home since the start. mL */
  lostMl: Float64Array;
  /** Water that the dish has given, and hours in which vapour condensed on walls or lid. */
  dishMl: number;
  condensationHours: number;
  /** Water misted, and how often. */
  mistedMl: number;
  mistings: number;
  /** Vapour that went out through openings less what came in: what the stores must have lost. mL */
  passedMl: number;
  /** Mean volume of air exchanged. m3/s */
  meanConductanceM3S: number;
}

/** Heat that moving air takes from a surface in a box. W/(m2 K), from memory; checked against pool evaporation. */
const STILL_AIR_W_M2K = 4;
const DRAUGHT_W_M2K_PER_MS = 4;
/** Density times heat of air, J/(m3 K), and the Lewis number of vapour in air to the power 2/3. */
const AIR_HEAT_J_M3K = 1206;
const LEWIS_FACTOR = 0.9;
/** Below this wetness the skin of loose fibre and litter turns light, and vapour comes from deeper in its layer; from memory. */
const CRITICAL_WETNESS = 0.7;
/** Between layers wetter than this vapour moves nothing worth counting: by the sorption curve the air in both is within 0.1 % of full. */
const VAPOUR_COUNTS_UNDER = 0.25;
/** Open share of loose soil over its detours; from memory. */
const SOIL_OPENNESS = 0.35;
/** How sharply the humidity over soil falls when it is nearly dry: 1 - exp(-30 w); shape of a sorption curve, from memory. */
const SORPTION = 30;
/** Water that clings to a wall before it runs down. kg/m2, from memory */
const FILM_KG_M2 = 0.05;
/** Of misted water this share clings to walls and litter, the rest goes into the soil; from memory. */
const MIST_ON_SURFACES = 0.5;
const WARMEST_HOUR = 15;
/** Share of its water that an end of the soil gives off, or hands on, in one step at most. */
const GIVES_AT_MOST = 0.5;
const HOUR_S = 3600;

/** Conductance of still or moving air over a surface, by the Lewis relation. m/s */
export function surfaceConductanceMS(draughtMS: number): number {
  return (STILL_AIR_W_M2K + DRAUGHT_W_M2K_PER_MS * draughtMS) / (AIR_HEAT_J_M3K * LEWIS_FACTOR);
}

/** Relative humidity in the pores of soil of a wetness, 0 to 1. */
export function soilHumidity(wetness: number): number {
  return 1 - Math.exp(-SORPTION * Math.max(0, wetness));
}

/** Resistance of the litter and of the dry crust of a surface of a wetness. s/m */
function coverResistance(box: MoistBox, wetness: number, diffusivity: number): number {
  const dried = wetness < CRITICAL_WETNESS ? 1 - wetness / CRITICAL_WETNESS : 0;
  return (box.litterM + (box.depthM * LAYER_SHARES[0] * dried) / SOIL_OPENNESS) / diffusivity;
}

/**
 * Water that goes from one place in the soil to another in a step: drawn to the drier, and sinking until the upper holds less than
 * the lower by what its suction bears; as vapour where either is dry. Never more than evens the two out, nor than the other can hold.
 * @param openKg for a difference of wetness of 1, wet through
 * @param sinks what gravity is worth over the way: its length in suction heights; 0 to the side
 * @param poresKg vapour for a difference of humidity of 1
 */
function creepingKg(
  water: Float64Array,
  held: Float64Array,
  from: number,
  to: number,
  openKg: number,
  sinks: number,
  poresKg: number,
): number {
  const fromKg = water[from] as number;
  const toKg = water[to] as number;
  const fromHeld = held[from] as number;
  const toHeld = held[to] as number;
  const a = fromKg / fromHeld;
  const b = toKg / toHeld;
  const mean = (a + b) / 2;
  const open = openKg * mean * mean * mean * mean;
  const evensKg = (fromHeld * toHeld) / (fromHeld + toHeld);
  let flow = (open * (a - b + mean * sinks)) / (1 + open / evensKg);
  if (a < VAPOUR_COUNTS_UNDER || b < VAPOUR_COUNTS_UNDER) {
    flow += (poresKg * (soilHumidity(a) - soilHumidity(b))) / (1 + (poresKg * SORPTION) / evensKg);
  }
  return flow > 0
    ? Math.min(flow, fromKg * GIVES_AT_MOST, Math.max(0, toHeld - toKg))
    : Math.max(flow, -toKg * GIVES_AT_MOST, -Math.max(0, fromHeld - fromKg));
}

const endWetness = (waterKg: Float64Array, at: number, heldKg: number) =>
  ((waterKg[at] as number) + (waterKg[at + 1] as number) + (waterKg[at + 2] as number)) / heldKg;

/** The layers of a course at an hour of it. */
export function layersAt({ layers }: MoistureCourse, hour: number): SoilLayers {
  const read = (at: number): Layers => ({
    top: layers[at] ?? 0,
    middle: layers[at + 1] ?? 0,
    low: layers[at + 2] ?? 0,
  });
  return { damp: read(6 * hour), dry: read(6 * hour + 3) };
}

/** What of the damp end has to stay damp, hour by hour. */
export function judgedWetness(course: MoistureCourse, judged: MoistureQuestion['judged']): Float64Array {
  if (judged !== 'top') return course.dampWetness;
  return course.dampWetness.map((_, hour) => course.layers[6 * hour] ?? 0);
}

/**
 * Follows the water of a home. In each step the air settles at once between what evaporates (damp end, dry end, dish,
 * film on the walls) and what the openings pass; the surface of the soil loses what went; water creeps and sinks between its
 * three layers and from the wetter end to the drier; vapour condenses where the walls are below the dew point.
 *
 * Evaporation: mass transfer by the Lewis relation, first-stage and falling-rate drying with a crust. In the soil: capillary
 * flow by a diffusivity that grows with the fourth power of wetness (Campbell, G. S. (1974), Soil Science 117, 311-314, cited from
 * memory: the power is 2 + b; some 2 for the b of loose fibre, from memory), gravity by the suction of the mix, vapour through dry pores.
 * Quasi-steady: a box holds grams of vapour and grams of water a day, so its air settles within minutes.
 * @param question days from 0.04 to 400, steps from 1 to 60 minutes that divide an hour
 */
export function followMoisture(question: MoistureQuestion): MoistureCourse {
  const { box, room, warmingK, days, stepMinutes, factors = NO_FACTORS, misting, endsUnder = -1 } = question;
  const { ways, wallAreaM2, dampHeldKg, dryHeldKg, wickingKgS, dishAreaM2 } = box;
  const hours = Math.round(days * 24);
  const perHour = Math.max(1, Math.round(60 / stepMinutes));
  const stepS = HOUR_S / perHour;
  const out = {
    relativeHumidityPct: new Float64Array(hours + 1),
    dampWetness: new Float64Array(hours + 1),
    dryWetness: new Float64Array(hours + 1),
    layers: new Float64Array(6 * (hours + 1)),
    temperatureC: new Float64Array(hours + 1),
    lostMl: new Float64Array(hours + 1),
  };
  const roomAt = roomCourse(question);
  const startHour = question.startHour ?? 0;
  const areas = box.dampAreaM2 + box.dryAreaM2;
  const dampShare = areas > 0 ? box.dampAreaM2 / areas : 0;
  const draughtM3S = draughtFlowM3S(ways, room.draughtMS * factors.draught);
  // Under an open top what is wet feels the draught; behind walls the air hardly moves.
  const hm = surfaceConductanceMS(room.draughtMS * factors.draught * ways.topOpenness) * factors.surface;
  const lagShare = 1 - Math.exp(-stepS / Math.max(box.heatLagS, 1));
  const dishG = dishAreaM2 * hm;
  const filmG = wallAreaM2 * hm;

  const { damp: dampLayers, dry: dryLayers } = layersAtStart(question);
  // Surface, middle and lower half of the damp end, then of the dry end.
  const heldKg = Float64Array.from([
    ...LAYER_SHARES.map((share) => share * dampHeldKg),
    ...LAYER_SHARES.map((share) => share * dryHeldKg),
  ]);
  const wet = [dampLayers.top, dampLayers.middle, dampLayers.low, dryLayers.top, dryLayers.middle, dryLayers.low];
  const waterKg = heldKg.map((each, at) => each * (wet[at] ?? 0));
  const [upperGap, lowerGap] = LAYER_GAPS;
  const sinksUpper = (box.depthM * upperGap) / box.suctionM;
  const sinksLower = (box.depthM * lowerGap) / box.suctionM;
  const hasDamp = dampHeldKg > 0;
  const hasDry = dryHeldKg > 0;
  const [dampTopHeld = 0, , , dryTopHeld = 0] = heldKg;
  const move = (from: number, to: number, openKg: number, sinks: number, poresKg: number) => {
    const flow = creepingKg(waterKg, heldKg, from, to, openKg, sinks, poresKg);
    (waterKg[from] as number) -= flow;
    (waterKg[to] as number) += flow;
  };
  const isTopJudged = question.judged === 'top';
  let filmKg = 0;
  let lostKg = 0;
  let passedKg = 0;
  let dishKg = 0;
  let condensationS = 0;
  let mistedKg = 0;
  let mistings = 0;
  let conductanceSum = 0;
  const outside = { temperatureC: NaN, densityKgM3: 0 };
  roomAt(0, outside);
  let insideC = outside.temperatureC + warmingK;
  let saturation = saturationDensityKgM3(insideC);
  let inside = saturation;
  // What depends on temperature alone is worked out again only when that has changed.
  let wallSaturation = 0;
  let diffusivity = 0;
  let knownInsideC = NaN;
  let knownRoomC = NaN;

  const steps = hours * perHour;
  let done = 0;
  for (let step = 0; ; step += 1) {
    const isHour = step % perHour === 0;
    roomAt((step * stepS) / HOUR_S, outside);
    const roomC = outside.temperatureC;
    insideC += (roomC + warmingK - insideC) * lagShare;
    if (insideC !== knownInsideC || roomC !== knownRoomC) {
      saturation = saturationDensityKgM3(insideC);
      wallSaturation = insideC === roomC ? saturation : saturationDensityKgM3((insideC + roomC) / 2);
      if (isHour || step === 0) diffusivity = vapourDiffusivityM2S(insideC);
      knownInsideC = insideC;
      knownRoomC = roomC;
    }

    const dampTop = waterKg[0] as number;
    const dryTop = waterKg[3] as number;
    const dampSurface = hasDamp ? dampTop / dampTopHeld : 0;
    const drySurface = hasDry ? dryTop / dryTopHeld : 0;
    const dampAir = soilHumidity(dampSurface) * saturation;
    const dryAir = soilHumidity(drySurface) * saturation;
    // A film of soil that would dry out within the step gives at most half of what it has.
    const most = GIVES_AT_MOST / (saturation * stepS);
    const dampG = Math.min(conductanceOf(box, box.dampAreaM2, dampSurface, hm, diffusivity), dampTop * most);
    const dryG = Math.min(conductanceOf(box, box.dryAreaM2, drySurface, hm, diffusivity), dryTop * most);
    // Damp air is lighter than dry air: what it weighs less is worth so many degrees of warmth.
    const kelvin = insideC + ZERO_C_K;
    const buoyancyK = insideC - roomC + (inside - outside.densityKgM3) * VAPOUR_LIGHTNESS * kelvin * kelvin;
    const outG =
      diffusivity * ways.diffusionM + bulkFlowM3S(stackFlowM3S(ways, buoyancyK, insideC), draughtM3S) + ways.liftedM3S;

    let supply = dampG * dampAir + dryG * dryAir + dishG * saturation + outG * outside.densityKgM3;
    let total = dampG + dryG + dishG + outG;
    // The film on the walls gives or takes; one that would be gone within the step gives what it has.
    let filmFlow = 0;
    if (filmG > 0 && (filmKg > 0 || supply > wallSaturation * total)) {
      const withFilm = (supply + filmG * wallSaturation) / (total + filmG);
      filmFlow = filmG * (wallSaturation - withFilm);
      if (filmFlow * stepS > filmKg) {
        filmFlow = filmKg / stepS;
        supply += filmFlow;
      } else {
        supply += filmG * wallSaturation;
        total += filmG;
      }
    }
    inside = total > 0 ? supply / total : outside.densityKgM3;

    let judged = dampSurface;
    if (isHour) {
      const hour = step / perHour;
      const dampWetness = hasDamp ? endWetness(waterKg, 0, dampHeldKg) : 0;
      if (!isTopJudged) judged = dampWetness;
      out.relativeHumidityPct[hour] = Math.min(100, (100 * inside) / saturation);
      out.dampWetness[hour] = dampWetness;
      out.dryWetness[hour] = hasDry ? endWetness(waterKg, 3, dryHeldKg) : 0;
      for (let at = 0; at < 6; at += 1) {
        const held = heldKg[at] as number;
        if (held > 0) out.layers[6 * hour + at] = (waterKg[at] as number) / held;
      }
      out.temperatureC[hour] = insideC;
      out.lostMl[hour] = lostKg * 1000;
    }
    conductanceSum += outG;
    done = step;
    if (step === steps || (isHour && judged < endsUnder)) break;

    const fromDamp = dampG * (dampAir - inside) * stepS;
    const fromDry = dryG * (dryAir - inside) * stepS;
    const fromDish = dishG * (saturation - inside) * stepS;
    waterKg[0] = dampTop - fromDamp;
    waterKg[3] = dryTop - fromDry;
    const poresKg = (diffusivity * SOIL_OPENNESS * saturation * stepS) / box.depthM;
    if (hasDamp) {
      const pores = poresKg * box.dampAreaM2;
      move(0, 1, (box.dampRiseKgS * stepS) / upperGap, sinksUpper, pores / upperGap);
      move(1, 2, (box.dampRiseKgS * stepS) / lowerGap, sinksLower, pores / lowerGap);
    }
    if (hasDry) {
      const pores = poresKg * box.dryAreaM2;
      move(3, 4, (box.dryRiseKgS * stepS) / upperGap, sinksUpper, pores / upperGap);
      move(4, 5, (box.dryRiseKgS * stepS) / lowerGap, sinksLower, pores / lowerGap);
    }
    if (wickingKgS > 0 && hasDamp && hasDry) {
      for (let layer = 0; layer < 3; layer += 1) {
        move(layer, layer + 3, wickingKgS * (LAYER_SHARES[layer] as number) * stepS, 0, 0);
      }
    }
    filmKg -= filmFlow * stepS;
    dishKg += fromDish;
    lostKg += fromDamp + fromDry + fromDish + filmFlow * stepS;
    passedKg += outG * (inside - outside.densityKgM3) * stepS;
    if (filmFlow < 0) condensationS += stepS;
    const overflow = filmKg - FILM_KG_M2 * wallAreaM2;
    if (overflow > 0) {
      filmKg -= overflow;
      (waterKg[0] as number) += overflow * dampShare;
      (waterKg[3] as number) += overflow * (1 - dampShare);
    }
    if (misting && isHour && (step / perHour + startHour) % 24 === misting.hourOfDay) {
      if ((100 * inside) / saturation < misting.belowPct) {
        const mistKg = misting.waterMl / 1000;
        filmKg += mistKg * MIST_ON_SURFACES;
        (waterKg[0] as number) += mistKg * (1 - MIST_ON_SURFACES) * dampShare;
        (waterKg[3] as number) += mistKg * (1 - MIST_ON_SURFACES) * (1 - dampShare);
        mistedKg += mistKg;
        mistings += 1;
      }
    }
  }
  const whole = done === steps;
  const told = (values: Float64Array) => (whole ? values : values.subarray(0, Math.floor(done / perHour) + 1));
  return {
    relativeHumidityPct: told(out.relativeHumidityPct),
    dampWetness: told(out.dampWetness),
    dryWetness: told(out.dryWetness),
    layers: whole ? out.layers : out.layers.subarray(0, 6 * (Math.floor(done / perHour) + 1)),
    temperatureC: told(out.temperatureC),
    lostMl: told(out.lostMl),
    dishMl: dishKg * 1000,
    condensationHours: condensationS / HOUR_S,
    mistedMl: mistedKg * 1000,
    mistings,
    passedMl: passedKg * 1000,
    meanConductanceM3S: conductanceSum / (done + 1),
  };
}

/** (1 - 0.622) of a vapour density, as a share of the density of air, times Rv / p: kelvins for a kg/m3 and K2. */
const VAPOUR_LIGHTNESS = (0.378 * VAPOUR_GAS_CONSTANT) / STANDARD_PRESSURE_PA;

function conductanceOf(box: MoistBox, areaM2: number, wetness: number, hm: number, diffusivity: number): number {
  return areaM2 === 0 ? 0 : areaM2 / (1 / hm + coverResistance(box, wetness, diffusivity));
}

interface Outside {
  temperatureC: number;
  densityKgM3: number;
}

/**
 * Writes the room at an hour of the forecast into `outside`: as logged, or swinging once a day while its vapour stays
 * what it is. It writes instead of answering because a forecast asks thousands of times.
 */
function roomCourse({ room, roomSeries, startHour = 0 }: MoistureQuestion): (hour: number, outside: Outside) => void {
  if (roomSeries && roomSeries.length > 0) return seriesCourse(roomSeries);
  const swing = room.dailySwingK ?? 0;
  const densityKgM3 = (saturationDensityKgM3(room.temperatureC) * room.relativeHumidityPct) / 100;
  // In the coldest hour the air of a damp room gives some of its vapour up.
  const most = saturationDensityKgM3(room.temperatureC - swing);
  return (hour, outside) => {
    const phase = (2 * Math.PI * (hour + startHour - WARMEST_HOUR)) / 24;
    outside.temperatureC = swing === 0 ? room.temperatureC : room.temperatureC + swing * Math.cos(phase);
    outside.densityKgM3 = Math.min(densityKgM3, most);
  };
}

function seriesCourse(series: RoomSeries[]): (hour: number, outside: Outside) => void {
  const points = series.map(({ hour, temperatureC, relativeHumidityPct }) => ({
    hour,
    temperatureC,
    densityKgM3: (saturationDensityKgM3(temperatureC) * relativeHumidityPct) / 100,
  }));
  let at = 0;
  return (hour, outside) => {
    while (at + 1 < points.length && (points[at + 1]?.hour ?? Infinity) <= hour) at += 1;
    const a = points[at] as (typeof points)[number];
    const b = points[at + 1];
    const share = b && hour > a.hour ? (hour - a.hour) / (b.hour - a.hour) : 0;
    outside.temperatureC = a.temperatureC + ((b?.temperatureC ?? 0) - a.temperatureC) * share;
    outside.densityKgM3 = a.densityKgM3 + ((b?.densityKgM3 ?? 0) - a.densityKgM3) * share;
  };
}
