import path from 'node:path';
import type { RequestHandler } from 'express';
import { houseToday } from '../house/houseToday';
import { inFolder, received, sent } from '../http/fileTransfer';
import { invalid, notFound, Problem } from '../http/problem';
import type { Deps } from '../resources/deps';
import type { BackupKeeper } from './keeping';
import { BadBackup } from './read';
import { restore } from './restore';
import { holdsAnything } from './tables';
import { writeBackup } from './write';

export interface BackupRoutes {
  /** The house of this moment as one file. */
  download: RequestHandler;
  /** One of those that were kept. */
  kept: RequestHandler;
  /** Puts a file in the place of this house; what was there is kept aside first. */
  bringIn: RequestHandler;
  /** How far the file is that is written now; null while none is. */
  writing: () => Writing | null;
}

export interface Writing {
  done: number;
  of: number;
}

/** Backups over HTTP: out as a file, and in again. */
export function backupRoutes(
  { database, clock, version }: Deps,
  keeper: BackupKeeper | undefined,
  tell: () => void,
): BackupRoutes {
  let writing: Writing | null = null;
  return {
    writing: () => writing,

    download: async (_request, response) => {
      await inFolder(async (folder) => {
        const file = path.join(folder, 'backup.zip');
        const progress = (done: number, of: number) => void (writing = { done, of });
        try {
          await writeBackup(database, file, { program: version, madeAt: clock.now(), progress });
        } finally {
          writing = null;
        }
        await sent(response, file, `verdant-burrow-${clock.today()}.zip`);
      });
    },

    kept: async (request, response) => {
      const name = String(request.params.name);
      const file = keeper?.fileOf(name);
      if (file === undefined) throw notFound('backup of that name');
      await sent(response, file, name);
    },

    bringIn: async (request, response) => {
      const isInstead = request.query.instead === '1';
      if (!isInstead && (await holdsAnything(database)))
        throw new Problem('conflict', 'This house is not empty: say that the file is to be put in its place.', [
          { path: 'instead', message: 'Send instead=1. What is here is kept aside first.' },
        ]);
      if (isInstead && !keeper)
        throw new Problem('conflict', 'There is no folder in which what is here could be kept aside.', [
          { path: 'instead', message: 'Start the server with VB_BACKUPS, a folder of your choice.' },
        ]);
      await inFolder(async (folder) => {
        const file = path.join(folder, 'brought.zip');
        await received(request, file);
        const before = path.join(folder, 'before.zip');
        await writeBackup(database, before, { program: version, madeAt: clock.now() });
        // Aside before anything is changed: nobody knows when the power fails.
        const keptAs = isInstead ? (keeper?.keepAside(before) ?? null) : null;
        try {
          const { rows, madeAt } = await restore(database, file);
          // The new house has to answer; else the one before comes back.
          await houseToday(database, clock.today(), clock.now());
          tell();
          response.json({ rows, madeAt, keptAs });
        } catch (error) {
          if (!(error instanceof BadBackup)) await restore(database, before);
          if (keptAs !== null) keeper?.dropAside(keptAs);
          throw error instanceof BadBackup ? invalid('file', error.message) : error;
        }
      });
    },
  };
}
