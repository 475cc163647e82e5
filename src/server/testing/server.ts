import type { AddressInfo } from 'node:net';
import { createApp, type AppOptions } from '../app';
import type { Clock } from '../clock';
import type { Database } from '../storage/database';

export const TODAY = '2026-03-14';

/** A clock that stands at one evening, a second further at every look. */
export function fixedClock(today = TODAY): Clock {
  let seconds = 0;
  return {
    today: () => today,
    now: () => new Date(Date.parse(`${today}T19:00:00.000`) + 1000 * seconds++).toISOString(),
  };
}

export interface Answer {
  status: number;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests look into answers of every shape
  body: any;
}

export interface TestServer {
  address: string;
  get: (path: string) => Promise<Answer>;
  post: (path: string, body: unknown) => Promise<Answer>;
  patch: (path: string, body: unknown) => Promise<Answer>;
  put: (path: string, body: unknown) => Promise<Answer>;
  remove: (path: string) => Promise<Answer>;
  raw: (path: string, init: RequestInit) => Promise<Answer>;
  close: () => Promise<void>;
}

/** The real app on a free port of this machine. */
export async function startServer(
  database: Database,
  clock = fixedClock(),
  more: Partial<AppOptions> = {},
): Promise<TestServer> {
  const app = createApp({ database, clock, version: '0.0.0-test', ...more });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const raw = async (path: string, init: RequestInit) => {
    const response = await fetch(`http://127.0.0.1:${port}${path}`, init);
    const text = await response.text();
    return { status: response.status, body: text === '' ? undefined : JSON.parse(text) };
  };
  const send = (method: string) => (path: string, body: unknown) =>
    raw(path, { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } });
  return {
    address: `http://127.0.0.1:${port}`,
    raw,
    get: (path) => raw(path, {}),
    post: send('POST'),
    patch: send('PATCH'),
    put: send('PUT'),
    remove: (path) => raw(path, { method: 'DELETE', headers: { 'Content-Type': 'application/json' } }),
    close: () => new Promise((resolve) => server.close(() => resolve())),
  };
}
