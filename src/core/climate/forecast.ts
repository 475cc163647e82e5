import { TENTH_SD } from '@/core/numerics/tails';
import { rangeSpread, together, type Range } from '@/core/numerics/spreads';
import { faster } from './spread';
import type { MoistBox } from './moistBox';
import { followMoisture, judgedWetness, layersAt, type MoistureCourse, type MoistureQuestion } from './moisture';
import { layersAtStart, pour, toPourMl, type SoilLayers } from './soilLayers';

export interface Band {
  min: number;
  max: number;
}

/** What a home should be like. */
export interface Wishes {
  humidityPct?: Band | undefined;
  /** Under this wetness the damp end is damped again; a fifth under where it began if left out. */
  dampWetnessMin?: number | undefined;
  /** Under this the air is stale. 0.3 if left out. */
  minAirChangesPerHour?: number | undefined;
  /** Between which its kind is kept damp, how much of its floor is, and where it is damped again; as they are asked for if left out. */
  practice?: { [Name in 'dampWetness' | 'dampSharePct' | 'dampWetnessMin']?: Range | undefined } | undefined;
}

/** Under this much air a wet box goes sour: what boxes drilled by common practice have, by the law of small holes; from memory. */
export const STALE_AIR_CHANGES = 0.3;
/** Over damp soil air as damp as this is usual; where little of it is exchanged as well, nothing dries. From memory */
const NOTHING_DRIES_PCT = 97;
/** As little as this, in times of what goes stale. From memory */
const LITTLE_TIMES = 2;
/** What is left of its first wetness when a damp end is damped again, where nobody set a limit; from memory. */
const USUAL_REDAMP_SHARE = 0.8;

export type Stale = 'fresh' | 'still' | 'stale';

export interface MoistureForecast {
  airChangesPerHour: number;
  /** Mean humidity of the first day, when soil and air have settled. % */
  steadyRelativeHumidityPct: number;
  /** Days until the damp end is under its limit; null when it stays over it for the whole forecast. */
  daysToRedamp: number | null;
  dampWetnessMin: number;
  /** Water that brings the damp end back to where it began, on that day or at the end. mL */
  redampMl: number;
  condensationHours: number;
  waterLostMl: number;
  /** Water to keep the dish topped up. mL a day */
  dishMlPerDay: number;
  /** Share of the hours in which humidity and damp end are within their bands; null where no band was given. % */
  inBandPct: number | null;
  staleAir: Stale;
  course: MoistureCourse;
}

/** Follows a home and says what a keeper asks: when to damp it again, with how much, and whether its air is good. */
export function forecastMoisture(question: MoistureQuestion, wishes: Wishes = {}): MoistureForecast {
  const { box, wetness } = question;
  const course = followMoisture(question);
  const dampWetnessMin = wishes.dampWetnessMin ?? USUAL_REDAMP_SHARE * wetness.damp;
  const judged = judgedWetness(course, question.judged);
  const under = box.dampHeldKg === 0 ? -1 : judged.findIndex((each) => each < dampWetnessMin);
  const last = course.dampWetness[under >= 0 ? under : course.dampWetness.length - 1] ?? 0;
  const airChangesPerHour = (3600 * course.meanConductanceM3S) / box.ways.airVolumeM3;
  const steady = meanOf(course.relativeHumidityPct.subarray(0, Math.min(25, course.relativeHumidityPct.length)));
  return {
    airChangesPerHour,
    steadyRelativeHumidityPct: steady,
    daysToRedamp: under < 0 ? null : crossing(judged, under, dampWetnessMin) / 24,
    dampWetnessMin,
    redampMl: toPourMl(box, question.way ?? 'at-end', Math.max(0, (wetness.damp - last) * box.dampHeldKg * 1000)),
    condensationHours: course.condensationHours,
    waterLostMl: course.lostMl.at(-1) ?? 0,
    dishMlPerDay: course.dishMl / question.days,
    inBandPct: inBand(course, judged, wishes, dampWetnessMin),
    staleAir: staleAir(airChangesPerHour, steady, wishes.minAirChangesPerHour),
    course,
  };
}

/** Days until a damp end is damped again, in eight of ten boxes like this one; null for longer than is looked ahead. */
export interface RedampBand {
  earliest: number | null;
  latest: number | null;
}

/**
 * When it dries under its limit, as the air of its room, its lid and its soil may be: the tenth and the ninetieth of a hundred.
 * Each of what is uncertain is moved by itself, and what that changes adds as squares do; the slow end mirrors the fast one. So do how
 * fast water creeps through its soil and how much that holds, how wet keepers of its kind make it, and how dry they let it become, by
 * their ranges; of a box whose readings were heard, all that is in what they told.
 * @param days the likely answer; null where that is beyond what is looked ahead
 */
export function redampBand(
  question: MoistureQuestion,
  dampWetnessMin: number,
  days: number | null,
  practice: Wishes['practice'] = {},
): RedampBand {
  const isHeard = question.factors?.spread !== undefined;
  const found = [
    ...(['draught', 'surface'] as const).map((name) => ({ ...question, factors: faster(question.factors, name) })),
    ...(isHeard || question.box.creepSpread === 0 ? [] : [{ ...question, box: creepingFaster(question.box) }]),
  ].map((quick) => dryAfter(quick, dampWetnessMin));
  const known = found.filter((each) => each !== null);
  if (days === null) return { earliest: known.length > 0 ? Math.min(...known) : null, latest: null };
  if (days === 0) return { earliest: 0, latest: 0 };
  const bySoil = isHeard ? 0 : TENTH_SD * soilSpread(question, dampWetnessMin, practice);
  const apart = Math.hypot(...known.map((each) => Math.log(Math.max(each, days / LARGEST_RATIO) / days)), bySoil);
  const latest = days * Math.exp(apart);
  return { earliest: days * Math.exp(-apart), latest: latest > question.days ? null : latest };
}

/**
 * What soil and keeper add to the spread of the days. Days go with the water between the two wetnesses: with what the soil holds, how
 * far apart they are, and how much of the floor is damp (in boxes with much air less so: to the power of 0.4 to 1, tried here).
 */
function soilSpread(
  { box, wetness }: MoistureQuestion,
  limit: number,
  practice: NonNullable<Wishes['practice']>,
): number {
  const between = Math.max(LEAST_BETWEEN, wetness.damp - limit);
  const ofWetness = (range: Range | undefined) => (range ? (range.max - range.min) / (2 * TENTH_SD * between) : 0);
  const ofShare = practice.dampSharePct && box.dryAreaM2 > 0 ? rangeSpread(practice.dampSharePct) : 0;
  return together(box.heldSpread, ofWetness(practice.dampWetness), ofWetness(practice.dampWetnessMin), ofShare);
}

/** Wetnesses are not told from one another more finely than so. Chosen here */
const LEAST_BETWEEN = 0.05;

/** The same soil as fast as it leads water to its surface in one of ten. */
function creepingFaster(box: MoistBox): MoistBox {
  const times = Math.exp(TENTH_SD * box.creepSpread);
  return {
    ...box,
    wickingKgS: box.wickingKgS * times,
    dampRiseKgS: box.dampRiseKgS * times,
    dryRiseKgS: box.dryRiseKgS * times,
  };
}

/** No two boxes of a kind differ by more than this; from memory. */
const LARGEST_RATIO = 20;

/** Days until the damp end is under a limit; null for longer than is looked ahead. */
function dryAfter(question: MoistureQuestion, limit: number): number | null {
  if (question.box.dampHeldKg === 0) return null;
  const judged = judgedWetness(followMoisture({ ...question, endsUnder: limit }), question.judged);
  const under = judged.findIndex((each) => each < limit);
  return under < 0 ? null : crossing(judged, under, limit) / 24;
}

/**
 * How a box dries, and the band of days until it is damped again.
 * @throws Refusal as `forecastMoisture` does
 */
export function dryingAhead(
  question: MoistureQuestion,
  wishes: Wishes,
): { forecast: MoistureForecast; band: RedampBand } {
  const forecast = forecastMoisture(question, wishes);
  const { dampWetnessMin, daysToRedamp } = forecast;
  return { forecast, band: redampBand(question, dampWetnessMin, daysToRedamp, wishes.practice) };
}

/** Less exchange than is wanted is stale; not much more of it, in air in which nothing dries, is still. */
export function staleAir(airChangesPerHour: number, humidityPct: number, min = STALE_AIR_CHANGES): Stale {
  if (airChangesPerHour < min) return 'stale';
  return humidityPct > NOTHING_DRIES_PCT && airChangesPerHour < LITTLE_TIMES * min ? 'still' : 'fresh';
}

/** The hour, between the last value over a limit and the first under it. */
function crossing(values: Float64Array, under: number, limit: number): number {
  if (under === 0) return 0;
  const [before, after] = [values[under - 1] ?? 0, values[under] ?? 0];
  return under - 1 + (before - limit) / (before - after);
}

function inBand(
  course: MoistureCourse,
  judged: Float64Array,
  { humidityPct }: Wishes,
  dampWetnessMin: number,
): number | null {
  if (!humidityPct) return null;
  const good = course.relativeHumidityPct.reduce((count, humidity, hour) => {
    const inside = humidity >= humidityPct.min && humidity <= humidityPct.max;
    return inside && (judged[hour] ?? 0) >= dampWetnessMin ? count + 1 : count;
  }, 0);
  return (100 * good) / course.relativeHumidityPct.length;
}

function meanOf(values: Float64Array): number {
  return values.reduce((sum, each) => sum + each, 0) / values.length;
}

/** A home followed on while it is damped again every time it wants it. */
export interface DampedCourse {
  relativeHumidityPct: number[];
  dampWetness: number[];
  dryWetness: number[];
  /** Surface and lower half of the damp end. */
  dampTop: number[];
  dampLow: number[];
  temperatureC: number[];
  /** How the water lies at its start. */
  layers: SoilLayers;
  /** When it is damped, and with how much. */
  dampings: { hour: number; waterMl: number }[];
  condensationHours: number;
}

/**
 * The days ahead of a home as it stands now: hour by hour, damped back to `target` in its way whenever its damp end is under the
 * limit. A home that would be damped more often than once a day is followed as if it were not; so is one of which only the dish is filled.
 * @param question its wetness now; `days` is how far to look
 */
export function dampedCourse(question: MoistureQuestion, target: number, limit: number): DampedCourse {
  const { way = 'at-end' } = question;
  const hours = Math.round(question.days * 24);
  const course: DampedCourse = {
    relativeHumidityPct: [],
    dampWetness: [],
    dryWetness: [],
    dampTop: [],
    dampLow: [],
    temperatureC: [],
    layers: layersAtStart(question),
    dampings: [],
    condensationHours: 0,
  };
  let { layers } = question;
  for (let from = 0; from <= hours;) {
    const left = hours - from;
    const startHour = ((question.startHour ?? 0) + from) % 24;
    const part = followMoisture({ ...question, layers, startHour, days: Math.max(1, left) / 24 });
    const under =
      question.box.dampHeldKg > 0 && way !== 'fill-dish'
        ? judgedWetness(part, question.judged).findIndex((each) => each < limit)
        : -1;
    // Damped in the hour in which it falls under; a start that is under already is damped at once.
    const until = under < 0 || (under < 24 && course.dampings.length > 0) ? left + 1 : Math.max(under, 1);
    course.relativeHumidityPct.push(...part.relativeHumidityPct.subarray(0, until));
    course.dampWetness.push(...part.dampWetness.subarray(0, until));
    course.dryWetness.push(...part.dryWetness.subarray(0, until));
    course.temperatureC.push(...part.temperatureC.subarray(0, until));
    for (let hour = 0; hour < Math.min(until, part.dampWetness.length); hour += 1) {
      course.dampTop.push(part.layers[6 * hour] ?? 0);
      course.dampLow.push(part.layers[6 * hour + 2] ?? 0);
    }
    course.condensationHours += part.condensationHours * Math.min(1, until / Math.max(1, left)) || 0;
    from += until;
    if (under < 0 || from > hours || until === left + 1) break;
    const lackedMl = Math.max(0, target - (part.dampWetness[under] ?? 0)) * question.box.dampHeldKg * 1000;
    const waterMl = toPourMl(question.box, way, lackedMl);
    course.dampings.push({ hour: from, waterMl });
    layers = pour(question.box, layersAt(part, under), way, waterMl).layers;
  }
  return course;
}
