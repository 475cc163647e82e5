import { useEffect } from 'react';
import { lockWhenIdle } from '@/client/idleLock';

/** Locks the page that it stands on after so many minutes without a touch. */
export function IdleLock({ minutes }: { minutes: number }) {
  useEffect(() => lockWhenIdle(minutes), [minutes]);
  return null;
}
