import { evenAt, evenSteps } from './evenDraws';
import { normalBelow, normalQuantile } from './normal';
import type { Pace } from './pace';
import { GROWTH_SPREAD, type GrowthPace } from './sizes';
import { resample } from './resample';

/** So many courses are drawn of every animal. */
export const DRAWS = 4000;
/** The farthest that is looked ahead. moults */
export const LOOKS_AHEAD_MOULTS = 5;

/** Courses of an animal from today on, one value a draw. */
export interface Drawn {
  /** Days from today to the next moults, one list a moult; logarithms of the sizes after them. */
  days: Float64Array[];
  sizes: Float64Array[];
}

const STEPS = evenSteps(3 + 2 * LOOKS_AHEAD_MOULTS);

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
  const first = STEPS[0] ?? 0.5;
  const order = Array.from({ length: DRAWS }, (_, index) => index).sort((a, b) => evenAt(a, first) - evenAt(b, first));
  return STEPS.map((step) => {
    const even = Float64Array.from(order, (index) => evenAt(index, step));
    return { even, normal: even.map(normalQuantile) };
  });
}

/**
 * Draws the days and sizes of the next moults.
 * @param elapsed days since the last moult; null where nobody knows: it is then anywhere within its interval
 */
export function draw(
  pace: Pace,
  growth: GrowthPace,
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
export function sharePct({ days: [next] }: Drawn, within: number): number {
  let count = 0;
  for (let index = 0; next && index < DRAWS; index += 1) if (within >= (next[index] as number)) count += 1;
  return (100 * count) / DRAWS;
}

/**
 * The draws as the signs make them likely: those with a close moult come in as often as Bayes says.
 */
export function weighted({ days, sizes }: Drawn, closeDays: number, priorPct: number, premoultPct: number): Drawn {
  const next = days[0] as Float64Array;
  const close = priorPct > 0 ? premoultPct / priorPct : 1;
  const late = priorPct < 100 ? (100 - premoultPct) / (100 - priorPct) : 1;
  // Without a sign all weigh alike: each comes in once.
  if (close === late) return { days, sizes };
  const weightOf = (index: number) => (closeDays >= (next[index] as number) ? close : late);
  const chosen = resample(DRAWS, weightOf);
  const pick = (values: Float64Array) => Float64Array.from(chosen, (index) => values[index] as number);
  return { days: days.map(pick), sizes: sizes.map(pick) };
}
