import { logNormalWithin } from '@/core/numerics/normal';
import { addDays, type Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import type { MothKind } from './emergence';
import { waitingTime } from './waiting';

export interface CaterpillarQuestion {
  kind: Pick<MothKind, 'larvaDays' | 'larvaInstars' | 'warmth'>;
  /** The day it hatched, where that is known. */
  bornOn?: Day | undefined;
  /** The instar it is in, where nobody knows its day. 1 or more */
  instar?: number | undefined;
  temperatureC: number;
  asOf: Day;
}

/** Nobody knows: a caterpillar is half grown. Chosen here */
const UNKNOWN_SHARE = 0.5;

/**
 * When a caterpillar spins its cocoon: by its age, else by its instar, each taken to last as long as the others (degree-days).
 * @returns the days of 5, 50 and 95 of a hundred; none before today
 * @throws Refusal at `instar` beyond the last of its kind
 */
export function spinsOn({ kind, bornOn, instar, temperatureC, asOf }: CaterpillarQuestion): {
  from: Day;
  median: Day;
  to: Day;
} {
  const instars = kind.larvaInstars.value;
  if (instar !== undefined && instar > instars) {
    throw new Refusal([{ path: 'instar', message: `Must be at most ${instars}; got ${instar}.` }]);
  }
  const { pace } = waitingTime(kind.larvaDays, kind, temperatureC);
  const usual = Math.exp(logNormalWithin(kind.larvaDays).centre);
  const [shortest, middle, longest] = [kind.larvaDays.min, usual, kind.larvaDays.max].map((days) => days / pace) as [
    number,
    number,
    number,
  ];
  const done = instar === undefined ? UNKNOWN_SHARE : (instar - 0.5) / instars;
  const day = (days: number) => {
    const on = bornOn === undefined ? addDays(asOf, Math.round(days * (1 - done))) : addDays(bornOn, Math.round(days));
    return on < asOf ? asOf : on;
  };
  return { from: day(shortest), median: day(middle), to: day(longest) };
}
