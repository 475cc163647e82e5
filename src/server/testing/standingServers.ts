import { startProcess, type ServerProcess } from './standingServer';

let servers: ServerProcess[] = [];

/** One standing server for each of the workers that run tests side by side: Jest calls this before the first of them. */
export async function begin({ maxWorkers }: { maxWorkers: number }): Promise<void> {
  // Two projects of one run share them.
  if (process.env.VB_STANDING !== undefined) return;
  process.env.VB_STANDING = '';
  // The first lays the demo for all.
  servers = [await startProcess()];
  servers.push(...(await Promise.all(Array.from({ length: maxWorkers - 1 }, () => startProcess()))));
  process.env.VB_STANDING = servers.map(({ address }) => address).join(' ');
}

export async function end(): Promise<void> {
  await Promise.all(servers.map((server) => server.end('SIGKILL')));
  servers = [];
}

/** The standing server of this worker. @throws where there is none: in projects that start none. */
export function standingAddress(): string {
  const addresses = (process.env.VB_STANDING ?? '').split(' ');
  const address = addresses[(Number(process.env.JEST_WORKER_ID ?? '1') - 1) % addresses.length];
  if (!address) throw new Error('No server was started for these tests.');
  return address;
}
