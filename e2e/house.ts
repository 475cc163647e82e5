import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { test as base } from '@playwright/test';

const ROOT = path.resolve(__dirname, '..');

async function freePort(): Promise<number> {
  const probe = net.createServer().listen(0, '127.0.0.1');
  await new Promise((resolve) => probe.once('listening', resolve));
  const { port } = probe.address() as net.AddressInfo;
  await new Promise((resolve) => probe.close(resolve));
  return port;
}

/** A server with the demo in a data folder of its own, that can be stopped, killed and started again. */
export class House {
  private process: ChildProcess | undefined;
  private output = '';
  readonly folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-e2e-'));
  port = 0;

  /** Starts from a copy of another house's data, where one is given. */
  constructor(laid?: House) {
    if (laid) fs.cpSync(path.join(laid.folder, 'data'), path.join(this.folder, 'data'), { recursive: true });
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    if (this.port === 0) this.port = await freePort();
    this.output = '';
    const child = spawn(process.execPath, ['bin/serve'], { cwd: ROOT, env: this.environment() });
    this.process = child;
    child.stdout.on('data', (data) => (this.output += data));
    child.stderr.on('data', (data) => (this.output += data));
    // To lay the demo takes some 20 s on two cores that do nothing else.
    for (let tries = 0; tries < 900; tries += 1) {
      if (child.exitCode !== null) throw new Error(`The server ended: ${this.output}`);
      if (this.output.includes('is ready at')) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error(`The server did not get ready: ${this.output}`);
  }

  /** What a second server on the same folder says before it ends. */
  async secondServer(): Promise<{ code: number | null; output: string }> {
    const child = spawn(process.execPath, ['bin/serve'], { cwd: ROOT, env: { ...this.environment(), PORT: '0' } });
    let output = '';
    child.stderr.on('data', (data) => (output += data));
    const code = await new Promise<number | null>((resolve) => child.once('exit', resolve));
    return { code, output };
  }

  async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const child = this.process;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  remove(): void {
    fs.rmSync(this.folder, { recursive: true, force: true });
  }

  private environment(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      VB_DATA: path.join(this.folder, 'data'),
      VB_DEMO: '1',
      PORT: String(this.port),
      TZ: 'UTC',
    };
  }
}

interface Fixtures {
  house: House;
}
interface WorkerFixtures {
  /** The demo laid once; every test works on a copy of it. */
  laidHouse: House;
  /** One running house for all tests of a worker that only look. */
  standingHouse: House;
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  laidHouse: [
    // Playwright reads the names of the fixtures that a fixture needs from its first argument: none.
    async ({}, use) => {
      const house = new House();
      await house.start();
      await house.end('SIGTERM');
      await use(house);
      house.remove();
    },
    { scope: 'worker' },
  ],
  standingHouse: [
    async ({ laidHouse }, use) => {
      const house = new House(laidHouse);
      await house.start();
      await use(house);
      await house.end('SIGKILL');
      house.remove();
    },
    { scope: 'worker' },
  ],
  house: async ({ laidHouse }, use) => {
    const house = new House(laidHouse);
    await house.start();
    await use(house);
    await house.end('SIGKILL');
    house.remove();
  },
  baseURL: async ({ house }, use) => use(house.address),
});

/** For tests that change nothing, or nothing that another would notice: they share a server, which takes seconds to start. */
export const testOfLooks = test.extend({ baseURL: async ({ standingHouse }, use) => use(standingHouse.address) });

export { expect } from '@playwright/test';
