import { safeHarvest } from './culture';
import type { PopulationKind } from './kind';

export interface TubsQuestion {
  kind: PopulationKind;
  /** Grown ones that are wanted in a week. */
  needPerWeek: number;
  litresPerTub: number;
  temperatureC: number;
  /** Grown ones that a tub is begun with. */
  founders: number;
}

export interface TubsPlan {
  /** What one tub yields in a week for ever, once it stands. */
  harvestPerTub: number;
  /** So many grown ones stay in each at any rate. */
  keepBack: number;
  /** So many tubs meet the need; null where a tub bears no harvest. */
  tubs: number | null;
  /** Weeks until a tub that is begun bears its harvest; null where it does not within two years. */
  readyWeeks: number | null;
}

/** How many tubs of a size meet a weekly need, at a harvest that 19 of 20 of them bear, and how long a new one takes until it bears. */
export function tubsFor({ kind, needPerWeek, litresPerTub, temperatureC, founders }: TubsQuestion): TubsPlan {
  const roomForHeads = (kind.headsPerL?.value ?? 0) * litresPerTub;
  const counts = { [kind.adults]: founders };
  const { perWeek, keepBack, usableWeek } = safeHarvest({ kind, counts, temperatureC, roomForHeads });
  return {
    harvestPerTub: perWeek,
    keepBack,
    tubs: perWeek > 0 ? Math.ceil(needPerWeek / perWeek - 1e-9) : null,
    readyWeeks: usableWeek,
  };
}
