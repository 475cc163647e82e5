import { TENTH_SD } from '@/core/numerics/tails';
import { together } from '@/core/numerics/spreads';
import type { HoldsFor } from '@/core/profiles/holdsFor';
import type { BandFact, Fact, Ground } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';

/** A stage that young pass through. */
export interface YoungStage {
  id: string;
  /** How long it lasts at the warmth of reference. */
  days: Fact;
  weeklyDeathPct: Fact;
}

/** Workers of one build. The first caste is what the others leave over. */
export interface Caste {
  id: string;
  /** Of all workers, in a very large colony. % */
  mostSharePct?: Fact;
  /** Half of that share is reached with so many workers. */
  halfAtWorkers?: Fact;
}

/** How a kind that is counted and not named multiplies. */
export interface PopulationKind extends Ground, HoldsFor {
  /** What its grown ones are called. */
  adults: 'adult' | 'worker';
  /** In the order in which they are passed through. */
  young: YoungStage[];
  adultLifeDays: Fact;
  /** Of the first workers of a colony. */
  firstLifeDays?: Fact;
  laying:
    | { by: 'female'; perWeek: Fact; femaleShare: Fact }
    /** Of one queen: alone she lays `founding` a week, up to her first batch; half of her most with so many workers. */
    | { by: 'queen'; perWeek: Fact; founding: Fact; halfAtWorkers: Fact };
  warmth: {
    referenceC: Fact;
    /** Nothing develops below. */
    baseC: Fact;
    /** Nothing is faster above. */
    optimumC: Fact;
    /** Below, nothing is laid: it rests. */
    restBelowC: Fact;
  };
  /** So many live in a litre before no more is bred; of ants their nest says. */
  headsPerL?: Fact;
  /** Workers of a grown colony. */
  colonySize?: BandFact;
  queensAtMost?: number;
  /**
   * Of ants: whether a young queen seals herself in and lives off herself until her first workers, or goes out to feed; and how
   * many eggs she lays, once, before they come.
   */
  founding?: { isSealed: boolean; firstBatch: BandFact } & Ground;
  /** Of ants whose workers differ, the smallest first. */
  castes?: Caste[];
  /** Of rates between colonies of a kind: standard deviation of their logarithm. */
  spread: Fact;
}

/**
 * How fast a kind lives against the warmth of reference: 1 there, 0 at its base, no more beyond its optimum (degree-days).
 */
export function paceAt(
  { warmth }: { warmth: Pick<PopulationKind['warmth'], 'referenceC' | 'baseC' | 'optimumC'> },
  temperatureC: number,
): number {
  const { referenceC, baseC, optimumC } = warmth;
  const above = Math.min(temperatureC, optimumC.value) - baseC.value;
  return Math.max(0, above) / (referenceC.value - baseC.value);
}

/** Of a number that a pace is reckoned from: how much the pace varies with its range, in logarithms. */
const paceSpreadBy = (fact: Fact, paceWith: (value: number) => number): number => {
  const [one, other] = fact.range ? [paceWith(fact.range.min), paceWith(fact.range.max)] : [1, 1];
  return one > 0 && other > 0 ? Math.abs(Math.log(one / other)) / (2 * TENTH_SD) : 0;
};

/**
 * How far the pace at some warmth may be off because nobody knows the warmth of reference, and that at which nothing develops, to the
 * degree: by their ranges, where those were told. In logarithms
 */
export function paceSpread({ warmth }: Parameters<typeof paceAt>[0], temperatureC: number): number {
  const { referenceC, baseC } = warmth;
  const paceWith = (part: Partial<typeof warmth>) => paceAt({ warmth: { ...warmth, ...part } }, temperatureC);
  const other = (fact: Fact, value: number): Fact => ({ ...fact, value });
  return together(
    paceSpreadBy(referenceC, (value) => paceWith({ referenceC: other(referenceC, value) })),
    paceSpreadBy(baseC, (value) => paceWith({ baseC: other(baseC, value) })),
  );
}

/** Its stages, grown ones last. */
export const stagesOf = ({ young, adults }: PopulationKind): string[] => [...young.map((stage) => stage.id), adults];

/**
 * @param path under which the counts were given
 * @throws Refusal for a stage that the kind does not have, queens of a kind without, and more than it bears
 */
export function requireCounts(
  kind: PopulationKind,
  counts: Readonly<Record<string, number>>,
  queens: number,
  path: string,
): void {
  const names = stagesOf(kind);
  const unknown = Object.keys(counts).filter((name) => !names.includes(name));
  if (unknown.length > 0) {
    const message = `Must be one of the stages ${names.join(', ')}.`;
    throw new Refusal(unknown.map((name) => ({ path: `${path}.${name}`, message })));
  }
  const most = kind.laying.by === 'queen' ? kind.queensAtMost : 0;
  if (most === undefined || queens <= most) return;
  const bears = most === 0 ? 'no queens' : most === 1 ? 'one queen' : `${most} queens`;
  const message = `This kind bears ${bears}; got ${queens}.${most > 0 ? ' In the end the others are killed: keep them apart.' : ''}`;
  throw new Refusal([{ path: 'queens', message }]);
}
