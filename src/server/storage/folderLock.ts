import fs from 'node:fs';

/** Who holds a data folder: the process and when it started, so that a reused pid is not mistaken for it. */
interface Holder {
  pid: number;
  startedAt: string | null;
  since: string;
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

function isAlive(holder: Holder): boolean {
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

function readHolder(file: string): Holder | null {
  try {
    const holder = JSON.parse(fs.readFileSync(file, 'utf8')) as Holder;
    return typeof holder.pid === 'number' ? holder : null;
  } catch {
    return null;
  }
}

/**
 * Takes the lock file for this process, or throws an error that says who holds it. A lock whose process is gone (it
 * was killed) is taken over. Two servers on one folder would destroy it without a word, so there is no way round.
 * @returns a function that gives the lock back.
 */
export function lockFolder(file: string, folder: string): () => void {
  const own = JSON.stringify({
    pid: process.pid,
    startedAt: processState(process.pid)?.startedAt ?? null,
    since: new Date().toISOString(),
  });
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
      return () => {
        if (readHolder(file)?.pid === process.pid) fs.rmSync(file, { force: true });
      };
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    const holder = readHolder(file);
    if (holder && isAlive(holder)) throw heldBy(holder, folder);
    setAside(file, folder);
  }
  throw new Error(`The data folder ${folder} could not be locked: several servers are starting on it at once.`);
}

/** Moves a stale lock away. If another process has put a living one in its place meanwhile, that one goes back. */
function setAside(file: string, folder: string): void {
  const aside = `${file}.stale.${process.pid}`;
  try {
    fs.renameSync(file, aside);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return;
    throw error;
  }
  const moved = readHolder(aside);
  if (moved && isAlive(moved)) {
    fs.linkSync(aside, file);
    fs.unlinkSync(aside);
    throw heldBy(moved, folder);
  }
  fs.unlinkSync(aside);
}

function heldBy(holder: Holder, folder: string): Error {
  return new Error(
    `The data folder ${folder} is in use by process ${holder.pid} (since ${holder.since}). ` +
      `Stop that server, or give this one another folder in VB_DATA.`,
  );
}
