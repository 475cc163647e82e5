import { lastingHarvest } from './culture';
import { usualStages } from './brood';
import type { PopulationKind } from './kind';
import { usualCourse } from './project';

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
  /** So many tubs meet the need; null where a tub bears no harvest. */
  tubs: number | null;
  /** Weeks until a tub that is begun bears its harvest; null where it does not within two years. */
  readyWeeks: number | null;
}

/** A culture grows fastest when half of its room is taken (logistic law). */
const HALF = 0.5;
const LONGEST_WEEKS = 104;

/** How many tubs of a size meet a weekly need, and how long a new one takes until it bears. */
export function tubsFor({ kind, needPerWeek, litresPerTub, temperatureC, founders }: TubsQuestion): TubsPlan {
  const room = (kind.headsPerL?.value ?? 0) * litresPerTub;
  const question = { kind, temperatureC, roomForHeads: room };
  const half = usualStages(kind, HALF * room, 0, temperatureC, room);
  const harvestPerTub = room > 0 ? lastingHarvest({ ...question, counts: half }) : 0;
  const { total } = usualCourse({ ...question, counts: { [kind.adults]: founders }, weeks: LONGEST_WEEKS });
  const ready = total.findIndex((heads) => heads >= HALF * room);
  return {
    harvestPerTub,
    tubs: harvestPerTub > 0 ? Math.ceil(needPerWeek / harvestPerTub - 1e-9) : null,
    readyWeeks: ready < 0 ? null : ready,
  };
}
