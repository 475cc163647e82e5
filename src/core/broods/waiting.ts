import { paceAt, paceSpread } from '@/core/colony/kind';
import { logNormalWithin } from '@/core/numerics/normal';
import { together } from '@/core/numerics/spreads';
import type { BandFact, Fact } from '@/core/profiles/profile';

/** No pace is none: the slowest that is reckoned with, so that days have an end. Chosen here */
const SLOWEST = 0.02;

export interface BroodWarmth {
  referenceC: Fact;
  baseC: Fact;
  optimumC: Fact;
}

/**
 * The time in an egg or a cocoon at some warmth, log-normal: the middle and the spread of its logarithm, in days, and how
 * fast it goes against the warmth of reference (degree-days). What is not known of that warmth adds to the spread.
 * @param usual days at the warmth of reference between which nine of ten lie
 */
export function waitingTime(usual: BandFact, kind: { warmth: BroodWarmth }, temperatureC: number) {
  const pace = Math.max(SLOWEST, paceAt(kind, temperatureC));
  const { centre, spread } = logNormalWithin(usual);
  return { centre: centre - Math.log(pace), spread: together(spread, paceSpread(kind, temperatureC)), pace };
}
