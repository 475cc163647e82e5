import type { Ground, SensitivityReply, WeighedNumber } from '@/contract/ground';
import type { KeeperQuestion } from '@/core/ground/answers';
import type { NumberSpread } from '@/core/ground/numbers';
import { pct, shortNumber } from './count';

export const QUESTION_WORDS: Record<KeeperQuestion, string> = {
  home: 'Does this home fit?',
  'box-to-buy': 'Which box would fit?',
  filling: 'What goes into it?',
  air: 'When is it damped again, is its air good?',
  warmth: 'Is it warm enough?',
  moult: 'When does it moult, how large is it then?',
  meal: 'What is it given, how much, how often?',
  work: 'What is there to do?',
  rest: 'When does it rest?',
  brood: 'When do they hatch, when do moths come out?',
  numbers: 'How many will there be?',
  trouble: 'What is wrong?',
  stillness: 'Dead or moulting?',
};

type BasisRow = Ground['summary']['byBasis'][number];

/** What a share of all answers rests on. */
export function basisRowWords({ basis, hasSpread, numbers }: BasisRow): string {
  const spread = hasSpread ? ', with a range' : '';
  return `${basis}${spread}: ${numbers.toLocaleString('en-GB')} numbers`;
}

/** Between which it lies in practice, and how that is made use of. */
export function spreadWords({ by, min, max }: NumberSpread): string {
  const range = min === undefined || max === undefined ? '' : `${shortNumber(min)} to ${shortNumber(max)}`;
  switch (by) {
    case 'range':
      return `${range} in eight of ten; forecasts are that much wider`;
    case 'watched':
      return `between ${range} it is watched`;
    case 'soft':
      return 'never worse than watched';
    case 'careful':
      return `${range} in practice; held to the careful end`;
    case 'tolerance':
      return `${range}: later it cannot wait`;
    case 'band':
      return `an end of the band ${range}`;
  }
}

/** What it rests on, and how far it may be off; the work in which it stands is told apart. */
export const groundWords = ({ basis, spread }: Pick<WeighedNumber, 'basis' | 'spread'>): string =>
  spread ? `${basis}: ${spreadWords(spread)}` : basis;

/** How much hangs on it, by what is asked, most first. */
export function hangsWords({ weight, byQuestion }: Pick<WeighedNumber, 'weight' | 'byQuestion'>): string {
  if (weight === 0) return 'It moves no answer of those that are asked here.';
  const asked = (Object.entries(byQuestion) as [KeeperQuestion, number][]).sort((a, b) => b[1] - a[1]).slice(0, 3);
  return asked.map(([question, part]) => `${QUESTION_WORDS[question]} ${pct((100 * part) / weight)}`).join(' ');
}

type Moved = SensitivityReply['answers'][number];
const told = (value: Moved['isNow']): string =>
  value === null ? 'none' : typeof value === 'number' ? shortNumber(value) : value;

/** One answer, as it is and as it would be. */
export const movedWords = ({ about, isNow, ifLower, ifHigher }: Moved): string =>
  `${about}: ${told(isNow)}; lower ${told(ifLower)}, higher ${told(ifHigher)}`;
