import type { RequestHandler } from 'express';
import { id } from '@/contract/primitives';
import { isJpeg, withoutMetadata } from '@/core/records/jpegParts';
import { invalid, notFound } from '../http/problem';
import type { Queries } from '../storage/database';
import { readEntryPhoto, readSmallPhoto, writeSmallPhoto } from '../storage/entries';
import { inThread } from '../threads/pool';
import type { Deps } from './deps';

/** A picture itself: the one answer that is not JSON. An address that names its version is safe to keep. */
export function photoRoute(
  { database }: Pick<Deps, 'database'>,
  read: (queries: Queries, id: string) => Promise<Buffer | undefined>,
  neverChanges = false,
): RequestHandler {
  return async (request, response) => {
    const asked = id.safeParse(request.params.id);
    const jpeg = asked.success ? await read(database, asked.data) : undefined;
    if (!jpeg) throw notFound('photo of that id');
    const mayKeep = neverChanges || request.query.version !== undefined;
    response.set('Cache-Control', mayKeep ? 'private, max-age=31536000' : 'no-cache');
    response.type('image/jpeg').send(jpeg);
  };
}

/**
 * A photo as it is kept: without where and when it was taken.
 * @throws Problem for what is no photo, or none that is whole: of that nobody can tell what it holds
 */
export function bareJpeg(jpegBase64: string): string {
  const sent = Buffer.from(jpegBase64, 'base64');
  if (!isJpeg(sent)) throw invalid('jpegBase64', 'Must be a whole JPEG picture: this is cut off, or something else.');
  return Buffer.from(withoutMetadata(sent)).toString('base64');
}

/** The photo of an entry; with `?small=1` as a strip shows it, made when it is first asked for. */
export function entryPhotoRoute(deps: Pick<Deps, 'database'>): RequestHandler {
  const whole = photoRoute(deps, readEntryPhoto, true);
  const small = photoRoute(deps, smallOf, true);
  return (request, response, next) => (request.query.small === '1' ? small : whole)(request, response, next);
}

async function smallOf(queries: Queries, entryId: string): Promise<Buffer | undefined> {
  const kept = await readSmallPhoto(queries, entryId);
  if (kept) return kept;
  const whole = await readEntryPhoto(queries, entryId);
  const made = whole && (await inThread('smallPhoto', whole));
  if (!made) return whole;
  const jpeg = Buffer.from(made);
  await writeSmallPhoto(queries, entryId, jpeg.toString('base64'));
  return jpeg;
}
