import type { PopulationKind } from '@/core/colony/kind';
import { paceAt } from '@/core/colony/kind';
import { eggsLaid, layingOf } from '@/core/colony/laying';
import type { Band } from '@/core/colony/project';
import { evenAt, evenSteps } from '@/core/numerics/evenDraws';
import { normalBelow, normalQuantile } from '@/core/numerics/normal';
import { numbersOf } from '@/core/numerics/quantiles';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';

export interface LayersQuestion {
  kind: PopulationKind;
  /** Grown females. 1 or more, also in parts: of a group those that are likely to be. */
  females: number;
  /** The day on which they were grown; left out, nobody knows, and they are half way through. */
  grownSince?: Day | undefined;
  temperatureC: number;
  asOf: Day;
  /** 1 to 104 */
  weeks: number;
}

export interface LayersForecast {
  /** Of all of them, now. */
  eggsPerWeek: Band;
  /** Until the last of them has died. */
  eggsInAll: Band;
  /** When half of them are dead. */
  livesUntil: { p10: Day; median: Day; p90: Day };
  /** Week by week, of all that are alive. */
  weeks: ({ on: Day } & Band)[];
}

const DRAWS = 200;
/** How far the lives of grown females of a kind lie apart, in logarithms. From memory */
const LIFE_SPREAD = 0.3;
/** Smaller shares of those alive are none. */
const NOBODY = 1e-12;

/**
 * The eggs that grown females lay while they live, as they are collected: no box limits what is taken out of it. A female lays at the
 * rate of her kind and warmth; some kinds lay more than others and live longer (each draw has its own), and who has lived for
 * long has less before her (her life is log-normal, longer than it has been so far).
 * @source the mean of what is left of a log-normal time: Johnson, Kotz and Balakrishnan (1994), Continuous Univariate Distributions 1, ch. 14; from memory
 * @throws Refusal for kinds that do not lay by single females
 */
export function layersForecast(question: LayersQuestion): LayersForecast {
  const { kind, females, temperatureC, asOf, weeks } = question;
  if (kind.laying.by !== 'female') {
    throw new Refusal([{ path: 'profile', message: 'Must be a kind whose females lay themselves.' }]);
  }
  const resting = temperatureC < kind.warmth.restBelowC.value;
  const perFemale = resting
    ? 0
    : eggsLaid({ ...layingOf(kind.laying, 0), perAdult: kind.laying.perWeek.value }, 1, paceAt(kind, temperatureC));
  const usual = kind.adultLifeDays.value;
  const age = question.grownSince === undefined ? usual / 2 : Math.max(0, daysBetween(question.grownSince, asOf));
  const [ofLaying = 0, ofLife = 0] = evenSteps(2);
  const spread = kind.spread.value;
  const draws = Array.from({ length: DRAWS }, (_, draw) => ({
    rate: perFemale * Math.exp(spread * normalQuantile(evenAt(draw, ofLaying))),
    // Of all of them: a share of the females is alive after so many days.
    centre: Math.log(usual) + (LIFE_SPREAD / 2) * normalQuantile(evenAt(draw, ofLife)),
  }));
  const lives = (centre: number, days: number) =>
    days <= 0 ? 1 : Math.max(NOBODY, normalBelow((centre - Math.log(days)) / LIFE_SPREAD));
  // Who is here has lived so long: all that follows is of those.
  const left = draws.map(({ centre }) => lives(centre, age));
  const bands = (of: (draw: (typeof draws)[number], index: number) => number) =>
    numbersOf(Float64Array.from(draws, of));
  // In closed form: the day by which half of them are dead, and the days that are left to them on the mean.
  const halfLife = bands(({ centre }, index) => {
    const quantile = normalQuantile(1 - (left[index] ?? 1) / 2);
    return Math.max(0, Math.exp(centre + LIFE_SPREAD * quantile) - age);
  });
  const meanDaysLeft = (centre: number, index: number) => {
    const beyond = age <= 0 ? 1 : normalBelow((centre + LIFE_SPREAD ** 2 - Math.log(age)) / LIFE_SPREAD);
    return Math.max(0, (Math.exp(centre + LIFE_SPREAD ** 2 / 2) * beyond) / (left[index] ?? 1) - age);
  };
  // Share of each draw alive at the turn of each week.
  const alive = Array.from({ length: weeks + 1 }, (_, week) =>
    draws.map(({ centre }, index) => lives(centre, age + 7 * week) / (left[index] ?? 1)),
  );
  const laid = (week: number, index: number) => ((alive[week]?.[index] ?? 0) + (alive[week + 1]?.[index] ?? 0)) / 2;
  return {
    eggsPerWeek: bands(({ rate }) => females * rate),
    eggsInAll: bands(({ rate, centre }, index) => (females * rate * meanDaysLeft(centre, index)) / 7),
    livesUntil: {
      p10: addDays(asOf, Math.round(halfLife.p10)),
      median: addDays(asOf, Math.round(halfLife.median)),
      p90: addDays(asOf, Math.round(halfLife.p90)),
    },
    weeks: Array.from({ length: weeks }, (_, week) => ({
      on: addDays(asOf, 7 * week),
      ...bands(({ rate }, index) => females * rate * laid(week, index)),
    })),
  };
}
