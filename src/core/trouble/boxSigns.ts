import type { BandFact } from '@/core/profiles/profile';

/** What is known of a box and of who lives in it; whatever is left out is not known, and says nothing. */
export interface BoxFacts {
  humidityPct?: number | undefined;
  humidityBand: BandFact;
  temperatureC?: number | undefined;
  temperatureBand: BandFact;
  /** Of the damp end, and the least that it should have. */
  dampWetness?: number | undefined;
  dampWetnessMin: number;
  airChangesPerHour?: number | undefined;
  airChangesMin: number;
  /** Days since it ate, and how often it usually does. */
  daysSinceFood?: number | undefined;
  foodEveryDays?: number | undefined;
  daysSinceMoult?: number | undefined;
  quietDays?: number | undefined;
  premoultPct?: number | undefined;
  daysSinceMove?: number | undefined;
  daysSinceCleaned?: number | undefined;
  cleanedEveryDays?: number | undefined;
  /** Rules of its home that fail, by id. */
  failing: readonly string[];
  /** An offer lies in the box of which nobody has said what became. */
  preyIn?: boolean | undefined;
  ageYears?: number | undefined;
  /** How old its kind becomes. */
  lifeYears?: { min: number; max: number } | undefined;
}

/** One sign as the box's own numbers answer it: what is, the limit it was held against, and the unit of both. */
export interface BoxSign {
  id: string;
  present: boolean;
  actual: number;
  limit: number;
  unit: '%' | 'C' | 'of full' | '/h' | 'days' | 'count' | 'years';
}

/** Twice the usual time without a meal, or without cleaning, is long. Common practice, no source */
const LONG_TIMES = 2;
/** It ate lately when it did within so many days. Chosen here */
const LATELY_DAYS = 2;
/** One that was moved is unsettled for about so long. days, from memory */
const UNSETTLED_DAYS = 14;
/** A moult is near from this chance on. %, chosen here */
const NEAR_PCT = 50;
/** Rules of the home by what breaking them can do. */
const FALL_RULES = ['gap', 'fall', 'not-too-high'];
const CROWD_RULES = ['alone', 'crowd', 'places', 'full'];

/** Reads the signs that need no looking off the box's own numbers. Those of which nothing is known are left out. */
export function boxSigns(facts: BoxFacts): BoxSign[] {
  const { humidityPct, humidityBand, temperatureC, temperatureBand, daysSinceFood, foodEveryDays } = facts;
  const { daysSinceMoult, quietDays, daysSinceCleaned, cleanedEveryDays, ageYears, lifeYears } = facts;
  const below = (id: string, unit: BoxSign['unit'], actual: number | undefined, limit: number | undefined) =>
    actual === undefined || limit === undefined ? [] : [{ id, unit, actual, limit, present: actual < limit }];
  const above = (id: string, unit: BoxSign['unit'], actual: number | undefined, limit: number | undefined) =>
    actual === undefined || limit === undefined ? [] : [{ id, unit, actual, limit, present: actual > limit }];
  const broken = (id: string, rules: readonly string[]) =>
    above(id, 'count', facts.failing.filter((rule) => rules.includes(rule)).length, 0);
  const long = foodEveryDays === undefined ? undefined : LONG_TIMES * foodEveryDays;
  return [
    ...below('air-dry', '%', humidityPct, humidityBand.min),
    ...above('air-wet', '%', humidityPct, humidityBand.max),
    ...below('soil-dry', 'of full', facts.dampWetness, facts.dampWetnessMin),
    ...below('air-still', '/h', facts.airChangesPerHour, facts.airChangesMin),
    ...below('cold-now', 'C', temperatureC, temperatureBand.min),
    ...above('warm-now', 'C', temperatureC, temperatureBand.max),
    ...above('food-long-ago', 'days', daysSinceFood, long),
    ...below('fed-lately', 'days', daysSinceFood, LATELY_DAYS + 1),
    ...below('moulted-lately', 'days', daysSinceMoult, quietDays),
    ...above('moult-near', '%', facts.premoultPct, NEAR_PCT),
    ...below('moved-lately', 'days', facts.daysSinceMove, UNSETTLED_DAYS),
    ...broken('far-to-fall', FALL_RULES),
    ...broken('too-many', CROWD_RULES),
    ...(facts.preyIn === undefined ? [] : above('prey-in', 'count', facts.preyIn ? 1 : 0, 0)),
    ...above(
      'uncleaned',
      'days',
      daysSinceCleaned,
      cleanedEveryDays === undefined ? undefined : LONG_TIMES * cleanedEveryDays,
    ),
    ...above('old-for-kind', 'years', ageYears, lifeYears?.min),
  ];
}
