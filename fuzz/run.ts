import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { fileRoutes } from '../src/contract/fileRoutes';
import { routes, type EndpointName } from '../src/contract/routes';
import corpus from './corpus.json';
import { Dice, mutated } from './mutate';
import type { Sent } from './sent';
import { Waits } from './waits';

/**
 * Asks a server of its own (the demo, in memory) strange things: `npm run fuzz -- --requests 50000 --seed 1`. What it asks is near
 * what was once answered (`corpus.json`, taken down while the tests ran). Fails where a request is answered with 500, takes longer
 * than 2 s, lets another wait longer than 150 ms, or leaves more than 100 MB behind.
 */
const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '50000' },
    seed: { type: 'string', default: '1' },
    at: { type: 'string', default: '4' },
    only: { type: 'string' },
    /** Looks at what is answered alone: on a machine that does other things meanwhile times say nothing. */
    untimed: { type: 'boolean', default: false },
  },
});
const PORT = 4957;
const HOUSE = `http://127.0.0.1:${PORT}`;
const LIMIT = { ms: 2000, waitMs: 150, leftMB: 100 };
/** Would end the run: everything gone, or the house put to another state. */
const LEFT_OUT = new Set<string>(['setUp', 'dropExample']);

interface Case {
  params?: Record<string, string>;
  query?: Record<string, unknown>;
  body?: unknown;
}

const UUID = /"[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}"/g;

/** A question near one of the corpus, about those who live in this house. */
function question(dice: Dice, known: readonly string[], names: readonly string[]): Sent {
  const name = dice.oneOf(names);
  const cases = (corpus as Record<string, Case[]>)[name] ?? [{}];
  const text = JSON.stringify(dice.oneOf(cases)).replace(UUID, () => JSON.stringify(dice.oneOf(known)));
  const { params = {}, query, body } = JSON.parse(text) as Case;
  const route = name in routes ? routes[name as EndpointName] : fileRoutes[name as keyof typeof fileRoutes];
  const path = route.path.replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(
      dice.isIn(6)
        ? String(mutated(params[key] ?? 'x', dice)).replace(/[\ud800-\udfff]/g, '?')
        : (params[key] ?? dice.oneOf(known)),
    ),
  );
  const asked = query && Object.entries(dice.isIn(2) ? query : ((mutated(query, dice) ?? {}) as object));
  const search = asked && new URLSearchParams(asked.map(([key, each]) => [key, String(each)])).toString();
  const sends = route.method !== 'get' && body !== undefined;
  return {
    name,
    method: route.method.toUpperCase(),
    path: search ? `${path}?${search}` : path,
    body: sends ? JSON.stringify(dice.isIn(6) ? body : mutated(body, dice)) : undefined,
  };
}

const isUp = () =>
  fetch(`${HOUSE}/api/health`).then(
    (answer) => answer.ok,
    () => false,
  );

async function ready(server: ChildProcess): Promise<void> {
  for (let waited = 0; ; waited += 100) {
    if (server.exitCode !== null || waited > 180_000) throw new Error('The server did not get ready.');
    if (await isUp()) return;
    await new Promise((resume) => setTimeout(resume, 100));
  }
}

const list = async (path: string, of: string): Promise<{ id: string }[]> =>
  ((await (await fetch(`${HOUSE}${path}`)).json()) as Record<string, { id: string }[]>)[of] ?? [];

/** A plan of moves is looked for as long as its question says. ms */
function searchedMs({ body }: Sent): number {
  const [, seconds] = /"searchS":([\d.]+)/.exec(body ?? '') ?? [];
  return 1000 * Number(seconds ?? 0);
}

/** What the server holds in memory, by the operating system. MB */
const memoryMB = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** What was asked, short. */
const inShort = ({ method, path, body = '' }: Sent) =>
  `${method} ${path.slice(0, 200)} ${body.slice(0, 300)} (${body.length} characters)`;

async function main(): Promise<void> {
  const requests = Number(values.requests);
  const folder = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'vb-fuzz-')), 'data');
  const environment = {
    ...process.env,
    VB_DATA: folder,
    VB_DEMO: '1',
    VB_TEST: '1',
    PORT: String(PORT),
    VB_LOG: 'error',
  };
  if (await isUp()) throw new Error(`Another server answers at ${HOUSE}: end it first.`);
  const server = spawn(process.execPath, ['bin/serve'], { env: environment, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  let problems = 0;
  const kinds = new Set<string>();
  /** Tells a problem at once, and of those that begin alike the first. */
  const report = (problem: string) => {
    problems += 1;
    const kind = problem.slice(0, 60);
    if (!kinds.has(kind)) console.log(`PROBLEM ${problem}`);
    kinds.add(kind);
  };
  for (const each of [server.stdout, server.stderr])
    each.on('data', (text) => {
      said = `${said}${String(text)}`.slice(-20_000);
      if (/has not the shape/.test(String(text))) report(String(text));
    });
  try {
    await ready(server);
    const known = [
      ...(await list('/api/residents', 'residents')),
      ...(await list('/api/homes', 'homes')),
      ...(await list('/api/shelves', 'shelves')),
      ...(await list('/api/probes', 'probes')),
      ...(await list('/api/rooms', 'rooms')),
    ].map(({ id }) => id);
    const all = [
      ...Object.keys(corpus).filter((name) => name in routes),
      ...Object.keys(fileRoutes).filter(
        (name) => !['events', 'restore', 'tablesIn', 'backup', 'tables'].includes(name),
      ),
    ];
    const names = all.filter(
      (name) => !LEFT_OUT.has(name) && (values.only === undefined || values.only.split(',').includes(name)),
    );
    const dice = new Dice(Number(values.seed));
    const counts = new Map<number, number>();
    const slow = new Map<string, number>();
    // Once through, so that what is loaded once is not counted as left behind.
    for (const name of names) await ask(question(dice, known, [name]));
    const before = memoryMB(server.pid ?? 0);
    const waits = new Waits(`${HOUSE}/api/house`);
    let left = requests;
    const asking = Array.from({ length: Number(values.at) }, async () => {
      while (left-- > 0 && server.exitCode === null) {
        if (left > 0 && left % 5000 === 0) console.log(`${left} to go, ${problems} problems`);
        const sent = question(dice, known, names);
        const over = waits.during(sent);
        const { status, ms, text } = await ask(sent);
        over();
        counts.set(status, (counts.get(status) ?? 0) + 1);
        slow.set(sent.name, Math.max(slow.get(sent.name) ?? 0, ms));
        const isBroken = status === 500 || status === 0;
        const isSlow = !values.untimed && ms > LIMIT.ms + searchedMs(sent);
        if (isBroken || isSlow)
          report(
            `${sent.method} ${sent.path} ${status} in ${ms.toFixed(0)} ms: ${sent.body?.slice(0, 600) ?? ''} -> ${text.slice(0, 200)}`,
          );
      }
    });
    await Promise.all(asking);
    const longest = await waits.end();
    if (server.exitCode !== null) report(`The server ended: ${said}`);
    // Threads that have nothing to do end after a minute.
    await new Promise((resume) => setTimeout(resume, requests > 5000 ? 70_000 : 1000));
    const leftMB = server.exitCode === null ? memoryMB(server.pid ?? 0) - before : NaN;
    if (requests > 5000 && leftMB > LIMIT.leftMB) report(`${leftMB.toFixed(0)} MB are left behind.`);
    const tooLong = values.untimed ? [] : longest.filter(({ ms }) => ms > LIMIT.waitMs);
    for (const { ms, beside } of tooLong)
      report(`Another waited ${ms.toFixed(0)} ms, beside ${beside.map(inShort).join(' and ')}.`);
    const slowest = [...slow].sort(([, a], [, b]) => b - a).slice(0, 12);
    console.log(
      `answers: ${[...counts]
        .sort(([a], [b]) => a - b)
        .map(([status, count]) => `${count} of ${status}`)
        .join(', ')}`,
    );
    console.log(`slowest: ${slowest.map(([name, ms]) => `${name} ${ms.toFixed(0)} ms`).join(', ')}`);
    console.log(
      `another waited ${longest.map(({ ms }) => ms.toFixed(0)).join(', ')} ms at most; memory ${before.toFixed(0)} MB, then ${leftMB.toFixed(0)} MB more`,
    );
  } finally {
    server.kill('SIGKILL');
    fs.rmSync(path.dirname(folder), { recursive: true, force: true, maxRetries: 5 });
  }
  if (problems > 0) console.log(`${problems} problems. Said last: ${said.slice(-3000)}`);
  process.exitCode = problems > 0 ? 1 : 0;
}

async function ask({ method, path, body }: Sent): Promise<{ status: number; ms: number; text: string }> {
  const began = performance.now();
  try {
    const answer = await fetch(HOUSE + path, {
      method,
      headers: { 'Content-Type': 'application/json' },
      ...(body !== undefined && { body }),
    });
    const text = await answer.text();
    return { status: answer.status, ms: performance.now() - began, text: text.slice(0, 300) };
  } catch (error) {
    return { status: 0, ms: performance.now() - began, text: String(error) };
  }
}

void main();
