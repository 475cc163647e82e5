import os from 'node:os';
import { Piscina } from 'piscina';
import { Refusal } from '@/core/refusal';
import { workedOut, type AnswerOf, type EngineName, type QuestionOf } from './engines';
import type { Told } from './worker';

/** More would take the time of the thread that answers. */
const MOST_THREADS = 2;
/** A thread that has had nothing to do for so long ends. ms, chosen here */
const IDLE_MS = 60_000;

/** Threads that work engines out, from a script that holds these. */
export function threadPool(script: string) {
  const maxThreads = Math.max(1, Math.min(MOST_THREADS, os.availableParallelism() - 1));
  const pool = new Piscina({ filename: script, minThreads: 0, maxThreads, idleTimeout: IDLE_MS });
  return {
    /** @throws Refusal as the engine does */
    async workOut<Name extends EngineName>(name: Name, question: QuestionOf<Name>): Promise<AnswerOf<Name>> {
      const told = (await pool.run({ name, question })) as Told<Name>;
      if ('refused' in told) throw new Refusal(told.refused);
      return told.answer;
    },
    end: () => pool.destroy(),
  };
}

let pool: ReturnType<typeof threadPool> | undefined;

/**
 * What an engine answers, worked out in a thread of its own while the server answers others. Started from its sources, as by
 * tests, a server has no script for its threads (`bin/serve` makes it): it works them out itself.
 * @throws Refusal as the engine does
 */
export async function inThread<Name extends EngineName>(
  name: Name,
  ...question: QuestionOf<Name>
): Promise<AnswerOf<Name>> {
  const script = process.env.VB_THREAD_SCRIPT;
  if (script === undefined) return workedOut({ name, question });
  pool ??= threadPool(script);
  return pool.workOut(name, question);
}
