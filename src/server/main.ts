import path from 'node:path';
import { forgetTouched } from './house/touched';
import { houseAddress, trustAddress } from './lan/way';
import { homeNetwork, listen } from './listening';
import { complain, log } from './log';
import { bringsOthers, settings, type Settings } from './settings';
import { listPeople } from './storage/access';
import { checkShippedData } from '@/contract/shippedData';
import { canComeAsKeeper } from './access/sessions';
import { newSetupCode, setupCodeOf } from './access/setupCode';
import { createApp } from './app';
import { backupKeeper, keepBackingUp } from './backup/keeping';
import { wayBack } from './backup/newest';
import { startDevices } from './devices/devices';
import { scoreKeeper } from './resources/scores';
import { keepScoring } from './scores/keeping';
import { behindSince } from './behind';
import { systemClock, type Clock } from './clock';
import { seedDemo } from './demo';
import { packageFacts, ROOT } from './root';
import { DamagedData, fullness, openDataFolder } from './storage/dataFolder';
import type { Database } from './storage/database';
import { guarded } from './storage/guarded';
import { migrate } from './storage/migrate';
import { countRows, openFolder, openMemory, wasCounted } from './storage/pglite';
import { openPostgres } from './storage/postgres';
import { preparedCluster } from './storage/preparedCluster';
import { readEveryPage } from './storage/readEveryPage';
import { demoCluster, testControls } from './testing/testHouse';

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

async function openDatabase({ data, databaseUrl, demo, testClock, backups }: Settings): Promise<Database> {
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
  const count = () =>
    void countRows(database).catch((error: unknown) => complain('What the tables hold could not be counted.', error));
  if (await wasCounted(database)) setTimeout(count, COUNTED_AFTER_MS).unref();
  else await countRows(database);
  setInterval(count, COUNTED_EVERY_MS).unref();
}

/** Forgets what was touched so long ago that nobody asks for it. */
async function keepForgetting(database: Database): Promise<void> {
  await forgetTouched(database).catch((error: unknown) => complain('What was touched long ago stays for now.', error));
  setInterval(
    () =>
      void forgetTouched(database).catch((error: unknown) =>
        complain('What was touched long ago could not be forgotten.', error),
      ),
    COUNTED_EVERY_MS,
  ).unref();
}

/** Tells of a clock that was set back. */
async function tellOfClock(database: Database, clock: Clock): Promise<void> {
  const behind = await behindSince(database, clock);
  if (behind === null) return;
  log.warn(
    `The clock of this machine says ${clock.now()}, and the newest entry is of ${behind}: it was set back. Set it right before anything is written.`,
  );
}

async function main(): Promise<void> {
  const { version } = packageFacts;
  checkShippedData();
  const wanted = settings(process.env);
  const opened = await openDatabase(wanted);
  await migrate(opened);
  const onDisk = !wanted.databaseUrl && wanted.data !== 'memory';
  const database = onDisk ? guarded(opened, fullness(wanted.data)) : opened;
  const clock = wanted.testClock ?? systemClock;
  if (wanted.demo) await seedDemo(database, clock);
  await tellOfClock(database, clock);
  await keepCounted(wanted.databaseUrl ? undefined : database);
  await keepForgetting(database);
  // A test asks when it asks.
  if (!wanted.testClock) keepScoring(scoreKeeper({ database, clock }));
  const network = wanted.lan ? await homeNetwork(wanted) : undefined;
  const devices = await startDevices({ database, clock }, wanted.mqttPort, wanted.mqttUrl, {
    waits: wanted.testClock !== undefined,
    secure: network?.certificate,
  });
  const keeper = wanted.backups ? backupKeeper({ database, clock, version, folder: wanted.backups }) : undefined;
  if (keeper && !wanted.testClock) keepBackingUp(keeper);
  const setupCode = await setupCodeFor(wanted, database);
  const app = createApp({
    database,
    clock,
    version,
    webFolder: path.join(ROOT, 'dist'),
    log: true,
    backups: keeper,
    labelPrinter: wanted.labelPrinter,
    hosts: () => [...wanted.hosts, ...(network?.names.all ?? [])],
    proxies: wanted.proxies,
    isShared: bringsOthers(wanted),
    setupCode: setupCode === undefined ? undefined : setupCodeOf(setupCode),
    network:
      network &&
      (() => ({
        ...{ house: houseAddress(network), trust: trustAddress(network) },
        fingerprint: network.certificate().fingerprint,
      })),
    // A test asks when it asks.
    readyEveryMs: wanted.testClock ? undefined : 2000,
    testControls: wanted.testClock && testControls({ database, clock: wanted.testClock }, devices.look),
  });
  const close = await listen(app, wanted, `Verdant Burrow ${version}`, database.name, setupCode, network);
  const stop = () =>
    close(
      () =>
        void devices
          .stop()
          .then(() => database.close())
          .then(() => process.exit(0)),
    );
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

/** The code for whoever sets the house up from another machine; undefined where nobody needs one. */
async function setupCodeFor(wanted: Settings, database: Database): Promise<string | undefined> {
  const { lan, setsUp, demo } = wanted;
  const isShared = lan || bringsOthers(wanted);
  const hasKeeper = (await listPeople(database)).some(canComeAsKeeper);
  if (demo && isShared && !hasKeeper) {
    throw new Error(
      'The demo is open to whoever comes: it is not served to a network. Start a house of your own with --lan.',
    );
  }
  return setsUp || (isShared && !hasKeeper) ? newSetupCode() : undefined;
}

function fail(error: unknown): never {
  const inUse = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
  const message = error instanceof Error ? error.message : String(error);
  console.error(inUse ? `${message}. Another program has that port: name a free one in PORT.` : message);
  if (process.env.VB_DEBUG) console.error(error);
  process.exit(1);
}

main().catch(fail);
