import type { HoldsFor } from '@/core/profiles/holdsFor';
import type { BandFact, Fact, Ground } from '@/core/profiles/profile';
import type { BroodWarmth } from './waiting';

export const MATINGS = ['mated', 'unmated', 'unknown'] as const;
/** Whether the mother had been with a male. */
export type Mating = (typeof MATINGS)[number];

/** How the eggs of some kinds are kept, and when their young come out. */
export interface EggKind extends Ground, HoldsFor {
  /** Days from the egg to the hatchling at the warmth of reference; nine of ten lie within. */
  matedDays: BandFact;
  /** Of eggs that were laid without a male; left out where those do not hatch. */
  unmatedDays?: BandFact;
  /** Share that hatches. % */
  hatchPct: { mated: Fact; unmated?: Fact };
  warmth: BroodWarmth;
  /** Without so many weeks of cold they do not hatch together: their days count from when they are warm again. */
  coldWeeks?: Fact;
  /** Of the young: how many die in a week while they are small. % */
  weeklyDeathPct: Fact;
  /** Surplus young may be fed to others of the house; else why not. */
  feedOff: { isSafe: boolean; why: string };
  /** How surplus eggs are frozen. */
  freezing: string;
}
