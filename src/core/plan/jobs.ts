import type { Exposure } from '@/core/profiles/hazards';

/** Everything that is to be known of a kind of job, whichever house it is due in. */
export interface JobFacts {
  /** How near it brings its keeper; null where it is done from outside. */
  nearness: Exposure | null;
  /**
   * It opens the box, handles the animal or feeds it: it waits while the animal is left alone. One that hangs in its
   * moult waits for more than others.
   */
  waits: 'quiet' | 'hanging' | null;
  /** It is done in a winter rest too. */
  isOfRest: boolean;
  /** Late, it cannot wait: something is harmed. */
  presses: boolean;
  /** A sitter can do it without knowing the animals. */
  isForSitters: boolean;
  /** It can be done ahead of its day, so that it lasts the longer. */
  canBeAhead: boolean;
  /** It is done with a founding queen that goes out to feed too; whatever else opens her nest waits for her workers. */
  isOfFounding: boolean;
}

const STAYS = {
  isOfFounding: false,
  isOfRest: false,
  presses: true,
  isForSitters: false,
  canBeAhead: false,
  waits: null,
};

/**
 * The kinds of jobs. One that is not told here whole does not compile. Whether a job waits for quiet, a sitter may do it and how
 * near it brings a keeper is common practice, no source.
 */
export const JOBS = {
  alarm: { ...STAYS, isOfFounding: true, nearness: null, isOfRest: true },
  'prey-out': { ...STAYS, nearness: 'open' },
  leftovers: { ...STAYS, isOfFounding: true, nearness: 'open', isForSitters: true },
  search: { ...STAYS, nearness: 'open', isForSitters: true },
  feed: { ...STAYS, isOfFounding: true, nearness: 'open', waits: 'quiet', isForSitters: true, canBeAhead: true },
  damp: { ...STAYS, nearness: 'open', isForSitters: true, canBeAhead: true },
  mist: { ...STAYS, nearness: 'open', waits: 'hanging', isForSitters: true, canBeAhead: true },
  water: { ...STAYS, nearness: 'open', isForSitters: true, canBeAhead: true },
  calcium: { ...STAYS, nearness: 'open', isForSitters: true, canBeAhead: true },
  clutch: { ...STAYS, nearness: 'soil', canBeAhead: true },
  barrier: { ...STAYS, nearness: 'open', canBeAhead: true },
  rubbish: { ...STAYS, nearness: 'open', canBeAhead: true },
  clean: { ...STAYS, nearness: 'soil', waits: 'quiet', presses: false, canBeAhead: true },
  turn: { ...STAYS, nearness: 'soil', waits: 'quiet', canBeAhead: true },
  refresh: { ...STAYS, nearness: 'soil', waits: 'quiet', presses: false },
  weigh: { ...STAYS, nearness: 'handle', waits: 'quiet', presses: false },
  measure: { ...STAYS, nearness: 'handle', waits: 'quiet', presses: false },
  census: { ...STAYS, nearness: 'soil', waits: 'quiet', presses: false },
  'check-buried': { ...STAYS, nearness: 'soil' },
  look: { ...STAYS, isOfFounding: true, nearness: null },
  hatch: { ...STAYS, nearness: 'open', presses: false, isForSitters: true },
  emerge: { ...STAYS, nearness: null, presses: false, isForSitters: true },
  hold: { ...STAYS, nearness: 'open', isForSitters: true },
  pair: { ...STAYS, nearness: 'handle' },
  // The probe hangs in the box.
  battery: { ...STAYS, nearness: 'open', waits: 'quiet', presses: false },
  label: { ...STAYS, nearness: null, presses: false },
  papers: { ...STAYS, isOfFounding: true, nearness: null },
  rest: { ...STAYS, isOfFounding: true, nearness: 'open', isOfRest: true, isForSitters: true },
  soil: { ...STAYS, nearness: 'soil', waits: 'quiet' },
  mend: { ...STAYS, nearness: 'handle', waits: 'quiet' },
  move: { ...STAYS, isOfFounding: true, nearness: 'handle', waits: 'quiet' },
  rehouse: { ...STAYS, nearness: 'handle', waits: 'quiet' },
} as const satisfies Record<string, JobFacts>;

export type JobKind = keyof typeof JOBS;

/** Everything that can be due. */
export const JOB_KINDS = Object.keys(JOBS) as [JobKind, ...JobKind[]];

/** What is known of a kind of job. */
export const factsOf = (kind: JobKind): JobFacts => JOBS[kind];
