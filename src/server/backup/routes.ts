import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Request, RequestHandler } from 'express';
import { houseToday } from '../house/houseToday';
import { invalid, notFound, Problem } from '../http/problem';
import type { Deps } from '../resources/deps';
import type { BackupKeeper } from './keeping';
import { BadBackup, MOST_BYTES } from './read';
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
}

/** Backups over HTTP: out as a file, and in again. */
export function backupRoutes(
  { database, clock, version }: Deps,
  keeper: BackupKeeper | undefined,
  tell: () => void,
): BackupRoutes {
  return {
    download: async (_request, response) => {
      await inFolder(async (folder) => {
        const file = path.join(folder, 'backup.zip');
        await writeBackup(database, file, { program: version, madeAt: clock.now() });
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

async function inFolder(work: (folder: string) => Promise<void>): Promise<void> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-file-'));
  try {
    await work(folder);
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

async function sent(response: Parameters<RequestHandler>[1], file: string, name: string): Promise<void> {
  response.set('Content-Disposition', `attachment; filename="${name}"`);
  response.set('Content-Length', String(fs.statSync(file).size));
  response.type('application/zip');
  await pipeline(fs.createReadStream(file), response);
}

/** Takes a file in as it comes, and no more than it may be. */
async function received(request: Request, file: string): Promise<void> {
  if (!request.is('application/zip')) throw new Problem('unsupported-media-type', 'Send the file as application/zip.');
  let bytes = 0;
  const counted = new Transform({
    transform(part: Buffer, _encoding, next) {
      bytes += part.length;
      next(bytes > MOST_BYTES ? invalid('file', 'It is larger than 2 GB: that is no house.') : null, part);
    },
  });
  await pipeline(request, counted, fs.createWriteStream(file, { mode: 0o600 }));
  if (bytes === 0) throw invalid('file', 'It is empty.');
}
