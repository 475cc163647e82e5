import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { AirWork } from './air.worker';

/** One worker that works on the latest question alone: a question asked while it is busy ends the one before. */
class Lane {
  private worker: Worker | undefined;
  private remote: Remote<AirWork> | undefined;
  private turn = 0;
  private isBusy = false;

  /** The answer; undefined when another question was asked meanwhile. */
  async ask<Answer>(question: (remote: Remote<AirWork>) => Promise<Answer>): Promise<Answer | undefined> {
    const mine = (this.turn += 1);
    if (this.isBusy) this.end();
    this.worker ??= new Worker(new URL('./air.worker.ts', window.location.href));
    this.remote ??= wrap<AirWork>(this.worker);
    this.isBusy = true;
    const answer = await question(this.remote);
    if (mine !== this.turn) return undefined;
    this.isBusy = false;
    return answer;
  }

  end(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.remote = undefined;
    this.isBusy = false;
  }
}

/**
 * The answer to the latest question, worked out beside the page. The one before stays to be seen while the next is on
 * its way. `key` says when the question is another.
 */
export function useWorked<Answer>(
  key: string | null,
  question: (remote: Remote<AirWork>) => Promise<Answer>,
): Answer | null {
  const [lane] = useState(() => new Lane());
  const [answer, setAnswer] = useState<Answer | null>(null);
  useEffect(() => () => lane.end(), [lane]);
  useEffect(() => {
    if (key === null) return;
    void lane.ask(question).then((each) => {
      if (each !== undefined) setAnswer(() => each);
    });
    // The question is made anew at every drawing; its key says whether it is another.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, lane]);
  return answer;
}
