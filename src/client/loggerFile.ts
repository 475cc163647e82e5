import { wrap, type Remote } from 'comlink';
import { call } from './api';
import type { LoggerWork } from './logger.worker';

/** The file of a logger, read beside the page. */
export function loggerWorker(): { remote: Remote<LoggerWork>; end: () => void } {
  const worker = new Worker(new URL('./logger.worker.ts', window.location.href));
  return { remote: wrap<LoggerWork>(worker), end: () => worker.terminate() };
}

const PIECE = 8000;

type Where = Parameters<typeof call<'beginImport'>>[1]['body'];

/**
 * Brings the readings of a file in, piece by piece; the last call lets all of them in at once. Where one is refused or
 * `isGivenUp` says so, nothing of it stays.
 */
export async function bringIn(
  remote: Remote<LoggerWork>,
  where: Where,
  count: number,
  onProgress: (share: number) => void,
  isGivenUp: () => boolean,
): Promise<{ added: number; duplicates: number } | null> {
  const { importId } = await call('beginImport', { body: where });
  const params = { id: importId };
  try {
    for (let from = 0; from < count; from += PIECE) {
      if (isGivenUp()) {
        await call('dropImport', { params });
        return null;
      }
      await call('importRows', { params, body: { rows: await remote.piece(from, PIECE) } });
      onProgress(Math.min(1, (from + PIECE) / count) * 0.95);
    }
    const done = await call('finishImport', { params });
    onProgress(1);
    return done;
  } catch (error) {
    await call('dropImport', { params }).catch(() => undefined);
    throw error;
  }
}
