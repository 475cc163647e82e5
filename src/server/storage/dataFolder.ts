import fs from 'node:fs';
import path from 'node:path';
import { lockFolder } from './folderLock';

/** The database cluster inside VB_DATA, and what lies beside it. */
export interface DataFolder {
  cluster: string;
  /** True when there is no cluster yet. */
  isNew: boolean;
  /** Where a new cluster is built, to be renamed once it is whole. */
  draft: string;
  /** Whether no other server has taken the folder over. */
  isHeld: () => boolean;
  release: () => void;
}

const MEGABYTE = 2 ** 20;
/** A fresh cluster takes about 40 MB; below this a first start could end half-way. */
const FREE_MB_TO_BEGIN = 128;
/** One that is there needs room to come up in, to be read and saved elsewhere. Measured: it takes 1 MB, 17 MB after a kill */
const FREE_MB_TO_READ = 24;
/** Below this nothing more is written: a disk that fills up in the middle of a write stops PGlite for good. */
const FREE_MB_TO_WRITE = 32;

function freeMegabytes(folder: string): number {
  const { bavail, bsize } = fs.statfsSync(folder);
  return (bavail * bsize) / MEGABYTE;
}

/** The disk is asked so often at most. ms */
const ASKED_EVERY_MS = 200;

/** Tells whether so little disk is left that writing would be a risk. */
export function fullness(folder: string): () => boolean {
  let askedAt = -Infinity;
  let isFull = false;
  return () => {
    if (performance.now() - askedAt < ASKED_EVERY_MS) return isFull;
    askedAt = performance.now();
    isFull = freeMegabytes(folder) < FREE_MB_TO_WRITE;
    return isFull;
  };
}

/**
 * Makes, checks and locks the folder that VB_DATA names. A first start that was interrupted leaves only a draft, which
 * is thrown away; a cluster with parts missing is refused with what to do. Every problem is an error in plain words.
 * @param lost is told when another process has taken the folder over
 */
export function openDataFolder(folder: string, lost?: () => void): DataFolder {
  const cluster = path.join(folder, 'cluster');
  const draft = path.join(folder, 'cluster.new');
  makeWritable(folder);
  const free = freeMegabytes(folder);
  const needed = fs.existsSync(cluster) ? FREE_MB_TO_READ : FREE_MB_TO_BEGIN;
  if (free < needed) {
    throw new Error(`Only ${Math.floor(free)} MB are free for ${folder}; ${needed} MB are needed to start.`);
  }
  const { isHeld, release } = lockFolder(path.join(folder, 'cluster.lock'), folder, lost);
  try {
    fs.rmSync(draft, { recursive: true, force: true });
    const isNew = !fs.existsSync(cluster);
    if (isNew) refuseForeignFolder(folder);
    else refuseBrokenCluster(cluster);
    return { cluster, draft, isNew, isHeld, release };
  } catch (error) {
    release();
    throw error;
  }
}

function makeWritable(folder: string): void {
  const probe = path.join(folder, `.write-test.${process.pid}`);
  try {
    fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
    fs.writeFileSync(probe, '');
    fs.rmSync(probe);
  } catch (error) {
    throw new Error(
      `The data folder ${folder} cannot be written to (${(error as NodeJS.ErrnoException).code}). ` +
        `Give this user the right to write there, or name another folder in VB_DATA.`,
    );
  }
}

/** Keeps a mistyped VB_DATA from filling somebody's documents with a database. */
function refuseForeignFolder(folder: string): void {
  const others = fs.readdirSync(folder).filter((name) => !name.startsWith('cluster.'));
  if (others.length > 0) {
    throw new Error(
      `${folder} holds other files (${others.slice(0, 3).join(', ')}) and no Verdant Burrow data. ` +
        `Name an empty or a new folder in VB_DATA.`,
    );
  }
}

/** What was kept cannot be read: a backup is the way back. */
export class DamagedData extends Error {}

function refuseBrokenCluster(cluster: string): void {
  const needed = ['PG_VERSION', 'postgresql.conf', 'global/pg_control', 'base', 'pg_wal'];
  const missing = needed.filter((name) => !fs.existsSync(path.join(cluster, name)));
  if (missing.length > 0) {
    throw new DamagedData(`The data in ${cluster} is damaged: ${missing.join(', ')} missing. Nothing was changed.`);
  }
}
