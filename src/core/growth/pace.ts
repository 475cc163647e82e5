import type { CareProfile, Stage } from '@/core/profiles/profile';

/**
 * How the intervals between moults vary, in logarithms: between kinds of one profile, between batches of a kind,
 * between animals of a batch, and from moult to moult of one animal. From memory; the last is learned from the animal
 * as it moults.
 */
export const SPREAD = { kind: 0.3, batch: 0.12, animal: 0.184, moult: 0.25 } as const;
/** The spread from moult to moult is worth so many moults of evidence before any was seen. */
const SPREAD_WORTH = 4;

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
  const row = profile.growth.intervals?.find((each) => each.stages.includes(stage));
  if (!row) return null;
  const { referenceC, baseC } = USUAL_WARMTH;
  const warmth = Math.min(temperatureC, profile.climate.temperatureC.max);
  const pace = Math.max(SLOWEST, (warmth - baseC) / (referenceC - baseC));
  return row.days.value / pace;
}

/** What was learned of the pace, against what is usual, in logarithms. */
export interface Pace {
  /** Mean, and its variance. */
  mean: number;
  variance: number;
  /** Spread from moult to moult: scale and how many moults it is worth. */
  spread: number;
  spreadWorth: number;
}

/**
 * The pace of one animal by partial pooling, level under level: what is usual, its kind, its siblings, itself. An
 * animal without a moult has the pace of its siblings, one with many its own.
 * @param own logarithms of its intervals over the usual ones
 * @param siblings the same of others of its batch, one list an animal
 * @param others the same of the rest of its kind
 */
export function learnPace(own: readonly number[], siblings: readonly Logs[], others: readonly Logs[]): Pace {
  const { kind, batch, animal, moult } = SPREAD;
  const ofKind = learnLevel({ mean: 0, variance: kind ** 2 }, others, batch ** 2 + animal ** 2);
  const ofBatch = learnLevel({ mean: ofKind.mean, variance: ofKind.variance + batch ** 2 }, siblings, animal ** 2);
  const prior = ofBatch.variance + animal ** 2;
  const n = own.length;
  const spread = learnSpread(own, moult);
  const ownPrecision = n / spread ** 2;
  const total = 1 / prior + ownPrecision;
  return {
    mean: (ofBatch.mean / prior + (n > 0 ? mean(own) : 0) * ownPrecision) / total,
    variance: 1 / total,
    spread,
    spreadWorth: SPREAD_WORTH + Math.max(0, n - 1),
  };
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

function learnSpread(own: Logs, usual: number): number {
  if (own.length < 2) return usual;
  const centre = mean(own);
  const squares = own.reduce((sum, each) => sum + (each - centre) ** 2, 0);
  return Math.sqrt((SPREAD_WORTH * usual ** 2 + squares) / (SPREAD_WORTH + own.length - 1));
}

const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
