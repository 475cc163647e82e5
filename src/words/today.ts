import { isLater, isSettled, openToday } from '@/client/openJobs';
import type { Stop } from '@/contract/round';
import { countWords } from './count';

/** "1 job", "3 jobs". */
export const jobsWords = (count: number): string => countWords(count, 'job');

/** How the day of one stands: "2 jobs today, 1 cannot wait." */
export function todayWords(stop: Pick<Stop, 'jobs'> | undefined): string {
  const jobs = stop?.jobs ?? [];
  const open = openToday([{ jobs }]);
  const later = jobs.filter((job) => isLater(job) && !isSettled(job)).length;
  const wait = later > 0 ? ` ${jobsWords(later)} can wait for a lighter day.` : '';
  if (open.length === 0) return `${jobs.some(isSettled) ? 'Done for today.' : 'Nothing to do today.'}${wait}`;
  const first = open.filter(({ cannotWait }) => cannotWait).length;
  const count = `${jobsWords(open.length)} today`;
  if (first === 0) return `${count}.${wait}`;
  return `${count}${open.length === 1 ? ': it cannot wait' : `, ${first} cannot wait`}.${wait}`;
}
