import fs from 'node:fs';
import os from 'node:os';

/** Who holds a data folder: the process and when it started, so that a reused pid is not mistaken for it. */
interface Holder {
  pid: number;
  startedAt: string | null;
  since: string;
  /** Where that pid means something; left out by earlier versions. */
  place?: string | undefined;
}

/** A lock that was taken. */
export interface FolderLock {
  /** Looked at before every commit: somebody who took it all the same would be written over. */
  isHeld: () => boolean;
  release: () => void;
}

/** A holder shows that it lives by touching its lock so often. */
const BEAT_MS = 2000;
/** One of another container is watched for so long: it may be busy for seconds. */
const WATCHED_MS = 15_000;
const LOOKS_EVERY_MS = 250;

/**
 * Where a pid means something: the processes of one container, on one machine since it was started. Of a process elsewhere
 * nobody here can tell whether it lives.
 */
function placeOfPids(): string {
  const read = (work: () => string) => {
    try {
      return work().trim();
    } catch {
      return '';
    }
  };
  const boot = read(() => fs.readFileSync('/proc/sys/kernel/random/boot_id', 'utf8'));
  return [os.hostname(), boot, read(() => fs.readlinkSync('/proc/self/ns/pid'))].join(' ');
}

/** State letter and start (clock ticks since boot) of a process, from Linux's /proc; null where there is none. */
function processState(pid: number): { state: string; startedAt: string } | null {
  try {
    const stat = fs.readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The command, in brackets, may itself hold spaces: count the fields behind it. State is field 3, start 22.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return { state: fields[0] ?? '', startedAt: fields[19] ?? '' };
  } catch {
    return null;
  }
}

function isAlive(holder: Holder, file: string, watchedMs: number): boolean {
  if (holder.place !== undefined && holder.place !== placeOfPids()) return isBeating(file, watchedMs);
  try {
    process.kill(holder.pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false;
  }
  const now = processState(holder.pid);
  // A killed process that its parent has not collected yet (Z) still answers to its pid, but holds nothing.
  if (now?.state === 'Z' || now?.state === 'X') return false;
  return holder.startedAt === null || now === null || now.startedAt === holder.startedAt;
}

/** Whether somebody touches a lock while it is watched. Nothing else goes on meanwhile: the server has not begun. */
function isBeating(file: string, watchedMs: number): boolean {
  const touched = () => fs.statSync(file, { throwIfNoEntry: false })?.mtimeMs;
  const before = touched();
  const never = new Int32Array(new SharedArrayBuffer(4));
  for (let waited = 0; waited < watchedMs && before !== undefined; waited += LOOKS_EVERY_MS) {
    Atomics.wait(never, 0, 0, LOOKS_EVERY_MS);
    if (touched() !== before) return true;
  }
  return false;
}

function readLock(file: string): string | null {
  try {
    return fs.readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}

function readHolder(file: string): Holder | null {
  try {
    const holder = JSON.parse(readLock(file) ?? '') as Holder;
    return typeof holder.pid === 'number' ? holder : null;
  } catch {
    return null;
  }
}

/**
 * Takes the lock file for this process, or throws an error that says who holds it. A lock whose process is gone (it
 * was killed) is taken over; one from another container, once it has not been touched for a while. Two servers on one folder
 * would destroy it without a word, so there is no way round.
 * @param lost is told when somebody else has taken the lock all the same: then nothing more may be written
 * @returns whether it is held still, and a way to give it back.
 */
export function lockFolder(
  file: string,
  folder: string,
  lost: () => void = () => undefined,
  watchedMs = WATCHED_MS,
): FolderLock {
  const own = JSON.stringify({
    pid: process.pid,
    startedAt: processState(process.pid)?.startedAt ?? null,
    since: new Date().toISOString(),
    place: placeOfPids(),
  } satisfies Holder);
  for (let attempt = 0; attempt < 5; attempt += 1) {
    try {
      // Written aside and linked into place: a lock file is never seen half written.
      const draft = `${file}.${process.pid}`;
      fs.writeFileSync(draft, own, { mode: 0o600 });
      try {
        fs.linkSync(draft, file);
      } finally {
        fs.unlinkSync(draft);
      }
      const isOwn = () => readLock(file) === own;
      const beat = setInterval(() => {
        if (isOwn()) return fs.utimesSync(file, new Date(), new Date());
        clearInterval(beat);
        lost();
      }, BEAT_MS);
      beat.unref();
      return {
        isHeld: () => {
          if (isOwn()) return true;
          lost();
          return false;
        },
        release: () => {
          clearInterval(beat);
          if (isOwn()) fs.rmSync(file, { force: true });
        },
      };
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    const holder = readHolder(file);
    if (holder && isAlive(holder, file, watchedMs)) throw heldBy(holder, folder);
    setAside(file, folder, holder, watchedMs);
  }
  throw new Error(`The data folder ${folder} could not be locked: several servers are starting on it at once.`);
}

/** Moves a stale lock away. If another process has put a living one in its place meanwhile, that one goes back. */
function setAside(file: string, folder: string, seen: Holder | null, watchedMs: number): void {
  const aside = `${file}.stale.${process.pid}`;
  try {
    fs.renameSync(file, aside);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return;
    throw error;
  }
  const moved = readHolder(aside);
  const isAnother = moved?.since !== seen?.since || moved?.pid !== seen?.pid;
  if (moved && isAnother && isAlive(moved, aside, watchedMs)) {
    fs.linkSync(aside, file);
    fs.unlinkSync(aside);
    throw heldBy(moved, folder);
  }
  fs.unlinkSync(aside);
}

const elsewhere = ({ place }: Holder) =>
  place === undefined || place === placeOfPids() ? '' : ` of ${place.split(' ')[0] ?? 'another machine'}`;

function heldBy(holder: Holder, folder: string): Error {
  return new Error(
    `The data folder ${folder} is in use by process ${holder.pid}${elsewhere(holder)} (since ${holder.since}). ` +
      `Stop that server, or give this one another folder in VB_DATA.`,
  );
}
