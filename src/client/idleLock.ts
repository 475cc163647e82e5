import { useAccess } from './access';
import { call } from './api';

const MINUTE_MS = 60_000;

/**
 * Locks this page after so long without a touch, and tells the server meanwhile that somebody is there: it locks the session by
 * itself where the page does not. Answers how to stop.
 */
export function lockWhenIdle(minutes: number): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let toldAt = Date.now();
  const touched = () => {
    clearTimeout(timer);
    timer = setTimeout(
      () =>
        void useAccess
          .getState()
          .lock()
          .catch(() => undefined),
      minutes * MINUTE_MS,
    );
    if (Date.now() - toldAt < MINUTE_MS / 2) return;
    toldAt = Date.now();
    void call('stayAwake', {}).catch(() => undefined);
  };
  touched();
  const events = ['pointerdown', 'keydown'] as const;
  for (const each of events) window.addEventListener(each, touched, { passive: true });
  return () => {
    clearTimeout(timer);
    for (const each of events) window.removeEventListener(each, touched);
  };
}
