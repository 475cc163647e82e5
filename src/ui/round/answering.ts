import { soilEntry } from '@/client/fitting';
import type { NewEntry } from '@/client/log';
import type { Home, Resident } from '@/contract/records';
import type { JobKind } from '@/core/plan/jobs';
import { DONE_WITH, type Job } from '@/core/plan/work';

/** What became of prey that is offered at this moment. */
export const outcomeAfter = ({ id, ...offer }: NewEntry & { id: string }, kind: 'eaten' | 'refused'): NewEntry => ({
  kind,
  residentId: 'residentId' in offer ? offer.residentId : '',
  answers: `meal ${id}`,
});

/** What became of a meal that was offered before. */
export const outcomeOf = (
  { reason }: Job,
  { id }: Resident,
  kind: 'eaten' | 'refused',
  left?: 'some' | 'mouldy',
): NewEntry => ({
  kind,
  residentId: id,
  ...(left && { left }),
  ...(reason.code === 'offered' && { answers: `meal ${reason.entryId}` }),
});

const { weigh: _weigh, census: _census, ...REGULAR } = DONE_WITH;
/** Work that is told by its name alone. */
const TOLD_BY = {
  ...REGULAR,
  battery: 'battery',
  label: 'labelled',
  alarm: 'looked',
  'check-buried': 'looked',
  look: 'looked',
  hatch: 'looked',
  emerge: 'looked',
  pair: 'paired',
} as const satisfies Partial<Record<JobKind, NewEntry['kind']>>;

/** Work that takes a number, or several steps: it is opened, not ticked. */
export const OPENED = [
  'weigh',
  'measure',
  'census',
  'rehouse',
  'mend',
  'move',
  'papers',
  'hold',
] as const satisfies JobKind[];
export type OpenedKind = (typeof OPENED)[number];
export const isOpened = (kind: JobKind): kind is OpenedKind => OPENED.some((each) => each === kind);

/**
 * The entry that one tap on a job's circle writes.
 * @param pouredMl of water, where that was another amount than was asked for
 */
export function entryFor(
  job: Job & { kind: Exclude<JobKind, OpenedKind> },
  home: Home,
  resident: Resident,
  pouredMl = job.water?.ml,
): NewEntry {
  const residentId = resident.id;
  // Two keepers who do the same job answer it once.
  const answers = `${job.kind} ${job.dueOn}`;
  switch (job.kind) {
    case 'feed':
      return {
        ...{ kind: 'offered', residentId, answers },
        ...(job.meal && job.meal.dishes.length > 0 && { dishes: job.meal.dishes }),
      };
    case 'leftovers':
      return outcomeOf(job, resident, 'eaten');
    case 'prey-out':
      return outcomeOf(job, resident, 'refused');
    case 'search':
      return {
        ...{ kind: 'searched', residentId },
        ...(job.reason.code === 'offered' && { answers: `search ${job.reason.entryId}` }),
      };
    case 'rest': {
      const { restId = '', key = '' } = job.rest ?? {};
      return { kind: 'rest-step', residentId, step: key, answers: `rest ${restId} ${key}` };
    }
    case 'damp':
      return {
        ...{ kind: 'damped', residentId, answers },
        ...(job.water && { waterMl: pouredMl, neededMl: job.water.ml }),
      };
    case 'soil':
      return soilEntry(home, job.soil?.toMm ?? home.substrateDepthMm);
    default:
      return { kind: TOLD_BY[job.kind], residentId, answers };
  }
}
