import { TENTH_SD } from '@/core/growth/normal';
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
  temperatureC: number;
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
/**
 * When a founding queen has her first workers: from the most grown brood that was seen, through the stages that are left
 * at this warmth. Before any brood was seen, from her first eggs, which come within weeks. Past days do not come again:
 * what should have been by now is due today.
 * @returns no day where it is too cold for brood to grow
 * @throws Refusal for a queen that has not begun yet
 */
export function foundingState({ kind, beganOn, seen, temperatureC, asOf }: FoundingQuestion): FoundingState {
  if (beganOn > asOf) {
    throw new Refusal([{ path: 'beganOn', message: `Must not be after ${asOf}; got ${beganOn}.` }]);
  }
  const names = kind.young.map((stage) => stage.id);
  const at = names.findLastIndex((name) => isBy(asOf, seen[name]));
  const furthest = names[at] ?? null;
  const pace = paceAt(kind, temperatureC);
  const food = kind.founding?.isSealed === false ? 'a-little' : 'none';
  if (pace <= 0) return { furthest, firstWorkers: null, isLate: false, food };
  const left = kind.young.slice(Math.max(0, at)).reduce((sum, stage) => sum + stage.days.value, 0) / pace;
  const from = furthest === null ? beganOn : (seen[furthest] as Day);
  const lag = furthest === null ? FIRST_EGGS_DAYS : { min: 0, max: 0 };
  const dayAt = (deviations: number, wait: number) =>
    addDays(from, Math.round(wait + left * Math.exp(PACE_SPREAD * deviations)));
  const p90 = dayAt(TENTH_SD, lag.max);
  const window = { p10: dayAt(-TENTH_SD, lag.min), median: dayAt(0, (lag.min + lag.max) / 2), p90 };
  const notBefore = (day: Day) => (day < asOf ? asOf : day);
  return {
    furthest,
    firstWorkers: { p10: notBefore(window.p10), median: notBefore(window.median), p90: notBefore(p90) },
    isLate: daysBetween(p90, asOf) > 0,
    food,
  };
}

const isBy = (asOf: Day, on: Day | undefined) => on !== undefined && on <= asOf;
