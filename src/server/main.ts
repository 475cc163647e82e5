import path from 'node:path';
import { forgetTouched } from './house/touched';
import { checkShippedData } from '@/contract/shippedData';
import { createApp } from './app';
import { backupKeeper, keepBackingUp } from './backup/keeping';
import { wayBack } from './backup/newest';
import { startDevices } from './devices/devices';
import { labelPrinterOf, papersOfNowhere } from './devices/labelPrinter';
import { scoreKeeper } from './resources/scores';
import { keepScoring } from './scores/keeping';
import { settableClock, systemClock, type SettableClock } from './clock';
import { seedDemo } from './demo';
import { packageFacts, ROOT } from './root';
import { DamagedData, hasRoomToWrite, openDataFolder } from './storage/dataFolder';
import type { Database } from './storage/database';
import { migrate } from './storage/migrate';
import { countRows, openFolder, openMemory, wasCounted } from './storage/pglite';
import { openPostgres } from './storage/postgres';
import { preparedCluster } from './storage/preparedCluster';
import { readEveryPage } from './storage/readEveryPage';
import { demoCluster, testControls } from './testing/testHouse';

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

/** What the environment asks for. */
function settings(environment: NodeJS.ProcessEnv) {
  return {
    port: portOf(environment.PORT ?? '4870', 'PORT') ?? 4870,
    data: environment.VB_DATA === 'memory' ? 'memory' : path.resolve(environment.VB_DATA ?? path.join(ROOT, '.data')),
    demo: environment.VB_DEMO === '1',
    databaseUrl: environment.DATABASE_URL,
    mqttPort: portOf(environment.VB_MQTT_PORT, 'VB_MQTT_PORT'),
    mqttUrl: environment.VB_MQTT_URL,
    backups: backupFolder(environment),
    labelPrinter: labelPrinterOf(environment.VB_LABEL_PRINTER, paperFolder(environment)),
    hosts: (environment.VB_HOSTS ?? '').split(',').flatMap((each: string) => each.trim() || []),
    testClock: testClock(environment),
  };
}

const KEEP_ALIVE_MS = 65_000;

/** Takes the folder; where it is damaged, says what the way back is. */
function openedOrNot(data: string, cluster: string, backups: string | undefined) {
  try {
    return openDataFolder(data, () => {
      console.error(
        `Another server has taken over the data in ${data}: this one stops at once, and writes nothing more.`,
      );
      process.kill(process.pid, 'SIGKILL');
    });
  } catch (error) {
    if (!(error instanceof DamagedData)) throw error;
    throw new Error(`${error.message}\n${wayBack(cluster, backups)}`, { cause: error });
  }
}

async function openDatabase({
  data,
  databaseUrl,
  demo,
  testClock,
  backups,
}: ReturnType<typeof settings>): Promise<Database> {
  if (databaseUrl) return openPostgres(databaseUrl);
  // Tests begin from a demo that was laid once for all of them.
  const packed = demo && testClock ? () => demoCluster(testClock) : async () => preparedCluster();
  if (data === 'memory') return openMemory(await packed());
  // Whoever goes on writing beside another server destroys what both have written.
  const cluster = path.join(data, 'cluster');
  const folder = openedOrNot(data, cluster, backups);
  try {
    const database = await openFolder(folder, packed);
    await readEveryPage(database);
    return database;
  } catch (error) {
    folder.release();
    const what = error instanceof DamagedData ? error.message : `The data in ${folder.cluster} could not be opened.`;
    throw new Error(`${what}\n${wayBack(folder.cluster, backups)}`, { cause: error });
  }
}

const COUNTED_EVERY_MS = 6 * 3_600_000;
/** Whoever has just started it wants to see something first. ms, chosen here */
const COUNTED_AFTER_MS = 60_000;

/** Lets the embedded database know how large its tables are, at once where it never knew, and as they grow. */
async function keepCounted(database: Database | undefined): Promise<void> {
  if (!database) return;
  const count = () => void countRows(database).catch(console.error);
  if (await wasCounted(database)) setTimeout(count, COUNTED_AFTER_MS).unref();
  else await countRows(database);
  setInterval(count, COUNTED_EVERY_MS).unref();
}

/** Forgets what was touched so long ago that nobody asks for it. */
async function keepForgetting(database: Database): Promise<void> {
  await forgetTouched(database);
  setInterval(() => void forgetTouched(database).catch(console.error), COUNTED_EVERY_MS).unref();
}

async function main(): Promise<void> {
  const { version } = packageFacts;
  checkShippedData();
  const wanted = settings(process.env);
  const database = await openDatabase(wanted);
  await migrate(database);
  const clock = wanted.testClock ?? systemClock;
  if (wanted.demo) await seedDemo(database, clock);
  await keepCounted(wanted.databaseUrl ? undefined : database);
  await keepForgetting(database);
  // A test asks when it asks.
  if (!wanted.testClock) keepScoring(scoreKeeper({ database, clock }));
  const devices = await startDevices({ database, clock }, wanted.mqttPort, wanted.mqttUrl);
  const keeper = wanted.backups ? backupKeeper({ database, clock, version, folder: wanted.backups }) : undefined;
  if (keeper && !wanted.testClock) keepBackingUp(keeper);
  const onDisk = !wanted.databaseUrl && wanted.data !== 'memory';
  const app = createApp({
    database,
    clock,
    version,
    webFolder: path.join(ROOT, 'dist'),
    diskIsFull: onDisk ? () => !hasRoomToWrite(wanted.data) : undefined,
    log: true,
    backups: keeper,
    labelPrinter: wanted.labelPrinter,
    hosts: wanted.hosts,
    // A test asks when it asks.
    readyEveryMs: wanted.testClock ? undefined : 2000,
    testControls: wanted.testClock && testControls({ database, clock: wanted.testClock }, devices.look),
  });
  // Whoever can reach the port can write: this computer only. A proxy in front decides who else may come in.
  const server = app.listen(wanted.port, '127.0.0.1', (error?: Error) => {
    if (error) fail(error);
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : wanted.port;
    console.log(`Verdant Burrow ${version} is ready at http://127.0.0.1:${port} on ${database.name}`);
  });
  // Longer than any client waits: one that sends just as its connection is shut would be told that nobody answers.
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  const stop = () => {
    server.close(
      () =>
        void devices
          .stop()
          .then(() => database.close())
          .then(() => process.exit(0)),
    );
    server.closeIdleConnections();
    // A browser keeps its connection open; after a moment it is cut.
    setTimeout(() => server.closeAllConnections(), 2000);
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

function fail(error: unknown): never {
  const inUse = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
  const message = error instanceof Error ? error.message : String(error);
  console.error(inUse ? `${message}. Another program has that port: name a free one in PORT.` : message);
  if (process.env.VB_DEBUG) console.error(error);
  process.exit(1);
}

main().catch(fail);
