import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { settableClock, systemClock, type SettableClock } from './clock';
import { labelPrinterOf, papersOfNowhere } from './devices/labelPrinter';
import { ROOT } from './root';

/** @throws naming the setting, where it is no port. */
function portOf(text: string | undefined, name: string): number | undefined {
  if (text === undefined || text === '') return undefined;
  const port = Number(text);
  if (Number.isInteger(port) && port >= 0 && port <= 65535) return port;
  throw new Error(`${name} must be a whole number from 0 to 65535; got ${text}.`);
}

/**
 * The clock of a server that is started for tests: `VB_TEST=1`, with `VB_NOW` where it begins.
 * @throws when a time is set for a server that is not for tests: it would write days that were not.
 */
function testClock({ VB_TEST, VB_NOW }: NodeJS.ProcessEnv): SettableClock | undefined {
  if (VB_TEST !== '1') {
    if (VB_NOW) throw new Error('VB_NOW sets the time for tests only: set VB_TEST=1 with it, or leave it out.');
    return undefined;
  }
  const start = VB_NOW || systemClock.now();
  if (Number.isNaN(Date.parse(start)) || !start.endsWith('Z')) {
    throw new Error(`VB_NOW must be an instant in UTC, for example 2026-03-14T18:00:00Z; got ${start}.`);
  }
  return settableClock(start);
}

/** Where backups are kept: in a folder of choice, else beside the data; of a house that is in no folder, nowhere. */
function backupFolder({ VB_BACKUPS, VB_DATA, DATABASE_URL }: NodeJS.ProcessEnv): string | undefined {
  if (VB_BACKUPS) return path.resolve(VB_BACKUPS);
  if (VB_DATA === 'memory' || DATABASE_URL) return undefined;
  return path.resolve(VB_DATA ?? path.join(ROOT, '.data'), 'backups');
}

/** Where the simulated label printer puts its papers: beside the data; of a house that is in no folder, in one of its own. */
const paperFolder = ({ VB_DATA, DATABASE_URL }: NodeJS.ProcessEnv): string =>
  VB_DATA === 'memory' || DATABASE_URL
    ? papersOfNowhere()
    : path.resolve(VB_DATA ?? path.join(ROOT, '.data'), 'labels');

/** Yes or no. @throws for anything else */
function isOn(text: string | undefined, name: string): boolean {
  if (text === undefined || text === '' || text === '0') return false;
  if (text === '1') return true;
  throw new Error(`${name} must be 1 or 0; got ${text}.`);
}

/**
 * Addresses and networks of proxies whose forwarded headers count. @throws for what is neither
 */
function proxiesOf(text: string | undefined): string[] {
  const known = new Set(['loopback', 'linklocal', 'uniquelocal']);
  return listOf(text).map((each) => {
    const [address = '', bits] = each.split('/');
    const isNetwork = net.isIP(address) > 0 && (bits === undefined || /^\d{1,3}$/.test(bits));
    if (known.has(each) || isNetwork) return each;
    throw new Error(
      `VB_PROXY must list addresses or networks such as 10.0.0.2 or 10.0.0.0/24, or loopback; got ${each}.`,
    );
  });
}

const listOf = (text: string | undefined): string[] => (text ?? '').split(',').flatMap((each) => each.trim() || []);

export type Settings = ReturnType<typeof settings>;

/** What the environment asks for. */
export function settings(environment: NodeJS.ProcessEnv) {
  return {
    port: portOf(environment.PORT ?? '4870', 'PORT') ?? 4870,
    data: environment.VB_DATA === 'memory' ? 'memory' : path.resolve(environment.VB_DATA ?? path.join(ROOT, '.data')),
    demo: environment.VB_DEMO === '1',
    databaseUrl: environment.DATABASE_URL,
    mqttPort: portOf(environment.VB_MQTT_PORT, 'VB_MQTT_PORT'),
    mqttUrl: environment.VB_MQTT_URL,
    backups: backupFolder(environment),
    labelPrinter: labelPrinterOf(environment.VB_LABEL_PRINTER, paperFolder(environment)),
    hosts: listOf(environment.VB_HOSTS),
    proxies: proxiesOf(environment.VB_PROXY),
    /** Serves the home network too, over TLS. */
    lan: isOn(environment.VB_LAN, 'VB_LAN'),
    /** Tells the home network where it is. */
    announces: environment.VB_ANNOUNCE !== '0',
    /** Shows a code that makes whoever has read it a keeper, also where somebody can sign in: for a lost password. */
    setsUp: isOn(environment.VB_SETUP, 'VB_SETUP'),
    bind: environment.VB_BIND || undefined,
    certificates: path.resolve(
      environment.VB_TLS ??
        path.join(
          environment.VB_DATA === 'memory' ? os.tmpdir() : (environment.VB_DATA ?? path.join(ROOT, '.data')),
          'tls',
        ),
    ),
    testClock: testClock(environment),
  };
}

/** An address that others than this machine reach. */
export const isBeyond = (address: string): boolean => !/^(127\.|::1$|localhost$)/.test(address);

/**
 * Whether others are brought in: by another address, under another name, or by a proxy whose word is taken. What comes from this
 * machine may come from anywhere then.
 */
export const bringsOthers = ({ proxies, hosts, bind }: Pick<Settings, 'proxies' | 'hosts' | 'bind'>): boolean =>
  proxies.length + hosts.length > 0 || (bind !== undefined && isBeyond(bind));
