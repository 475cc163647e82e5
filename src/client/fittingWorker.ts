import { wrap, type Remote } from 'comlink';
import type { FittingWork } from './fitting.worker';

let worker: Remote<FittingWork> | undefined;

/** The engines beside the page: what takes longer than a frame is asked of it. */
export function fittingWorker(): Remote<FittingWork> {
  worker ??= wrap<FittingWork>(new Worker(new URL('./fitting.worker.ts', window.location.href)));
  return worker;
}
