import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { Dice } from '../fuzz/mutate';

/**
 * Kills a server again and again while four keepers write, and looks after each start whether everything is there that was
 * acknowledged: `npm run torture -- --kills 1000 --cuts 200 --seed 1`. A kill is SIGKILL at any moment, also in the first start with all its
 * migrations, a list that is brought in, a backup and a restore; a cut is the power gone, with what was not yet synced lost at random.
 */
const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '30' },
    cuts: { type: 'string', default: '10' },
    seed: { type: 'string', default: '1' },
  },
});
const PORT = 4958;
const HOUSE = `http://127.0.0.1:${PORT}`;
const WRITERS = 4;
const JSON_TYPE = { 'Content-Type': 'application/json' };
const BOX = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };

/** What was acknowledged, and must be there after any end. */
interface Promised {
  shelfId: string | undefined;
  residents: string[];
  entries: Map<string, string>;
  undone: Set<string>;
  /** Asked to be undone, and nobody answered: they may stand or not. */
  unsure: Set<string>;
  bulks: number;
  lists: number;
  lost: string[];
}

const dice = new Dice(Number(values.seed));
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-torture-'));
const data = path.join(folder, 'data');
const readyMs: number[] = [];

async function send(
  method: string,
  place: string,
  body?: unknown,
): Promise<{ status: number; body: Record<string, never> }> {
  const answer = await fetch(HOUSE + place, {
    method,
    headers: JSON_TYPE,
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  return { status: answer.status, body: (await answer.json()) as Record<string, never> };
}

interface Running {
  server: ChildProcess;
  said: () => string;
  ended: Promise<void>;
}

function start(environment: Record<string, string> = {}): Running {
  const options = environment.VB_CUT_FOLDER ? ['-r', path.resolve('torture/powerCut.cjs')] : [];
  const env = { ...process.env, VB_DATA: data, PORT: String(PORT), VB_LOG: 'error', ...environment };
  const server = spawn(process.execPath, [...options, 'bin/serve'], { env, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const each of [server.stdout, server.stderr])
    each.on('data', (text) => (said = `${said}${String(text)}`.slice(-4000)));
  const ended = new Promise<void>((resolve) => server.once('exit', () => resolve()));
  return { server, said: () => said, ended };
}

/** Until it answers. False where it ended before. */
async function isReady({ server }: Running): Promise<boolean> {
  for (const began = performance.now(); performance.now() - began < 120_000;) {
    if (server.exitCode !== null || server.signalCode !== null) return false;
    if (
      await fetch(`${HOUSE}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      return true;
    await new Promise((resume) => setTimeout(resume, 20));
  }
  return false;
}

/** One keeper, writing until nobody answers. */
async function write(promised: Promised, isOver: () => boolean): Promise<void> {
  while (!isOver()) {
    try {
      await dice.oneOf([one, one, one, one, bulk, undo, list, backup])(promised);
    } catch {
      return;
    }
  }
}

const about = (promised: Promised) => ({ kind: 'looked', residentId: dice.oneOf(promised.residents) });

async function one(promised: Promised): Promise<void> {
  const id = randomUUID();
  const entry = about(promised);
  if ((await send('POST', '/api/entries', { ...entry, id })).status === 201) promised.entries.set(id, entry.residentId);
}
async function bulk(promised: Promised): Promise<void> {
  const entries = Array.from({ length: 8 }, () => ({ ...about(promised), id: randomUUID() }));
  if ((await send('POST', '/api/entries/bulk', { entries })).status >= 300) return;
  for (const { id, residentId } of entries) promised.entries.set(id, residentId);
  promised.bulks += 1;
}
async function undo(promised: Promised): Promise<void> {
  const { undone, unsure } = promised;
  const standing = [...promised.entries.keys()].filter((id) => !undone.has(id) && !unsure.has(id));
  if (standing.length === 0) return;
  const id = dice.oneOf(standing);
  unsure.add(id);
  if ((await send('POST', `/api/entries/${id}/undo`)).status < 300) undone.add(id);
}
async function list(promised: Promised): Promise<void> {
  const code = `L${promised.lists}${randomUUID().slice(0, 4)}`;
  const rows = Array.from({ length: 20 }, (_, index) => ({
    code: `${code}${index}`,
    room: 'R',
    shelf: 'S',
    container: BOX,
    substrateDepthMm: 60,
  }));
  const answer = await send('POST', '/api/lists', { kind: 'boxes', rows });
  if (answer.status < 300) promised.lists += 1;
}
/** Read while it is made, and thrown away. */
async function backup(): Promise<void> {
  if (dice.isIn(4)) await (await fetch(`${HOUSE}/api/backup`)).arrayBuffer();
}

/** Everything that was promised, looked for in the house. */
async function look(promised: Promised): Promise<void> {
  const found = new Set<string>();
  for (const residentId of promised.residents) {
    for (let before = ''; ;) {
      const { status, body } = await send('GET', `/api/residents/${residentId}/entries${before}`);
      if (status !== 200) throw new Error(`What is written about ${residentId} was answered with ${status}.`);
      const { entries } = body as unknown as { entries: { id: string }[] };
      for (const { id } of entries) found.add(id);
      const last = entries.at(-1);
      if (!last) break;
      before = `?before=${last.id}`;
    }
  }
  for (const id of promised.entries.keys()) {
    if (!promised.undone.has(id) && !promised.unsure.has(id) && !found.has(id)) promised.lost.push(`entry ${id}`);
    if (promised.undone.has(id) && found.has(id)) promised.lost.push(`undo of ${id}`);
  }
  const homes =
    ((await send('GET', '/api/homes')).body as unknown as { homes: unknown[] }).homes.length -
    promised.residents.length;
  if (homes < 20 * promised.lists || homes % 20 !== 0)
    promised.lost.push(`boxes: ${homes} of ${promised.lists} lists of 20`);
}

async function furnish(promised: Promised): Promise<void> {
  const { body } = await send('POST', '/api/shelves', { name: 'S', room: 'R' });
  promised.shelfId = (body as unknown as { shelf: { id: string } }).shelf.id;
  for (const code of ['A1', 'A2', 'A3']) {
    const home = (
      await send('POST', '/api/homes', { code, shelfId: promised.shelfId, container: BOX, substrateDepthMm: 60 })
    ).body as unknown as { home: { id: string } };
    const animal = { scientificName: 'Grammostola pulchra', homeId: home.home.id, stage: 'juvenile', legSpanMm: 60 };
    const taken = (await send('POST', '/api/residents', animal)).body as unknown as { resident: { id: string } };
    promised.residents.push(taken.resident.id);
  }
}

async function stopped({ server, ended }: Running): Promise<void> {
  server.kill('SIGKILL');
  await ended;
}

const sleep = (ms: number) => new Promise((resume) => setTimeout(resume, ms));

async function main(): Promise<void> {
  const [kills, cuts] = [Number(values.kills), Number(values.cuts)];
  const promised: Promised = {
    shelfId: undefined,
    residents: [],
    entries: new Map(),
    undone: new Set(),
    unsure: new Set(),
    bulks: 0,
    lists: 0,
    lost: [],
  };
  const problems: string[] = [];
  // The first start is killed too, over and over, until one is let live.
  const firstKills = Math.min(20, Math.ceil(kills / 10));
  for (let kill = 0; kill < firstKills; kill += 1) {
    const running = start();
    await Promise.race([sleep(50 + dice.upTo(4000)), isReady(running)]);
    await stopped(running);
  }
  let running = start();
  if (!(await isReady(running))) throw new Error(`The first start did not come up: ${running.said()}`);
  await furnish(promised);
  await stopped(running);
  for (let end = 0; end < kills - firstKills + cuts; end += 1) {
    const isCut = end >= kills - firstKills;
    const cutting: Record<string, string> = isCut
      ? { VB_CUT_FOLDER: data, VB_CUT_AFTER: String(20 + dice.upTo(3000)), VB_CUT_SEED: String(1 + dice.upTo(1e6)) }
      : {};
    const began = performance.now();
    running = start(cutting);
    if (!isCut && dice.isIn(8)) {
      // In the midst of a start.
      await sleep(dice.upTo(3000));
      await stopped(running);
      continue;
    }
    const isUp = await isReady(running);
    if (!isCut) readyMs.push(performance.now() - began);
    if (isUp) {
      // Asked of a server that may lose its power meanwhile.
      if (!isCut || end % 5 === 0) await look(promised).catch(() => undefined);
      let isOver = false;
      const writers = Array.from({ length: WRITERS }, () => write(promised, () => isOver));
      await Promise.race([sleep(isCut ? 20_000 : 30 + dice.upTo(1200)), running.ended]);
      isOver = true;
      await stopped(running);
      await Promise.all(writers);
    } else if (!isCut) {
      problems.push(`A start failed: ${running.said()}`);
      break;
    }
    await stopped(running);
    if (isCut) {
      // Without the shim: what does the disk hold?
      const after = start();
      if (await isReady(after)) await look(promised);
      else problems.push(`After a power cut it does not start: ${after.said()}`);
      await stopped(after);
    }
    if (promised.lost.length > 0 || problems.length > 0) break;
  }
  // In the midst of a backup that is brought in: the house is as it was, or as the backup has it, which is the same.
  for (let restore = 0; restore < Math.ceil(kills / 15) && promised.lost.length + problems.length === 0; restore += 1) {
    running = start();
    if (!(await isReady(running))) problems.push(`A start failed: ${running.said()}`);
    const file = await (await fetch(`${HOUSE}/api/backup`)).arrayBuffer();
    const headers = { 'Content-Type': 'application/zip' };
    const bringing = fetch(`${HOUSE}/api/restore?instead=1`, { method: 'POST', headers, body: file }).catch(
      () => undefined,
    );
    await Promise.race([sleep(50 + dice.upTo(4000)), bringing]);
    await stopped(running);
    running = start();
    if (await isReady(running)) await look(promised);
    else problems.push(`After a kill in a restore it does not start: ${running.said()}`);
    await stopped(running);
  }
  const sorted = [...readyMs].sort((a, b) => a - b);
  const at = (share: number) => ((sorted[Math.floor(share * (sorted.length - 1))] ?? 0) / 1000).toFixed(1);
  console.log(
    `${kills} kills (${firstKills} in the first start), ${cuts} power cuts. Acknowledged and looked for: ${promised.entries.size} entries, ${promised.bulks} bulk acts, ${promised.undone.size} undone, ${promised.lists} lists.`,
  );
  console.log(
    `Lost: ${promised.lost.length}. Ready after a kill: median ${at(0.5)} s, 95 % ${at(0.95)} s, worst ${at(1)} s.`,
  );
  for (const each of [...promised.lost.slice(0, 10), ...problems]) console.log(`PROBLEM ${each}`);
  fs.rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
  process.exitCode = promised.lost.length + problems.length > 0 ? 1 : 0;
}

void main();
