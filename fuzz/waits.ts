import { Worker } from 'node:worker_threads';
import type { Sent } from './sent';

/** One wait of somebody who asks for something light, and what was under way meanwhile. */
export interface Wait {
  ms: number;
  beside: readonly Sent[];
}

const KEPT = 5;
/** Questions that are over are remembered for a while: what the other thread tells comes after them. */
const REMEMBERED = 60;

/** In a thread of its own: large questions hold the thread that makes them, and that is not the server's fault. */
const askAllTheTime = `
  const { parentPort, workerData } = require('node:worker_threads');
  const now = () => performance.timeOrigin + performance.now();
  let isOver = false;
  parentPort.once('message', () => (isOver = true));
  (async () => {
    while (!isOver) {
      const from = now();
      await fetch(workerData).then((answer) => answer.text());
      parentPort.postMessage({ from, to: now() });
      await new Promise((resume) => setTimeout(resume, 5));
    }
  })();
`;

const now = () => performance.timeOrigin + performance.now();

/** Asks for something light all the time, and tells where it waited longest, and beside what. */
export class Waits {
  private readonly asked: { sent: Sent; from: number; to: number }[] = [];
  private longest: Wait[] = [];
  private readonly asking: Worker;

  /** @param light address of what is light, and reads the database: what holds that counts too */
  constructor(light: string) {
    this.asking = new Worker(askAllTheTime, { eval: true, workerData: light });
    this.asking.on('message', ({ from, to }: { from: number; to: number }) => {
      const ms = to - from;
      if (this.longest.length === KEPT && ms <= (this.longest.at(-1)?.ms ?? 0)) return;
      const beside = this.asked.filter((each) => each.from < to && each.to > from).map(({ sent }) => sent);
      this.longest = [...this.longest, { ms, beside }].sort((a, b) => b.ms - a.ms).slice(0, KEPT);
    });
  }

  /** A question is under way until what it gives back is called. */
  during(sent: Sent): () => void {
    const asked = { sent, from: now(), to: Infinity };
    this.asked.push(asked);
    const done = this.asked.findIndex((each) => each.to < Infinity);
    if (this.asked.length > REMEMBERED && done >= 0) this.asked.splice(done, 1);
    return () => {
      asked.to = now();
    };
  }

  async end(): Promise<readonly Wait[]> {
    this.asking.postMessage('over');
    await new Promise((resume) => this.asking.once('exit', resume));
    return this.longest;
  }
}
