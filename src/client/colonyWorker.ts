import { wrap, type Remote } from 'comlink';
import type { ColonyWork } from './colony.worker';

let worker: Remote<ColonyWork> | undefined;

/** Projects colonies beside the page, so that a long course never holds up a tap. */
export function colonyWorker(): Remote<ColonyWork> {
  worker ??= wrap<ColonyWork>(new Worker(new URL('./colony.worker.ts', window.location.href)));
  return worker;
}
