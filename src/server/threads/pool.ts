import os from 'node:os';
import { Piscina } from 'piscina';
import { v4 as newId } from 'uuid';
import { Refusal } from '@/core/refusal';
import { asking } from '../asking';
import { Problem } from '../http/problem';
import { workedOut, type AnswerOf, type EngineName, type QuestionOf } from './engines';
import type { Began, Told } from './worker';

/** More would take the time of the thread that answers. */
const MOST_THREADS = 2;
/** A thread that has had nothing to do for so long ends, and gives back its memory. ms, chosen here */
const IDLE_MS = 60_000;

/** Longer nobody waits for his turn. ms, chosen here */
const TURN_MS = 60_000;

interface Limits {
  maxThreads: number;
  /** So many questions wait for a thread. */
  maxQueue: number;
  memoryMB: number;
}

/** Threads that work engines out, from a script that holds these. */
export function threadPool(script: string, { maxThreads, maxQueue, memoryMB }: Limits = usualLimits()) {
  const pool = new Piscina({
    ...{ filename: script, minThreads: 0, maxThreads, maxQueue, idleTimeout: IDLE_MS },
    resourceLimits: { maxOldGenerationSizeMb: memoryMB },
  });
  const waiting = new Map<string, () => void>();
  pool.on('message', ({ began }: Began) => waiting.get(began)?.());
  return {
    /**
     * @param signal  where it is aborted, the thread is ended
     * @param onBegin called when a thread that is ready takes it up
     * @throws Refusal as the engine does
     */
    async workOut<Name extends EngineName>(
      name: Name,
      question: QuestionOf<Name>,
      { signal, onBegin }: { signal?: AbortSignal; onBegin?: () => void } = {},
    ): Promise<AnswerOf<Name>> {
      const id = newId();
      if (onBegin) waiting.set(id, onBegin);
      try {
        const told = (await pool.run({ id, name, question }, signal ? { signal } : {})) as Told<Name>;
        if ('refused' in told) throw new Refusal(told.refused);
        return told.answer;
      } finally {
        waiting.delete(id);
      }
    },
    end: () => pool.destroy(),
  };
}

/** Of the house's own work, which nobody made up: far more than any of it takes. Chosen here */
const usualLimits = (): Limits => ({
  maxThreads: Math.max(1, Math.min(MOST_THREADS, os.availableParallelism() - 1)),
  maxQueue: 1000,
  memoryMB: 2048,
});

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

/**
 * Threads of their own for questions that somebody made up: whoever asks large ones waits for others who do, and nobody else waits
 * for them. A question has its place in a queue that ends, its time from its turn on, and its memory; it is given up when nobody
 * waits for the answer any more.
 * @param ms what it may take once its turn has come
 */
export function lane({ ms, ...limits }: Limits & { ms: number }) {
  let threads: ReturnType<typeof threadPool> | undefined;
  /**
   * @param superseded aborted when what was asked is out of date
   * @throws Refusal as the engine does; Problem `busy` where it takes more than it is given, or its turn does not come
   */
  return async function ask<Name extends EngineName>(
    superseded: AbortSignal | undefined,
    name: Name,
    ...question: QuestionOf<Name>
  ): Promise<AnswerOf<Name>> {
    const script = process.env.VB_THREAD_SCRIPT;
    if (script === undefined) return workedOut({ name, question });
    threads ??= threadPool(script, limits);
    const [late, long] = [new AbortController(), new AbortController()];
    let timer = setTimeout(() => late.abort(), TURN_MS);
    // Others who were first, and a thread that only starts, take nothing of its time.
    const onBegin = () => {
      clearTimeout(timer);
      timer = setTimeout(() => long.abort(), ms);
    };
    const gone = asking()?.signal;
    const signals = [late.signal, long.signal, gone, superseded].filter((each) => each !== undefined);
    try {
      return await threads.workOut(name, question, { signal: AbortSignal.any(signals), onBegin });
    } catch (error) {
      if (error instanceof Refusal) throw error;
      if (gone?.aborted) throw new Problem('busy', 'Nobody waits for this any more.');
      if (superseded?.aborted) throw new Problem('conflict', 'Another one was asked for meanwhile: this was given up.');
      if (long.signal.aborted || isTooLarge(error)) {
        throw new Problem(
          'busy',
          `This takes more than the ${ms / 1000} s and ${limits.memoryMB} MB that are given to one question. Ask for less at a time.`,
        );
      }
      if (late.signal.aborted || (error instanceof Error && /queue is at limit/i.test(error.message))) {
        throw new Problem('busy', 'Too many large questions are waiting. Ask again in a minute.');
      }
      throw error;
    } finally {
      clearTimeout(timer);
    }
  };
}

/**
 * What a question that somebody made up may take: most take milliseconds. Its thread steps back for what cannot wait, so on a machine
 * that has much else to do it takes far longer. Chosen here
 */
const ask = lane({ ms: 20_000, maxThreads: 1, maxQueue: 40, memoryMB: 768 });

/** As `inThread`, for a question that somebody made up. @throws Refusal, Problem as `lane` says */
export const inTime = <Name extends EngineName>(name: Name, ...question: QuestionOf<Name>): Promise<AnswerOf<Name>> =>
  ask(undefined, name, ...question);

/**
 * The same for a plan of moves, which is told when it is superseded. It is given more, and a thread that nobody else waits for: it
 * answers what it has after some time of its own (`planChain.ts`), the limit is for what goes wrong. Chosen here
 */
export const planned = lane({ ms: 60_000, maxThreads: 1, maxQueue: 8, memoryMB: 1024 });

const isTooLarge = (error: unknown) =>
  error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
