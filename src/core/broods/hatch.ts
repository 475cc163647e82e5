import { paceAt } from '@/core/colony/kind';
import type { Band } from '@/core/colony/project';
import { evenAt, evenSteps } from '@/core/numerics/evenDraws';
import { normalBelow, normalQuantile } from '@/core/numerics/normal';
import { TENTH_SD } from '@/core/numerics/tails';
import { numbersOf } from '@/core/numerics/quantiles';
import { resample } from '@/core/numerics/resample';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { Fact } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';
import type { EggKind, Mating } from './eggs';
import { waitingTime } from './waiting';

export interface HatchQuestion {
  kind: EggKind;
  /** Eggs that are left. 1 or more */
  eggs: number;
  laidFrom: Day;
  /** The last day on which any were laid; the first if left out. */
  laidTo?: Day | undefined;
  mating: Mating;
  /** Of kinds that want cold first: the day on which they were, or will be, warm again; it counts as the day of laying. */
  warmSince?: Day | undefined;
  /** Of the place they are kept in. C */
  temperatureC: number;
  asOf: Day;
  /** By how much the forecasts of this house have been too narrow (`windowScore`); 1 if left out. */
  spreadTimes?: number | undefined;
}

export interface HatchForecast {
  /** Days by which 5, 50 and 95 % of those that will hatch are out. */
  from: Day;
  median: Day;
  to: Day;
  /** How many will hatch in all. */
  expected: Band;
  /**
   * Week by week from `asOf`, up to the last of the window, each with its share of those that will hatch in the batch of middle pace
   * (0 to 1). The medians of the weeks do not add up to that of all: of a batch that may hatch in any of ten weeks, or not at all,
   * the usual count of each is none.
   */
  weeks: ({ on: Day; share: number } & Band)[];
  /** Nine of ten batches of this age would have begun to hatch. */
  isOverdue: boolean;
  /** It is too cold for anything to go on in them. */
  isStanding: boolean;
}

const DRAWS = 400;
/** Looked ahead so far at most. weeks */
const MOST_WEEKS = 104;
/** Half of what varies is the batch's own, half lies between its eggs. From memory */
const BATCH_SHARE = 0.5;
/** Spread of the share that hatches, of its log-odds, where no range was told. From memory */
const HATCH_SPREAD = 0.7;
/** Where nobody knows whether the mother was mated, so many ways are those of a mated one. From memory: both are common */
const MATED_SHARE = 0.5;
/** Of no kind quite all hatch: odds have no end else. % */
const MOST_HATCH_PCT = 99.9;
/** Eggs of a batch that tell of its pace by not having hatched: more do not tell more. Chosen here */
const TELLING_EGGS = 6;
/** Laid over several days they are followed in so many lots. */
const LOTS = 8;
/** Less of the eggs than this will not hatch any more. */
const NOTHING = 1e-6;
/** Looked ahead until this share of those that will hatch are out. */
const ALL_OUT = 0.985;
/** A batch has begun to hatch when so much of it is out; it is overdue when nine of ten like it have begun. Chosen here */
const BEGUN = { share: 0.1, ofBatches: 0.9 };

/** Share that hatches, and between which that lies in eight of ten broods. % */
type HatchRate = Pick<Fact, 'value' | 'range'>;

/** One way in which a batch may go: the middle of its time in the egg, in logarithms of days, and the share that hatches. */
interface Draw {
  centre: number;
  share: number;
  /** How far its eggs lie apart, in logarithms. */
  ofEgg: number;
}

/**
 * When the eggs of a batch hatch, and how many in each week. The time in the egg is log-normal about what is usual for
 * the kind at this warmth (degree-days), part of its spread being the batch's own; eggs laid over weeks hatch over
 * weeks. That none, or not more, have hatched up to today is counted in (Bayes): an old batch is likelier to be a slow
 * one, or a bad one. Where nobody knows whether the mother was mated, both may be: the longer nothing hatches, the likelier she
 * was not.
 * @throws Refusal for eggs that do not hatch without a male, or before they had their cold, and days in the wrong order
 */
export function hatchForecast(question: HatchQuestion): HatchForecast {
  const { kind, eggs, temperatureC, asOf } = question;
  const ages = agesOf(question);
  const all = waysOf(question).flatMap(({ usual, rate, ways }) => {
    const { centre, spread } = waitingTime(usual, kind, temperatureC);
    return drawsOf(centre, spread * (question.spreadTimes ?? 1), rate, ways);
  });
  const telling = Math.min(eggs, TELLING_EGGS);
  const chosen = resample(all.length, (index) => {
    const draw = all[index] as Draw;
    return (1 - draw.share * outBy(ages, draw, 0)) ** telling + Number.EPSILON;
  });
  const draws = Array.from(chosen, (index) => all[index] as Draw);
  const begun = all.filter((draw) => outBy(ages, draw, 0) > BEGUN.share).length / all.length;
  const { weeks, dayOf, expected } = hatchingWeeks(ages, draws, eggs, asOf);
  return {
    from: dayOf(0.05),
    median: dayOf(0.5),
    to: dayOf(0.95),
    expected,
    weeks,
    isOverdue: begun > BEGUN.ofBatches,
    isStanding: paceAt(kind, temperatureC) <= 0,
  };
}

/** What is usual for these eggs, and how many of all ways go so; two where nobody knows of a male. @throws Refusal as the forecast does */
function waysOf(question: HatchQuestion): { usual: EggKind['matedDays']; rate: HatchRate; ways: number }[] {
  const { kind, laidFrom, laidTo = laidFrom, warmSince, mating, asOf } = question;
  if (laidFrom > asOf) refuse('laidFrom', `Must not be after ${asOf}; got ${laidFrom}.`);
  if (laidTo < laidFrom) refuse('laidTo', `Must not be before the first day, ${laidFrom}; got ${laidTo}.`);
  if (kind.coldWeeks && warmSince === undefined) {
    const message = `They hatch once they are warm again after about ${kind.coldWeeks.value} weeks of cold: give the day.`;
    refuse('warmSince', message);
  }
  if (warmSince !== undefined && warmSince < laidFrom) {
    refuse('warmSince', `Must not be before they were laid, ${laidFrom}; got ${warmSince}.`);
  }
  const { unmatedDays, hatchPct } = kind;
  const mated = { usual: kind.matedDays, rate: hatchPct.mated };
  const unmated =
    unmatedDays && hatchPct.unmated ? { usual: unmatedDays, rate: hatchPct.unmated } : { ...mated, rate: { value: 0 } };
  if (mating === 'mated') return [{ ...mated, ways: DRAWS }];
  if (mating === 'unknown') {
    const ways = MATED_SHARE * DRAWS;
    return [
      { ...mated, ways },
      { ...unmated, ways: DRAWS - ways },
    ];
  }
  if (unmated.rate.value === 0) refuse('mating', 'Eggs of this kind do not hatch without a male: freeze them.');
  return [{ ...unmated, ways: DRAWS }];
}

/** Days since each lot began: was laid, or was warm again after its cold; the first lot first. */
function agesOf({ laidFrom, laidTo = laidFrom, warmSince, asOf }: HatchQuestion): number[] {
  if (warmSince !== undefined) return [daysBetween(warmSince, asOf)];
  const days = daysBetween(laidFrom, laidTo);
  const oldest = daysBetween(laidFrom, asOf);
  return days === 0 ? [oldest] : Array.from({ length: LOTS }, (_, lot) => oldest - (days * lot) / (LOTS - 1));
}

function drawsOf(centre: number, spread: number, { value, range }: HatchRate, ways: number): Draw[] {
  const logOdds = logOddsOf(value);
  const ofRate = range ? (logOddsOf(range.max) - logOddsOf(range.min)) / (2 * TENTH_SD) : HATCH_SPREAD;
  const ofBatch = Math.sqrt(BATCH_SHARE) * spread;
  const ofEgg = Math.sqrt(1 - BATCH_SHARE) * spread;
  const steps = evenSteps(2);
  return Array.from({ length: ways }, (_, draw) => ({
    ofEgg,
    centre: centre + ofBatch * normalQuantile(evenAt(draw, steps[0] ?? 0)),
    share: 1 / (1 + Math.exp(-logOdds - ofRate * normalQuantile(evenAt(draw, steps[1] ?? 0)))),
  }));
}

/** Odds of a share that hatches, in logarithms. */
const logOddsOf = (pct: number) => Math.log(pct / (100 - Math.min(MOST_HATCH_PCT, pct)));

/** Share of the eggs that hatch which would be out so many days from now. */
function outBy(ages: readonly number[], { centre, ofEgg }: Draw, ahead: number): number {
  const out = ages.map((age) => (age + ahead > 0 ? normalBelow((Math.log(age + ahead) - centre) / ofEgg) : 0));
  return out.reduce((sum, each) => sum + each, 0) / ages.length;
}

/** The eggs that hatch in each week, all of them, and the day by which a share of them is out. */
function hatchingWeeks(ages: readonly number[], draws: readonly Draw[], eggs: number, asOf: Day) {
  const outNow = draws.map((draw) => outBy(ages, draw, 0));
  /** Of the eggs that are left those that hatch while the share that is out goes from one to another. */
  const hatching = (index: number, from: number, to: number) => {
    const { share } = draws[index] as Draw;
    return (eggs * share * (to - from)) / (1 - share * (outNow[index] ?? 0));
  };
  const whole = Float64Array.from(outNow, (out, index) => hatching(index, out, 1));
  const sumOf = (values: Float64Array) => values.reduce((sum, each) => sum + each, 0);
  const inAll = sumOf(whole);
  const middle = middleOf(draws, whole, inAll);
  const weeks: HatchForecast['weeks'] = [];
  const outBySoFar: number[] = [];
  let before = outNow;
  // Of a batch that is older than any that hatched nothing is left to come.
  const isOver = inAll <= NOTHING * eggs * draws.length;
  for (let week = 0; week < MOST_WEEKS && !isOver && (outBySoFar.at(-1) ?? 0) <= ALL_OUT; week += 1) {
    const now = draws.map((draw) => outBy(ages, draw, 7 * (week + 1)));
    const values = Float64Array.from(now, (out, index) => hatching(index, before[index] ?? 0, out));
    const share = ((now[middle] ?? 0) - (before[middle] ?? 0)) / Math.max(NOTHING, 1 - (outNow[middle] ?? 0));
    weeks.push({ on: addDays(asOf, 7 * week), share, ...numbersOf(values) });
    outBySoFar.push((outBySoFar.at(-1) ?? 0) + sumOf(values) / inAll);
    before = now;
  }
  const dayOf = (part: number): Day => {
    const week = outBySoFar.findIndex((each) => each >= part);
    if (week < 0) return addDays(asOf, 7 * weeks.length);
    const [low, high] = [week === 0 ? 0 : (outBySoFar[week - 1] ?? 0), outBySoFar[week] ?? 1];
    return addDays(asOf, Math.round(7 * (week + (part - low) / Math.max(1e-9, high - low))));
  };
  return { weeks, dayOf, expected: numbersOf(whole) };
}

/** The draw of middle pace: half of all that will hatch are of quicker ones. */
function middleOf(draws: readonly Draw[], whole: Float64Array, inAll: number): number {
  const byPace = draws
    .map((draw, index) => ({ index, centre: draw.centre }))
    .sort((one, other) => one.centre - other.centre);
  let sum = 0;
  for (const { index } of byPace) {
    sum += whole[index] ?? 0;
    if (sum >= inAll / 2) return index;
  }
  return 0;
}

function refuse(path: string, message: string): never {
  throw new Refusal([{ path, message }]);
}
