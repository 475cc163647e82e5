import { spawn } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { daysBetween, type Day } from '@/core/measure/day';
import type { Clock } from '../clock';
import { ROOT } from '../root';
import type { Database } from '../storage/database';
import { asideName, keptOf } from './kept';
import { dailyIn, provenIn, writeProof } from './newest';
import { writeBackup } from './write';
import { complain } from '../log';

/** A backup in the folder. */
export interface KeptBackup {
  name: string;
  day: Day;
  bytes: number;
}

/** How the backups of the house stand. */
export interface BackupState {
  folder: string;
  backups: KeptBackup[];
  /** The last day whose backup was restored on trial, and came out whole. */
  provenOn: Day | null;
  /** Why the last one did not work. */
  problem: string | null;
  /** None has worked for three days. */
  isLate: boolean;
}

/** A keeper is told when none has worked for so long. days */
const LATE_DAYS = 3;

export interface BackupOptions {
  database: Database;
  clock: Clock;
  version: string;
  folder: string;
  /** Restores a file on trial; in a process of its own where nothing else is said. @throws with what is wrong */
  prove?: (file: string) => Promise<void>;
}

/** Makes a backup each day, keeps some of the past, and proves the newest by restoring it on trial. */
export function backupKeeper({ database, clock, version, folder, prove = proveApart }: BackupOptions) {
  let problem: string | null = null;
  const beganOn = clock.today();
  const list = (): KeptBackup[] =>
    dailyIn(folder).map((each) => ({ ...each, bytes: fs.statSync(path.join(folder, each.name)).size }));
  /** Writes a backup of this moment into the folder, under a name. */
  const write = async (name: string): Promise<string> => {
    fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
    const file = path.join(folder, name);
    await writeBackup(database, file, { program: version, madeAt: clock.now() });
    return file;
  };
  return {
    state(): BackupState {
      const proven = provenIn(folder);
      const isLate = daysBetween(proven ?? beganOn, clock.today()) >= LATE_DAYS;
      return { folder, backups: list(), provenOn: proven, problem, isLate };
    },
    /** Keeps a file beside those of the days, never thrown away by itself; answers its name. */
    keepAside(file: string): string {
      fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
      const name = asideName(clock.now());
      fs.copyFileSync(file, path.join(folder, name));
      return name;
    },
    /** Throws away what was kept aside, as nothing took its place. */
    dropAside: (name: string): void => fs.rmSync(path.join(folder, name), { force: true }),
    /** Where a backup of the folder lies; undefined where there is none of that name. */
    fileOf: (name: string): string | undefined =>
      list().some((each) => each.name === name) ? path.join(folder, name) : undefined,
    /** Today's backup, where it is not made yet; it is proven, and what need not be kept is thrown away. */
    async daily(): Promise<void> {
      const today = clock.today();
      if (provenIn(folder) === today && list().some(({ day }) => day === today)) return;
      try {
        const file = await write(`verdant-burrow-${today}.zip`);
        await prove(file);
        writeProof(folder, today);
        problem = null;
        const kept = keptOf(list().map(({ day }) => day));
        for (const { name, day } of list()) if (!kept.has(day)) fs.rmSync(path.join(folder, name));
      } catch (error) {
        problem = error instanceof Error ? error.message : String(error);
        complain(`The backup of ${today} did not work: ${problem}`);
      }
    },
  };
}

export type BackupKeeper = ReturnType<typeof backupKeeper>;

/** Restores a file on trial in a process of its own: it takes memory that this one would not give back. */
function proveApart(file: string): Promise<void> {
  const trial = spawn(process.execPath, [path.join(ROOT, 'bin/restore'), '--try', file], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  const said: Buffer[] = [];
  trial.stderr.on('data', (part: Buffer) => said.push(part));
  return new Promise((resolve, reject) => {
    trial.once('error', reject);
    trial.once('exit', (code) => {
      if (code === 0) return resolve();
      reject(
        new Error(`On trial it could not be restored: ${Buffer.concat(said).toString('utf8').trim().slice(0, 300)}`),
      );
    });
  });
}

const LOOKED_EVERY_MS = 30 * 60_000;
/** Whoever has just started it wants to see something first. ms, chosen here */
const LOOKED_AFTER_MS = 3 * 60_000;

/** Looks now and then whether today's backup is made. */
export function keepBackingUp(keeper: BackupKeeper): void {
  const look = () => void keeper.daily();
  setTimeout(look, LOOKED_AFTER_MS).unref();
  setInterval(look, LOOKED_EVERY_MS).unref();
}
