import type { Day } from '@/core/measure/day';
import { broodJobs } from './broodJobs';
import { feedingJobs } from './feedingJobs';
import { alarmJobs, homeJobs } from './homeJobs';
import { jobOf } from './jobParts';
import { factsOf, type JobKind } from './jobs';
import { quietTime } from './quiet';
import { batteryRhythm, buriedJobs, foundingLooks, moultChecks, recordJobs } from './recordJobs';
import { carryJobs, restAlarms, restJobs } from './restJobs';
import { inOrder } from './signs';
import type { DueWork, Job, LeaveAlone, LogEntry, ResidentToday } from './work';

/**
 * The work one resident gives on `today`, most pressing first, each job with why it is due; jobs done today stay in
 * the list with the entry that did them, jobs put off today with the entry that says until when. Feeding, and anything
 * done to the home, waits while the animal is about to moult or its new skin hardens; leftovers, water and damp do not.
 * What waits is told beside. In its winter rest nothing is done but the rest itself, a queen that is sealed in
 * is not opened, and of one that founds in the open only food is given.
 */
export function dueWork(resident: ResidentToday, today: Day): DueWork {
  if (resident.isGuest) {
    // It lives as the others live: what is done to the home is done for them.
    return { jobs: withoutSkipped(recordJobs(resident, today), resident.log, today), leaveAlone: null, waiting: [] };
  }
  const leaveAlone = quietTime(resident, today);
  if (leaveAlone?.code === 'founding') {
    // Her tube is carried to a cooler place, and looked at: nothing else is done to it.
    const jobs = [
      ...alarmJobs(resident, today),
      ...restAlarms(resident, today),
      ...carryJobs(resident, today),
      ...foundingLooks(resident, today),
    ];
    return { jobs: withoutSkipped(jobs, resident.log, today), leaveAlone, waiting: [] };
  }
  if (leaveAlone?.code === 'resting') {
    const jobs = [...restAlarms(resident, today), ...restJobs(resident, today)];
    return { jobs: withoutSkipped(jobs, resident.log, today), leaveAlone, waiting: [] };
  }
  const isFasting = resident.rest?.course.isFasting === true;
  const all = [
    ...alarmJobs(resident, today),
    ...restJobs(resident, today),
    ...feedingJobs(resident, today, leaveAlone !== null),
    ...buriedJobs(resident, today),
    ...moultChecks(resident, today),
    ...broodJobs(resident, today),
    ...foundingLooks(resident, today),
    ...homeJobs(resident, today),
    ...batteryRhythm(resident, today).flatMap((each) => jobOf(each, resident.log, today)),
    ...recordJobs(resident, today),
  ]
    // Emptied before it is cooled, it is given nothing more.
    .filter((job) => job.kind !== 'feed' || !isFasting || job.doneBy !== undefined)
    .filter((job) => !resident.founding || factsOf(job.kind).isOfFounding);
  const isHeld = (job: Job) => job.doneBy === undefined && leaveAlone !== null && waits(job.kind, leaveAlone);
  const jobs = all.filter((job) => !isHeld(job));
  const waiting = all.filter(isHeld).map(({ kind }) => kind);
  const pressing = jobs.filter((job) => factsOf(job.kind).presses);
  const others = jobs.filter((job) => !factsOf(job.kind).presses);
  return { jobs: withoutSkipped([...pressing, ...others], resident.log, today), leaveAlone, waiting };
}

const waits = (kind: JobKind, quiet: LeaveAlone) => {
  const { waits: held } = factsOf(kind);
  // One that hangs in its moult is not even misted.
  const isHanging = quiet.code === 'premoult' && quiet.signs.includes('hanging');
  return held === 'quiet' || (held === 'hanging' && isHanging);
};

/** What was put off is not due before its day; on the day it was put off it is shown, to be taken back. */
function withoutSkipped(jobs: Job[], log: readonly LogEntry[], today: Day): Job[] {
  const skips = log.filter((entry) => entry.kind === 'skipped' && entry.on <= today).sort(inOrder);
  if (skips.length === 0) return jobs;
  return jobs.flatMap((job) => {
    const last = skips.findLast(({ skip }) => skip?.job === job.kind);
    if (!last?.skip || last.skip.until <= today || job.doneBy !== undefined) return [job];
    const { until, why } = last.skip;
    return last.on === today ? [{ ...job, skipped: { entryId: last.id, until, why } }] : [];
  });
}
