import { spawn, type ChildProcess } from 'node:child_process';
import path from 'node:path';
import { testStart } from '../../core/testing/testStart';

const ROOT = path.resolve(__dirname, '../../..');
/** To lay the demo for the first time takes some 20 s on two cores that do nothing else. */
const READY_WITHIN_MS = 120_000;

/** A server in a process of its own, as keepers run it, with the clock that tests may set. */
export interface ServerProcess {
  address: string;
  child: ChildProcess;
  end: (signal?: 'SIGTERM' | 'SIGKILL') => Promise<void>;
}

/**
 * Starts one and waits until it answers.
 * @param settings of the environment, beside those that make it a server for tests
 * @throws with what it said, when it ends or does not get ready
 */
export async function startProcess(settings: Record<string, string> = {}): Promise<ServerProcess> {
  const child = spawn(process.execPath, ['bin/serve'], {
    cwd: ROOT,
    env: { ...process.env, NODE_OPTIONS: '', TZ: process.env.TZ ?? 'UTC', ...testSettings(), ...settings },
  });
  let output = '';
  const address = await new Promise<string>((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error(`The server did not get ready: ${output}`)), READY_WITHIN_MS);
    const hear = (data: Buffer) => {
      output += String(data);
      const ready = /is ready at (http:\S+)/.exec(output)?.[1];
      if (ready === undefined) return;
      clearTimeout(timer);
      resolve(ready);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', () => reject(new Error(`The server ended: ${output}`)));
  });
  child.stdout.resume();
  child.stderr.resume();
  return { address, child, end: (signal = 'SIGTERM') => ended(child, signal) };
}

const testSettings = () => ({ VB_TEST: '1', VB_NOW: testStart(), VB_DATA: 'memory', VB_DEMO: '1', PORT: '0' });

async function ended(child: ChildProcess, signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const over = new Promise((resolve) => child.once('exit', resolve));
  child.kill(signal);
  await over;
}

/** Asks a server that was started for tests to stand at a time, or to hold nothing or the demo. */
export async function control(address: string, what: 'clock' | 'house', body: object): Promise<void> {
  const answer = await fetch(`${address}/api/test/${what}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`/api/test/${what} answered ${answer.status}: ${await answer.text()}`);
}
