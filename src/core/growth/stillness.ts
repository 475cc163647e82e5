import type { Basis, Silhouette } from '@/core/profiles/profile';
import { normalBelow } from '@/core/numerics/normal';

/** One thing to be seen on an animal that does not move. */
export interface Finding {
  id: string;
  title: string;
  /** How many times as often it is seen on a dead one as on one that rests or moults. */
  times: number;
}

/** What keepers know of the stillness of a kind. */
export interface StillnessGuide {
  silhouettes: Silhouette[];
  /** How long the living lie still: half of them less, and 99 of 100 less. days */
  usualDays: number;
  longestDays: number;
  /** Deaths in a year, of the usual causes. */
  deathsPerYear: number;
  findings: Finding[];
  lookFor: string[];
  howToLook: string[];
  notToDo: string[];
  worry: string;
  basis: Basis;
}

export const STILLNESS_VERDICTS = ['leave', 'look', 'worry', 'dead'] as const;

export interface StillnessAnswer {
  /** `leave`: it rests or moults. `look`: from outside. `worry`: act as the guide says. `dead`: by what was seen. */
  verdict: (typeof STILLNESS_VERDICTS)[number];
  deadPct: number;
  /** Days from now after which it is worth looking again, if nothing new is seen. */
  lookAgainInDays: number;
  /** Odds by the days alone, and what each finding makes of them. */
  byDaysPct: number;
  used: { id: string; times: number }[];
}

/** 99 of 100 lie within so many standard deviations. */
const Z99 = 2.326347874;
/** From these odds on it is looked at, worried about, called dead. %, chosen here: rather a look too many than one buried alive */
const LOOK_PCT = 15;
const WORRY_PCT = 60;
const DEAD_PCT = 95;
/** Only a finding this strong tells death; stillness alone never does. Chosen here, with the times of the findings */
const TELLING_TIMES = 10;
/** Nobody is sent away for longer than this. days, chosen here */
const LONGEST_WAIT_DAYS = 30;
/** A moult that is due makes stillness so much likelier against this usual chance, within these bounds. From memory */
const USUAL_PREMOULT_PCT = 30;
const PREMOULT_TIMES = { least: 0.5, most: 3 } as const;

/**
 * Dead, or moulting? By Bayes: the odds that it died in this time, against those that a living one still lies still,
 * times what each finding says. Never dead by the days alone.
 * @param daysStill days since it was last seen to move, 0 or more
 * @param premoultPct chance that a moult is close, where that is known
 */
export function stillness(
  guide: StillnessGuide,
  daysStill: number,
  seen: readonly string[],
  premoultPct?: number,
): StillnessAnswer {
  const used = guide.findings.filter(({ id }) => seen.includes(id)).map(({ id, times }) => ({ id, times }));
  const byFindings = used.reduce((product, each) => product * each.times, 1);
  const oddsAt = (days: number) => deathOdds(guide, days, premoultPct) * byFindings;
  const pctOf = (odds: number) => (100 * odds) / (1 + odds);
  const deadPct = pctOf(oddsAt(daysStill));
  const isTold = used.some((each) => each.times >= TELLING_TIMES);
  let lookAgainInDays = 1;
  const wait = deadPct < LOOK_PCT ? LOOK_PCT : 0;
  while (wait > 0 && lookAgainInDays < LONGEST_WAIT_DAYS && pctOf(oddsAt(daysStill + lookAgainInDays + 1)) < wait)
    lookAgainInDays += 1;
  return {
    verdict:
      deadPct < LOOK_PCT ? 'leave' : deadPct < WORRY_PCT ? 'look' : deadPct >= DEAD_PCT && isTold ? 'dead' : 'worry',
    deadPct,
    lookAgainInDays,
    byDaysPct: pctOf(deathOdds(guide, daysStill, premoultPct)),
    used,
  };
}

/** The lengths of still times are log-normal; a death may have come on any of the days. */
function deathOdds({ usualDays, longestDays, deathsPerYear }: StillnessGuide, days: number, premoultPct?: number) {
  const sd = Math.log(longestDays / usualDays) / Z99;
  const stillResting = days <= 0 ? 1 : 1 - normalBelow(Math.log(days / usualDays) / sd);
  const dies = 1 - Math.exp((-deathsPerYear * Math.max(1, days)) / 365);
  const { least, most } = PREMOULT_TIMES;
  const moultTimes = Math.min(most, Math.max(least, (premoultPct ?? USUAL_PREMOULT_PCT) / USUAL_PREMOULT_PCT));
  return dies / (Math.max(1e-6, stillResting) * moultTimes);
}
