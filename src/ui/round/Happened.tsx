import { router } from 'expo-router';
import { useHouse } from '@/client/house';
import type { Resident } from '@/contract/records';
import { lifeEvents, type LifeEvent } from '@/core/growth/lifeEvents';
import type { JobKind } from '@/core/plan/jobs';
import type { Job } from '@/core/plan/work';
import type { CareProfile } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { lifeEntry, lifeTitle } from '@/words/lifeEvents';

/** Where a job has somebody look: that what is waited for has happened. It is told by its own form. */
export function Happened({ job, resident }: { job: Job; resident: Resident }) {
  const event = awaitedBy(job, useHouse((house) => house.care).of(resident), resident);
  if (!event) return null;
  return (
    <Button
      rank="second"
      title={event === 'count' ? 'Workers are there' : lifeTitle(event, resident.form)}
      onPress={() => router.push(`/residents/${resident.id}?write=${lifeEntry(event, resident.form)}`)}
    />
  );
}

function awaitedBy(job: Job, profile: CareProfile, { stage, form }: Resident): LifeEvent | undefined {
  if (job.reason.code === 'founding' || job.reason.code === 'founding-water') return 'count';
  const awaited = AWAITED[job.kind] ?? [];
  return lifeEvents(profile, stage, form).find((event) => awaited.includes(event));
}

const AWAITED: Partial<Record<JobKind, LifeEvent[]>> = {
  look: ['moult', 'emergence'],
  hatch: ['hatching'],
  emerge: ['emergence'],
};
