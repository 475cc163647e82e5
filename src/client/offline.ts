/** The cache in which the browser keeps what the server last answered (`bin/build`). */
const CACHE = 'house';
/** Several changes in a row are kept once. ms */
const KEPT_AFTER_MS = 2000;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Takes away what was kept of the house: whoever uses this browser next has not been let in. */
export async function forgetAnswers(): Promise<void> {
  clearTimeout(timer);
  if (typeof caches !== 'undefined') await caches.delete(CACHE).catch(() => undefined);
}

/** Keeps lists as they are now, put together from what has changed, for a page that starts while the server is away. */
export function keepAnswers(answers: Readonly<Record<string, unknown>>): void {
  if (typeof caches === 'undefined') return;
  clearTimeout(timer);
  timer = setTimeout(() => {
    const headers = { 'Content-Type': 'application/json' };
    void caches
      .open(CACHE)
      .then((cache) =>
        Promise.all(
          Object.entries(answers).map(([path, body]) =>
            cache.put(path, new Response(JSON.stringify(body), { headers })),
          ),
        ),
      )
      // Without it the page knows less when it starts alone.
      .catch(() => undefined);
  }, KEPT_AFTER_MS);
}
