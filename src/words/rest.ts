import type { RestWarning } from '@/core/season/rest';
import { REST_ACTS, type RestAct } from '@/core/season/restActs';
import type { RestPhase } from '@/core/season/restCourse';

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

export const REST_PHASE_WORDS: Record<RestPhase, string> = {
  before: 'planned',
  cooling: 'cooling down',
  cold: 'in the cold',
  warming: 'warming up',
  over: 'over',
};
