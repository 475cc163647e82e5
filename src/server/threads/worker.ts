import { Refusal, type FieldProblem } from '@/core/refusal';
import { isMainThread, parentPort } from 'node:worker_threads';
import { stepBack } from './stepBack.cjs';
import { workedOut, type AnswerOf, type EngineName, type Work } from './engines';

if (!isMainThread) stepBack();

/** A refusal is told field by field: an error that comes out of a thread keeps its message alone. */
export type Told<Name extends EngineName> = { answer: AnswerOf<Name> } | { refused: FieldProblem[] };

/** Said of a piece of work when its turn has come. */
export interface Began {
  began: string;
}

/** What a thread of the pool does with a piece of work. */
export default async function work<Name extends EngineName>({
  id,
  ...asked
}: Work<Name> & { id: string }): Promise<Told<Name>> {
  parentPort?.postMessage({ began: id } satisfies Began);
  try {
    return { answer: await workedOut(asked) };
  } catch (error) {
    if (error instanceof Refusal) return { refused: error.fields };
    throw error;
  }
}
