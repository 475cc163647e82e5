import { z } from 'zod';
import { HANDLING_PARTS, type HandlingGuide } from '@/core/plan/handling';
import { BASES } from '@/core/profiles/profile';
import { drillPlan } from './housing';
import { day, id } from './primitives';

const step = z.strictObject({
  id: z.string(),
  part: z.enum(HANDLING_PARTS),
  text: z.string().min(1),
  basis: z.enum(BASES),
});
const texts = z.array(z.string().min(1));

export const handlingGuide = z.strictObject({
  general: z.strictObject({
    tools: texts,
    steps: z.array(step.extend({ forOne: z.string().min(1).optional() })),
    escape: texts.min(1),
  }),
  kinds: z.array(
    z.strictObject({ profiles: texts, tools: texts, replaces: z.record(z.string(), z.string()), steps: z.array(step) }),
  ),
}) satisfies z.ZodType<HandlingGuide>;

/** How one resident is moved, and where to, where that is settled. */
export const handling = z
  .object({
    residentId: id,
    tools: texts,
    steps: z.array(step),
    escape: texts,
    move: z
      .object({
        /** The entry that settled it; null for a home that is only chosen, today. */
        id: id.nullable(),
        toHomeId: id,
        on: day,
        from: day,
        until: day,
        /** Soil its new home is filled to, and what that takes. */
        depthMm: z.number(),
        soilToAddL: z.number(),
        /** What is drilled in it before; null where nothing is. */
        drill: drillPlan.nullable(),
        /** First food after it has settled. */
        feedFrom: day,
      })
      .nullable(),
  })
  .meta({ id: 'Handling' });
export type Handling = z.infer<typeof handling>;
