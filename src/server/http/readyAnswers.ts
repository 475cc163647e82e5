import type { Clock } from '../clock';
import { houseState } from '../houseState';
import { remembering } from '../remembering';
import type { Database } from '../storage/database';
import { complain } from '../log';

export interface ReadyAnswers {
  /** The same handler, which works out again only what something written since, or the time, may have changed. */
  kept: <Input, Answer>(work: (input: Input) => Answer | Promise<Answer>) => (input: Input) => Promise<Answer>;
  /** Works an answer out ahead of being asked, whenever it no longer stands. */
  keepReady: (ask: () => Promise<unknown>, everyMs: number) => void;
}

/**
 * Answers that take long and are asked for often: each keeps its latest, and pages that ask at one moment share it.
 * Where another program may write to the same database nothing is kept.
 */
export function readyAnswers({ database, clock }: { database: Database; clock: Clock }): ReadyAnswers {
  const state = () => houseState(database, clock.today(), clock.now());
  return {
    kept: <Input, Answer>(handler: (input: Input) => Answer | Promise<Answer>) => {
      const work = async (input: Input) => handler(input);
      const latest = remembering<Promise<Answer>>(1);
      return (input: Input) => {
        const now = state();
        return now === undefined ? work(input) : latest(`${now} ${JSON.stringify(input)}`, () => work(input));
      };
    },
    keepReady: (ask, everyMs) => {
      let seen = state();
      let ready: string | undefined;
      const look = () => {
        const now = state();
        // While much is being written it waits: whoever walks asks himself.
        const isCalm = now === seen;
        seen = now;
        if (now === undefined || !isCalm || now === ready) return;
        ready = now;
        ask().catch((error: unknown) => complain('An answer could not be made ready.', error));
      };
      look();
      setInterval(look, everyMs).unref();
    },
  };
}
