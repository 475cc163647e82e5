import type { RequestHandler } from 'express';
import { id } from '@/contract/primitives';
import { notFound } from '../http/problem';
import { readPhoto } from '../storage/homes';
import type { Deps } from './deps';

/** The picture of a home itself: the one answer that is not JSON. Its version in the address makes it safe to keep. */
export function photoRoute({ database }: Pick<Deps, 'database'>): RequestHandler {
  return async (request, response) => {
    const homeId = id.safeParse(request.params.id);
    const jpeg = homeId.success ? await readPhoto(database, homeId.data) : undefined;
    if (!jpeg) throw notFound('photo of that home');
    response.set('Cache-Control', request.query.version === undefined ? 'no-cache' : 'private, max-age=31536000');
    response.type('image/jpeg').send(jpeg);
  };
}
