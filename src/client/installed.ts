import { useLine } from './events';
import { useLog } from './log';

/** Those that are listened to: a page that was locked and opened again begins once more. */
const heard = new WeakSet<ServiceWorkerContainer>();

/**
 * Lets the page start while the server is away: from the second visit on the browser keeps it. Where the server has come back with
 * another version, that is told: the page goes on with the one it has until somebody lets it go.
 */
export function stayInstalled(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  const { serviceWorker } = navigator;
  if (heard.has(serviceWorker)) return;
  heard.add(serviceWorker);
  // The first one to take over is no newer than the page.
  let awaitsFirst = serviceWorker.controller === null;
  // Without it the page works as long as it stays open.
  serviceWorker
    .register('/sw.js')
    .then((registration) => {
      const look = () => void registration.update().catch(() => undefined);
      useLine.subscribe((line, before) => before.isAway && !line.isAway && look());
    })
    .catch(() => undefined);
  serviceWorker.addEventListener('controllerchange', () => {
    const isNewer = !awaitsFirst;
    awaitsFirst = false;
    if (!isNewer) return;
    useLog.getState().show({
      stays: true,
      text: 'There is a newer version of this page.',
      action: { title: 'Load it', run: async () => window.location.reload() },
    });
  });
}
