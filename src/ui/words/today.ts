import type { Stop } from '@/contract/round';

/** How the day of one stands: "2 jobs today, 1 cannot wait." */
export function todayWords(stop: Pick<Stop, 'jobs'> | undefined): string {
  const jobs = stop?.jobs ?? [];
  const open = jobs.filter(({ doneBy, skipped }) => doneBy === undefined && !skipped);
  if (jobs.length === 0) return 'Nothing to do today.';
  if (open.length === 0) return 'Done for today.';
  const first = open.filter(({ cannotWait }) => cannotWait).length;
  const count = open.length === 1 ? '1 job today' : `${open.length} jobs today`;
  if (first === 0) return `${count}.`;
  return open.length === 1 ? `${count}: it cannot wait.` : `${count}, ${first} cannot wait.`;
}
