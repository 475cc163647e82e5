import { create } from 'zustand';
import { useAccess } from './access';
import { PAGE } from './api';
import { hearTime } from './clock';
import { useHouse } from './house';
import { useQueue } from './queue';

/** Several things written at one moment are fetched once. ms */
const TOGETHER_MS = 150;

/** @source WHATWG HTML, 9.2: `readyState` of an `EventSource` that does not connect again */
const SHUT = 2;

/** Whether the server is there, as far as this page can tell, and what is written for a moment that its clock has yet to reach. */
export const useLine = create<{ isAway: boolean; behind: string | null }>()(() => ({ isAway: false, behind: null }));

/**
 * Listens to what other pages write, and fetches the house when they do; sends what was kept when the server is back.
 * Answers how to stop.
 */
export function listen(): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const source = new EventSource('/api/events');
  let timer: ReturnType<typeof setTimeout> | undefined;
  const refresh = () => {
    clearTimeout(timer);
    timer = setTimeout(() => void useHouse.getState().load(), TOGETHER_MS);
  };
  source.addEventListener('open', () => {
    const wasAway = useLine.getState().isAway;
    useLine.setState({ isAway: false });
    void deliver().then((hasArrived) => (wasAway || hasArrived) && refresh());
  });
  source.addEventListener('error', () => {
    // Shut for good: this page is not let in any more, and asks why.
    if (source.readyState === SHUT) void useAccess.getState().load();
    else useLine.setState({ isAway: true });
  });
  source.addEventListener('clock', ({ data }: MessageEvent<string>) => {
    const { now, today, behind } = JSON.parse(data) as { now: string; today: string; behind: string | null };
    hearTime(now);
    useLine.setState({ behind });
    // A page that lies open over midnight shows the round of the new day.
    const { round } = useHouse.getState();
    if (round && round.on !== today) refresh();
  });
  source.addEventListener('written', ({ data }: MessageEvent<string>) => {
    const { by } = JSON.parse(data) as { by: string };
    if (by !== PAGE) refresh();
  });
  return () => {
    clearTimeout(timer);
    source.close();
  };
}

/** Sends what this phone has kept. Answers whether anything arrived. */
export async function deliver(): Promise<boolean> {
  return useQueue.getState().acts.length > 0 && useQueue.getState().send();
}
