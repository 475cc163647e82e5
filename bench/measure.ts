/** Runs `work` until it has had half a second and answers the median of its times, in ms. */
export function median(work: () => unknown): number {
  const times: number[] = [];
  work();
  for (const started = performance.now(); performance.now() - started < 500 || times.length < 5;) {
    const before = performance.now();
    work();
    times.push(performance.now() - before);
  }
  times.sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)] ?? 0;
}

/** How long one run takes, in ms, and what it answers. */
export async function once<Answer>(work: () => Promise<Answer>): Promise<{ ms: number; answer: Answer }> {
  const before = performance.now();
  const answer = await work();
  return { ms: performance.now() - before, answer };
}

export const row = (what: string, ms: number, limit: string) =>
  console.log(`${what.padEnd(66)} ${ms.toFixed(2).padStart(9)} ms  ${limit}`);
