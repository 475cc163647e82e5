import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { carriedOn, type AnimalMeasures } from '@/core/profiles/animal';
import type { CareProfile, MoultSign, Stage } from '@/core/profiles/profile';
import { Refusal, type FieldProblem } from '@/core/refusal';
import { draw, DRAWS, LOOKS_AHEAD_MOULTS, sharePct, weighted, type Drawn, type GrownSince } from './draws';
import { moultsNoMore } from './moulting';
import { kindSpread, learnPace, usualIntervalDays, widened } from './pace';
import { premoultChance } from './premoult';
import { TENTH_SD } from '@/core/numerics/tails';
import { numbersOf } from '@/core/numerics/quantiles';
import { moultDayProblem, SHRINKS } from './historyChecks';
import { learnGrowth } from './sizes';

export interface SeenMoult {
  on: Day;
  /** The taken measure after it. mm */
  sizeMm?: number | undefined;
  /** The stage that began with it; the present one if left out. */
  stage?: Stage | undefined;
  /** How warm the interval was that ended with it; as warm as it is now if left out. C */
  temperatureC?: number | undefined;
}

export interface MoultQuestion {
  profile: CareProfile;
  /** Guessed from its size or its pace if left out. */
  stage?: Stage | undefined;
  /** In any order; the same day twice is refused. */
  moults: SeenMoult[];
  bornOn?: Day | undefined;
  /** Of one whose last moult nobody knows: since when a moult of it would have been written down. */
  watchedSince?: Day | undefined;
  /** Its size now, where it was taken since the last moult, and the day on which that was. mm */
  sizeMm?: number | undefined;
  sizedOn?: Day | undefined;
  signs?: MoultSign[] | undefined;
  temperatureC?: number | undefined;
  /** How warm it has been since its last moult; as warm as it is now if left out. C */
  sinceTemperatureC?: number | undefined;
  asOf: Day;
  /** Moults of its siblings, and of others of its kind that are none; one list an animal. */
  siblings?: SeenMoult[][] | undefined;
  others?: SeenMoult[][] | undefined;
  /** The instar it is in, where that is known. */
  instar?: number | undefined;
  /** By how much the forecasts of this house have been too narrow (`windowScore`); 1 if left out. */
  spreadTimes?: number | undefined;
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
  /** The chance that it has moulted, since its last or since it is watched, without anybody writing it down. */
  unseenPct: number;
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

/** Signs show in the last quarter of an interval, at least 5 days and at most 30 before the moult. From memory */
const closeDaysOf = (usualDays: number) => Math.min(30, Math.max(5, Math.round(usualDays / 4)));

/** Sorts and checks a history. @throws Refusal naming the moult that cannot be and why; nothing is dropped silently. */
export function checkHistory({ moults, bornOn, asOf, profile }: MoultQuestion): SeenMoult[] {
  const problems: FieldProblem[] = [];
  moults.forEach(({ on, sizeMm }, index) => {
    if (on > asOf) problems.push({ path: `moults.${index}.on`, message: `Must not be after ${asOf}; got ${on}.` });
    const earlier = moults.slice(0, index).map((each) => each.on);
    const problem = moultDayProblem(on, earlier, bornOn);
    if (problem !== null) problems.push({ path: `moults.${index}.on`, message: problem });
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
  const isOver = moultsNoMore(profile, stage);
  const starts = [...(bornOn === undefined ? [] : [bornOn]), ...moults.map((each) => each.on)];
  // Each interval counts with the warmth it was lived in.
  const logsOf = (days: Day[], seen: SeenMoult[], stageAt: (day: Day) => Stage) =>
    days.slice(1).flatMap((on, index) => {
      const from = days[index] ?? on;
      const warmth = seen.find((each) => each.on === on)?.temperatureC ?? temperatureC;
      const usual = usualIntervalDays(profile, stageAt(from), warmth) ?? usualDays;
      const interval = daysBetween(from, on);
      return interval > 0 && usual !== null ? [Math.log(interval / usual)] : [];
    });
  const stageAfter = (day: Day) => moults.find((each) => each.on === day)?.stage ?? stage;
  // Intervals of smaller instars are shorter: an animal tells its pace by its latest ones.
  const own = logsOf(starts, moults, stageAfter).slice(-LATEST);
  const logsOfAll = (animals: SeenMoult[][]) =>
    animals.map((each) => {
      const after = (day: Day) => each.find(({ on }) => on === day)?.stage ?? stage;
      return logsOf(each.map(({ on }) => on).sort(), each, after).slice(-LATEST);
    });
  const isStaged = new Set(moults.flatMap(({ stage: began }) => began ?? [])).size > 1;
  const learned = learnPace(own, logsOfAll(siblings), logsOfAll(others), isStaged, kindSpread(profile, stage));
  const pace = widened(learned, question.spreadTimes ?? 1);
  const sizes = moults.flatMap((each) => (each.sizeMm === undefined ? [] : [each.sizeMm]));
  const growth = learnGrowth(profile, ratiosOf(moults), stage);
  const sizeNow = sizeToday(question, stage, moults) ?? sizes.at(-1);
  const last = starts.at(-1);
  // Days in which it was cooler than it is now count for fewer.
  const usualSince = usualIntervalDays(profile, stage, question.sinceTemperatureC ?? temperatureC);
  const aDayCounts = usualDays !== null && usualSince !== null ? usualDays / usualSince : 1;
  const elapsed = last === undefined ? null : daysBetween(last, asOf) * aDayCounts;
  const watchedDays = Math.max(0, daysBetween(question.watchedSince ?? asOf, asOf)) * aDayCounts;
  const calendar = draw(
    pace,
    growth,
    usualDays ?? 0,
    elapsed === null ? { watchedDays } : elapsed,
    sizeNow,
    profile.growth.grownMm.value,
    question.ahead ?? LOOKS_AHEAD_MOULTS,
    grownSince(question, moults.at(-1), aDayCounts),
  );
  const closeDays = closeDaysOf(usualDays ?? 0);
  const priorPct = isOver ? 0 : sharePct(calendar, closeDays);
  const { pct: premoultPct, used } = premoultChance(priorPct, question.signs ?? []);
  const drawn = isOver || used.length === 0 ? calendar : weighted(calendar, closeDays, priorPct, premoultPct);
  const next = isOver ? null : (drawn.days[0] ?? null);
  const share = (days: number) => sharePct(drawn, days);
  return {
    next: next && {
      ...windowOf(next, asOf),
      within7DaysPct: share(7),
      within30DaysPct: share(30),
      within90DaysPct: share(90),
    },
    later: isOver ? [] : drawn.days.slice(1).map((days) => windowOf(days, asOf)),
    sizeMm:
      sizeNow === undefined || isOver ? [] : drawn.sizes.map((each, index) => ({ moult: index + 1, ...sizesOf(each) })),
    moultsToAdult: sizeNow === undefined || isOver ? null : toAdult(profile, growth, sizeNow),
    outgrown: isOver ? null : outgrownWindow(drawn, question.outgrownMm, asOf),
    premoultPct: isOver ? 0 : premoultPct,
    unseenPct: isOver ? 0 : unseenPct(drawn),
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

/** Its size as it likely is: carried on over the moults since it was taken. mm */
function sizeToday({ profile, sizeMm, sizedOn }: MoultQuestion, stage: Stage, moults: SeenMoult[]): number | undefined {
  if (sizeMm === undefined || sizedOn === undefined) return sizeMm;
  const since = moults.filter(({ on }) => on > sizedOn).length;
  const measured: AnimalMeasures & { stage: Stage } = { stage, [profile.measure.takes]: sizeMm };
  return carriedOn(profile, measured, since)[profile.measure.takes];
}

/** By how much it has grown since its last moult was measured: a size that nobody saw it come to tells of a moult unseen. */
function grownSince(
  { sizeMm, sizedOn }: MoultQuestion,
  last: SeenMoult | undefined,
  aDayCounts: number,
): GrownSince | undefined {
  if (sizeMm === undefined || sizedOn === undefined || last?.sizeMm === undefined || sizedOn <= last.on)
    return undefined;
  return { log: Math.log(sizeMm / last.sizeMm), afterDays: daysBetween(last.on, sizedOn) * aDayCounts };
}

/** The share of the draws in which at least one went unseen. % */
function unseenPct({ unseen }: Drawn): number {
  let count = 0;
  for (const each of unseen) if (each > 0) count += 1;
  return (100 * count) / unseen.length;
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

/** Of its intervals so many of the latest tell its pace: earlier ones were of another animal, in size and age. Chosen here */
const LATEST = 10;

function ratiosOf(moults: SeenMoult[]): number[] {
  return moults.slice(1).flatMap(({ sizeMm }, index) => {
    const before = moults[index]?.sizeMm;
    return sizeMm === undefined || before === undefined ? [] : [sizeMm / before];
  });
}

/** Whole days: the window reaches from the morning of its first day to the evening of its last. */
function windowOf(days: Float64Array, asOf: Day): Window {
  const { p10, median, p90 } = numbersOf(days);
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
  const doubt = TENTH_SD * Math.sqrt(growth.variance);
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
