import fs from 'node:fs';
import path from 'node:path';
import { systemClock } from '../clock';
import { packageFacts, ROOT } from '../root';
import { openDataFolder } from '../storage/dataFolder';
import { lockFolder } from '../storage/folderLock';
import type { Database } from '../storage/database';
import { migrate } from '../storage/migrate';
import { openFolder, openMemory } from '../storage/pglite';
import { openPostgres } from '../storage/postgres';
import { asideName } from './kept';
import { rescue } from './rescue';
import { restore } from './restore';
import { holdsAnything } from './tables';
import { writeBackup } from './write';

const USAGE = `usage: bin/backup FILE                writes everything that is kept into a file
       bin/backup --rescue FILE       saves what still reads of damaged data, which stays as it is
       bin/restore FILE [--instead]   puts a file into an empty house, or in the place of this one
       bin/restore --try FILE         restores a file on trial, and says whether it is whole
The house is the one in VB_DATA (${path.join(ROOT, '.data')}), or of the server in DATABASE_URL.`;

const dataFolder = () => path.resolve(process.env.VB_DATA ?? path.join(ROOT, '.data'));

async function backup(file: string): Promise<void> {
  const database = await open();
  try {
    await migrate(database);
    const { tables } = await writeBackup(database, path.resolve(file), {
      program: packageFacts.version,
      madeAt: systemClock.now(),
    });
    console.log(`${tables.reduce((sum, { rows }) => sum + rows, 0)} rows of ${tables.length} tables are in ${file}.`);
  } finally {
    await database.close();
  }
}

/** What still reads of data that can no longer be opened as a house is. */
async function saveWhatReads(file: string): Promise<void> {
  if (process.env.DATABASE_URL) throw new Error('A PostgreSQL server has tools of its own for damaged data.');
  const folder = dataFolder();
  const { release: unlock } = lockFolder(path.join(folder, 'cluster.lock'), folder);
  try {
    const facts = { program: packageFacts.version, madeAt: systemClock.now() };
    const { rows, left, leftIn } = await rescue(path.join(folder, 'cluster'), path.resolve(file), facts);
    console.log(
      `${rows} rows still read, and are in ${file}.` +
        (leftIn === null ? '' : ` ${left} more are about what does not read: they are in ${leftIn}.`) +
        ` Nothing was changed in ${folder}.`,
    );
  } finally {
    unlock();
  }
}

async function open(): Promise<Database> {
  const { DATABASE_URL } = process.env;
  return DATABASE_URL ? openPostgres(DATABASE_URL) : openFolder(openDataFolder(dataFolder()));
}

/** Into an empty house; instead of one that is not, into a new cluster beside it, which takes its place once it is whole. */
async function bringIn(file: string, isInstead: boolean): Promise<void> {
  const { DATABASE_URL } = process.env;
  const folder = dataFolder();
  if (!DATABASE_URL && isInstead && fs.existsSync(path.join(folder, 'cluster'))) return bringInBeside(file, folder);
  const database = await open();
  try {
    await migrate(database);
    if (await holdsAnything(database)) {
      if (!isInstead) throw new Error('That house is not empty. Say --instead to put the file in its place.');
      const aside = path.join(path.resolve(process.env.VB_BACKUPS ?? path.dirname(file)), asideName(systemClock.now()));
      await writeBackup(database, aside, { program: packageFacts.version, madeAt: systemClock.now() });
      console.log(`What was there is kept in ${aside}.`);
    }
    await restoreAndSay(database, file);
  } finally {
    await database.close();
  }
}

/** The cluster that was there is kept under another name, also where it can no longer be opened. */
async function bringInBeside(file: string, folder: string): Promise<void> {
  // Not opened as a house is: what lies there may be damaged.
  const { release: unlock } = lockFolder(path.join(folder, 'cluster.lock'), folder);
  const beside = path.join(folder, 'cluster.restored');
  try {
    fs.rmSync(beside, { recursive: true, force: true });
    const scratch = {
      cluster: beside,
      draft: `${beside}.new`,
      isNew: true,
      isHeld: () => true,
      release: () => undefined,
    };
    const database = await openFolder(scratch);
    try {
      await migrate(database);
      await restoreAndSay(database, file);
    } finally {
      await database.close();
    }
    const aside = path.join(folder, `cluster.before-${systemClock.now().replace(/[:.]/g, '-')}`);
    fs.renameSync(path.join(folder, 'cluster'), aside);
    fs.renameSync(beside, path.join(folder, 'cluster'));
    console.log(`What was there is kept in ${aside}: throw it away once all is well.`);
  } finally {
    fs.rmSync(beside, { recursive: true, force: true });
    unlock();
  }
}

async function restoreAndSay(database: Database, file: string): Promise<void> {
  const { rows, madeAt } = await restore(database, path.resolve(file));
  console.log(`${rows} rows of ${madeAt.slice(0, 10)} are in the house.`);
}

async function tryOut(file: string): Promise<void> {
  const database = await openMemory();
  try {
    await migrate(database);
    await restoreAndSay(database, file);
  } finally {
    await database.close();
  }
}

async function main([command = '', ...rest]: string[]): Promise<void> {
  const flags = rest.filter((each) => each.startsWith('--'));
  const [file, ...more] = rest.filter((each) => !each.startsWith('--'));
  const known = command === 'restore' ? ['--instead', '--try'] : ['--rescue'];
  const isKnown = flags.every((each) => known.includes(each));
  if (file === undefined || more.length > 0 || !isKnown) {
    console.error(USAGE);
    process.exit(2);
  }
  if (command === 'backup') return flags.includes('--rescue') ? saveWhatReads(file) : backup(file);
  return flags.includes('--try') ? tryOut(file) : bringIn(file, flags.includes('--instead'));
}

main(process.argv.slice(2)).then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : String(error));
    process.exit(1);
  },
);
