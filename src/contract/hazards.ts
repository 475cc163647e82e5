import { z } from 'zod';
import { CAUTIONS, EXPOSURES, PERMITS, type HazardBook } from '@/core/profiles/hazards';
import { BASES } from '@/core/profiles/profile';

const text = z.string().min(1);
const texts = z.array(text).min(1);
const basis = z.enum(BASES);

/** What animals can do to their keepers, as it stands in `data/hazards.json`. */
export const hazardBook = z.strictObject({
  hazards: z.array(
    z.strictObject({
      ...{ id: z.enum(CAUTIONS), title: text, text: text, tools: texts, atStep: text },
      ...{ doNotHandle: z.boolean(), notAlone: z.boolean(), from: z.enum(EXPOSURES), basis },
    }),
  ),
  laws: z.array(z.strictObject({ id: z.enum(PERMITS), title: text, text: text, basis })),
  kinds: z.array(z.strictObject({ profiles: texts, cautions: z.array(z.enum(CAUTIONS)).min(1) })),
}) satisfies z.ZodType<HazardBook>;
