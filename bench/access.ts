import { spawn } from 'node:child_process';

/**
 * What the door costs a request: `npm run bench:access`. The baseline of the same run is the same request in a house that is open,
 * where nobody has to be found.
 */
const PORT = 4962;
const HOUSE = `http://127.0.0.1:${PORT}`;
const REQUESTS = 3000;

async function medianMs(cookie: string | undefined): Promise<number> {
  const times: number[] = [];
  for (let count = 0; count < REQUESTS; count += 1) {
    const began = performance.now();
    const answer = await fetch(`${HOUSE}/api/house`, cookie === undefined ? {} : { headers: { Cookie: cookie } });
    await answer.text();
    if (!answer.ok) throw new Error(`It was answered with ${answer.status}.`);
    times.push(performance.now() - began);
  }
  return times.sort((a, b) => a - b)[REQUESTS / 2] ?? 0;
}

async function main(): Promise<void> {
  const environment = { ...process.env, VB_DATA: 'memory', PORT: String(PORT), VB_LOG: 'error' };
  const server = spawn(process.execPath, ['bin/serve'], { env: environment, stdio: 'ignore' });
  const isUp = () =>
    fetch(`${HOUSE}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  try {
    while (!(await isUp())) await new Promise((resume) => setTimeout(resume, 100));
    await medianMs(undefined);
    const open = await medianMs(undefined);
    const body = JSON.stringify({ name: 'Ada', password: 'seven damp isopods' });
    const headers = { 'Content-Type': 'application/json' };
    const began = performance.now();
    const setUp = await fetch(`${HOUSE}/api/access/setup`, { method: 'POST', headers, body });
    const setUpMs = performance.now() - began;
    const signedIn = await medianMs(setUp.headers.get('set-cookie')?.split(';')[0]);
    console.log(`a request of an open house (baseline)  ${open.toFixed(2)} ms`);
    console.log(
      `the same, signed in                    ${signedIn.toFixed(2)} ms, ${(signedIn - open).toFixed(2)} ms more`,
    );
    console.log(`to hash a password and come in         ${setUpMs.toFixed(0)} ms`);
  } finally {
    server.kill();
  }
}

void main();
