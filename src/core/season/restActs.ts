/** What is done on the days of a rest. */
export const REST_ACTS = [
  'feed-well',
  'last-food',
  'clear-food',
  'cool',
  'hold',
  'check',
  'warm',
  'first-food',
  'count',
] as const;
export type RestAct = (typeof REST_ACTS)[number];
