import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';

/**
 * A month of a large house on the settable clock: `npm run soak -- --days 30 --times 22 --tool ../shared/tools/multiply-demo.mjs`.
 * Three keepers walk each day, pages lie open and are shut, devices and loggers send. Memory, files and the slowest answers of a day
 * are looked at as the days go by. With DATABASE_URL, of a database that holds nothing yet, two servers share it, and the keepers
 * walk on both.
 */
const { values } = parseArgs({
  options: {
    days: { type: 'string', default: '30' },
    times: { type: 'string', default: '22' },
    tool: { type: 'string', default: '../shared/tools/multiply-demo.mjs' },
    jobs: { type: 'string', default: '60' },
  },
});
const PORTS = process.env.DATABASE_URL ? [4960, 4961] : [4960];
const JSON_TYPE = { 'Content-Type': 'application/json' };
const DEVICES = 10;
/** What may grow from the second third of the days to the last. */
const MOST = { memoryMB: 100, files: 10, p99Times: 1.5 };

/** Node gives memory back when it is short of it, so what is held is asked after a collection, which this signal brings about. */
const COLLECTS = ['--expose-gc', '--import', 'data:text/javascript,process.on("SIGUSR2",()=>gc())'];
const COLLECTED_MS = 1000;

interface Server {
  child: ChildProcess;
  house: string;
}
interface DayFacts {
  memoryMB: number;
  files: number;
  p99Ms: number;
}

const folder = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'vb-soak-')), 'data');

/** The house in the folder, whatever database the servers are to share afterwards. */
const inFolder = { ...process.env, DATABASE_URL: '' };

async function start(port: number, of: NodeJS.ProcessEnv = process.env): Promise<Server> {
  const env = {
    ...of,
    VB_DEMO: '1',
    VB_TEST: '1',
    VB_NOW: '2026-03-01T18:00:00Z',
    VB_DATA: folder,
    PORT: String(port),
    VB_LOG: 'error',
  };
  const child = spawn(process.execPath, [...COLLECTS, 'bin/serve'], { env, stdio: ['ignore', 'ignore', 'inherit'] });
  const house = `http://127.0.0.1:${port}`;
  for (let waited = 0; waited < 1800; waited += 1) {
    if (child.exitCode !== null) throw new Error('The server ended.');
    if (
      await fetch(`${house}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return { child, house };
    await sleep(100);
  }
  throw new Error('The server did not get ready.');
}

async function stop({ child }: Server): Promise<void> {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}

const sleep = (ms: number) => new Promise((resume) => setTimeout(resume, ms));

/** How long each answer of a day took. ms */
let times: number[] = [];
async function ask<Answer>(
  house: string,
  method: string,
  place: string,
  body?: unknown,
  more: Record<string, string> = {},
): Promise<Answer> {
  const began = performance.now();
  const answer = await fetch(`${house}${place}`, {
    method,
    headers: { ...JSON_TYPE, ...more },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  const told = (await answer.json()) as Answer;
  times.push(performance.now() - began);
  if (answer.status >= 500) throw new Error(`${method} ${place} was answered with ${answer.status}.`);
  return told;
}

interface Stop {
  residentId: string;
  jobs: { kind: string; doneBy?: string }[];
}

/** One keeper's walk: the round, its boxes one after the other, a page that listens meanwhile. */
async function walk(house: string, keeper: string, share: number, jobs: number): Promise<void> {
  const page = new AbortController();
  const stream = await fetch(`${house}/api/events`, { signal: page.signal });
  const { on, stops } = await ask<{ on: string; stops: Stop[] }>(house, 'GET', '/api/round');
  const mine = stops.filter((_, index) => index % 3 === share).slice(0, jobs);
  for (const { residentId } of mine) {
    await ask(house, 'POST', '/api/entries', {
      kind: 'looked',
      residentId,
      keeper,
      id: randomUUID(),
      answers: `look ${on}`,
    });
    if (Math.random() < 0.1) await ask(house, 'GET', `/api/residents/${residentId}/entries`);
    if (Math.random() < 0.1) await ask(house, 'GET', '/api/house/changes');
  }
  page.abort();
  await stream.body?.cancel().catch(() => undefined);
}

async function facts({ child }: Server): Promise<Pick<DayFacts, 'memoryMB' | 'files'>> {
  child.kill('SIGUSR2');
  await sleep(COLLECTED_MS);
  const status = fs.readFileSync(`/proc/${child.pid}/status`, 'utf8');
  return {
    memoryMB: Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024,
    files: fs.readdirSync(`/proc/${child.pid}/fd`).length,
  };
}

function run(env: NodeJS.ProcessEnv, ...args: string[]): void {
  const { status } = spawnSync(process.execPath, args, {
    stdio: 'inherit',
    env: { ...env, VB_DATA: folder, VB_CHECKOUT: process.cwd() },
  });
  if (status !== 0) throw new Error(`${args.join(' ')} ended with ${status}.`);
}

/** The demo, so many times, in the folder, and from there on the server that is named. */
async function lay(count: number): Promise<void> {
  await stop(await start(PORTS[0] ?? 0, inFolder));
  if (count > 1) run(inFolder, values.tool, folder, String(count));
  if (!process.env.DATABASE_URL) return;
  const file = path.join(path.dirname(folder), 'house.zip');
  run(inFolder, 'bin/backup', file);
  run(process.env, 'bin/restore', file);
}

async function main(): Promise<void> {
  const [days, count, jobs] = [Number(values.days), Number(values.times), Number(values.jobs)];
  await lay(count);
  const servers: Server[] = [];
  for (const port of PORTS) servers.push(await start(port));
  const [first] = servers;
  if (!first) return;
  const { homes } = await ask<{ homes: { id: string }[] }>(first.house, 'GET', '/api/homes');
  const tokens: string[] = [];
  for (let device = 0; device < DEVICES; device += 1) {
    const { token } = await ask<{ token: string }>(first.house, 'POST', '/api/probes', {
      name: `soak ${device}`,
      kind: 'device',
      place: 'air',
      homeId: homes[device % homes.length]?.id,
    });
    tokens.push(token);
  }
  const course: DayFacts[] = [];
  for (let day = 0; day < days; day += 1) {
    times = [];
    for (const { house } of servers) await ask(house, 'POST', '/api/test/clock', { days: 1 });
    const { now } = await ask<{ now: string }>(first.house, 'GET', '/api/test/clock');
    const readings = (device: number) =>
      Array.from({ length: 24 }, (_, hour) => ({
        at: new Date(Date.parse(now) - hour * 3_600_000).toISOString(),
        temperatureC: 20 + (device % 5),
        relativeHumidityPct: 70,
      }));
    await Promise.all([
      ...[0, 1, 2].map((share) =>
        walk((servers[share % servers.length] ?? first).house, `Keeper ${share}`, share, jobs),
      ),
      ...tokens.map((token, device) =>
        ask(first.house, 'POST', '/api/readings', { readings: readings(device) }, { Authorization: `Bearer ${token}` }),
      ),
    ]);
    times.sort((a, b) => a - b);
    const each = await Promise.all(servers.map(facts));
    const told = {
      memoryMB: Math.max(...each.map(({ memoryMB }) => memoryMB)),
      files: Math.max(...each.map(({ files }) => files)),
      p99Ms: times[Math.floor(0.99 * (times.length - 1))] ?? 0,
    };
    course.push(told);
    console.log(
      `day ${day + 1}: ${told.memoryMB.toFixed(0)} MB, ${told.files} files, ${times.length} answers, p99 ${told.p99Ms.toFixed(0)} ms`,
    );
  }
  await Promise.all(servers.map(stop));
  fs.rmSync(path.dirname(folder), { recursive: true, force: true, maxRetries: 5 });
  const third = Math.floor(days / 3);
  const middle = (list: DayFacts[], of: keyof DayFacts) =>
    list.map((each) => each[of]).sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;
  const [before, after] = [course.slice(third, 2 * third), course.slice(2 * third)];
  const grown = {
    memoryMB: middle(after, 'memoryMB') - middle(before, 'memoryMB'),
    files: middle(after, 'files') - middle(before, 'files'),
    p99Times: middle(after, 'p99Ms') / Math.max(1, middle(before, 'p99Ms')),
  };
  console.log(
    `From the second third of the days to the last: ${grown.memoryMB.toFixed(0)} MB, ${grown.files} files more; p99 ${grown.p99Times.toFixed(2)} times as long.`,
  );
  process.exitCode =
    grown.memoryMB > MOST.memoryMB || grown.files > MOST.files || grown.p99Times > MOST.p99Times ? 1 : 0;
}

void main();
