import { lazy, Suspense, useEffect } from 'react';
import { useLine } from '@/client/events';
import { useQueue } from '@/client/queue';

const load = () => import('./KeptHere');
const KeptHere = lazy(async () => ({ default: (await load()).KeptHere }));

/** What is not with the house yet, and why. Nothing while all is well. */
export function KeptOnPhone() {
  const { isAway, behind } = useLine();
  const isAllSent = useQueue(({ acts, conflicts }) => acts.length + conflicts.length === 0);
  // Behind the first screen, and before the server goes away: then nothing can be fetched.
  useEffect(() => void load(), []);
  if (!isAway && !behind && isAllSent) return null;
  return (
    <Suspense fallback={null}>
      <KeptHere />
    </Suspense>
  );
}
