import { profileOf } from '@/contract/profiles';
import { fit } from '@/core/housing/fit';
import { rankHomes } from '@/core/housing/rank';
import type { Handlers } from '../http/mount';

/** The engines over HTTP. They know nothing of the records: everything they need is in the request. */
export function computeHandlers(): Pick<Handlers, 'fit' | 'rankHomes'> {
  return {
    fit: ({ body }) => fit(profileOf(body.profile), body),
    rankHomes: ({ body }) => ({ ranking: rankHomes(profileOf(body.profile), body, body.homes) }),
  };
}
