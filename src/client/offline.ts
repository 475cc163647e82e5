/** Lets the page start while the server is away: from the second visit on the browser keeps it. */
export function keepForOffline(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  // Without it the page works as long as it stays open.
  navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}
