import { TENTH_SD } from '@/core/numerics/tails';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import { paceAt, type PopulationKind } from './kind';

/** What a founding queen's nest was seen to hold, and since when. */
export type SeenBrood = Readonly<Record<string, Day>>;

export interface FoundingQuestion {
  kind: PopulationKind;
  /** The day she was taken in, or sealed herself in. */
  beganOn: Day;
  /** By stage: the first day on which it was seen. */
  seen: SeenBrood;
  /** How warm she is kept where no step of a rest says otherwise. C */
  temperatureC: number;
  /** What her place is set to from a day on: the steps of a rest, in any order. */
  steps?: readonly { on: Day; targetC: number }[] | undefined;
  asOf: Day;
}

export interface FoundingState {
  /** The most grown brood that was seen; null while none was. */
  furthest: string | null;
  firstWorkers: { p10: Day; median: Day; p90: Day } | null;
  /** Nine of ten queens would have workers by now. */
  isLate: boolean;
  /** A queen that seals herself in gets nothing; one that does not, a little. */
  food: 'none' | 'a-little';
}

/** A queen lays her first eggs within so many days of her beginning; nine of ten. From memory */
const FIRST_EGGS_DAYS = { min: 2, max: 21 };
/** Founding queens differ in their pace by so much, in logarithms. From memory */
const PACE_SPREAD = 0.15;
/** Longer than so many days no queen lives off herself. days, from memory */
const LONGEST_DAYS = 3 * 365;

/**
 * When a founding queen has her first workers: from the most grown brood that was seen, through the stages that are left at the
 * warmth of each day. Before any brood was seen, from her first eggs, which come within weeks. In the cold of a rest nothing is
 * laid and nothing grows. Past days do not come again: what should have been by now is due today.
 * @returns no day where it is too cold for brood to grow
 * @throws Refusal for a queen that has not begun yet
 */
export function foundingState(question: FoundingQuestion): FoundingState {
  const { kind, beganOn, seen, asOf } = question;
  if (beganOn > asOf) {
    throw new Refusal([{ path: 'beganOn', message: `Must not be after ${asOf}; got ${beganOn}.` }]);
  }
  const names = kind.young.map((stage) => stage.id);
  const at = names.findLastIndex((name) => isBy(asOf, seen[name]));
  const furthest = names[at] ?? null;
  const food = kind.founding?.isSealed === false ? 'a-little' : 'none';
  const left = kind.young.slice(Math.max(0, at)).reduce((sum, stage) => sum + stage.days.value, 0);
  const from = furthest === null ? beganOn : (seen[furthest] as Day);
  const lag = furthest === null ? FIRST_EGGS_DAYS : { min: 0, max: 0 };
  const warmth = warmthFrom(question, from);
  const dayAt = (deviations: number, wait: number) =>
    grownAfterDays(kind, warmth, wait, left * Math.exp(PACE_SPREAD * deviations));
  const days = [dayAt(-TENTH_SD, lag.min), dayAt(0, (lag.min + lag.max) / 2), dayAt(TENTH_SD, lag.max)];
  if (days.some((each) => each === null)) return { furthest, firstWorkers: null, isLate: false, food };
  const [p10, median, p90] = days.map((each) => addDays(from, Math.round(each ?? 0))) as [Day, Day, Day];
  const notBefore = (day: Day) => (day < asOf ? asOf : day);
  return {
    furthest,
    firstWorkers: { p10: notBefore(p10), median: notBefore(median), p90: notBefore(p90) },
    isLate: daysBetween(p90, asOf) > 0,
    food,
  };
}

/** How warm it is so many days after one. C */
function warmthFrom({ temperatureC, steps = [] }: FoundingQuestion, from: Day): (day: number) => number {
  const inOrder = steps.map(({ on, targetC }) => ({ at: daysBetween(from, on), targetC })).sort((a, b) => a.at - b.at);
  return (day) => inOrder.findLast(({ at }) => at <= day)?.targetC ?? temperatureC;
}

/**
 * Days until eggs that are laid after so many days of warmth have grown through so many days at the warmth of reference.
 * @returns null where that takes longer than a queen lives off herself
 */
function grownAfterDays(
  kind: PopulationKind,
  warmth: (day: number) => number,
  waitDays: number,
  growDays: number,
): number | null {
  let [wait, grow] = [waitDays, growDays];
  for (let day = 0; day < LONGEST_DAYS; day += 1) {
    const temperatureC = warmth(day);
    if (temperatureC < kind.warmth.restBelowC.value) continue;
    const pace = paceAt(kind, temperatureC);
    if (pace <= 0) continue;
    const waited = Math.min(1, wait);
    wait -= waited;
    const grown = (1 - waited) * pace;
    if (grown >= grow) return day + waited + grow / pace;
    grow -= grown;
  }
  return null;
}

const isBy = (asOf: Day, on: Day | undefined) => on !== undefined && on <= asOf;
