import { z } from 'zod';
import type { Endpoint } from './endpoint';
import { life, lifeReply, lineage, newLife } from './life';
import { id } from './primitives';
import { routes } from './routes';

const byId = z.strictObject({ id });

/** Lives that go from house to house. */
export const lifeEndpoints = {
  life: {
    ...routes.life,
    summary: 'The life of one animal, here or gone, as a file that another house takes in, with those it comes of.',
    params: byId,
    reply: life,
  },
  lineage: {
    ...routes.lineage,
    summary: 'Of whom somebody comes, the nearest first, also where those never lived in this house.',
    params: byId,
    reply: lineage,
  },
  takeInLife: {
    ...routes.takeInLife,
    signed: ['keeper'],
    summary:
      'Takes in an animal with its life from another house: who it is, those it comes of, what was written of it.',
    body: newLife,
    reply: lifeReply,
    status: 201,
  },
} as const satisfies Record<string, Endpoint>;
