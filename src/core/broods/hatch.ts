import { paceAt } from '@/core/colony/kind';
import type { Band } from '@/core/colony/project';
import { evenAt, evenSteps } from '@/core/growth/evenDraws';
import { normalBelow, normalQuantile } from '@/core/growth/normal';
import { numbersOf } from '@/core/growth/quantiles';
import { resample } from '@/core/growth/resample';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import type { EggKind, Mating } from './eggs';

export interface HatchQuestion {
  kind: EggKind;
  /** Eggs that are left. 1 or more */
  eggs: number;
  laidFrom: Day;
  /** The last day on which any were laid; the first if left out. */
  laidTo?: Day | undefined;
  mating: Mating;
  /** Of the place they are kept in. C */
  temperatureC: number;
  asOf: Day;
}

export interface HatchForecast {
  /** Days by which 5, 50 and 95 % of those that will hatch are out. */
  from: Day;
  median: Day;
  to: Day;
  /** How many will hatch in all. */
  expected: Band;
  /** Week by week from `asOf`, up to the last of the window. */
  weeks: ({ on: Day } & Band)[];
  /** Nine of ten batches of this age would have begun to hatch. */
  isOverdue: boolean;
  /** It is too cold for anything to go on in them. */
  isStanding: boolean;
}

const DRAWS = 400;
/** Looked ahead so far at most. weeks */
const MOST_WEEKS = 104;
/** Within so many standard deviations on both sides nine of ten lie. */
const NINE_OF_TEN = 1.6449;
/** Half of what varies is the batch's own, half lies between its eggs. From memory */
const BATCH_SHARE = 0.5;
/** Spread of the share that hatches, of its log-odds. From memory */
const HATCH_SPREAD = 0.7;
/** Eggs of a batch that tell of its pace by not having hatched: more do not tell more. Chosen here */
const TELLING_EGGS = 6;
/** Laid over several days they are followed in so many lots. */
const LOTS = 8;
/** Less of the eggs than this will not hatch any more. */
const NOTHING = 1e-6;
/** Looked ahead until this share of those that will hatch are out. */
const ALL_OUT = 0.985;
/** No pace is none: the slowest that is reckoned with. */
const SLOWEST = 0.02;

/**
 * When the eggs of a batch hatch, and how many in each week. The time in the egg is log-normal about what is usual for
 * the kind at this warmth (degree-days), part of its spread being the batch's own; eggs laid over weeks hatch over
 * weeks. That none, or not more, have hatched up to today is counted in (Bayes): an old batch is likelier to be a slow
 * one, or a bad one.
 * @throws Refusal for eggs that do not hatch without a male, and days in the wrong order
 */
export function hatchForecast(question: HatchQuestion): HatchForecast {
  const { kind, eggs, laidFrom, laidTo = laidFrom, mating, temperatureC, asOf } = question;
  if (laidFrom > asOf) refuse('laidFrom', `Must not be after ${asOf}; got ${laidFrom}.`);
  if (laidTo < laidFrom) refuse('laidTo', `Must not be before the first day, ${laidFrom}; got ${laidTo}.`);
  const isUnmated = mating === 'unmated';
  const usual = isUnmated ? kind.unmatedDays : kind.matedDays;
  const rate = isUnmated ? kind.hatchPct.unmated : kind.hatchPct.mated;
  if (!usual || !rate) return refuse('mating', 'Eggs of this kind do not hatch without a male: freeze them.');
  const pace = Math.max(SLOWEST, paceAt(kind, temperatureC));
  const centre = Math.log(Math.sqrt(usual.min * usual.max) / pace);
  const spread = Math.log(usual.max / usual.min) / (2 * NINE_OF_TEN);
  const [ofBatch, ofEgg] = [Math.sqrt(BATCH_SHARE) * spread, Math.sqrt(1 - BATCH_SHARE) * spread];
  const days = Math.max(0, daysBetween(laidFrom, laidTo));
  const lots = days === 0 ? 1 : LOTS;
  const ages = Array.from(
    { length: lots },
    (_, lot) => daysBetween(laidFrom, asOf) - (lots === 1 ? 0 : (days * lot) / (lots - 1)),
  );
  const logOdds = Math.log(rate.value / (100 - Math.min(99.9, rate.value)));
  const steps = evenSteps(2);
  const all = Array.from({ length: DRAWS }, (_, draw) => ({
    centre: centre + ofBatch * normalQuantile(evenAt(draw, steps[0] ?? 0)),
    share: 1 / (1 + Math.exp(-logOdds - HATCH_SPREAD * normalQuantile(evenAt(draw, steps[1] ?? 0)))),
  }));
  /** Share of the eggs of a draw that would be out so many days from now. */
  const outBy = (mean: number, ahead: number) =>
    ages.reduce((sum, age) => sum + (age + ahead > 0 ? normalBelow((Math.log(age + ahead) - mean) / ofEgg) : 0), 0) /
    lots;
  const telling = Math.min(eggs, TELLING_EGGS);
  const chosen = resample(DRAWS, (index) => {
    const draw = all[index] as (typeof all)[number];
    return (1 - draw.share * outBy(draw.centre, 0)) ** telling + Number.EPSILON;
  });
  const draws = Array.from(chosen, (index) => all[index] as (typeof all)[number]);
  // Of the eggs that are left, those that will hatch after today.
  const unhatched = draws.map(({ centre: mean, share }) => 1 - share * outBy(mean, 0));
  const begun = all.map((draw) => outBy(draw.centre, 0)).sort((a, b) => a - b)[Math.floor(DRAWS * 0.1)] ?? 0;
  const outNow = draws.map(({ centre: mean }) => outBy(mean, 0));
  /** How many of the eggs hatch in each draw between two shares that are out. */
  const hatching = (index: number, from: number, to: number) => {
    const { share } = draws[index] as (typeof draws)[number];
    return (eggs * share * (to - from)) / (unhatched[index] ?? 1);
  };
  const whole = Float64Array.from(outNow, (out, index) => hatching(index, out, 1));
  const sumOf = (values: Float64Array) => values.reduce((sum, each) => sum + each, 0);
  const inAll = sumOf(whole);
  const weeks: HatchForecast['weeks'] = [];
  const cumulated: number[] = [];
  let before = outNow;
  // Of a batch that is as old as none ever hatched nothing is left to come.
  for (let week = 0; week < MOST_WEEKS && inAll > NOTHING * eggs * DRAWS; week += 1) {
    const now = draws.map(({ centre: mean }) => outBy(mean, 7 * (week + 1)));
    const values = Float64Array.from(now, (out, index) => hatching(index, before[index] ?? 0, out));
    weeks.push({ on: addDays(asOf, 7 * week), ...numbersOf(values) });
    cumulated.push((cumulated.at(-1) ?? 0) + sumOf(values) / inAll);
    before = now;
    if ((cumulated.at(-1) ?? 0) > ALL_OUT) break;
  }
  const dayOf = (part: number) => {
    const week = cumulated.findIndex((each) => each >= part);
    if (week < 0) return addDays(asOf, 7 * weeks.length);
    const [low, high] = [week === 0 ? 0 : (cumulated[week - 1] ?? 0), cumulated[week] ?? 1];
    return addDays(asOf, Math.round(7 * (week + (part - low) / Math.max(1e-9, high - low))));
  };
  return {
    from: dayOf(0.05),
    median: dayOf(0.5),
    to: dayOf(0.95),
    expected: numbersOf(whole),
    weeks,
    isOverdue: begun > 0.1,
    isStanding: paceAt(kind, temperatureC) <= 0,
  };
}

function refuse(path: string, message: string): never {
  throw new Refusal([{ path, message }]);
}
