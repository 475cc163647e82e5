import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { Status } from '@/core/housing/fit';
import type { Wishes } from './forecast';
import { followMoisture, type MoistureCourse, type MoistureQuestion } from './moisture';

/** What was done to, or found out about, the water of a home; newest last. */
export type WaterFact =
  /** Damped; `shortMl` is what was poured less than it took. */
  | { kind: 'damped'; on: Day; shortMl: number }
  /** A handful squeezed, or a moisture meter: wetness of the damp end. */
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
  /** The day on which the damp end is under its limit; null when that lies beyond the look ahead. */
  dueOn: Day | null;
  /** Water to pour today to bring the damp end back. mL */
  waterMl: number;
  /** Freshly damped it holds for so many days; null for longer than is looked ahead. */
  holdsDays: number | null;
  dampWetness: number;
  dampWetnessMin: number;
  /** What the answer goes by. */
  by: WaterFact['kind'] | 'dry-air';
  since: Day;
  /** Where the water goes: the whole floor, or the damp end. */
  where: 'damp-end' | 'throughout';
  dryAir?: DryAir | undefined;
}

const LOOKS_AHEAD_DAYS = 120;
/** Nobody measures less than this out of a bottle. mL */
const SMALLEST_WATERING_ML = 5;

/**
 * When a home is to be damped next, and with how much. The forecast runs from the last damping; a handful felt or the
 * box weighed since then sets the clock: the home is as old, in its drying, as the forecast is at that wetness. Air that
 * was too dry for longer than is borne makes it due today.
 * @param question the home freshly damped
 * @param facts at least the last damping (or filling), and what was found out since
 */
export function wateringOutlook(
  question: MoistureQuestion,
  wishes: Wishes,
  facts: WaterFact[],
  today: Day,
  dryAir?: DryAir,
): WateringOutlook | null {
  const { box, wetness } = question;
  const damped = [...facts].reverse().find((fact) => fact.kind === 'damped');
  if (box.dampHeldKg <= 0 || damped?.kind !== 'damped') return null;
  const limit = wishes.dampWetnessMin ?? 0;
  const short = damped.shortMl / 1000 / box.dampHeldKg;
  const start = { ...wetness, damp: Math.max(0, wetness.damp - short) };
  const course = followMoisture({ ...question, wetness: start, days: LOOKS_AHEAD_DAYS });
  const latest = facts.filter((fact) => fact.on >= damped.on).at(-1) ?? damped;
  const ageHours = ageAt(course, latest) + 24 * daysBetween(latest.on, today);
  const endsAt = course.dampWetness.findIndex((each) => each < limit);
  const now = course.dampWetness[Math.min(course.dampWetness.length - 1, Math.max(0, Math.round(ageHours)))] ?? 0;
  const daysLeft = endsAt < 0 ? null : Math.floor((endsAt - ageHours) / 24);
  const dueOn = dryAir ? today : daysLeft === null ? null : addDays(today, daysLeft);
  return {
    dueOn,
    waterMl: Math.max(SMALLEST_WATERING_ML, (wetness.damp - now) * box.dampHeldKg * 1000),
    holdsDays: endsAt < 0 ? null : Math.max(1, Math.floor(endsAt / 24)),
    dampWetness: now,
    dampWetnessMin: limit,
    by: dryAir ? 'dry-air' : latest.kind,
    since: latest.on,
    where: box.dryAreaM2 > 0 ? 'damp-end' : 'throughout',
    ...(dryAir && { dryAir }),
  };
}

/** How far the drying of the forecast had come when a fact was found. h */
function ageAt(course: MoistureCourse, fact: WaterFact): number {
  if (fact.kind === 'damped') return 0;
  const at =
    fact.kind === 'felt'
      ? course.dampWetness.findIndex((each) => each <= fact.wetness)
      : course.lostMl.findIndex((each) => each >= fact.lostMl);
  return at < 0 ? course.dampWetness.length - 1 : at;
}

/** Late by more than so many days, damp soil should not wait another. From memory */
export const DAMP_TOLERANCE_DAYS = 2;

/** How the water of a home stands: too dry by its probe or late (fail), due (watch), or as it should be. */
export function waterStatus(watering: Pick<WateringOutlook, 'dueOn' | 'dryAir'> | null, today: Day): Status {
  if (!watering) return 'pass';
  if (watering.dryAir) return 'fail';
  if (watering.dueOn === null || watering.dueOn > today) return 'pass';
  return daysBetween(watering.dueOn, today) > DAMP_TOLERANCE_DAYS ? 'fail' : 'watch';
}

/** An amount as it is poured: to the millilitre when small, to five, then to ten. mL */
export function pouredMl(waterMl: number): number {
  const step = waterMl < 20 ? 1 : waterMl < 100 ? 5 : waterMl < 500 ? 10 : 50;
  return Math.max(1, Math.round(waterMl / step) * step);
}
