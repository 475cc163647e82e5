import type { PopulationKind } from '@/core/colony/kind';
import { paceAt } from '@/core/colony/kind';
import { eggsLaid, layingOf } from '@/core/colony/laying';
import type { Band } from '@/core/colony/project';
import { evenAt, evenSteps } from '@/core/growth/evenDraws';
import { normalBelow, normalQuantile } from '@/core/growth/normal';
import { numbersOf } from '@/core/growth/quantiles';
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

const DRAWS = 400;
/** How far the lives of grown females of a kind lie apart, in logarithms. From memory */
const LIFE_SPREAD = 0.3;
const LONGEST_WEEKS = 520;

/**
 * The eggs that grown females lay while they live, as they are collected: no box limits what is taken out of it. A female lays at the
 * rate of her kind and warmth; some kinds lay more than others and live longer (each draw has its own), and who has lived for
 * long has less before her (her life is log-normal, longer than it has been so far).
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
  const alive = (centre: number, days: number) => {
    const lives = (at: number) => (at <= 0 ? 1 : 1 - normalBelow((Math.log(at) - centre) / LIFE_SPREAD));
    // Who is here has lived so long.
    return lives(age + days) / Math.max(1e-9, lives(age));
  };
  const laid = (centre: number, week: number) => (alive(centre, 7 * week) + alive(centre, 7 * (week + 1))) / 2;
  const bands = (of: (draw: (typeof draws)[number]) => number) => numbersOf(Float64Array.from(draws, of));
  const halfLife = numbersOf(
    Float64Array.from(draws, ({ centre }) => {
      let days = 0;
      while (alive(centre, days) > 0.5 && days < 7 * LONGEST_WEEKS) days += 1;
      return days;
    }),
  );
  const inAll = ({ rate, centre }: (typeof draws)[number]) => {
    let sum = 0;
    for (let week = 0; week < LONGEST_WEEKS; week += 1) {
      const share = laid(centre, week);
      if (share < 1e-3) break;
      sum += share;
    }
    return females * rate * sum;
  };
  return {
    eggsPerWeek: bands(({ rate }) => females * rate),
    eggsInAll: bands(inAll),
    livesUntil: {
      p10: addDays(asOf, Math.round(halfLife.p10)),
      median: addDays(asOf, Math.round(halfLife.median)),
      p90: addDays(asOf, Math.round(halfLife.p90)),
    },
    weeks: Array.from({ length: weeks }, (_, week) => ({
      on: addDays(asOf, 7 * week),
      ...bands(({ rate, centre }) => females * rate * laid(centre, week)),
    })),
  };
}
