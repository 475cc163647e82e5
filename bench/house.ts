import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/**
 * The whole server on the demo laid several times over: `npm run bench:house -- ../shared/tools/multiply-demo.mjs 1,5,22`. The
 * demo laid once is the baseline of the same run. With DATABASE_URL unset it is the embedded database in a folder.
 */
const [tool = '../shared/tools/multiply-demo.mjs', times = '1,5,11,22'] = process.argv.slice(2);
const PORT = 4955;
const API = `http://127.0.0.1:${PORT}/api`;
const WRITES = 30;
const LISTS = [
  'round',
  'residents',
  'homes',
  'seasons',
  'broods',
  'colonies',
  'rests',
  'store',
  'store/plan',
  'residents/moults',
  'scores',
];

interface Server {
  process: ChildProcess;
  readyMs: number;
}

/** Starts the server on a data folder, and waits until it is ready. */
function start(folder: string, more: Record<string, string> = {}): Promise<Server> {
  const began = performance.now();
  const environment = { ...process.env, VB_DATA: folder, PORT: String(PORT), ...more };
  const server = spawn(process.execPath, ['bin/serve'], { env: environment, stdio: ['ignore', 'pipe', 'inherit'] });
  return new Promise((resolve, reject) => {
    server.once('exit', (code) => reject(new Error(`The server ended with ${code}.`)));
    server.stdout.on('data', (text: Buffer) => {
      if (String(text).includes('is ready')) resolve({ process: server, readyMs: performance.now() - began });
    });
  });
}

async function stop({ process: server }: Server): Promise<void> {
  const ended = new Promise((resolve) => server.once('exit', resolve));
  server.removeAllListeners('exit');
  server.once('exit', () => undefined);
  server.kill('SIGTERM');
  await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, 4000))]);
}

const get = async (place: string): Promise<string> => (await fetch(`${API}/${place}`)).text();

async function timed(work: () => Promise<unknown>): Promise<number> {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

const at = (values: readonly number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;

/** How long the shortest answer takes while `work` goes on. ms */
async function worstHealth(work: () => Promise<void>): Promise<number> {
  const waits: number[] = [];
  let isOver = false;
  const asking = (async () => {
    while (!isOver) {
      waits.push(await timed(() => get('health')));
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  await work();
  isOver = true;
  await asking;
  return Math.max(...waits);
}

interface Figures {
  [name: string]: number;
}

async function measure(): Promise<Figures> {
  const figures: Figures = {};
  figures['first round, ms'] = await timed(() => get('round'));
  const { residents } = JSON.parse(await get('residents')) as { residents: { id: string }[] };
  // Everything is asked for once, as pages do that are opened.
  const opening = await worstHealth(async () => {
    for (const list of LISTS) figures[`first ${list}, ms`] = await timed(() => get(list));
  });
  figures['worst health while all is asked for first, ms'] = opening;
  const rounds: number[] = [];
  const writing = await worstHealth(async () => {
    for (let index = 0; index < WRITES; index += 1) {
      const residentId = residents[(index * 97) % residents.length]?.id;
      const body = JSON.stringify({ id: randomUUID(), kind: 'watered', residentId });
      const headers = { 'Content-Type': 'application/json' };
      rounds.push(
        await timed(async () => {
          await fetch(`${API}/entries`, { method: 'POST', headers, body });
          await get('round');
        }),
      );
    }
  });
  figures['write to fresh round, median ms'] = at(rounds, 0.5);
  figures['write to fresh round, p95 ms'] = at(rounds, 0.95);
  figures['worst health while writing, ms'] = writing;
  for (const list of LISTS) {
    const after: number[] = [];
    for (let index = 0; index < 8; index += 1) {
      const residentId = residents[(index * 31) % residents.length]?.id;
      const body = JSON.stringify({ id: randomUUID(), kind: 'watered', residentId });
      await fetch(`${API}/entries`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body });
      after.push(await timed(() => get(list)));
    }
    figures[`${list} after a write, worst of 8, ms`] = Math.max(...after);
  }
  return figures;
}

async function main(): Promise<void> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-bench-'));
  const demo = path.join(folder, 'demo');
  await stop(await start(demo, { VB_DEMO: '1' }));
  const columns: { times: number; figures: Figures }[] = [];
  for (const count of times.split(',').map(Number)) {
    const copy = path.join(folder, `x${count}`);
    fs.cpSync(demo, copy, { recursive: true });
    if (count > 1) spawnSync(process.execPath, [tool, copy, String(count)], { stdio: 'inherit' });
    const server = await start(copy);
    const figures = { 'ready, ms': server.readyMs, ...(await measure()) };
    const status = fs.readFileSync(`/proc/${server.process.pid}/status`, 'utf8');
    columns.push({
      times: count,
      figures: { ...figures, 'memory, MB': Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024 },
    });
    await stop(server);
  }
  fs.rmSync(folder, { recursive: true, force: true });
  console.log(
    ['', ...columns.map((column) => `x${column.times}`)]
      .map((text, index) => text.padStart(index ? 9 : 0).padEnd(index ? 9 : 52))
      .join(''),
  );
  for (const name of Object.keys(columns[0]?.figures ?? {})) {
    const values = columns.map(({ figures }) => (figures[name] ?? NaN).toFixed(0).padStart(9));
    console.log(name.padEnd(52) + values.join(''));
  }
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
