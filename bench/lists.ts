import { spawn } from 'node:child_process';

/**
 * A list of 200 boxes, one of who lives in them and one of 5,000 past events, brought into an empty house: `npm run bench:lists`.
 * The baseline of the same run are events sent one by one; beside it how long others wait for an answer meanwhile.
 */
const PORT = 4956;
const API = `http://127.0.0.1:${PORT}/api`;
const BOXES = 200;
const EVENTS = 5000;
const ONE_BY_ONE = 200;
const BOX = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };

const send = async (path: string, body: object) => {
  const answer = await fetch(`${API}/${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${await answer.text()}`);
  return answer.json();
};

/** Asks all the time for what a page shows, and answers how long that took at worst. */
function watching() {
  let worstMs = 0;
  let isOver = false;
  const done = (async () => {
    while (!isOver) {
      const began = performance.now();
      await fetch(`${API}/homes`).then((answer) => answer.text());
      worstMs = Math.max(worstMs, performance.now() - began);
    }
  })();
  return async () => {
    isOver = true;
    await done;
    return worstMs;
  };
}

async function timed(name: string, work: () => Promise<unknown>): Promise<void> {
  const end = watching();
  const began = performance.now();
  await work();
  const ms = performance.now() - began;
  console.log(
    `${name.padEnd(40)} ${ms.toFixed(0).padStart(7)} ms   others waited ${(await end()).toFixed(0)} ms at most`,
  );
}

async function ready(): Promise<void> {
  for (;;) {
    const isUp = await fetch(`${API}/health`).then(
      () => true,
      () => false,
    );
    if (isUp) return;
    await new Promise((resume) => setTimeout(resume, 100));
  }
}

async function main(): Promise<void> {
  const environment = { ...process.env, VB_DATA: 'memory', PORT: String(PORT) };
  const server = spawn(process.execPath, ['bin/serve'], { env: environment, stdio: 'ignore' });
  try {
    await ready();
    const boxes = Array.from({ length: BOXES }, (_, index) => ({
      ...{ code: `K${index}`, room: 'Room', shelf: `Shelf ${index % 5}`, container: BOX, substrateDepthMm: 80 },
    }));
    await timed(`${BOXES} boxes`, () => send('lists', { kind: 'boxes', rows: boxes }));
    const residents = boxes.map(({ code }) => ({
      ...{ scientificName: 'Brachypelma hamorii', stage: 'juvenile', legSpanMm: 60, box: code },
      ...{ on: '2022-05-01', lastMoultOn: '2025-11-01' },
    }));
    await timed(`${BOXES} residents`, () => send('lists', { kind: 'residents', rows: residents }));
    const here = (await (await fetch(`${API}/residents`)).json()).residents as { id: string }[];
    const event = (index: number, from: string) => ({
      ...{ kind: 'offered', residentId: here[index % BOXES]?.id, preyCount: 1, preyLengthMm: 12, insist: true },
      on: new Date(Date.parse(from) + Math.floor(index / BOXES) * 25 * 864e5).toISOString().slice(0, 10),
    });
    await timed(`${ONE_BY_ONE} events, one by one (baseline)`, async () => {
      for (let index = 0; index < ONE_BY_ONE; index += 1) await send('entries', event(index, '2023-01-01'));
    });
    const events = Array.from({ length: EVENTS }, (_, index) => event(index, '2024-06-01'));
    await timed(`${EVENTS} events`, () => send('lists', { kind: 'events', rows: events }));
  } finally {
    server.kill();
  }
}

void main();
