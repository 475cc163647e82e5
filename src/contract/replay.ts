import { z } from 'zod';
import { newEntry } from './entries';
import { day, id, instant } from './primitives';

/** What was done in one go while the server was away. */
const act = z.strictObject({
  id,
  /** By the clock of the phone. */
  madeAt: instant,
  /** The day that the server had last told the phone. */
  heardOn: day,
  entries: z
    .array(newEntry, { error: 'Must be a list of entries.' })
    .min(1, { error: 'Give at least one entry.' })
    .max(20, { error: 'At most 20 entries in one act.' }),
});

/** What a phone kept while nobody answered, in the order in which it was done. */
export const replay = z
  .strictObject({
    /** The clock of the phone as it sends this: it tells how far that clock is off. */
    sentAt: instant,
    acts: z
      .array(act, { error: 'Must be a list of acts.' })
      .min(1, { error: 'Give at least one act.' })
      .max(200, { error: 'At most 200 acts at a time: send the rest after them.' }),
  })
  .meta({ id: 'Replay' });
export type Replay = z.infer<typeof replay>;

export const REPLAY_OUTCOMES = ['written', 'known', 'already', 'refused'] as const;

export const replayResult = z
  .object({
    id,
    /** `known`: it had arrived before. `already`: another keeper had answered the same job. */
    outcome: z.enum(REPLAY_OUTCOMES),
    message: z.string().optional(),
    keeper: z.string().nullable().optional(),
  })
  .meta({ id: 'ReplayResult' });
export type ReplayResult = z.infer<typeof replayResult>;
