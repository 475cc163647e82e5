import type { BoxSign } from '@/core/trouble/boxSigns';
import type { NextLook, Step } from '@/core/trouble/diagnose';

type TitleOf = (id: string) => string;

const round = (value: number) =>
  Math.abs(value) >= 10 ? String(Math.round(value)) : value.toFixed(1).replace(/\.0$/, '');

/** One number of the box against its limit: "The air is drier than its band: yes, 52 % against 60 %". */
export function boxSignWords({ present, actual, limit, unit }: BoxSign, title: string): string {
  if (unit === 'count') return `${title}: ${present ? 'yes' : 'no'}`;
  const [is, held] =
    unit === 'of full'
      ? [`${Math.round(100 * actual)} % of all it holds`, `${Math.round(100 * limit)} %`]
      : [`${round(actual)} ${unit}`, `${round(limit)} ${unit}`];
  return `${title}: ${present ? 'yes' : 'no'}, ${is} against ${held}`;
}

/** What one sign did: the two causes that it told apart most. */
export function stepWords({ sign, present, likelihood, afterPct }: Step, causes: readonly string[], titleOf: TitleOf) {
  const best = afterPct.indexOf(Math.max(...afterPct));
  const most = likelihood.indexOf(Math.max(...likelihood));
  const least = likelihood.indexOf(Math.min(...likelihood));
  const times = (likelihood[most] ?? 0) / Math.max(1e-6, likelihood[least] ?? 0);
  const told =
    most === least
      ? 'tells nothing apart'
      : `${round(times)} times as likely with “${titleOf(causes[most] ?? '').toLowerCase()}” as with “${titleOf(causes[least] ?? '').toLowerCase()}”`;
  return `${titleOf(sign)}: ${present ? 'yes' : 'no'}; ${told}. Now first: ${titleOf(causes[best] ?? '').toLowerCase()}, ${Math.round(afterPct[best] ?? 0)} %.`;
}

/** What to look for next and what either answer would make of it. */
export function nextLookWords({ sign, ifYes, ifNo }: NextLook, titleOf: TitleOf): string {
  const would = ({ cause, pct }: NextLook['ifYes']) => `${titleOf(cause).toLowerCase()} ${Math.round(pct)} %`;
  return `${titleOf(sign)}? If yes: ${would(ifYes)}. If no: ${would(ifNo)}.`;
}
