import type { JobKind, SkipReason } from '@/core/plan/work';

/** What was done, after the code of its box: "B3: fed." */
export const DONE_WORDS: Record<JobKind, string> = {
  feed: 'fed.',
  leftovers: 'nothing left.',
  search: 'old leaves searched, thrown away.',
  calcium: 'lime looked at.',
  clutch: 'soil searched, no eggs.',
  barrier: 'barrier renewed.',
  rubbish: 'rubbish taken out.',
  clean: 'droppings and remains out.',
  turn: 'soil turned.',
  refresh: 'half of the soil refreshed.',
  weigh: 'weighed.',
  measure: 'measured.',
  census: 'counted.',
  'check-buried': 'looked for.',
  look: 'looked at, nothing new.',
  battery: 'battery changed.',
  label: 'label put right.',
  papers: 'papers renewed.',
  rest: 'step of its rest done.',
  'prey-out': 'prey taken out.',
  water: 'dish filled.',
  damp: 'soil damped.',
  mist: 'misted.',
  alarm: 'looked at.',
  soil: 'soil set.',
  mend: 'mended.',
  move: 'moved.',
  rehouse: 'moved.',
};

/** Why a job is put off. */
export const SKIP_WORDS: Record<SkipReason, string> = {
  asleep: 'Hidden or asleep',
  'on-prey': 'Still on its prey',
  'no-food': 'Nothing to give',
  'no-time': 'No time today',
  'looks-fine': 'Not needed yet',
  other: 'Another reason',
};

/** What waits while an animal is left alone. */
const WAITING: Partial<Record<JobKind, string>> = {
  feed: 'food',
  soil: 'its soil',
  mend: 'mending its box',
  rehouse: 'another box',
  move: 'its move',
  clean: 'cleaning',
  turn: 'turning the soil',
  refresh: 'fresh soil',
  weigh: 'weighing',
  measure: 'measuring',
  census: 'the count',
  mist: 'misting',
};

/** "; waiting: food, cleaning". */
export function waitingWords(kinds: readonly JobKind[]): string {
  const words = kinds.flatMap((kind) => WAITING[kind] ?? []);
  return words.length === 0 ? '' : `; waiting: ${words.join(', ')}`;
}
