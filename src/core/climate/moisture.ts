import { bulkFlowM3S, draughtFlowM3S, stackFlowM3S } from './airFlow';
import type { MoistBox } from './moistBox';
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
  wetness: { damp: number; dry: number };
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
  /** It ends with the hour in which the damp end is under this. */
  endsUnder?: number | undefined;
}

/** The course of a home, one value an hour (the first is the start). */
export interface MoistureCourse {
  relativeHumidityPct: Float64Array;
  dampWetness: Float64Array;
  dryWetness: Float64Array;
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
/** Below this wetness loose fibre and litter no longer bring water up as fast as it dries, and vapour comes from deeper down; from memory. */
const CRITICAL_WETNESS = 0.7;
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

/** Resistance of the litter and of the dry crust over soil of a wetness. s/m */
function coverResistance(box: MoistBox, wetness: number, diffusivity: number): number {
  const dried = wetness < CRITICAL_WETNESS ? 1 - wetness / CRITICAL_WETNESS : 0;
  return (box.litterM + (box.depthM * dried) / SOIL_OPENNESS) / diffusivity;
}

/**
 * Follows the water of a home. In each step the air settles at once between what evaporates (damp end, dry end, dish,
 * film on the walls) and what the openings pass; the soil loses what went; water creeps from the wetter end to the
 * drier; vapour condenses where the walls are below the dew point.
 *
 * Evaporation: mass transfer by the Lewis relation, first-stage and falling-rate drying with a receding front.
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
    temperatureC: new Float64Array(hours + 1),
    lostMl: new Float64Array(hours + 1),
  };
  const roomAt = roomCourse(question);
  const startHour = question.startHour ?? 0;
  const areas = box.dampAreaM2 + box.dryAreaM2;
  const dampShare = areas > 0 ? box.dampAreaM2 / areas : 0;
  const draughtM3S = draughtFlowM3S(ways, room.draughtMS * factors.draught);
  const hm = surfaceConductanceMS(0) * factors.surface;
  const lagShare = 1 - Math.exp(-stepS / Math.max(box.heatLagS, 1));
  const dishG = dishAreaM2 * hm;
  const filmG = wallAreaM2 * hm;

  let dampKg = dampHeldKg * question.wetness.damp;
  let dryKg = dryHeldKg * question.wetness.dry;
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

    const dampWetness = dampHeldKg > 0 ? dampKg / dampHeldKg : 0;
    const dryWetness = dryHeldKg > 0 ? dryKg / dryHeldKg : 0;
    const dampAir = soilHumidity(dampWetness) * saturation;
    const dryAir = soilHumidity(dryWetness) * saturation;
    // A film of soil that would dry out within the step gives at most half of what it has.
    const most = GIVES_AT_MOST / (saturation * stepS);
    const dampG = Math.min(conductanceOf(box, box.dampAreaM2, dampWetness, hm, diffusivity), dampKg * most);
    const dryG = Math.min(conductanceOf(box, box.dryAreaM2, dryWetness, hm, diffusivity), dryKg * most);
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

    if (isHour) {
      const hour = step / perHour;
      out.relativeHumidityPct[hour] = Math.min(100, (100 * inside) / saturation);
      out.dampWetness[hour] = dampWetness;
      out.dryWetness[hour] = dryWetness;
      out.temperatureC[hour] = insideC;
      out.lostMl[hour] = lostKg * 1000;
    }
    conductanceSum += outG;
    done = step;
    if (step === steps || (isHour && dampWetness < endsUnder)) break;

    const fromDamp = dampG * (dampAir - inside) * stepS;
    const fromDry = dryG * (dryAir - inside) * stepS;
    const fromDish = dishG * (saturation - inside) * stepS;
    const meanWetness = (dampWetness + dryWetness) / 2;
    const wicked = wickingKgS * meanWetness * meanWetness * (dampWetness - dryWetness) * stepS;
    const crept = Math.max(-dryKg * GIVES_AT_MOST, Math.min(dampKg * GIVES_AT_MOST, wicked));
    dampKg -= fromDamp + crept;
    dryKg -= fromDry - crept;
    filmKg -= filmFlow * stepS;
    dishKg += fromDish;
    lostKg += fromDamp + fromDry + fromDish + filmFlow * stepS;
    passedKg += outG * (inside - outside.densityKgM3) * stepS;
    if (filmFlow < 0) condensationS += stepS;
    const overflow = filmKg - FILM_KG_M2 * wallAreaM2;
    if (overflow > 0) {
      filmKg -= overflow;
      dampKg += overflow * dampShare;
      dryKg += overflow * (1 - dampShare);
    }
    if (misting && isHour && (step / perHour + startHour) % 24 === misting.hourOfDay) {
      if ((100 * inside) / saturation < misting.belowPct) {
        const mistKg = misting.waterMl / 1000;
        filmKg += mistKg * MIST_ON_SURFACES;
        dampKg += mistKg * (1 - MIST_ON_SURFACES) * dampShare;
        dryKg += mistKg * (1 - MIST_ON_SURFACES) * (1 - dampShare);
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
