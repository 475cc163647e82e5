import { Refusal } from '@/core/refusal';
import type { EggKind } from './eggs';

/** What is to become of a brood, decided before it hatches. Heads */
export interface SurplusWish {
  keep: number;
  passOn: number;
  feedOff: number;
}

export interface SurplusPlan extends SurplusWish {
  /** Eggs to freeze now, so that no more hatch than there are places for. */
  freezeEggs: number;
  /** Young that have a place. */
  placed: number;
  /** More may hatch than have a place, in one of ten batches like this. */
  mayExceedBy: number;
}

/**
 * How many eggs to freeze so that what hatches has a place: kept, passed on, or fed off where that is safe. As likely as
 * not a few more or fewer come out; the tenth batch with the most is said.
 * @param eggs that are left
 * @param expected of them all
 * @throws Refusal for young that must not be fed off, with the reason
 */
export function surplusPlan(
  kind: Pick<EggKind, 'feedOff'>,
  eggs: number,
  expected: { median: number; p90: number },
  wish: SurplusWish,
): SurplusPlan {
  if (wish.feedOff > 0 && !kind.feedOff.isSafe) {
    throw new Refusal([{ path: 'feedOff', message: `Must be 0. ${kind.feedOff.why}` }]);
  }
  const placed = wish.keep + wish.passOn + wish.feedOff;
  const share = expected.median / eggs;
  const left = share > 0 ? Math.min(eggs, Math.ceil(placed / share)) : eggs;
  return {
    ...wish,
    placed,
    freezeEggs: eggs - left,
    mayExceedBy: Math.max(0, Math.round((expected.p90 * left) / eggs - placed)),
  };
}
