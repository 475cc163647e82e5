import { followMoisture, type MoistureCourse, type MoistureQuestion } from './moisture';

export interface Band {
  min: number;
  max: number;
}

/** What a home should be like. */
export interface Wishes {
  humidityPct?: Band | undefined;
  /** Under this wetness the damp end is damped again; a fifth under where it began if left out. */
  dampWetnessMin?: number | undefined;
  /** Under this the air is stale. 0.5 if left out. */
  minAirChangesPerHour?: number | undefined;
}

/** Under this much air a wet box goes sour; from memory. */
export const STALE_AIR_CHANGES = 0.5;
/** In air as damp as this nothing dries, whatever is exchanged; from memory. */
const NOTHING_DRIES_PCT = 97;
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
  const at = course.dampWetness.findIndex((each) => each < dampWetnessMin);
  const under = box.dampHeldKg === 0 ? -1 : at;
  const last = course.dampWetness[under >= 0 ? under : course.dampWetness.length - 1] ?? 0;
  const airChangesPerHour = (3600 * course.meanConductanceM3S) / box.ways.airVolumeM3;
  const steady = meanOf(course.relativeHumidityPct.subarray(0, Math.min(25, course.relativeHumidityPct.length)));
  return {
    airChangesPerHour,
    steadyRelativeHumidityPct: steady,
    daysToRedamp: under < 0 ? null : crossing(course.dampWetness, under, dampWetnessMin) / 24,
    dampWetnessMin,
    redampMl: Math.max(0, (wetness.damp - last) * box.dampHeldKg * 1000),
    condensationHours: course.condensationHours,
    waterLostMl: course.lostMl.at(-1) ?? 0,
    dishMlPerDay: course.dishMl / question.days,
    inBandPct: inBand(course, wishes, dampWetnessMin),
    staleAir: staleAir(airChangesPerHour, steady, wishes.minAirChangesPerHour),
    course,
  };
}

/** Little exchange is stale; enough exchange of air in which nothing dries is still. */
export function staleAir(airChangesPerHour: number, humidityPct: number, min = STALE_AIR_CHANGES): Stale {
  if (airChangesPerHour < min) return 'stale';
  return humidityPct > NOTHING_DRIES_PCT ? 'still' : 'fresh';
}

/** The hour, between the last value over a limit and the first under it. */
function crossing(values: Float64Array, under: number, limit: number): number {
  if (under === 0) return 0;
  const [before, after] = [values[under - 1] ?? 0, values[under] ?? 0];
  return under - 1 + (before - limit) / (before - after);
}

function inBand(course: MoistureCourse, { humidityPct }: Wishes, dampWetnessMin: number): number | null {
  if (!humidityPct) return null;
  const good = course.relativeHumidityPct.reduce((count, humidity, hour) => {
    const inside = humidity >= humidityPct.min && humidity <= humidityPct.max;
    return inside && (course.dampWetness[hour] ?? 0) >= dampWetnessMin ? count + 1 : count;
  }, 0);
  return (100 * good) / course.relativeHumidityPct.length;
}

function meanOf(values: Float64Array): number {
  return values.reduce((sum, each) => sum + each, 0) / values.length;
}
