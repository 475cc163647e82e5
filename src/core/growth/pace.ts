import { spreadOf } from '@/core/numerics/spreads';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { intervalAt } from './moulting';

/**
 * How the intervals between moults vary, in logarithms: between kinds of one profile, between batches of a kind,
 * between animals of a batch, and from moult to moult of one animal. From memory; the last is learned from the animal
 * as it moults.
 */
export const SPREAD = { kind: 0.3, batch: 0.12, animal: 0.184, moult: 0.25 } as const;

/** How far the usual interval of a stage may be off for a kind: by its range where one was told. In logarithms */
export const kindSpread = (profile: CareProfile, stage: Stage): number => {
  const row = intervalAt(profile, stage);
  return row ? spreadOf(row.days, SPREAD.kind) : SPREAD.kind;
};

/** Warmth at which the profile's intervals hold, and under which nothing grows. C, from memory where the profile says nothing */
export const USUAL_WARMTH = { referenceC: 25, baseC: 10 } as const;
/** Growth never comes to a stand in a kept room: at least this share of the usual pace. */
const SLOWEST = 0.15;

/**
 * Days from one moult to the next that are usual for a kind at a stage and a temperature: development by degree-days
 * over a base, no faster over the top of the kind's band. Null for stages that moult no more.
 */
export function usualIntervalDays(
  profile: CareProfile,
  stage: Stage,
  temperatureC: number = USUAL_WARMTH.referenceC,
): number | null {
  const row = intervalAt(profile, stage);
  if (!row) return null;
  const { referenceC, baseC } = USUAL_WARMTH;
  const warmth = Math.min(temperatureC, profile.climate.temperatureC.max);
  const pace = Math.max(SLOWEST, (warmth - baseC) / (referenceC - baseC));
  return row.days.value / pace;
}

/** One way in which its intervals may go, and how likely it is. In logarithms, against what is usual. */
export interface Course {
  weight: number;
  /** Spread from moult to moult, and by how much each interval is longer than the one before. */
  spread: number;
  trend: number;
  /** The interval that is under way: its mean, and the variance of that. */
  mean: number;
  variance: number;
}

/** What was learned of the pace, against what is usual, in logarithms. */
export interface Pace {
  /** Of the interval that is under way: mean and variance over all courses. */
  mean: number;
  variance: number;
  courses: Course[];
}

/** Of ten moults nobody writes one down: its skin was eaten or dug under. Then the log tells two intervals as one. From memory */
export const UNSEEN_SHARE = 0.1;
/** So many unseen moults in one interval are thought of. */
export const MOST_UNSEEN = 2;

/** Spreads and trends that are weighed against each other (as fine as windows show), and what is thought of each before anything was seen. From memory */
const SPREADS = [0.06, 0.09, 0.13, 0.19, 0.27, 0.38, 0.54, 0.75];
const SPREAD_MIDDLE = 0.3;
const SPREAD_DOUBT = 0.8;
const TRENDS = [-0.08, -0.03, 0.02, 0.07, 0.12, 0.17, 0.22, 0.28];
/** With age intervals lengthen; where the stages are written down the usual ones do so by themselves. From memory */
const TREND = { unstaged: { mean: 0.08, doubt: 0.1 }, staged: { mean: 0, doubt: 0.05 } } as const;

/** The same pace, as much less sure as forecasts of it have shown themselves to be. */
export const widened = (pace: Pace, times: number): Pace =>
  times === 1
    ? pace
    : {
        mean: pace.mean,
        variance: pace.variance * times * times,
        courses: pace.courses.map((course) => ({
          ...course,
          spread: course.spread * times,
          variance: course.variance * times * times,
        })),
      };

/**
 * The pace of one animal by partial pooling, level under level: what is usual, its kind, its siblings, itself. An
 * animal without a moult has the pace of its siblings, one with many its own. How even its intervals are and how they lengthen
 * with age is learned with it, over a grid of spreads and trends (Bayes); an interval that likely held a moult that nobody saw
 * counts as so many.
 * @param own logarithms of its intervals over the usual ones, oldest first
 * @param siblings the same of others of its batch, one list an animal
 * @param others the same of the rest of its kind
 * @param isStaged its stages are written down, and what is usual goes by them
 * @param kind how far what is usual may be off for its kind (`kindSpread`)
 */
export function learnPace(
  own: readonly number[],
  siblings: readonly Logs[],
  others: readonly Logs[],
  isStaged = false,
  kind: number = SPREAD.kind,
): Pace {
  const { batch, animal } = SPREAD;
  const ofKind = learnLevel({ mean: 0, variance: kind ** 2 }, others, batch ** 2 + animal ** 2);
  const ofBatch = learnLevel({ mean: ofKind.mean, variance: ofKind.variance + batch ** 2 }, siblings, animal ** 2);
  const prior = { mean: ofBatch.mean, variance: ofBatch.variance + animal ** 2 };
  const trendPrior = isStaged ? TREND.staged : TREND.unstaged;
  const grid = (logs: Logs): Course[] =>
    SPREADS.flatMap((spread) =>
      TRENDS.map((trend) => {
        const before =
          -0.5 * (Math.log(spread / SPREAD_MIDDLE) / SPREAD_DOUBT) ** 2 -
          0.5 * ((trend - trendPrior.mean) / trendPrior.doubt) ** 2;
        return weighed(logs, prior, spread, trend, before);
      }),
    );
  const courses = normed(grid(withoutUnseen(own, grid, prior)));
  const mean = courses.reduce((sum, each) => sum + each.weight * each.mean, 0);
  const variance = courses.reduce((sum, each) => sum + each.weight * (each.variance + (each.mean - mean) ** 2), 0);
  return { mean, variance, courses };
}

/** One course: its mean by what was seen, and the logarithm of how likely it makes that (as its weight). */
function weighed(logs: Logs, prior: Level, spread: number, trend: number, before: number): Course {
  const n = logs.length;
  const noise = spread ** 2;
  // As long as the interval under way, had each lengthened by the trend since.
  let sum = 0;
  for (let index = 0; index < n; index += 1) sum += (logs[index] as number) + trend * (n - index);
  const precision = 1 / prior.variance + n / noise;
  const mean = (prior.mean / prior.variance + sum / noise) / precision;
  let squares = (mean - prior.mean) ** 2 / prior.variance;
  for (let index = 0; index < n; index += 1) {
    squares += ((logs[index] as number) + trend * (n - index) - mean) ** 2 / noise;
  }
  const weight = before - 0.5 * squares - n * Math.log(spread) - 0.5 * Math.log(precision * prior.variance);
  return { weight, spread, trend, mean, variance: 1 / precision };
}

/** A course so much less likely than the likeliest moves no window. */
const WORTH_KEEPING = 0.01;

function normed(courses: Course[]): Course[] {
  const most = Math.max(...courses.map(({ weight }) => weight));
  const kept = courses.flatMap((each) => {
    // Against the likeliest one.
    const weight = Math.exp(each.weight - most);
    return weight < WORTH_KEEPING ? [] : [{ ...each, weight }];
  });
  const total = kept.reduce((sum, { weight }) => sum + weight, 0);
  return kept.map((each) => ({ ...each, weight: each.weight / total }));
}

/** Each interval by itself, against the others: as far as it is likely two or three, it counts as one of those. */
function withoutUnseen(own: Logs, grid: (logs: Logs) => Course[], prior: Level): number[] {
  const told = [...own];
  const centre = [...own, prior.mean].sort((a, b) => a - b)[(own.length + 1) >> 1] ?? prior.mean;
  // The longest first: until they are taken apart they make the others look short.
  const order = own.map((_, index) => index).sort((a, b) => (own[b] as number) - (own[a] as number));
  for (const index of order) {
    const log = own[index] as number;
    if (log - centre < 0.4) break;
    const others = told.filter((_, at) => at !== index);
    const courses = normed(grid(others));
    const away = others.length - index;
    const chance = (unseen: number) =>
      UNSEEN_SHARE ** unseen *
      courses.reduce((sum, { weight, spread, trend, mean, variance }) => {
        const sd = Math.sqrt(spread ** 2 / (unseen + 1) + variance);
        const off = (log - Math.log(unseen + 1) - (mean - trend * away)) / sd;
        return sum + (weight / sd) * Math.exp(-0.5 * off * off);
      }, 0);
    const chances = Array.from({ length: MOST_UNSEEN + 1 }, (_, unseen) => chance(unseen));
    const all = chances.reduce((sum, each) => sum + each, 0);
    if (all > 0)
      told[index] = log - chances.reduce((sum, each, unseen) => sum + (each / all) * Math.log(1 + unseen), 0);
  }
  return told;
}

type Logs = readonly number[];
interface Level {
  mean: number;
  variance: number;
}

/** Every animal tells of its level by its mean, with the doubt between animals and that of its few moults. */
function learnLevel(prior: Level, animals: readonly Logs[], between: number): Level {
  let precision = 1 / prior.variance;
  let weighted = prior.mean * precision;
  for (const each of animals) {
    if (each.length === 0) continue;
    const doubt = between + SPREAD.moult ** 2 / each.length;
    weighted += mean(each) / doubt;
    precision += 1 / doubt;
  }
  return { mean: weighted / precision, variance: 1 / precision };
}

const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
