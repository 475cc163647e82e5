import type { Clock } from '../clock';
import { Problem } from '../http/problem';
import type { Database } from '../storage/database';
import { takeReadings, type DeviceReadings } from './takeReadings';

/** So much is taken in within one act: others are answered after each. ms, chosen here */
const PART_MS = 12;
/** More that wait are refused: their devices keep them, and send again. */
const MOST_WAITING = 20_000;
/** As a device may send at once. */
const MOST_TOGETHER = 500;

interface Waiting {
  token: string | undefined;
  sent: DeviceReadings;
  resolve: () => void;
  reject: (error: unknown) => void;
}

/**
 * Takes in what many devices send at one moment: in the order in which it came for each, what one device has sent in one go, and
 * with others let in after each part. What is waited for is stored when this comes back.
 */
export function readingQueue(deps: { database: Database; clock: Clock }) {
  const waiting: Waiting[] = [];
  let isRunning = false;

  const run = async () => {
    while (waiting.length > 0) {
      const until = performance.now() + PART_MS;
      do await takeNext();
      while (waiting.length > 0 && performance.now() < until);
      await new Promise((resume) => setTimeout(resume, 1));
    }
    isRunning = false;
  };

  /** The next one, and whatever else its device has sent meanwhile. */
  const takeNext = async () => {
    const [first] = waiting;
    if (!first) return;
    const together = alikeIn(waiting, first);
    for (const each of together) waiting.splice(waiting.indexOf(each), 1);
    try {
      await takeReadings(deps, first.token, joined(together));
      for (const { resolve } of together) resolve();
    } catch (error) {
      // One of them is refused: each is taken by itself, and told by itself.
      if (together.length > 1 && error instanceof Problem) for (const each of together) await alone(each);
      else for (const { reject } of together) reject(error);
    }
  };
  const alone = ({ token, sent, resolve, reject }: Waiting) =>
    takeReadings(deps, token, sent).then(() => resolve(), reject);

  return (token: string | undefined, sent: DeviceReadings): Promise<void> =>
    new Promise((resolve, reject) => {
      if (waiting.length >= MOST_WAITING) {
        return reject(new Problem('busy', 'Too many readings are waiting: send them again later.'));
      }
      // What says no time is of now, not of when it is its turn.
      const timed = 'readings' in sent ? sent : { ...sent, at: sent.at ?? deps.clock.now() };
      waiting.push({ token, sent: timed, resolve, reject });
      if (isRunning) return;
      isRunning = true;
      void run();
    });
}

/** Those of the same device, in order, up to as many as it may send at once. */
function alikeIn(waiting: readonly Waiting[], { token, sent: { device } }: Waiting): Waiting[] {
  const mine = waiting.filter((each) => each.token === token && each.sent.device === device);
  let count = 0;
  return mine.filter(({ sent }, index) => {
    count += 'readings' in sent ? sent.readings.length : 1;
    return index === 0 || count <= MOST_TOGETHER;
  });
}

function joined(together: readonly Waiting[]): DeviceReadings {
  const [first] = together;
  if (together.length === 1 && first) return first.sent;
  const readings = together.flatMap(({ sent }) => {
    if ('readings' in sent) return sent.readings;
    const { device: _, ...reading } = sent;
    return reading;
  });
  const device = first?.sent.device;
  return { ...(device !== undefined && { device }), readings };
}
