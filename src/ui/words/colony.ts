import type { CountVerdict } from '@/core/colony/expected';
import type { MoveAct } from '@/core/colony/nestSteps';
import type { Band } from '@/core/colony/project';
import { REST_ACTS, type RestAct, type RestWarning } from '@/core/season/rest';
import type { RestPhase } from '@/core/season/restCourse';

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

/** "cool down": of the key of a step, `cool-2`. */
export const restStepWords = (key: string): string => {
  const act = REST_ACTS.find((each) => key.startsWith(`${each}-`));
  return act ? REST_ACT_WORDS[act].toLowerCase() : key;
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

const CASTE_WORDS: Record<string, string> = {
  minim: 'smallest workers',
  minor: 'small workers',
  media: 'middle workers',
  major: 'large workers',
};
/** "120 small workers, 30 middle workers". */
export const castesWords = (castes: readonly { id: string; count: number }[]) =>
  castes
    .filter(({ count }) => count > 0)
    .map(({ id, count }) => `${headsWords(count)} ${CASTE_WORDS[id] ?? id}`)
    .join(', ');

export const VERDICT_WORDS: Record<CountVerdict, string> = {
  'as-expected': 'The last count is what was to be expected.',
  fewer: 'Fewer than were to be expected: look at damp, food and mould before anything is taken out.',
  crash:
    'Far fewer than were to be expected: it may be crashing. Take nothing out, look for mould, drought, mites or old soil, and begin a second tub of the healthy ones.',
  more: 'More than were to be expected: it may burst its room soon.',
};
export const VERDICT_SHORT: Record<CountVerdict, string> = {
  'as-expected': '',
  fewer: 'fewer than expected',
  crash: 'may be crashing',
  more: 'growing fast',
};

export const MOVE_ACT_WORDS: Record<MoveAct, string> = {
  prepare: 'Damp the new nest and let it stand; the barrier on the rim is fresh',
  link: 'Join the nests by a tube that two of the largest can pass',
  dark: 'Cover the new nest, leave the old one in bright light',
  queen: 'Carry the queen over with soft tweezers, held at the sides',
  garden: 'Carry the whole garden after her, in one piece where it goes',
  heap: 'Leave them a small rubbish heap outside',
  look: 'Look in: have they begun to carry brood?',
  'feed-hard': 'Feed hard for two weeks, until the chamber is filled',
  'leave-on': 'Leave the old nest on: brood may still be in it',
  'take-off': 'Take the old nest off, if nobody has been in it for a week',
};

export const REST_PHASE_WORDS: Record<RestPhase, string> = {
  before: 'planned',
  cooling: 'cooling down',
  cold: 'in the cold',
  warming: 'warming up',
  over: 'over',
};

/** "180 mL", "2.4 L". */
export const volumeWords = (ml: number): string =>
  ml < 1000 ? `${Math.max(5, Math.round(ml / 5) * 5)} mL` : `${(ml / 1000).toFixed(1)} L`;
