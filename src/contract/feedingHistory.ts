import { z } from 'zod';

import { meal } from './feeding';
import { day } from './primitives';

export const feedingHistoryReply = z
  .object({
    weeks: z.array(
      z.object({
        from: day,
        offered: z.int(),
        taken: z.int(),
        refused: z.int(),
        takenG: z.number(),
      }),
    ),
    weighings: z.array(z.object({ on: day, massG: z.number(), condition: z.number().nullable() })),
    gainedG: z.number().nullable(),
    convertedPct: z.number().nullable(),
    /** What it gets next; null for those that are not fed. */
    next: meal.nullable(),
  })
  .meta({ id: 'FeedingHistory' });
export type FeedingHistoryReply = z.infer<typeof feedingHistoryReply>;
