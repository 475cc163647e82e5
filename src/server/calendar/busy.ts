import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Day } from '@/core/measure/day';
import { invalid, type Problem } from '../http/problem';
import { ROOT } from '../root';

const SCRIPT = path.join(ROOT, 'src/server/calendar/busyWorker.cjs');
/**
 * A year of a full calendar takes a twentieth of this: an event that takes longer never ends. Its thread steps back for all others: on a
 * machine with much to do 4 s were too few for one since 2010.
 */
const AN_EVENT_MS = 10_000;
/** However many events there are. Chosen here */
const ALL_MS = 30_000;
const MOST_MEMORY_MB = 256;

type Said = { busy: Day[] } | { problem: string } | { at: string };

/**
 * The days on which a keeper has no time, by a calendar of their own: whole-day events, and days of which at least so many
 * hours are taken. What is shown as free, or was called off, does not count. Repeats and time zones of the file are
 * followed; what the file calls a local time is taken in the zone of the keeper. Read in a thread of its own, which is
 * stopped where it does not come to an end.
 * @throws Problem for what is no calendar, and for one with a rule that no day can meet
 */
export function busyDaysOf(text: string, zone: string, from: Day, days: number, hours: number): Promise<Day[]> {
  const worker = new Worker(SCRIPT, {
    workerData: { text, zone, from, days, hours },
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
  });
  return new Promise((resolve, reject) => {
    let event: string | undefined;
    const end = (settle: () => void) => {
      clearTimeout(deadline);
      clearTimeout(last);
      settle();
      void worker.terminate();
    };
    const tooLong = () => end(() => reject(neverEnding(event)));
    let deadline = setTimeout(tooLong, AN_EVENT_MS);
    const last = setTimeout(tooLong, ALL_MS);
    worker.on('message', (said: Said) => {
      if ('at' in said) {
        event = said.at;
        clearTimeout(deadline);
        deadline = setTimeout(tooLong, AN_EVENT_MS);
      } else if ('busy' in said) end(() => resolve(said.busy));
      else end(() => reject(invalid('calendar', said.problem)));
    });
    worker.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'ERR_WORKER_OUT_OF_MEMORY') tooLong();
      else end(() => reject(error));
    });
  });
}

function neverEnding(event: string | undefined): Problem {
  const which = event === undefined ? 'one of its events' : `“${event.slice(0, 60)}”`;
  return invalid('calendar', `Must come to an end: the repeats of ${which} do not. Leave that event out of the file.`);
}
