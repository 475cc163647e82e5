import os from 'node:os';
import { Piscina } from 'piscina';
import { Refusal } from '@/core/refusal';
import { asking } from '../asking';
import { Problem } from '../http/problem';
import { workedOut, type AnswerOf, type EngineName, type QuestionOf } from './engines';
import type { Told } from './worker';

/** More would take the time of the thread that answers. */
const MOST_THREADS = 2;
/** A thread that has had nothing to do for so long ends, and gives back its memory. ms, chosen here */
const IDLE_MS = 60_000;

/**
 * What a question that somebody made up may take: most take milliseconds. A plan of moves is given more, and a thread that nobody
 * else waits for: it answers what it has after some time of its own (`planChain.ts`), the limit is for what goes wrong. Chosen here
 */
const LANES = {
  question: { ms: 10_000, maxThreads: 1, maxQueue: 40, memoryMB: 768 },
  plan: { ms: 60_000, maxThreads: 1, maxQueue: 8, memoryMB: 1024 },
};
type Lane = keyof typeof LANES;

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
  return {
    /**
     * @param signal where it is aborted, the thread is ended
     * @throws Refusal as the engine does
     */
    async workOut<Name extends EngineName>(
      name: Name,
      question: QuestionOf<Name>,
      signal?: AbortSignal,
    ): Promise<AnswerOf<Name>> {
      const told = (await pool.run({ name, question }, signal ? { signal } : {})) as Told<Name>;
      if ('refused' in told) throw new Refusal(told.refused);
      return told.answer;
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
/** Whoever asks large questions waits for others who do, and nobody else waits for them. */
const lanes: Partial<Record<Lane, ReturnType<typeof threadPool>>> = {};

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
 * The same for a question that somebody made up: it has its time, its memory and its place in a queue that ends, and is given up
 * when nobody waits for the answer any more.
 * @throws Refusal as the engine does; Problem `busy` where it takes more than it is given
 */
export async function inTime<Name extends EngineName>(
  name: Name,
  ...question: QuestionOf<Name>
): Promise<AnswerOf<Name>> {
  return inLane('question', undefined, name, question);
}

/**
 * As `inTime`, for a plan of moves.
 * @param superseded aborted when the plan is out of date
 */
export async function planned<Name extends EngineName>(
  superseded: AbortSignal | undefined,
  name: Name,
  ...question: QuestionOf<Name>
): Promise<AnswerOf<Name>> {
  return inLane('plan', superseded, name, question);
}

async function inLane<Name extends EngineName>(
  lane: Lane,
  superseded: AbortSignal | undefined,
  name: Name,
  question: QuestionOf<Name>,
): Promise<AnswerOf<Name>> {
  const script = process.env.VB_THREAD_SCRIPT;
  if (script === undefined) return workedOut({ name, question });
  const most = LANES[lane];
  const threads = (lanes[lane] ??= threadPool(script, most));
  const limit = AbortSignal.timeout(most.ms);
  const gone = asking()?.signal;
  const signals = [limit, gone, superseded].filter((each) => each !== undefined);
  try {
    return await threads.workOut(name, question, AbortSignal.any(signals));
  } catch (error) {
    if (error instanceof Refusal) throw error;
    if (gone?.aborted) throw new Problem('busy', 'Nobody waits for this any more.');
    if (superseded?.aborted) throw new Problem('conflict', 'Another one was asked for meanwhile: this was given up.');
    if (limit.aborted || isTooLarge(error)) {
      throw new Problem(
        'busy',
        `This takes more than the ${most.ms / 1000} s and ${most.memoryMB} MB that are given to one question. Ask for less at a time.`,
      );
    }
    if (error instanceof Error && /queue is at limit/i.test(error.message)) {
      throw new Problem('busy', 'Too many large questions are waiting. Ask again in a minute.');
    }
    throw error;
  }
}

const isTooLarge = (error: unknown) =>
  error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
