import { REST_ACTS, type RestAct } from '@/core/season/restActs';

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
