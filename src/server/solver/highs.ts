import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Solve, Solved } from '@/core/plan/chain/solve';
import { ROOT } from '../root';
import { complain } from '../log';

const SCRIPT = path.join(ROOT, 'src/server/solver/highsWorker.cjs');
/** A solver that has not come back so long after its own limit is stopped. */
const PATIENCE_MS = 5000;

interface Solver {
  solve: Solve;
  worker: Worker;
}

/** Starts HiGHS in a thread of its own: the server goes on answering while it works. */
function startSolver(): Solver {
  const worker = new Worker(SCRIPT);
  // It keeps nobody from ending.
  worker.unref();
  let count = 0;
  const waiting = new Map<number, { resolve: (solved: Solved | null) => void; reject: (error: Error) => void }>();
  const settle = (id: number) => {
    const one = waiting.get(id);
    waiting.delete(id);
    return one;
  };
  worker.on('message', ({ id, answer, problem }: { id: number; answer?: Solved | null; problem?: string }) => {
    const one = settle(id);
    if (problem === undefined) one?.resolve(answer ?? null);
    else one?.reject(new Error(`The solver refused the problem: ${problem}`));
  });
  const failAll = (error: Error) => {
    for (const one of waiting.values()) one.reject(error);
    waiting.clear();
  };
  worker.on('error', failAll);
  worker.on('exit', () => failAll(new Error('The solver has stopped.')));
  return {
    worker,
    solve: (problem) =>
      new Promise((resolve, reject) => {
        const id = (count += 1);
        waiting.set(id, { resolve, reject });
        worker.postMessage({ id, ...problem });
        setTimeout(() => settle(id)?.resolve(null), 1000 * problem.timeLimitS + PATIENCE_MS).unref();
      }),
  };
}

let running: Solver | undefined;

/**
 * The one solver of this process: problems wait for each other. Started when it is first asked, and again after a failure.
 * One that fails is told in the server's output and has found nothing: the plan of the search stands.
 */
export function sharedSolver(): Solve {
  if (!running) {
    const started = startSolver();
    running = started;
    started.worker.on('exit', () => {
      if (running === started) running = undefined;
    });
  }
  const { solve } = running;
  return (question) =>
    solve(question).catch((error: Error) => {
      complain(error.message);
      return null;
    });
}
