import type { Band } from '@/core/colony/project';
import type { RestAct, RestWarning } from '@/core/season/rest';

/** Heads as they are worth saying: two digits beyond a hundred. */
export function headsWords(count: number): string {
  if (count < 10) return String(Math.round(count * 10) / 10).replace(/\.0$/, '');
  return String(count < 100 ? Math.round(count) : Number(count.toPrecision(2)));
}

/** "about 640 (210 to 1400)". */
export const bandWords = ({ p10, median, p90 }: Band) =>
  `about ${headsWords(median)} (${headsWords(p10)} to ${headsWords(p90)})`;

const STAGE_WORDS: Record<string, string> = {
  egg: 'eggs',
  larva: 'larvae',
  pupa: 'pupae',
  nymph: 'nymphs',
  juvenile: 'young',
  adult: 'grown',
  worker: 'workers',
};
export const stageWords = (stage: string) => STAGE_WORDS[stage] ?? stage;

export const REST_ACT_WORDS: Record<RestAct, string> = {
  'feed-well': 'Feed well from now on',
  'last-food': 'Last food',
  'clear-food': 'Take all food out; water stays',
  count: 'Count and weigh',
  cool: 'Cool down',
  hold: 'Leave it in the cold',
  check: 'Look in, do not disturb: water there? lid dry?',
  warm: 'Warm up',
  'first-food': 'First food, a little',
};

export const REST_WARNING_WORDS: Record<RestWarning, string> = {
  'not-needed': 'This kind may rest and need not: both ways are kept.',
  late: 'It begins later than usual; it ends in its season all the same.',
  'very-late': 'It begins weeks late and is that much shorter.',
  'place-too-warm': 'The place is warmer than it should rest at: it goes on living fast and finds no food.',
  'place-too-cold': 'The place is colder than it should rest at: the steps stop above it, so find a warmer spot.',
  'place-below-floor': 'The place can fall below what the kind bears. Do not put it there.',
  'room-is-cool-enough': 'The room itself is cool enough: it need not be carried away.',
};
