import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { CareProfile, MoultSign, Stage } from '@/core/profiles/profile';
import { Refusal, type FieldProblem } from '@/core/refusal';
import { normalBelow, normalQuantile } from './normal';
import { learnPace, usualIntervalDays, type Pace } from './pace';
import { premoultChance } from './premoult';
import { numbersInOrder, numbersOf } from './quantiles';
import { SHRINKS } from './sense';
import { GROWTH_SPREAD, learnGrowth } from './sizes';

export interface SeenMoult {
  on: Day;
  /** The taken measure after it. mm */
  sizeMm?: number | undefined;
  /** The stage that began with it; the present one if left out. */
  stage?: Stage | undefined;
}

export interface MoultQuestion {
  profile: CareProfile;
  /** Guessed from its size or its pace if left out. */
  stage?: Stage | undefined;
  /** In any order; the same day twice is refused. */
  moults: SeenMoult[];
  bornOn?: Day | undefined;
  /** Its size now, where it was taken since the last moult. mm */
  sizeMm?: number | undefined;
  signs?: MoultSign[] | undefined;
  temperatureC?: number | undefined;
  asOf: Day;
  /** Moults of its siblings, and of others of its kind that are none; one list an animal. */
  siblings?: SeenMoult[][] | undefined;
  others?: SeenMoult[][] | undefined;
  /** The instar it is in, where that is known. */
  instar?: number | undefined;
  /** How many moults to look ahead, 1 to 5; lists ask for the next alone. */
  ahead?: number | undefined;
  /** Size of the taken measure from which its home no longer serves. mm */
  outgrownMm?: number | null | undefined;
}

export interface Window {
  p10: Day;
  median: Day;
  p90: Day;
}

export interface SizeWindow {
  /** The how-manieth moult from now. */
  moult: number;
  p10: number;
  median: number;
  p90: number;
}

export interface MoultForecast {
  next: (Window & { within7DaysPct: number; within30DaysPct: number; within90DaysPct: number }) | null;
  /** The moults after that, for the fan: each with its window. */
  later: Window[];
  sizeMm: SizeWindow[];
  /** Moults until it is as large as its kind becomes; null where no size is known. */
  moultsToAdult: { p10: number; median: number; p90: number } | null;
  /** The day its home is outgrown; null when that lies beyond the moults looked at. */
  outgrown: Window | null;
  premoultPct: number;
  /** The instar it is in now, where that was told. */
  instar: number | null;
  grounds: {
    /** Usual days at this stage and temperature, and what was learned of this animal against it (1 is usual). */
    usualDays: number | null;
    paceTimes: number;
    ownIntervals: number;
    siblings: number;
    otherAnimals: number;
    growthTimes: number;
    /** A moult within so many days counts as close when signs are weighed; the chance of that by the calendar. */
    closeDays: number;
    priorPct: number;
    signs: { sign: MoultSign; times: number }[];
    basis: 'from memory';
  };
}

const DRAWS = 4000;
const LOOKS_AHEAD_MOULTS = 5;
/** Signs show in the last quarter of an interval, at least 5 days and at most 30 before the moult. From memory */
const closeDaysOf = (usualDays: number) => Math.min(30, Math.max(5, Math.round(usualDays / 4)));

/** Sorts and checks a history. @throws Refusal naming the moult that cannot be and why; nothing is dropped silently. */
export function checkHistory({ moults, bornOn, asOf, profile }: MoultQuestion): SeenMoult[] {
  const problems: FieldProblem[] = [];
  moults.forEach(({ on, sizeMm }, index) => {
    if (on > asOf) problems.push({ path: `moults.${index}.on`, message: `Must not be after ${asOf}; got ${on}.` });
    if (bornOn !== undefined && on < bornOn) {
      problems.push({
        path: `moults.${index}.on`,
        message: `Must not be before it was born, on ${bornOn}; got ${on}.`,
      });
    }
    if (moults.findIndex((each) => each.on === on) !== index) {
      problems.push({ path: `moults.${index}.on`, message: `There is a moult on ${on} already: one a day.` });
    }
    const before = [...moults]
      .filter((each) => each.on < on && each.sizeMm !== undefined)
      .sort(byDay)
      .at(-1);
    if (sizeMm !== undefined && before?.sizeMm !== undefined && sizeMm < SHRINKS * before.sizeMm) {
      const message = `Smaller than after the moult before, ${before.sizeMm} mm: was another ${profile.measure.name} meant? Got ${sizeMm}.`;
      problems.push({ path: `moults.${index}.sizeMm`, message });
    }
  });
  if (problems.length > 0) throw new Refusal(problems);
  return [...moults].sort(byDay);
}

const byDay = (a: SeenMoult, b: SeenMoult) => a.on.localeCompare(b.on);

/**
 * When an animal moults next, and how large it will be. Intervals are log-normal about what is usual for its kind,
 * stage and warmth; what is usual is drawn towards its own pace and that of others of its kind (partial pooling); that
 * it has not moulted up to today is counted in. 4,000 draws from a fixed seed: the same question has the same answer.
 * @throws Refusal for a history that cannot be
 */
export function moultForecast(question: MoultQuestion): MoultForecast {
  const { profile, asOf, temperatureC, siblings = [], others = [], bornOn } = question;
  const moults = checkHistory(question);
  const stage = question.stage ?? guessStage(profile, moults);
  const usualDays = usualIntervalDays(profile, stage, temperatureC);
  const moultsNoMore = usualDays === null || profile.growth.grownStages.includes(stage);
  const starts = [...(bornOn === undefined ? [] : [bornOn]), ...moults.map((each) => each.on)];
  const logsOf = (days: Day[], stageAt: (day: Day) => Stage) =>
    days.slice(1).flatMap((on, index) => {
      const from = days[index] ?? on;
      const usual = usualIntervalDays(profile, stageAt(from), temperatureC) ?? usualDays;
      const interval = daysBetween(from, on);
      return interval > 0 && usual !== null ? [Math.log(interval / usual)] : [];
    });
  const stageAfter = (day: Day) => moults.find((each) => each.on === day)?.stage ?? stage;
  // Intervals of smaller instars are shorter: an animal tells its pace by its latest ones.
  const own = logsOf(starts, stageAfter).slice(-LATEST);
  const logsOfAll = (animals: SeenMoult[][]) =>
    animals.map((each) => {
      const after = (day: Day) => each.find(({ on }) => on === day)?.stage ?? stage;
      return logsOf(each.map(({ on }) => on).sort(), after).slice(-LATEST);
    });
  const pace = learnPace(own, logsOfAll(siblings), logsOfAll(others));
  const sizes = moults.flatMap((each) => (each.sizeMm === undefined ? [] : [each.sizeMm]));
  const growth = learnGrowth(profile, ratiosOf(moults));
  const sizeNow = question.sizeMm ?? sizes.at(-1);
  const last = starts.at(-1);
  const elapsed = last === undefined ? null : daysBetween(last, asOf);
  const calendar = draw(
    pace,
    growth,
    usualDays ?? 0,
    elapsed,
    sizeNow,
    profile.growth.grownMm.value,
    question.ahead ?? LOOKS_AHEAD_MOULTS,
  );
  const closeDays = closeDaysOf(usualDays ?? 0);
  const priorPct = moultsNoMore ? 0 : sharePct(calendar, closeDays);
  const { pct: premoultPct, used } = premoultChance(priorPct, question.signs ?? []);
  const drawn = moultsNoMore || used.length === 0 ? calendar : weighted(calendar, closeDays, priorPct, premoultPct);
  const next = moultsNoMore ? null : (drawn.days[0] ?? null);
  const share = (days: number) => sharePct(drawn, days);
  return {
    next: next && {
      ...windowOf(next, asOf, elapsed !== null),
      within7DaysPct: share(7),
      within30DaysPct: share(30),
      within90DaysPct: share(90),
    },
    later: moultsNoMore ? [] : drawn.days.slice(1).map((days) => windowOf(days, asOf)),
    sizeMm:
      sizeNow === undefined || moultsNoMore
        ? []
        : drawn.sizes.map((each, index) => ({ moult: index + 1, ...sizesOf(each) })),
    moultsToAdult: sizeNow === undefined || moultsNoMore ? null : toAdult(profile, growth, sizeNow),
    outgrown: moultsNoMore ? null : outgrownWindow(drawn, question.outgrownMm, asOf),
    premoultPct: moultsNoMore ? 0 : premoultPct,
    instar: question.instar ?? null,
    grounds: {
      usualDays,
      paceTimes: Math.exp(pace.mean),
      ownIntervals: own.length,
      siblings: siblings.filter((each) => each.length > 1).length,
      otherAnimals: others.filter((each) => each.length > 1).length,
      growthTimes: Math.exp(growth.mean),
      closeDays,
      priorPct,
      signs: used,
      basis: 'from memory',
    },
  };
}

/** The forecast of a log that may hold a mistake: its moults are left out then, and the kind alone tells. */
export function forgivingForecast(question: MoultQuestion): MoultForecast {
  try {
    return moultForecast(question);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return moultForecast({ ...question, moults: [], bornOn: undefined });
  }
}

/** The stage whose size, or else whose usual interval, comes nearest to what was seen. */
function guessStage({ stages, growth }: CareProfile, moults: SeenMoult[]): Stage {
  const moulting = (growth.intervals ?? []).flatMap((each) =>
    each.stages.map((stage) => ({ stage, days: each.days.value })),
  );
  const first = moulting[0]?.stage ?? stages[0] ?? 'adult';
  const size = [...moults].reverse().find((each) => each.sizeMm !== undefined)?.sizeMm;
  if (size !== undefined) {
    const share = Math.min(0.999, size / growth.grownMm.value);
    return moulting[Math.floor(share * moulting.length)]?.stage ?? first;
  }
  const last = moults.at(-1);
  const before = moults.at(-2);
  if (!last || !before) return first;
  const interval = Math.log(Math.max(1, daysBetween(before.on, last.on)));
  const off = (days: number) => Math.abs(Math.log(days) - interval);
  return moulting.reduce(
    (best, each) => (off(each.days) < off(best.days) ? each : best),
    moulting[0] ?? { stage: first, days: 1 },
  ).stage;
}

/** Of its intervals so many of the latest tell its pace: earlier ones were of another size. */
const LATEST = 6;

function ratiosOf(moults: SeenMoult[]): number[] {
  return moults.slice(1).flatMap(({ sizeMm }, index) => {
    const before = moults[index]?.sizeMm;
    return sizeMm === undefined || before === undefined ? [] : [sizeMm / before];
  });
}

interface Drawn {
  /** Days from today to the next moults, one list a moult; logarithms of the sizes after them. */
  days: Float64Array[];
  sizes: Float64Array[];
}

/** Uniform chances that cover 0 to 1 evenly in every dimension: the additive recurrence of generalised golden ratios. */
const DIMENSIONS = 3 + 2 * LOOKS_AHEAD_MOULTS;
const STEPS = (() => {
  let g = 2;
  for (let round = 0; round < 40; round += 1) g = (1 + g) ** (1 / (DIMENSIONS + 1));
  return Array.from({ length: DIMENSIONS }, (_, index) => (1 / g) ** (index + 1) % 1);
})();

/**
 * The draws themselves: standard normal values, the same for every animal, worked out when first asked for. They stand
 * in the order of the first dimension, so that the next moults of an animal come out in order and need no sorting.
 */
let table: { even: Float64Array; normal: Float64Array }[] | undefined;
const drawsOf = (dimension: number) => {
  table ??= tableOfDraws();
  return table[dimension] as { even: Float64Array; normal: Float64Array };
};

function tableOfDraws() {
  const evenAt = (index: number, step: number) => clip((0.5 + (index + 1) * step) % 1);
  const first = STEPS[0] ?? 0.5;
  const order = Array.from({ length: DRAWS }, (_, index) => index).sort((a, b) => evenAt(a, first) - evenAt(b, first));
  return STEPS.map((step) => {
    const even = Float64Array.from(order, (index) => evenAt(index, step));
    return { even, normal: even.map(normalQuantile) };
  });
}

function draw(
  pace: Pace,
  growth: { mean: number; variance: number; spread: number },
  usualDays: number,
  elapsed: number | null,
  sizeNow: number | undefined,
  grownMm: number,
  ahead: number,
): Drawn {
  // Doubt about the spread itself makes the tails heavier: a t with as many degrees as it is worth.
  const spread = pace.spread * Math.sqrt(pace.spreadWorth / Math.max(1, pace.spreadWorth - 1));
  const sd = Math.sqrt(pace.variance + spread ** 2);
  const median = Math.log(Math.max(1e-6, usualDays)) + pace.mean;
  const passed = elapsed === null || elapsed <= 0 ? 0 : normalBelow((Math.log(elapsed) - median) / sd);
  // Longer overdue than the tail of the model reaches, it may moult any day.
  const reached = Math.min(passed, 0.9995);
  // Part of the first interval's difference belongs to the animal, and goes on into the later ones.
  const shareOfAnimal = pace.variance / (pace.variance + spread ** 2);
  const laterSd = Math.sqrt(pace.variance * (1 - shareOfAnimal) + spread ** 2);
  const { even } = drawsOf(0);
  const within = drawsOf(1).even;
  const { normal: ratioZ } = drawsOf(2);
  const days = Array.from({ length: ahead }, () => new Float64Array(DRAWS));
  const sizes = sizeNow === undefined ? [] : Array.from({ length: ahead }, () => new Float64Array(DRAWS));
  const own = new Float64Array(ahead > 1 ? DRAWS : 0);
  const soonest = days[0] as Float64Array;
  const left = 1 - reached;
  for (let index = 0; index < DRAWS; index += 1) {
    const logFirst = median + sd * normalQuantile(reached + left * (even[index] as number));
    const interval = Math.exp(logFirst);
    if (ahead > 1) own[index] = median + (logFirst - median) * shareOfAnimal;
    // Where nobody knows when it last moulted, it is anywhere within its interval.
    soonest[index] = elapsed === null ? interval * (within[index] as number) : Math.max(0, interval - elapsed);
  }
  for (let moult = 1; moult < ahead; moult += 1) {
    const z = drawsOf(2 + 2 * moult).normal;
    const before = days[moult - 1] as Float64Array;
    const after = days[moult] as Float64Array;
    for (let index = 0; index < DRAWS; index += 1) {
      after[index] = (before[index] as number) + Math.exp((own[index] as number) + laterSd * (z[index] as number));
    }
  }
  const ratioSd = Math.sqrt(growth.variance);
  const grownLog = Math.log(grownMm);
  for (let moult = 0; moult < sizes.length; moult += 1) {
    const z = drawsOf(3 + 2 * moult).normal;
    const before = sizes[moult - 1];
    const after = sizes[moult] as Float64Array;
    for (let index = 0; index < DRAWS; index += 1) {
      const own = ratioZ[index] as number;
      const ratio = growth.mean + ratioSd * own + growth.spread * (z[index] as number);
      const size = before ? (before[index] as number) : Math.log(sizeNow ?? NaN);
      // Nobody grows for ever: each animal up to a size of its own about what is usual for its kind.
      const largest = grownLog + GROWTH_SPREAD.grown * own;
      const grown = ratio > 0 ? size + ratio : size;
      after[index] = grown < largest ? grown : Math.max(size, largest);
    }
  }
  return { days, sizes };
}

/** The share of the draws in which the next moult comes within so many days. % */
function sharePct({ days: [next] }: Drawn, within: number): number {
  let count = 0;
  for (let index = 0; next && index < DRAWS; index += 1) if ((next[index] as number) <= within) count += 1;
  return (100 * count) / DRAWS;
}

/**
 * The draws as the signs make them likely: those with a close moult come in as often as Bayes says. Taken at even steps
 * of the weights (systematic resampling), so that nothing is left to luck.
 */
function weighted({ days, sizes }: Drawn, closeDays: number, priorPct: number, premoultPct: number): Drawn {
  const next = days[0] as Float64Array;
  const close = priorPct > 0 ? premoultPct / priorPct : 1;
  const late = priorPct < 100 ? (100 - premoultPct) / (100 - priorPct) : 1;
  const weightOf = (index: number) => ((next[index] as number) <= closeDays ? close : late);
  let total = 0;
  for (let index = 0; index < DRAWS; index += 1) total += weightOf(index);
  const chosen = new Int32Array(DRAWS);
  let taken = 0;
  let sum = 0;
  for (let index = 0; index < DRAWS; index += 1) {
    sum += weightOf(index);
    while (taken < DRAWS && ((taken + 0.5) * total) / DRAWS <= sum) {
      chosen[taken] = index;
      taken += 1;
    }
  }
  const pick = (values: Float64Array) => Float64Array.from(chosen, (index) => values[index] as number);
  return { days: days.map(pick), sizes: sizes.map(pick) };
}

const clip = (chance: number) => Math.min(0.9999, Math.max(0.0001, chance));

/** Whole days: the window reaches from the morning of its first day to the evening of its last. */
function windowOf(days: Float64Array, asOf: Day, inOrder = false): Window {
  const { p10, median, p90 } = inOrder ? numbersInOrder(days) : numbersOf(days);
  return {
    p10: addDays(asOf, Math.floor(p10)),
    median: addDays(asOf, Math.round(median)),
    p90: addDays(asOf, Math.ceil(p90)),
  };
}

/** Percentiles of sizes from those of their logarithms. mm */
function sizesOf(logs: Float64Array): { p10: number; median: number; p90: number } {
  const { p10, median, p90 } = numbersOf(logs);
  return { p10: Math.exp(p10), median: Math.exp(median), p90: Math.exp(p90) };
}

/** Moults until it is as large as its kind becomes, by its own growth. */
function toAdult({ growth: { grownMm } }: CareProfile, growth: { mean: number; variance: number }, sizeNow: number) {
  const missing = Math.max(0, Math.log(grownMm.value / sizeNow));
  const doubt = 1.2816 * Math.sqrt(growth.variance);
  const count = (ratio: number) => Math.ceil(missing / Math.max(0.02, ratio) - 0.05);
  return { p10: count(growth.mean + doubt), median: count(growth.mean), p90: count(growth.mean - doubt) };
}

/** When its size first passes what its home serves, draw by draw; null when most draws never do. */
function outgrownWindow({ days, sizes }: Drawn, limitMm: number | null | undefined, asOf: Day): Window | null {
  if (limitMm === null || limitMm === undefined) return null;
  const limitLog = Math.log(limitMm);
  const when = new Float64Array(DRAWS).fill(Infinity);
  for (let index = 0; index < DRAWS; index += 1) {
    const moult = sizes.findIndex((each) => (each[index] ?? 0) > limitLog);
    if (moult >= 0) when[index] = days[moult]?.[index] ?? Infinity;
  }
  const numbers = numbersOf(when);
  if (!Number.isFinite(numbers.median)) return null;
  const far = days.at(-1);
  const p90 = Number.isFinite(numbers.p90) ? numbers.p90 : far ? numbersOf(far).p90 : numbers.median;
  return {
    p10: addDays(asOf, Math.floor(numbers.p10)),
    median: addDays(asOf, Math.round(numbers.median)),
    p90: addDays(asOf, Math.ceil(p90)),
  };
}
