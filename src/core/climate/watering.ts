import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { Status } from '@/core/housing/fit';
import { redampBand, type RedampBand, type Wishes } from './forecast';
import { followMoisture, judgedWetness, layersAt, type MoistureCourse, type MoistureQuestion } from './moisture';
import {
  evenly,
  layersAtStart,
  meanWetness,
  toPourMl,
  type Layers,
  type SoilLayers,
  type WateringWay,
} from './soilLayers';

/** What was done to, or found out about, the water of a home; newest last. */
export type WaterFact =
  /** Damped; `shortMl` is what was poured less than it took. */
  | { kind: 'damped'; on: Day; shortMl: number }
  /** A handful squeezed, or a moisture meter: wetness of what has to stay damp. */
  | { kind: 'felt'; on: Day; wetness: number }
  /** Weighed: water lost since it was damped. */
  | { kind: 'weighed'; on: Day; lostMl: number };

/** The air was outside its band for longer than is borne, by its probe. */
export interface DryAir {
  humidityPct: number;
  hours: number;
  minPct: number;
}

export interface WateringOutlook {
  /** The first day on which the damp end may be under its limit; null when that lies beyond the look ahead. */
  dueOn: Day | null;
  /** The day on which it likely is, and by which it is in nine of ten; null beyond the look ahead. `dueOn` where left out. */
  likelyOn?: Day | null | undefined;
  lateOn?: Day | null | undefined;
  /** Water to pour today to bring the damp end back. mL */
  waterMl: number;
  /** Freshly damped it holds for so many days at least; null for longer than is looked ahead. */
  holdsDays: number | null;
  /** Of what has to stay damp: the damp end, or its surface. */
  dampWetness: number;
  dampWetnessMin: number;
  /** What the answer goes by. */
  by: WaterFact['kind'] | 'dry-air';
  since: Day;
  /** How the water gets in. */
  way: WateringWay;
  /** How the water lies in the soil today. */
  layers: SoilLayers;
  dryAir?: DryAir | undefined;
}

/** What the walk needs of it. */
export type WateringDue = Omit<WateringOutlook, 'layers'>;

const LOOKS_AHEAD_DAYS = 120;
/** Nobody measures less than this out of a bottle. mL */
const SMALLEST_WATERING_ML = 5;

/**
 * When a home is to be damped next, and with how much: from the first day on which it may have dried, as its room and its lid may
 * be, to the last. The forecast runs from the last damping; a handful felt or the box weighed since then sets the clock: the home is as old, in its drying, as the forecast is at that wetness. Air that
 * was too dry for longer than is borne makes it due today.
 * @param question the home freshly damped
 * @param facts at least the last damping (or filling), and what was found out since
 * @param spreadTimes by how much the forecasts of this house have been too narrow (`windowScore`)
 */
export function wateringOutlook(
  question: MoistureQuestion,
  wishes: Wishes,
  facts: WaterFact[],
  today: Day,
  dryAir?: DryAir,
  spreadTimes = 1,
): WateringOutlook | null {
  const { box, wetness } = question;
  const damped = [...facts].reverse().find((fact) => fact.kind === 'damped');
  if (box.dampHeldKg <= 0 || damped?.kind !== 'damped') return null;
  const limit = wishes.dampWetnessMin ?? 0;
  const latest = facts.filter((fact) => fact.on >= damped.on).at(-1) ?? damped;
  const found = 24 * daysBetween(latest.on, today);
  const short = damped.shortMl / 1000 / box.dampHeldKg;
  const { damp, dry } = layersAtStart(question);
  const since = { ...question, layers: { damp: less(damp, short), dry }, days: LOOKS_AHEAD_DAYS };
  const { fresh, course, age } = followedFrom(since, latest, limit, found);
  const judged = judgedWetness(course, question.judged);
  const end = judged.findIndex((each) => each < limit);
  const endsAt = end < 0 ? null : end;
  const { earliest, latest: slowest } = widenedBand(
    redampBand(fresh, limit, endsAt === null ? null : endsAt / 24, wishes.practice),
    endsAt === null ? null : endsAt / 24,
    spreadTimes,
  );
  // What is left of the way from where it was found is as uncertain as the whole: the less is left, the narrower. Found dry, it was dry
  // on that day: nobody knows since when.
  const isFoundDry = endsAt !== null && age >= endsAt;
  const leftIn = (wholeDays: number | null) => {
    if (isFoundDry) return Math.floor(-found / 24);
    if (wholeDays === null) return null;
    const whole = endsAt ?? 24 * wholeDays;
    const pace = whole > 0 ? (24 * wholeDays) / whole : 1;
    return Math.floor(((whole - age) * pace - found) / 24);
  };
  const hour = Math.min(judged.length - 1, Math.max(0, Math.round(age + found)));
  const { way = 'at-end' } = question;
  const lackedMl = (wetness.damp - (course.dampWetness[hour] ?? 0)) * box.dampHeldKg * 1000;
  const dayOf = (days: number | null) => (dryAir ? today : days === null ? null : addDays(today, days));
  return {
    dueOn: dayOf(leftIn(earliest)),
    likelyOn: dayOf(endsAt === null ? null : leftIn(endsAt / 24)),
    lateOn: dayOf(leftIn(slowest)),
    waterMl: Math.max(SMALLEST_WATERING_ML, toPourMl(box, way, lackedMl)),
    holdsDays: earliest === null ? null : Math.max(1, Math.floor(earliest)),
    dampWetness: judged[hour] ?? 0,
    dampWetnessMin: limit,
    by: dryAir ? 'dry-air' : latest.kind,
    since: latest.on,
    way,
    layers: layersAt(course, hour),
    ...(dryAir && { dryAir }),
  };
}

/** The band as much wider about its middle as drying has shown itself to be less sure, in logarithms. */
function widenedBand({ earliest, latest }: RedampBand, likely: number | null, times: number): RedampBand {
  if (likely === null || likely === 0 || times === 1) return { earliest, latest };
  const wider = (days: number | null) => (days === null || days <= 0 ? days : likely * (days / likely) ** times);
  return { earliest: wider(earliest), latest: wider(latest) };
}

/** A drying as it was foreseen when it began, and as a handful has told it. Days from the damping. */
export interface ForeseenDrying {
  p10: number;
  p50: number;
  p90: number;
  happened: number;
}

/**
 * What would have been said of a drying on the day of the damping, beside what a handful felt later tells of it: felt as dry as the
 * forecast is after `a` days, it dries `days / a` times as slowly as was foreseen.
 * @returns null where the forecast sees no end of it, or the handful was as wet as at the damping, or drier than is ever foreseen
 */
export function foreseenDrying(
  question: MoistureQuestion,
  wishes: Wishes,
  { shortMl, on }: Extract<WaterFact, { kind: 'damped' }>,
  felt: Extract<WaterFact, { kind: 'felt' }>,
): ForeseenDrying | null {
  const limit = wishes.dampWetnessMin ?? 0;
  const { damp, dry } = layersAtStart(question);
  const short = question.box.dampHeldKg > 0 ? shortMl / 1000 / question.box.dampHeldKg : 0;
  const since = { ...question, layers: { damp: less(damp, short), dry }, days: LOOKS_AHEAD_DAYS };
  const course = followMoisture(since);
  const end = judgedWetness(course, question.judged).findIndex((each) => each < limit);
  const age = ageAt(course, question.judged, felt);
  const days = daysBetween(on, felt.on);
  if (end <= 0 || age <= 0 || days <= 0) return null;
  const likely = end / 24;
  const { earliest, latest } = redampBand(since, limit, likely, wishes.practice);
  if (earliest === null || latest === null) return null;
  return { p10: Math.min(earliest, likely), p50: likely, p90: latest, happened: (likely * days) / (age / 24) };
}

/**
 * The forecast that goes by what was found last: from the damping, as far on as it was found to be (h). One that would never have
 * come so far begins anew from what was found.
 * @param found how long ago that was. h
 */
function followedFrom(
  since: MoistureQuestion & { layers: SoilLayers },
  latest: WaterFact,
  limit: number,
  found: number,
) {
  const dries = followMoisture({ ...since, endsUnder: limit });
  // What came after it dried is followed only where it is asked for.
  const isAfter = latest.kind !== 'damped' || found > dries.dampWetness.length - 1;
  const course = isAfter ? followMoisture(since) : dries;
  const age = ageAt(course, since.judged, latest);
  if (age >= 0 || latest.kind === 'damped') return { fresh: since, course, age };
  const { damp, dry } = since.layers;
  const left =
    latest.kind === 'weighed' ? meanWetness(damp) - latest.lostMl / 1000 / since.box.dampHeldKg : latest.wetness;
  const anew = { ...since, layers: { damp: evenly(Math.max(0, left)), dry } };
  return { fresh: anew, course: followMoisture(anew), age: 0 };
}

/** How far the drying of the forecast had come when a fact was found, h; less than 0 where it never comes so far. */
function ageAt(course: MoistureCourse, judged: MoistureQuestion['judged'], fact: WaterFact): number {
  if (fact.kind === 'damped') return 0;
  return fact.kind === 'felt'
    ? judgedWetness(course, judged).findIndex((each) => each <= fact.wetness)
    : course.lostMl.findIndex((each) => each >= fact.lostMl);
}

const less = ({ top, middle, low }: Layers, by: number): Layers => ({
  top: Math.max(0, top - by),
  middle: Math.max(0, middle - by),
  low: Math.max(0, low - by),
});

/** Late by more than so many days, damp soil should not wait another. From memory */
export const DAMP_TOLERANCE_DAYS = 2;

/** How the water of a home stands: too dry by its probe or late (fail), perhaps due (watch), or as it should be. */
export function waterStatus(
  watering: Pick<WateringOutlook, 'dueOn' | 'likelyOn' | 'dryAir'> | null,
  today: Day,
): Status {
  if (!watering) return 'pass';
  if (watering.dryAir) return 'fail';
  const { dueOn, likelyOn = dueOn } = watering;
  if (dueOn === null || dueOn > today) return 'pass';
  return likelyOn !== null && daysBetween(likelyOn, today) > DAMP_TOLERANCE_DAYS ? 'fail' : 'watch';
}
