import { z } from 'zod';
import { day, id } from './primitives';
import { home, resident } from './records';
import { stop, unworkable } from './round';

/** What has changed since a page was told. */
export const changes = z
  .object({
    /** To be sent the next time, so that only what changed since is told. */
    token: z.string(),
    /** Somebody came, left or moved, a shelf or the day is another, or it is not known what the page was told: it fetches all lists. */
    isWhole: z.boolean(),
    on: day,
    /** Rows in the place of those with the same id. */
    homes: z.array(home),
    residents: z.array(resident),
    /** By their resident. */
    stops: z.array(stop),
    /** Residents who are no stop any more. */
    over: z.array(id),
    unworkable: z.array(unworkable),
  })
  .meta({ id: 'Changes' });
export type Changes = z.infer<typeof changes>;
