import { z } from 'zod';
import { KEEPER_QUESTIONS } from '@/core/ground/answers';
import { KNOWLEDGE_PARTS } from '@/core/ground/knowledge';
import { SPREAD_USES, type KnownNumber } from '@/core/ground/numbers';
import type { MovedAnswer } from '@/core/ground/sensitivity';
import { BASES } from '@/core/profiles/profile';
import { line } from './primitives';

/** What the numbers of the program rest on, and how much hangs on each. */

const question = z.enum(KEEPER_QUESTIONS);
const byQuestion = z.partialRecord(question, z.number());
const told = z.union([z.number(), z.string()]).nullable();

const knownNumber = z.object({
  id: z.string(),
  part: z.enum(KNOWLEDGE_PARTS),
  value: z.number(),
  basis: z.enum(BASES),
  source: z.string().optional(),
  spread: z
    .object({
      by: z.enum(SPREAD_USES),
      min: z.number().optional(),
      max: z.number().optional(),
    })
    .optional(),
  isCount: z.boolean().optional(),
}) satisfies z.ZodType<KnownNumber>;

const weighedNumber = knownNumber.extend({
  /** Whose number it is, and what it says. */
  of: z.string(),
  sentence: z.string(),
  weight: z.number(),
  rank: z.int().nullable(),
  byQuestion,
});

const MOST = { error: 'Must be a whole number from 1 to 500.' };
export const groundQuery = z.strictObject({
  find: line('part of what a number is called', 90).optional(),
  most: z.coerce.number(MOST).int(MOST).min(1, MOST).max(500, MOST).default(100),
});

export const groundReply = z
  .object({
    numbers: z.array(weighedNumber),
    found: z.int(),
    summary: z.object({
      numbers: z.int(),
      byBasis: z.array(
        z.object({ basis: z.enum(BASES), hasSpread: z.boolean(), numbers: z.int(), weightPct: z.number() }),
      ),
      byQuestion: z.array(z.object({ question, weightPct: z.number() })),
      /** So many of the heaviest carry half of all weight. */
      halfIn: z.int(),
      /** Of the heaviest of all. */
      heaviest: z.number(),
    }),
  })
  .meta({ id: 'Ground' });
export type Ground = z.infer<typeof groundReply>;
export type WeighedNumber = Ground['numbers'][number];

export const sensitivityRequest = z
  .strictObject({ number: line('the id of a number, for example materials/coir/waterHeldMlPerL/value', 200) })
  .meta({ id: 'SensitivityRequest' });
export const sensitivityReply = z
  .object({
    number: knownNumber,
    weight: z.number(),
    lower: z.number(),
    higher: z.number(),
    byQuestion,
    asked: z.object({ animals: z.int(), of: z.int() }),
    answers: z.array(
      z.object({
        who: z.string(),
        question,
        about: z.string(),
        isNow: told,
        ifLower: told,
        ifHigher: told,
        moved: z.number(),
      }) satisfies z.ZodType<MovedAnswer>,
    ),
  })
  .meta({ id: 'SensitivityReply' });
export type SensitivityReply = z.infer<typeof sensitivityReply>;
