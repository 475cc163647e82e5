import fs from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Day } from '@/core/measure/day';
import { invalid, type Problem } from '../http/problem';
import { ROOT } from '../root';

const SCRIPT = path.join(ROOT, 'src/server/calendar/busyWorker.cjs');
/**
 * A year of a full calendar takes a tenth of this: an event that takes longer never ends. Of the time in which its thread works: it steps
 * back for all others, and on a machine with much to do that is little.
 */
const AN_EVENT_MS = 4000;
/** However many events there are. Chosen here */
const ALL_MS = 16_000;
/** Looked at no more often than so. Chosen here */
const LOOK_MS = 50;
const MOST_MEMORY_MB = 256;

type Said = { busy: Day[] } | { problem: string } | { at: string } | { thread: string };

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
    const began = performance.now();
    let thread: string | undefined;
    let event: string | undefined;
    let eventBegan = 0;
    const worked = () => (thread === undefined ? undefined : workedMs(thread)) ?? performance.now() - began;
    const end = (settle: () => void) => {
      clearTimeout(timer);
      settle();
      void worker.terminate();
    };
    const tooLong = () => end(() => reject(neverEnding(event)));
    const look = () => {
      const left = Math.min(eventBegan + AN_EVENT_MS, ALL_MS) - worked();
      if (left <= 0) tooLong();
      else timer = setTimeout(look, Math.max(LOOK_MS, left));
    };
    let timer = setTimeout(look, AN_EVENT_MS);
    worker.on('message', (said: Said) => {
      if ('thread' in said) thread = said.thread;
      else if ('at' in said) {
        event = said.at;
        eventBegan = worked();
      } else if ('busy' in said) end(() => resolve(said.busy));
      else end(() => reject(invalid('calendar', said.problem)));
    });
    worker.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'ERR_WORKER_OUT_OF_MEMORY') tooLong();
      else end(() => reject(error));
    });
  });
}

/** How long a thread of this process has worked, ms; undefined where the system does not say. @source proc(5): schedstat, in ns */
function workedMs(thread: string): number | undefined {
  try {
    return Number(fs.readFileSync(`/proc/self/task/${thread}/schedstat`, 'utf8').split(' ')[0]) / 1e6;
  } catch {
    return undefined;
  }
}

function neverEnding(event: string | undefined): Problem {
  const which = event === undefined ? 'one of its events' : `“${event.slice(0, 60)}”`;
  return invalid('calendar', `Must come to an end: the repeats of ${which} do not. Leave that event out of the file.`);
}
