import { useEffect } from 'react';
import { usePreferences } from '@/client/preferences';
import { Soft } from './Words';

interface Props {
  /** What it is about; kept on this device once it was used. */
  id: string;
  /** What it tells has been done: it goes, and does not come back. */
  isUsed: boolean;
  children: string;
}

/** A line that tells what can be done here, until it was done once. */
export function Tip({ id, isUsed, children }: Props) {
  const { tipsUsed, set } = usePreferences();
  const isGone = tipsUsed.includes(id);
  useEffect(() => {
    if (isUsed && !isGone) set({ tipsUsed: [...tipsUsed, id] });
  }, [isUsed, isGone, tipsUsed, id, set]);
  return isUsed || isGone ? null : <Soft>{children}</Soft>;
}
