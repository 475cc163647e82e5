import { z } from 'zod';
import { BASES, SILHOUETTES } from '@/core/profiles/profile';
import type { Cause, Sign, TroubleKind } from '@/core/trouble/table';
import { line } from './primitives';

/*
 * The tables of the trouble finder, as they stand in `data/trouble`.
 */

const text = z.string().min(1);
const texts = z.array(text).min(1);
const basis = z.enum(BASES);

/** Signs by their ids. */
export const signIds = z
  .array(line('the id of a sign', 40), { error: 'Must be a list of signs.' })
  .max(60, { error: 'At most 60 signs.' })
  .default([]);

export const cause = z.strictObject({
  ...{ id: text, title: text, check: text, doNow: texts, leaveAlone: texts, basis },
}) satisfies z.ZodType<Cause>;
const chance = z.number().min(0).max(1);
export const sign = z.strictObject({
  ...{ id: text, title: text, given: z.record(z.string(), chance), otherwise: chance, basis },
}) satisfies z.ZodType<Sign>;
export const troubleKind = z.strictObject({
  silhouettes: z.array(z.enum(SILHOUETTES)).min(1),
  causes: z
    .array(
      z.strictObject({
        ...{ id: text, usual: z.number().positive() },
        ...{ check: text.optional(), doNow: texts.optional(), leaveAlone: texts.optional() },
      }),
    )
    .min(2),
  signs: z.array(sign).min(1),
  never: texts,
  basis,
}) satisfies z.ZodType<TroubleKind>;
