import { Refusal } from '@/core/refusal';
import { crpsOf, deviateOf, holds, type Foreseen } from './foreseen';

/** A window that was shown, and what came of it. */
export interface Settled {
  foreseen: Foreseen;
  /** Undefined where the window has passed and nothing has happened yet. */
  happened?: number | undefined;
  /** What a naive forecast would have said: the last interval again. */
  naive?: number | undefined;
  /** The window was made so many times as wide as the engine alone would have. */
  spreadTimes?: number | undefined;
}

/** How good some windows were that were to hold eight times in ten. */
export interface WindowScore {
  windows: number;
  held: number;
  heldPct: number | null;
  /** Where the true share lies in nine of ten houses like this. % */
  between: { low: number; high: number } | null;
  verdict: Verdict;
  /** How often it came at or under what was to be so in 10, 20 ... 90 of 100: a straight line where all is well. */
  reliability: { saidPct: number; camePct: number }[];
  /** Mean error (CRPS) where there was a naive forecast, too, and that of the naive one; in the unit of the windows. */
  against: { windows: number; error: number; naiveError: number } | null;
  /** By how much windows are to be widened from now on; 1 until there are enough. */
  spreadTimes: number;
}
export const VERDICTS = ['too-few', 'as-said', 'too-narrow', 'too-wide'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Windows hold so often when they are right. % */
const SAID_PCT = 80;
/** Fewer tell nothing. Chosen here */
const ENOUGH = 20;
/** From so many on the windows to come are corrected. Chosen here */
const ENOUGH_TO_CORRECT = 30;
/** Nine of ten. */
const Z = 1.6449;
/** What is thought of the spread before anything was seen counts as so many windows. Chosen here */
const PRIOR_WINDOWS = 20;
/** One that came from nowhere tells no more than that, and the correction goes no further than this. Chosen here */
const MOST_DEVIATE = 3;
const MOST_TIMES = { least: 0.6, most: 2 } as const;

/** Sums up windows. One that has passed with nothing happening has not held. */
export function windowScore(settled: readonly Settled[]): WindowScore {
  const deviates = settled.map(({ foreseen, happened }) =>
    happened === undefined ? Infinity : deviateOf(foreseen, happened),
  );
  const held = settled.filter(({ foreseen, happened }) => holds(foreseen, happened)).length;
  const windows = settled.length;
  const between = windows === 0 ? null : wilson(held, windows);
  return {
    windows,
    held,
    heldPct: windows === 0 ? null : (100 * held) / windows,
    between,
    verdict: verdictOf(windows, between),
    reliability: windows === 0 ? [] : reliabilityOf(deviates),
    against: againstNaive(settled),
    spreadTimes: spreadOf(settled, deviates),
  };
}

function verdictOf(windows: number, between: WindowScore['between']): Verdict {
  if (windows < ENOUGH || !between) return 'too-few';
  if (between.high < SAID_PCT) return 'too-narrow';
  return between.low > SAID_PCT ? 'too-wide' : 'as-said';
}

/** The bounds of a share, in %; of nine in ten if `z` is left out. @source Wilson, E. B. (1927), J. Am. Stat. Assoc. 22 */
export function wilson(hits: number, of: number, z = Z): { low: number; high: number } {
  const share = hits / of;
  const middle = share + (z * z) / (2 * of);
  const half = z * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of));
  const whole = 1 + (z * z) / of;
  return { low: (100 * Math.max(0, middle - half)) / whole, high: (100 * Math.min(whole, middle + half)) / whole };
}

const TENTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9] as const;
/** Standard normal quantiles of the tenths. */
const TENTH_Z = [-1.2816, -0.8416, -0.5244, -0.2533, 0, 0.2533, 0.5244, 0.8416, 1.2816] as const;

function reliabilityOf(deviates: readonly number[]): WindowScore['reliability'] {
  return TENTHS.map((tenth, at) => {
    const came = deviates.filter((z) => z <= (TENTH_Z[at] ?? 0)).length;
    return { saidPct: 10 * tenth, camePct: (100 * came) / deviates.length };
  });
}

function againstNaive(settled: readonly Settled[]): WindowScore['against'] {
  const both = settled.flatMap(({ foreseen, happened, naive }) =>
    happened === undefined || naive === undefined ? [] : [{ foreseen, happened, naive }],
  );
  if (both.length === 0) return null;
  const mean = (of: (each: (typeof both)[number]) => number) =>
    both.reduce((sum, each) => sum + of(each), 0) / both.length;
  return {
    windows: both.length,
    error: mean(({ foreseen, happened }) => crpsOf(foreseen, happened)),
    naiveError: mean(({ naive, happened }) => Math.abs(naive - happened)),
  };
}

/** How wide the engine's own windows would have had to be, against how wide they were; drawn towards 1 while there are few. */
function spreadOf(settled: readonly Settled[], deviates: readonly number[]): number {
  if (settled.length < ENOUGH_TO_CORRECT) return 1;
  const squares = deviates.map((z, at) => {
    const own = Math.min(MOST_DEVIATE, Math.abs(z) * (settled[at]?.spreadTimes ?? 1));
    return own * own;
  });
  const variance = (PRIOR_WINDOWS + squares.reduce((sum, each) => sum + each, 0)) / (PRIOR_WINDOWS + settled.length);
  return Math.min(MOST_TIMES.most, Math.max(MOST_TIMES.least, Math.sqrt(variance)));
}

/** A chance that was given, and whether it happened. */
export interface SettledChance {
  chance: number;
  happened: boolean;
  /** What a naive forecast would have given: as the last time. */
  naive?: number | undefined;
}

export interface ChanceScore {
  count: number;
  happened: number;
  /** Mean squared error, 0 to 1; and of the naive forecast where there was one. */
  against: { count: number; brier: number; naiveBrier: number } | null;
  /** By the chance that was given: how many, the mean chance, and how often it happened. */
  reliability: { count: number; saidPct: number; camePct: number }[];
}

/** Chances are told apart from here on. */
const BINS = [0, 0.1, 0.2, 0.35, 0.5, 0.75];

/**
 * Sums up chances by the Brier score, which is proper, too.
 * @source Brier, G. W. (1950), Mon. Weather Rev. 78
 */
export function chanceScore(settled: readonly SettledChance[]): ChanceScore {
  const both = settled.flatMap(({ chance, happened, naive }) =>
    naive === undefined ? [] : [{ chance, naive, came: happened ? 1 : 0 }],
  );
  const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
  return {
    count: settled.length,
    happened: settled.filter(({ happened }) => happened).length,
    against:
      both.length === 0
        ? null
        : {
            count: both.length,
            brier: mean(both.map(({ chance, came }) => (chance - came) ** 2)),
            naiveBrier: mean(both.map(({ naive, came }) => (naive - came) ** 2)),
          },
    reliability: BINS.flatMap((from, at) => {
      const inBin = settled.filter(({ chance }) => chance >= from && chance < (BINS[at + 1] ?? Infinity));
      if (inBin.length === 0) return [];
      return [
        {
          count: inBin.length,
          saidPct: 100 * mean(inBin.map(({ chance }) => chance)),
          camePct: 100 * mean(inBin.map(({ happened }) => (happened ? 1 : 0))),
        },
      ];
    }),
  };
}

/** @throws Refusal for windows whose numbers do not rise, or of which a logarithm is to be taken and cannot be */
export function requireForeseen(foreseen: readonly Foreseen[]): void {
  const problems = foreseen.flatMap(({ p10, p50, p90, isLog }, at) => {
    if (p10 > p50 || p50 > p90) {
      return [{ path: `windows.${at}.p50`, message: `Must lie between p10 and p90; got ${p10}, ${p50}, ${p90}.` }];
    }
    return isLog && p10 <= 0
      ? [{ path: `windows.${at}.p10`, message: `Must be over 0 for a logarithm; got ${p10}.` }]
      : [];
  });
  if (problems.length > 0) throw new Refusal(problems);
}
