import fs from 'node:fs';
import path from 'node:path';
import { buildSync } from 'esbuild';
import { shippedPopulations } from '@/contract/shipped';
import { projectColony } from '@/core/colony/project';
import { Refusal } from '@/core/refusal';
import { ROOT } from '../root';
import { inThread, lane, threadPool } from './pool';

describe('engines in threads', () => {
  // Beside the program, as the server has it: it looks for the fonts of its papers from there.
  fs.mkdirSync(path.join(ROOT, '.cache'), { recursive: true });
  const folder = fs.mkdtempSync(path.join(ROOT, '.cache/threads-'));
  const script = path.join(folder, 'thread.cjs');
  let pool: ReturnType<typeof threadPool>;
  const kind = shippedPopulations.find(({ laying }) => laying.by === 'female');
  if (!kind) throw new Error('No culture ships.');
  const adults = { [kind.adults]: 40 };
  const question = { kind, counts: adults, queens: 0, roomForHeads: 600, weeks: 8, temperatureC: 22, draws: 50 };

  beforeAll(() => {
    const entryPoints = ['src/server/threads/worker.ts'];
    buildSync({ absWorkingDir: ROOT, entryPoints, outfile: script, bundle: true, platform: 'node', logLevel: 'error' });
    pool = threadPool(script);
  });
  afterAll(async () => {
    await pool.end();
    fs.rmSync(folder, { recursive: true });
  });

  it('answer what they answer here, while this thread goes on', async () => {
    let turns = 0;
    const turning = setInterval(() => (turns += 1), 1);
    const asked = [1, 2, 3, 4].map(() => pool.workOut('projectColony', [{ ...question, weeks: 104, draws: 2000 }]));
    const answers = await Promise.all(asked);
    clearInterval(turning);
    expect(turns).toBeGreaterThan(4);
    const here = projectColony({ ...question, weeks: 104, draws: 2000 });
    for (const answer of answers) expect(answer).toEqual(here);
  });

  it('are ended when nobody waits any more, and others are answered by a new one', async () => {
    const long = { ...question, weeks: 520, draws: 5000 };
    const gone = new AbortController();
    const asked = pool.workOut('projectColony', [long], { signal: gone.signal });
    setTimeout(() => gone.abort(), 50);
    await expect(asked).rejects.toThrow(/abort/i);
    expect(await pool.workOut('projectColony', [question])).toEqual(projectColony(question));
  });

  it('are given their time from their turn on, whoever was first', async () => {
    process.env.VB_THREAD_SCRIPT = script;
    try {
      const some = { ...question, weeks: 104, draws: 1000 };
      const took: number[] = [];
      for (let time = 0; time < 3; time += 1) {
        const began = performance.now();
        await pool.workOut('projectColony', [some]);
        took.push(performance.now() - began);
      }
      const hurried = lane({ ms: 5 * Math.max(...took), maxThreads: 1, maxQueue: 20, memoryMB: 768 });
      const waiting = Array.from({ length: 12 }, () => hurried(undefined, 'projectColony', some));
      expect(await Promise.all(waiting)).toHaveLength(12);
      const endless = hurried(undefined, 'projectColony', { ...some, weeks: 520, draws: 1_000_000 });
      await expect(endless).rejects.toThrow(/Ask for less at a time/);
    } finally {
      delete process.env.VB_THREAD_SCRIPT;
    }
  });

  it('refuse what they refuse here, field by field', async () => {
    const none = { ...question, counts: { nobody: 3 } };
    const here = await inThread('projectColony', none).catch((error: unknown) => error);
    const there = await pool.workOut('projectColony', [none]).catch((error: unknown) => error);
    expect(here).toBeInstanceOf(Refusal);
    expect(there).toEqual(here);
    expect((there as Refusal).fields).toEqual((here as Refusal).fields);
  });
});
