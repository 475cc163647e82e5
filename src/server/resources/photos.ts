import type { RequestHandler } from 'express';
import { id } from '@/contract/primitives';
import { notFound } from '../http/problem';
import type { Queries } from '../storage/database';
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
