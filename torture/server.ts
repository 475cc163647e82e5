import { spawn, type ChildProcess } from 'node:child_process';
import path from 'node:path';

const PORT = 4958;
export const HOUSE = `http://127.0.0.1:${PORT}`;
const JSON_TYPE = { 'Content-Type': 'application/json' };

export async function send(
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

export interface Running {
  server: ChildProcess;
  said: () => string;
  ended: Promise<void>;
}

/** A server of its own on what lies in a folder; with `VB_CUT_FOLDER` it may lose its power. */
export function start(data: string, environment: Record<string, string> = {}): Running {
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
export async function isReady({ server }: Running): Promise<boolean> {
  // Counted, not timed: on a machine that sleeps meanwhile nobody has waited.
  for (let asked = 0; asked < 6000; asked += 1) {
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

export async function stopped({ server, ended }: Running): Promise<void> {
  server.kill('SIGKILL');
  await ended;
}
