import type { Day } from '@/core/measure/day';
import { feedingJobs } from './feedingJobs';
import { alarmJobs, homeJobs } from './homeJobs';
import { quietTime } from './quiet';
import { restAlarms, restJobs } from './restJobs';
import type { DueWork, JobKind, LeaveAlone, ResidentToday } from './work';

/**
 * The work one resident gives on `today`, most pressing first, each job with why it is due; jobs done today stay in
 * the list with the entry that did them. Feeding, and anything done to the home, waits while the animal is about to
 * moult or its new skin hardens; leftovers, water and damp do not. In its winter rest nothing is done but the rest itself.
 */
export function dueWork(resident: ResidentToday, today: Day): DueWork {
  const leaveAlone = quietTime(resident, today);
  if (leaveAlone?.code === 'resting') {
    return { jobs: [...restAlarms(resident, today), ...restJobs(resident, today)], leaveAlone };
  }
  const isFasting = resident.rest?.course.isFasting === true;
  const jobs = [
    ...alarmJobs(resident, today),
    ...restJobs(resident, today),
    ...feedingJobs(resident, today, leaveAlone !== null),
    ...homeJobs(resident, today),
  ]
    .filter((job) => job.doneBy !== undefined || !leaveAlone || !waits(job.kind, leaveAlone))
    // Emptied before it is cooled, it is given nothing more.
    .filter((job) => job.kind !== 'feed' || !isFasting || job.doneBy !== undefined);
  return { jobs, leaveAlone };
}

const WAITS_FOR_QUIET = new Set<JobKind>(['feed', 'soil', 'mend', 'rehouse']);
/** One that hangs in its moult is not even misted. */
const waits = (kind: JobKind, quiet: LeaveAlone) =>
  WAITS_FOR_QUIET.has(kind) || (kind === 'mist' && quiet.code === 'premoult' && quiet.signs.includes('hanging'));
