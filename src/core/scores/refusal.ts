import { SIGN_TIMES } from '@/core/growth/premoult';
import { chanceBelow, type Foreseen } from './foreseen';

/** Of offers to one that is not about to moult so many are refused, before anything was seen; and as many offers that counts. From memory */
const USUAL_SHARE = 0.12;
const PRIOR_OFFERS = 12;
const MOST = 0.95;

/**
 * The chance that an offer is refused: as often as others of the kind have refused before, and more often the closer the next
 * moult is (`SIGN_TIMES`).
 * @param days since its last moult
 * @param moult when the next moult was foreseen, in days after the last one; undefined where nobody foresaw any
 * @param closeDays a moult within so many days counts as close
 * @param before offers to this kind before, and how many of them were refused
 */
export function refusalChance(
  days: number,
  moult: Foreseen | undefined,
  closeDays: number,
  before: { offers: number; refused: number },
): number {
  const share = (USUAL_SHARE * PRIOR_OFFERS + before.refused) / (PRIOR_OFFERS + before.offers);
  if (!moult) return Math.min(MOST, share);
  const passed = chanceBelow(moult, days);
  const left = Math.max(1e-6, 1 - passed);
  const close = Math.min(1, (chanceBelow(moult, days + closeDays) - passed) / left);
  // The share is that of all offers; about a quarter of a life is close to a moult.
  const apart = share / (1 + USUALLY_CLOSE * (SIGN_TIMES['refused-food'] - 1));
  return Math.min(MOST, apart * (1 + close * (SIGN_TIMES['refused-food'] - 1)));
}

/** From memory: signs show in the last quarter of an interval. */
const USUALLY_CLOSE = 0.25;
