import type { JobKind } from '@/core/plan/work';
import type { SitterSheet } from './plan';

/** Work by its kind, as it is counted: "to feed: 3". */
export const JOB_NOUNS: Record<JobKind, string> = {
  alarm: 'alarms',
  'prey-out': 'prey out',
  leftovers: 'leftovers',
  search: 'leaves to search',
  feed: 'to feed',
  damp: 'to damp',
  mist: 'to mist',
  water: 'dishes',
  calcium: 'lime',
  clutch: 'egg checks',
  barrier: 'barriers',
  rubbish: 'rubbish',
  clean: 'to clean',
  turn: 'soil to turn',
  refresh: 'soil to refresh',
  weigh: 'to weigh',
  measure: 'to measure',
  census: 'to count',
  'check-buried': 'to look for',
  look: 'to look in from outside',
  battery: 'batteries',
  label: 'labels',
  papers: 'papers to renew',
  rest: 'steps of rests',
  soil: 'soil to set',
  mend: 'to mend',
  move: 'moves',
  rehouse: 'to rehouse',
};

/** What a sitter does, in words for somebody who does not know the animals; the same on the page and on paper. */
export const SITTER_TASKS: Partial<Record<JobKind, string>> = {
  feed: 'Give food',
  leftovers: 'Take out what is left of the food',
  'prey-out': 'Take the prey out',
  search: 'Look through the old leaves for young, then throw them away',
  damp: 'Pour water onto the damp end of the soil',
  mist: 'Mist leaves and walls, twice',
  water: 'Rinse the dish, fill it',
  calcium: 'Look at the lime: a new piece if it is worn',
  clutch: 'Search the soil for eggs',
  barrier: 'Renew the barrier on the rim',
  rubbish: 'Take the rubbish heap out',
  clean: 'Take droppings and remains out',
  turn: 'Turn the soil',
  rest: 'Step of its winter rest: see its page',
};

/** Why a box stays shut. */
export const NEVER_OPEN_WORDS: Record<SitterSheet['neverOpen'][number]['why'], string> = {
  dangerous: 'it bites, stings or spits',
  premoult: 'it has sealed itself in, or is about to moult',
  hardening: 'its new skin hardens',
  resting: 'it is in its winter rest',
  founding: 'she is sealed in with her first brood',
};

type Stop = SitterSheet['visits'][number]['stops'][number];

/** One thing to do at a box, with what to give and how much. */
export function sitterTask(kind: JobKind, { dishes, waterMl }: Stop): string {
  const task = SITTER_TASKS[kind] ?? kind;
  if (kind === 'feed' && dishes.length > 0) return `${task}: ${dishes.map(dishWords).join('; ')}`;
  return kind === 'damp' && waterMl !== null ? `${task}: ${waterMl} mL` : task;
}

function dishWords({ name, count, massG, drinkMl }: Stop['dishes'][number]): string {
  if (count !== null) return `${count} × ${name}`;
  if (drinkMl !== null) return `${name}, ${drinkMl} mL`;
  return massG === null ? name : `${name}, ${massG < 1 ? massG.toFixed(1) : Math.round(massG)} g`;
}
