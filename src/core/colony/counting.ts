import { TENTH_SD } from '@/core/numerics/tails';
import { Refusal } from '@/core/refusal';

/** What a count comes to, and between which numbers the truth lies in eight of ten cases. */
export interface Counted {
  heads: number;
  low: number;
  high: number;
}

/**
 * Heads in all, from those counted in a picture of a part of the nest: each is in the picture with the chance of that
 * part, so that the count over the share is right on the mean and varies as a binomial does.
 * @param counted in the picture, 1 or more
 * @param sharePct of the nest that the picture shows, over 0 up to 100
 * @source Horvitz and Thompson (1952), J. Am. Stat. Assoc. 47, 663-685, with equal chances
 * @throws Refusal where nothing was counted, or nothing shown
 */
export function countedInPart(counted: number, sharePct: number): Counted {
  if (counted < 1) throw new Refusal([{ path: 'counted', message: 'Must be 1 or more: count those in the picture.' }]);
  if (sharePct <= 0 || sharePct > 100) {
    throw new Refusal([{ path: 'sharePct', message: `Must be over 0 and up to 100 percent; got ${sharePct}.` }]);
  }
  const share = sharePct / 100;
  const heads = counted / share;
  const off = (TENTH_SD * Math.sqrt(counted * (1 - share))) / share;
  // Those in the picture are there at any rate.
  return { heads: Math.round(heads), low: Math.max(counted, Math.round(heads - off)), high: Math.round(heads + off) };
}

/** Bands in which a colony is estimated by eye. Heads */
export const ESTIMATES = [
  [1, 10],
  [10, 25],
  [25, 50],
  [50, 100],
  [100, 250],
  [250, 500],
  [500, 1000],
  [1000, 2500],
  [2500, 5000],
  [5000, 10000],
] as const;

/** The middle of a band by its ratio: twice too many is as wrong as half. */
export const countedInBand = (low: number, high: number): Counted => ({
  heads: Math.round(Math.sqrt(low * high)),
  low,
  high,
});

/** "About so many" is off by a third down and by half up in one case of ten each way. Common practice, no source */
const ABOUT = { low: 2 / 3, high: 3 / 2 };

/**
 * A number that was guessed: "about two hundred".
 * @param heads 1 or more
 */
export const countedAbout = (heads: number): Counted => ({
  heads,
  low: Math.max(1, Math.floor(heads * ABOUT.low)),
  high: Math.ceil(heads * ABOUT.high),
});

/** How far a count may be off, as the standard deviation of its logarithm; 0 where every head was counted. */
export function countSpread(low: number | undefined, high: number | undefined): number {
  if (low === undefined || high === undefined || low <= 0 || high <= low) return 0;
  return Math.log(high / low) / (2 * TENTH_SD);
}
