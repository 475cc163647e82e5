import type { Job, LeaveAlone } from '@/core/plan/due';
import type { FitAnswer } from '@/core/housing/fit';
import { dayWords, daysWords, timeWords } from './days';
import type { LengthWords } from './useLength';

/** Prey is offered in whole millimetres, rounded down: the limit is the largest that is safe. */
export function preyLimitMm(maxLengthMm: number): number {
  return maxLengthMm < 10 ? Math.floor(maxLengthMm * 2) / 2 : Math.floor(maxLengthMm);
}

/** Crickets hatch at about 3 mm: whoever takes nothing larger is given fruit flies. */
function preyWords(maxLengthMm: number, count: number): string {
  if (maxLengthMm < 4) return count === 1 ? 'fruit fly' : 'fruit flies';
  return count === 1 ? 'cricket' : 'crickets';
}

/** What is to be done, short. */
export function jobTitle(job: Job, length: LengthWords): string {
  switch (job.kind) {
    case 'feed': {
      const { count, maxLengthMm } = job.prey ?? { count: 1, maxLengthMm: 0 };
      return `${count} ${preyWords(maxLengthMm, count)}, up to ${length.long(preyLimitMm(maxLengthMm))}`;
    }
    case 'leftovers':
      return 'Look for the prey, take out what is left';
    case 'water':
      return 'Rinse and fill the dish';
    case 'damp':
      return 'Damp the soil';
    case 'soil':
      return `Raise the soil to ${length.long(job.soil?.toMm ?? 0)}`.replace(
        'Raise',
        (job.soil?.toMm ?? 0) >= (job.soil?.fromMm ?? 0) ? 'Raise' : 'Lower',
      );
    case 'mend':
      return 'Put the box right';
    case 'rehouse':
      return 'This box no longer serves';
  }
}

/** Why it is due. `fit` gives the failing rules their words. */
export function jobReason(job: Job, today: string, fit: FitAnswer | undefined): string {
  const { reason } = job;
  switch (reason.code) {
    case 'never':
      return `nothing written down since ${dayWords(reason.since, today)}`;
    case 'since-last':
      return `${daysWords(reason.days)} since the last, ${dayWords(reason.on, today)}`;
    case 'after-refusal':
      return `refused ${daysWords(reason.days)} ago: offer again`;
    case 'offered':
      return `offered ${dayWords(reason.on, today)} ${timeWords(reason.at)}`;
    case 'home-fails':
      return reason.rules
        .map((rule) => fit?.checks.find((check) => check.rule === rule)?.title ?? rule)
        .join('; ')
        .toLowerCase();
  }
}

const SIGN_WORDS: Record<string, string> = {
  'refused-food': 'off its food',
  dull: 'dull',
  dark: 'dark',
  'bald-patch-dark': 'bald patch dark',
  webbed: 'web thick',
  sealed: 'sealed in',
  buried: 'buried',
  hanging: 'hanging',
  contractions: 'contracting',
  swollen: 'swollen',
};

export const signWords = (sign: string) => SIGN_WORDS[sign] ?? sign;

/** Why an animal is left alone, and until when. */
export function leaveAloneWords(quiet: LeaveAlone, today: string): string {
  if (quiet.code === 'hardening') return `hardening, food from ${dayWords(quiet.feedFrom, today)}`;
  return `${quiet.signs.map(signWords).join(' and ')} since ${dayWords(quiet.since, today)}, until it moults`;
}
