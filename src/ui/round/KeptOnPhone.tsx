import { Suspense } from 'react';
import { useLine } from '@/client/events';
import { useQueue } from '@/client/queue';
import { KeptHere } from '../screens/lazyForms';

/** What is not with the house yet, and why. Nothing while all is well. */
export function KeptOnPhone() {
  const { isAway, behind } = useLine();
  const isAllSent = useQueue(({ acts, conflicts }) => acts.length + conflicts.length === 0);
  if (!isAway && !behind && isAllSent) return null;
  return (
    <Suspense fallback={null}>
      <KeptHere />
    </Suspense>
  );
}
