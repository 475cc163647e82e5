import { clipChance, evenAt, evenSteps } from '@/core/numerics/evenDraws';
import { normalBelow, normalQuantile } from '@/core/numerics/normal';
import { MOST_UNSEEN, UNSEEN_SHARE, type Pace } from './pace';
import { GROWTH_SPREAD, type GrowthPace } from './sizes';
import { resample } from '@/core/numerics/resample';

/** So many courses are drawn of every animal. */
export const DRAWS = 4000;
/** The farthest that is looked ahead. moults */
export const LOOKS_AHEAD_MOULTS = 5;

/** Courses of an animal from today on, one value a draw. */
export interface Drawn {
  /** Days from today to the next moults, one list a moult; logarithms of the sizes after them. */
  days: Float64Array[];
  sizes: Float64Array[];
  /** Moults since the last that was written down which nobody saw. */
  unseen: Uint8Array;
}

/** What its size says of moults that nobody saw: by how much it has grown since the last that was written down, in logarithms. */
export interface GrownSince {
  log: number;
  /** So long after that moult it was measured. days */
  afterDays: number;
}

const STEPS = evenSteps(7 + 2 * LOOKS_AHEAD_MOULTS);

/** The draws themselves: standard normal values, the same for every animal, worked out when first asked for. */
let table: { even: Float64Array; normal: Float64Array }[] | undefined;
const drawsOf = (dimension: number) => {
  table ??= tableOfDraws();
  return table[dimension] as { even: Float64Array; normal: Float64Array };
};

function tableOfDraws() {
  return STEPS.map((step) => {
    const even = Float64Array.from({ length: DRAWS }, (_, index) => evenAt(index, step));
    return { even, normal: even.map(normalQuantile) };
  });
}

/** Taking a size off a living animal errs by so much; in logarithms, from memory. */
const MEASURING = 0.06;
/** Of the draws so many (chosen here) are followed on with moults that nobody saw. */
const SOME = DRAWS / 8;
/** Written over by every forecast: to make them anew costs more than to fill them. */
const scratch = {
  weights: new Float64Array(DRAWS + MOST_UNSEEN * SOME),
  next: new Float64Array(DRAWS + MOST_UNSEEN * SOME),
  middles: new Float64Array(DRAWS + MOST_UNSEEN * SOME),
  intervals: new Float64Array(DRAWS),
  grows: new Uint8Array(DRAWS + MOST_UNSEEN * SOME),
  drawnAs: new Int32Array(DRAWS),
  course: new Uint8Array(DRAWS),
};
/** Under this chance that one was unseen it moves no window by a day. Chosen here */
const WORTH_ASKING = 0.003;

/** Longer overdue than the tails of all courses reach, it may moult any day. */
const LEFT_AT_LEAST = 1e-12;

/** The courses as they stand so long after the last moult, one list a number: read 4,000 times a forecast. */
interface CoursesToday {
  /** Middle of the interval, in logarithms of days, its spread, how much of it has passed, and by how much the next is longer. */
  middle: Float64Array;
  sd: Float64Array;
  reached: Float64Array;
  trend: Float64Array;
  /** What of the first interval's difference belongs to the animal and goes on into the later ones, and the spread of those. */
  share: Float64Array;
  laterSd: Float64Array;
}

function coursesToday({ courses }: Pace, usualLog: number, logElapsed: number): CoursesToday {
  const list = () => new Float64Array(courses.length);
  const of = { middle: list(), sd: list(), reached: list(), trend: list(), share: list(), laterSd: list() };
  courses.forEach(({ spread, trend, mean, variance }, at) => {
    const sd = Math.sqrt(spread * spread + variance);
    const share = variance / (sd * sd);
    of.middle[at] = usualLog + mean;
    of.sd[at] = sd;
    of.reached[at] = normalBelow((logElapsed - usualLog - mean) / sd);
    of.trend[at] = trend;
    of.share[at] = share;
    of.laterSd[at] = Math.sqrt(spread * spread + variance * (1 - share));
  });
  return of;
}

/**
 * Draws the days and sizes of the next moults. Since the last that was written down there may have been some that nobody saw: each
 * draw is taken without such, with one and with two, and they are weighed by how likely that is (Bayes).
 * @param last days since the last moult; where nobody knows, it was anywhere within its interval when it came, and no moult was written
 *   down in the days since in which it was watched
 * @param sizeNow of the taken measure, mm: as it was after the last moult that was written down, or as taken since
 * @param since where it was measured since: by how much it had grown then
 */
export function draw(
  pace: Pace,
  growth: GrowthPace,
  usualDays: number,
  last: number | { watchedDays: number },
  sizeNow: number | undefined,
  grownMm: number,
  ahead: number,
  since?: GrownSince,
): Drawn {
  const usualLog = Math.log(Math.max(1e-6, usualDays));
  const elapsed = typeof last === 'number' ? last : null;
  // Longer than this it tells no more: more moults than are thought of would have been missed.
  const watched = typeof last === 'number' ? 0 : Math.min(last.watchedDays, MOST_UNSEEN * usualDays);
  const logElapsed = elapsed !== null && elapsed > 0 ? Math.log(elapsed) : -Infinity;
  const unseenNone = sizeLikelihood(growth, 0, since);
  const courses = coursesToday(pace, usualLog, logElapsed);
  const courseOf = coursesDrawn(pace);
  const { even } = drawsOf(0);
  const within = drawsOf(1).even;
  // First all draws without an unseen moult, then some of them with one, and with two.
  const passedAll = pace.courses.reduce((sum, { weight }, at) => sum + weight * (courses.reached[at] ?? 0), 0);
  const isWeighed = elapsed === null ? watched > 0 : elapsed > 0;
  const mayBeUnseen = isWeighed && (elapsed === null || UNSEEN_SHARE * passedAll > WORTH_ASKING);
  const count = mayBeUnseen ? DRAWS + MOST_UNSEEN * SOME : DRAWS;
  const { weights, next, middles, intervals, grows, drawnAs } = scratch;
  const {
    middle: middleOf,
    sd: sdOf,
    share: shareOf,
    reached: reachedOf,
    trend: trendOf,
    laterSd: laterSdOf,
  } = courses;
  for (let index = 0; index < DRAWS; index += 1) {
    const course = courseOf[index] as number;
    const middle = middleOf[course] as number;
    const reached = reachedOf[course] as number;
    const chance = Math.min(1 - 1e-9, reached + (1 - reached) * (even[index] as number));
    const log = middle + (sdOf[course] as number) * normalQuantile(chance);
    const interval = Math.exp(log);
    // Where nobody knows when it last moulted, it was anywhere within its interval when it came.
    const left = elapsed === null ? interval * (within[index] as number) - watched : interval - elapsed;
    next[index] = Math.max(0, left);
    middles[index] = middle + (shareOf[course] as number) * (log - middle);
    weights[index] = Math.max(LEFT_AT_LEAST, elapsed === null ? Number(left >= 0) : 1 - reached) * unseenNone;
    intervals[index] = interval;
  }
  for (let some = 0; mayBeUnseen && some < SOME; some += 1) {
    const index = some * (DRAWS / SOME);
    const course = courseOf[index] as number;
    const middle = middleOf[course] as number;
    let centre = middle;
    let wide = sdOf[course] as number;
    let left = elapsed ?? watched;
    let likely = DRAWS / SOME;
    let measured = 0;
    for (let unseen = 1; unseen <= MOST_UNSEEN; unseen += 1) {
      // One that nobody saw, some time before today.
      const isFirstOfAll = elapsed === null && unseen === 1;
      // The first since it came is that of the draw itself: it lay within an interval that had begun before.
      const untilFirst = isFirstOfAll ? (intervals[index] as number) * (within[index] as number) : 0;
      const passed = isFirstOfAll ? Number(untilFirst <= left) : normalBelow((Math.log(left) - centre) / wide);
      likely *= UNSEEN_SHARE * passed;
      const log = isFirstOfAll
        ? Math.log(intervals[index] as number)
        : centre + wide * normalQuantile(clipChance(passed * (drawsOf(4 + unseen).even[index] as number)));
      left = Math.max(1e-6, left - (isFirstOfAll ? untilFirst : Math.exp(log)));
      // Only one before it was measured shows in its size.
      if (since && elapsed !== null && elapsed - left <= since.afterDays) measured = unseen;
      if (unseen === 1) {
        centre = middle + (shareOf[course] as number) * (log - middle);
        wide = laterSdOf[course] as number;
      }
      centre += trendOf[course] as number;
      const reached = normalBelow((Math.log(left) - centre) / wide);
      const chance = Math.min(1 - 1e-9, reached + (1 - reached) * (even[index] as number));
      const place = DRAWS + (unseen - 1) * SOME + some;
      next[place] = Math.max(0, Math.exp(centre + wide * normalQuantile(chance)) - left);
      middles[place] = centre;
      weights[place] = likely * (1 - reached) * sizeLikelihood(growth, measured, since);
      grows[place] = unseen - measured;
    }
  }
  const source = isWeighed ? resample(DRAWS, (index) => weights[index] as number, count) : inOrder();
  // Which draw each of them is, and how many moults nobody saw in it.
  const unseen = new Uint8Array(DRAWS);
  for (let place = 0; place < DRAWS; place += 1) {
    const from = source[place] as number;
    const past = from - DRAWS;
    drawnAs[place] = past < 0 ? from : (past % SOME) * (DRAWS / SOME);
    if (past >= 0) unseen[place] = past < SOME ? 1 : 2;
  }
  return { unseen, days: daysDrawn(), sizes: sizeNow === undefined ? [] : sizesDrawn(Math.log(sizeNow)) };

  function daysDrawn(): Float64Array[] {
    const days = Array.from({ length: ahead }, () => new Float64Array(DRAWS));
    const soonest = days[0] as Float64Array;
    for (let place = 0; place < DRAWS; place += 1) soonest[place] = next[source[place] as number] as number;
    for (let moult = 1; moult < ahead; moult += 1) {
      const z = drawsOf(7 + 2 * moult).normal;
      const before = days[moult - 1] as Float64Array;
      const after = days[moult] as Float64Array;
      for (let place = 0; place < DRAWS; place += 1) {
        const index = drawnAs[place] as number;
        const course = courseOf[index] as number;
        const log =
          (middles[source[place] as number] as number) +
          moult * (trendOf[course] as number) +
          (laterSdOf[course] as number) * (z[index] as number);
        after[place] = (before[place] as number) + Math.exp(log);
      }
    }
    return days;
  }

  function sizesDrawn(sizeLog: number): Float64Array[] {
    const sizes = Array.from({ length: ahead }, () => new Float64Array(DRAWS));
    const { normal: ratioZ } = drawsOf(2);
    const ratioSd = Math.sqrt(growth.variance);
    const grownLog = Math.log(grownMm);
    for (let moult = 0; moult < ahead; moult += 1) {
      const z = drawsOf(8 + 2 * moult).normal;
      const before = sizes[moult - 1];
      const after = sizes[moult] as Float64Array;
      for (let place = 0; place < DRAWS; place += 1) {
        const index = drawnAs[place] as number;
        const own = ratioZ[index] as number;
        // Nobody grows for ever: each animal up to a size of its own about what is usual for its kind.
        const largest = grownLog + GROWTH_SPREAD.grown * own;
        const ratio = growth.mean + ratioSd * own;
        // What was measured since holds what it has grown by then; draws without an unseen moult have none to add.
        const gone = before || unseen[place] === 0 ? 0 : (grows[source[place] as number] as number);
        const size = (before ? (before[place] as number) : sizeLog) + gone * Math.max(0, ratio);
        const grown = size + Math.max(0, ratio + growth.spread * (z[index] as number));
        const stays = before ? size : sizeLog;
        after[place] = grown < largest ? grown : Math.max(stays, largest);
      }
    }
    return sizes;
  }
}

/** All draws as they stand. */
let standing: Int32Array | undefined;
const inOrder = () => (standing ??= Int32Array.from({ length: DRAWS }, (_, index) => index));

/** The draws in the order of the dimension by which courses are chosen. */
let byCourse: Int32Array | undefined;

/** The place of a course for each draw: each as often as it is likely. */
function coursesDrawn({ courses }: Pace): Uint8Array {
  const { even } = drawsOf(4);
  byCourse ??= inOrder()
    .slice()
    .sort((a, b) => (even[a] as number) - (even[b] as number));
  const total = courses.reduce((sum, { weight }) => sum + weight, 0);
  let at = 0;
  let sum = courses[0]?.weight ?? 0;
  for (let place = 0; place < DRAWS; place += 1) {
    const index = byCourse[place] as number;
    while (sum < total * (even[index] as number) && at < courses.length - 1) {
      at += 1;
      sum += courses[at]?.weight ?? 0;
    }
    scratch.course[index] = at;
  }
  return scratch.course;
}

/** How likely the size measured since makes so many unseen moults. */
function sizeLikelihood(growth: GrowthPace, unseen: number, since: GrownSince | undefined): number {
  if (!since) return 1;
  const sd = Math.sqrt(2 * MEASURING ** 2 + unseen * growth.spread ** 2 + unseen ** 2 * growth.variance);
  return Math.exp(-0.5 * ((since.log - unseen * growth.mean) / sd) ** 2) / sd;
}

/** The share of the draws in which the next moult comes within so many days. % */
export function sharePct({ days: [next] }: Drawn, within: number): number {
  let count = 0;
  for (let index = 0; next && index < DRAWS; index += 1) if (within >= (next[index] as number)) count += 1;
  return (100 * count) / DRAWS;
}

/**
 * The draws as the signs make them likely: those with a close moult come in as often as Bayes says.
 */
export function weighted(
  { days, sizes, unseen }: Drawn,
  closeDays: number,
  priorPct: number,
  premoultPct: number,
): Drawn {
  const next = days[0] as Float64Array;
  const close = priorPct > 0 ? premoultPct / priorPct : 1;
  const late = priorPct < 100 ? (100 - premoultPct) / (100 - priorPct) : 1;
  // Without a sign all weigh alike: each comes in once.
  if (close === late) return { days, sizes, unseen };
  const weightOf = (index: number) => (closeDays >= (next[index] as number) ? close : late);
  const chosen = resample(DRAWS, weightOf);
  const pick = (values: Float64Array) => Float64Array.from(chosen, (index) => values[index] as number);
  return {
    days: days.map(pick),
    sizes: sizes.map(pick),
    unseen: Uint8Array.from(chosen, (index) => unseen[index] as number),
  };
}
