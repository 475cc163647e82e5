import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Request, RequestHandler } from 'express';
import { invalid, Problem } from './problem';

/** Larger than any house: what is sent, or unpacks to more, is none. Bytes, chosen here */
export const MOST_BYTES = 2 ** 31;

/** Does work with a folder of its own, which is gone afterwards. */
export async function inFolder(work: (folder: string) => Promise<void>): Promise<void> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-file-'));
  try {
    await work(folder);
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

/** Sends a file from the disk, to be saved under a name. */
export async function sent(response: Parameters<RequestHandler>[1], file: string, name: string): Promise<void> {
  response.set('Content-Disposition', `attachment; filename="${name}"`);
  response.set('Content-Length', String(fs.statSync(file).size));
  response.type('application/zip');
  await pipeline(fs.createReadStream(file), response);
}

/** Takes a file in as it comes, and no more than it may be. */
export async function received(request: Request, file: string): Promise<void> {
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
