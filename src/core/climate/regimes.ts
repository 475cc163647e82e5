import { forecastMoisture, type MoistureForecast, type Wishes } from './forecast';
import type { MoistureQuestion } from './moisture';

/** The two ways of keeping the air damp that keepers argue about. */
export const AIR_REGIMES = ['dish-and-cross-flow', 'mist-to-a-number'] as const;
export type AirRegime = (typeof AIR_REGIMES)[number];

export interface RegimeAnswer {
  regime: AirRegime;
  forecast: MoistureForecast;
  /** Times a week that somebody stands there with a bottle, and the water used. */
  mistingsPerWeek: number;
  waterMlPerWeek: number;
  /** Hours in which walls and litter are wet, air over 95 %: where mould and sour soil begin. % */
  wetHoursPct: number;
  /** Swing of the humidity in the course: highest less lowest, first day left out. % */
  humiditySwingPct: number;
}

const WET_PCT = 95;

/** Mists once a day in the evening when the air is under the number. */
const MISTING_HOUR = 19;

/** A fine spray that wets walls and litter and no more; from memory. mL for a square metre of floor */
export const MIST_ML_PER_M2 = 250;

/**
 * The same box kept both ways: misted to a number without a dish, and with a dish kept full and never misted.
 * @param withDish the box with its dish
 * @param withoutDish the same box without one
 * @param numberPct the humidity misted up to, %
 * @param mistMl water of one misting
 */
export function compareRegimes(
  withDish: MoistureQuestion,
  withoutDish: MoistureQuestion,
  wishes: Wishes,
  numberPct: number,
  mistMl: number,
): RegimeAnswer[] {
  const misting = { belowPct: numberPct, waterMl: mistMl, hourOfDay: MISTING_HOUR };
  return [
    answerOf('dish-and-cross-flow', withDish, wishes),
    answerOf('mist-to-a-number', { ...withoutDish, misting }, wishes),
  ];
}

function answerOf(regime: AirRegime, question: MoistureQuestion, wishes: Wishes): RegimeAnswer {
  const forecast = forecastMoisture(question, wishes);
  const { course } = forecast;
  const weeks = question.days / 7;
  const settled = course.relativeHumidityPct.subarray(Math.min(24, course.relativeHumidityPct.length - 1));
  const wet = course.relativeHumidityPct.reduce((count, each) => (each > WET_PCT ? count + 1 : count), 0);
  return {
    regime,
    forecast,
    mistingsPerWeek: course.mistings / weeks,
    waterMlPerWeek: (course.mistedMl + course.dishMl) / weeks,
    wetHoursPct: (100 * wet) / course.relativeHumidityPct.length,
    humiditySwingPct: Math.max(...settled) - Math.min(...settled),
  };
}
