import type { Exposure } from '@/core/profiles/hazards';

/** Everything that is to be known of a kind of job, whichever house it is due in. */
export interface JobFacts {
  /** How near it brings its keeper; null where it is done from outside. */
  nearness: Exposure | null;
  /**
   * It opens the box, handles the animal or feeds it: it waits while the animal is left alone, in words after "waiting:". One that
   * hangs in its moult waits for more than others.
   */
  waits: { for: 'quiet' | 'hanging'; as: string } | null;
  /** It is done in a winter rest too. */
  isOfRest: boolean;
  /** Late, it cannot wait: something is harmed. */
  presses: boolean;
  /** A sitter can do it without knowing the animals. */
  isForSitters: boolean;
  /** It can be done ahead of its day, so that it lasts the longer. */
  canBeAhead: boolean;
  /** On the sheet of an absence, for somebody who does not know the animals; null where it is on none. */
  task: string | null;
  /** As it is counted: "to feed: 3". */
  noun: string;
  /** After the code of its box, once it is done: "B3: fed." */
  done: string;
}

const quiet = (as: string) => ({ for: 'quiet' as const, as });
const STAYS = { isOfRest: false, presses: true, isForSitters: false, canBeAhead: false, waits: null, task: null };

/**
 * The kinds of jobs. One that is not told here whole does not compile. Whether a job waits for quiet, a sitter may do it and how
 * near it brings a keeper is common practice, no source.
 */
export const JOBS = {
  alarm: { ...STAYS, nearness: null, isOfRest: true, noun: 'alarms', done: 'looked at.' },
  'prey-out': { ...STAYS, nearness: 'open', task: 'Take the prey out', noun: 'prey out', done: 'prey taken out.' },
  leftovers: {
    ...{ ...STAYS, nearness: 'open', isForSitters: true, task: 'Take out what is left of the food' },
    ...{ noun: 'leftovers', done: 'nothing left.' },
  },
  search: {
    ...{ ...STAYS, nearness: 'open', isForSitters: true },
    task: 'Look through the old leaves for young, then throw them away',
    ...{ noun: 'leaves to search', done: 'old leaves searched, thrown away.' },
  },
  feed: {
    ...{ ...STAYS, nearness: 'open', waits: quiet('food'), isForSitters: true, canBeAhead: true },
    ...{ task: 'Give food', noun: 'to feed', done: 'fed.' },
  },
  damp: {
    ...{ ...STAYS, nearness: 'open', isForSitters: true, canBeAhead: true },
    ...{ task: 'Pour water onto the damp end of the soil', noun: 'to damp', done: 'soil damped.' },
  },
  mist: {
    ...{ ...STAYS, nearness: 'open', isForSitters: true, canBeAhead: true },
    waits: { for: 'hanging', as: 'misting' },
    ...{ task: 'Mist leaves and walls, twice', noun: 'to mist', done: 'misted.' },
  },
  water: {
    ...{ ...STAYS, nearness: 'open', isForSitters: true, canBeAhead: true },
    ...{ task: 'Rinse the dish, fill it', noun: 'dishes', done: 'dish filled.' },
  },
  calcium: {
    ...{ ...STAYS, nearness: 'open', isForSitters: true, canBeAhead: true },
    ...{ task: 'Look at the lime: a new piece if it is worn', noun: 'lime', done: 'lime looked at.' },
  },
  clutch: {
    ...{ ...STAYS, nearness: 'soil', canBeAhead: true },
    ...{ task: 'Search the soil for eggs', noun: 'egg checks', done: 'soil searched, no eggs.' },
  },
  barrier: {
    ...{ ...STAYS, nearness: 'open', canBeAhead: true },
    ...{ task: 'Renew the barrier on the rim', noun: 'barriers', done: 'barrier renewed.' },
  },
  rubbish: {
    ...{ ...STAYS, nearness: 'open', canBeAhead: true },
    ...{ task: 'Take the rubbish heap out', noun: 'rubbish', done: 'rubbish taken out.' },
  },
  clean: {
    ...{ ...STAYS, nearness: 'soil', waits: quiet('cleaning'), presses: false, canBeAhead: true },
    ...{ task: 'Take droppings and remains out', noun: 'to clean', done: 'droppings and remains out.' },
  },
  turn: {
    ...{ ...STAYS, nearness: 'soil', waits: quiet('turning the soil'), canBeAhead: true },
    ...{ task: 'Turn the soil', noun: 'soil to turn', done: 'soil turned.' },
  },
  refresh: {
    ...{ ...STAYS, nearness: 'soil', waits: quiet('fresh soil'), presses: false },
    ...{ noun: 'soil to refresh', done: 'half of the soil refreshed.' },
  },
  weigh: {
    ...{ ...STAYS, nearness: 'handle', waits: quiet('weighing'), presses: false },
    ...{ noun: 'to weigh', done: 'weighed.' },
  },
  measure: {
    ...{ ...STAYS, nearness: 'handle', waits: quiet('measuring'), presses: false },
    ...{ noun: 'to measure', done: 'measured.' },
  },
  census: {
    ...{ ...STAYS, nearness: 'soil', waits: quiet('the count'), presses: false },
    ...{ noun: 'to count', done: 'counted.' },
  },
  'check-buried': { ...STAYS, nearness: 'soil', noun: 'to look for', done: 'looked for.' },
  look: { ...STAYS, nearness: null, noun: 'to look in from outside', done: 'looked at, nothing new.' },
  battery: {
    // The probe hangs in the box.
    ...{ ...STAYS, nearness: 'open', waits: quiet('a battery'), presses: false },
    ...{ noun: 'batteries', done: 'battery changed.' },
  },
  label: { ...STAYS, nearness: null, presses: false, noun: 'labels', done: 'label put right.' },
  papers: { ...STAYS, nearness: null, noun: 'papers to renew', done: 'papers renewed.' },
  rest: {
    ...{ ...STAYS, nearness: 'open', isOfRest: true, isForSitters: true },
    ...{ task: 'Step of its winter rest: see its page', noun: 'steps of rests', done: 'step of its rest done.' },
  },
  soil: { ...STAYS, nearness: 'soil', waits: quiet('its soil'), noun: 'soil to set', done: 'soil set.' },
  mend: { ...STAYS, nearness: 'handle', waits: quiet('mending its box'), noun: 'to mend', done: 'mended.' },
  move: { ...STAYS, nearness: 'handle', waits: quiet('its move'), noun: 'moves', done: 'moved.' },
  rehouse: { ...STAYS, nearness: 'handle', waits: quiet('another box'), noun: 'to rehouse', done: 'moved.' },
} as const satisfies Record<string, JobFacts>;

export type JobKind = keyof typeof JOBS;

/** Everything that can be due. */
export const JOB_KINDS = Object.keys(JOBS) as [JobKind, ...JobKind[]];

/** What is known of a kind of job. */
export const factsOf = (kind: JobKind): JobFacts => JOBS[kind];
