import type { ScoreBoard, Scored } from '@/contract/scores';
import { countWords, pct } from './count';

type Engine = ScoreBoard['engines'][number];

export const SCORED_WORDS: Record<Scored, { title: string; window: string; unit: 'day' | 'piece' }> = {
  moult: { title: 'Moults', window: 'the days between which the next moult was expected', unit: 'day' },
  drying: { title: 'Drying', window: 'the days between which a box was to be damped again', unit: 'day' },
  hatch: { title: 'Hatching', window: 'the days between which most young were to hatch', unit: 'day' },
  need: { title: 'Feeders', window: 'how many feeders would be eaten in four weeks', unit: 'piece' },
};

/** "52 of 64 windows of 80 % held." */
export function heldWords({ windows, held, heldPct, open }: Engine): string {
  if (heldPct === null) return open === 0 ? 'No window was shown yet.' : `No window is decided yet; ${open} are open.`;
  const rest = open === 0 ? '' : ` ${countWords(open, 'window')} ${open === 1 ? 'is' : 'are'} still open.`;
  return `${held} of ${countWords(windows, 'window')} held: ${pct(heldPct)}, where 80 % were meant to.${rest}`;
}

/** What is to be thought of that share. */
export function verdictWords({ verdict, between, windows }: Engine): string | null {
  if (windows === 0 || !between) return null;
  const range = `By chance alone it lies between ${Math.round(between.low)} and ${pct(between.high)}.`;
  switch (verdict) {
    case 'too-few':
      return `${range} Twenty windows are needed before that tells anything.`;
    case 'as-said':
      return `${range} That is as it should be.`;
    case 'too-narrow':
      return `${range} The windows were too narrow: too sure of themselves.`;
    case 'too-wide':
      return `${range} The windows were wider than they need be.`;
  }
}

/** Against the last interval again. */
export function naiveWords({ against, engine }: Engine): string | null {
  if (!against) return null;
  const { unit } = SCORED_WORDS[engine];
  const by = (value: number) => `${value.toFixed(1)} ${unit}s`;
  const better = against.error < against.naiveError;
  const naive = engine === 'need' ? 'As much as in the four weeks before' : 'The last interval again';
  return `Mean error ${by(against.error)}, of ${countWords(against.windows, 'window')} (CRPS). ${naive} would have missed by ${by(against.naiveError)}: the forecast is ${better ? 'better' : 'no better'}.`;
}

/** What has been learned of it. */
export function correctionWords({ inForce, windows }: Engine): string | null {
  if (inForce === 1) return windows === 0 ? null : 'Nothing is corrected by it so far.';
  return `So windows are drawn ${inForce.toFixed(2)} times as wide now as the engine alone would.`;
}

/** Where they come from. */
export function replayedWords({ replayed, windows }: Engine): string | null {
  if (replayed === 0) return null;
  const all = replayed === windows ? 'All of them' : `${replayed} of them`;
  return `${all} were worked out afterwards, from what was known on their day and nothing that was written of later ones.`;
}

/** Of offers and refusals. */
export function refusalWords({ count, happened, against }: ScoreBoard['refusals']): string {
  if (count === 0) return 'Nothing was offered and answered in the last year.';
  const share = `${happened} of ${countWords(count, 'offer')} in the last year ${happened === 1 ? 'was' : 'were'} refused.`;
  if (!against) return share;
  const { brier, naiveBrier } = against;
  const verdict = brier < naiveBrier ? 'better than' : 'no better than';
  return `${share} The chances given beforehand score ${brier.toFixed(3)} (Brier, 0 is best): ${verdict} “as the last time”, with ${naiveBrier.toFixed(3)}.`;
}
