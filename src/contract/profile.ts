import { z } from 'zod';
import {
  BASES,
  MOULT_SIGNS,
  QUANTITIES,
  STAGES,
  YARDSTICKS,
  type CareProfile,
  type Ground,
} from '@/core/profiles/profile';

const ground = { basis: z.enum(BASES), source: z.string().optional() };
const withSource = (value: Ground) => value.basis !== 'published' || value.source !== undefined;
const sourceMissing = { path: ['source'], error: 'A published number names its source.' };

const fact = z.strictObject({ value: z.number(), ...ground }).refine(withSource, sourceMissing);
const stages = z.array(z.enum(STAGES)).min(1);

const limit = z
  .strictObject({
    of: z.enum(YARDSTICKS).optional(),
    times: z.number().positive().optional(),
    plus: z.number().optional(),
  })
  .refine((each) => each.of !== undefined || each.plus !== undefined, {
    error: 'Give a yardstick (of) or a number (plus).',
  });

const fitRule = z
  .strictObject({
    id: z.string().regex(/^[a-z]+(-[a-z]+)*$/),
    quantity: z.enum(QUANTITIES),
    min: limit.optional(),
    watchMin: limit.optional(),
    softMin: z.boolean().optional(),
    max: limit.optional(),
    watchMax: limit.optional(),
    softMax: z.boolean().optional(),
    maxExcluded: z.boolean().optional(),
    stages: stages.optional(),
    school: z.string().optional(),
    words: z.strictObject({ pass: z.string(), low: z.string().optional(), high: z.string().optional() }),
    why: z.string().min(1),
    ...ground,
  })
  .refine(withSource, sourceMissing)
  .refine((rule) => rule.min !== undefined || rule.max !== undefined, { error: 'A rule has a min or a max.' })
  .refine((rule) => rule.min === undefined || rule.words.low !== undefined, {
    path: ['words', 'low'],
    error: 'Say it in words.',
  })
  .refine((rule) => rule.max === undefined || rule.words.high !== undefined, {
    path: ['words', 'high'],
    error: 'Say it in words.',
  });

/** A care profile as it stands in `data/profiles/<id>.json`. */
export const careProfile = z
  .strictObject({
    id: z.string().regex(/^[a-z]+(-[a-z]+)*$/),
    name: z.string().min(1),
    lives: z.enum(['ground', 'tree']),
    stages,
    schools: z.array(
      z.strictObject({
        id: z.string(),
        topic: z.enum(['air', 'feeding']),
        name: z.string(),
        isDefault: z.boolean().optional(),
      }),
    ),
    proportions: z.strictObject({
      bodyLengthPerLegSpan: fact,
      carapaceWidthPerLegSpan: fact,
      abdomenLengthPerBodyLength: fact,
    }),
    fit: z.array(fitRule).min(1),
    feeding: z.strictObject({
      meals: z.array(
        z.strictObject({
          stages,
          school: z.string(),
          everyDays: z.number().positive(),
          toleranceDays: z.number().nonnegative(),
          preyCount: z.int().positive(),
          ...ground,
        }),
      ),
      preyLengthPerAbdomen: fact,
      leftoversAfterHours: fact,
      offerAgainAfterDays: fact,
      settleDays: fact,
      minutes: z.number().positive(),
    }),
    work: z.array(
      z.strictObject({
        work: z.enum(['water', 'damp']),
        stages,
        everyDays: z.number().positive(),
        toleranceDays: z.number().nonnegative(),
        minutes: z.number().positive(),
        ...ground,
      }),
    ),
    homeWork: z.strictObject({ soilMinutes: z.number().positive(), moveMinutes: z.number().positive() }),
    quietAfterMoult: z.array(
      z.strictObject({
        stages,
        fromLegSpanMm: z.number().positive().optional(),
        days: z.number().nonnegative(),
        ...ground,
      }),
    ),
    leaveAloneSigns: z.array(z.enum(MOULT_SIGNS)),
  })
  .superRefine((profile, context) => {
    const schools = new Set(profile.schools.map((school) => school.id));
    const named = [...profile.fit, ...profile.feeding.meals].flatMap((each) => each.school ?? []);
    for (const school of named.filter((each) => !schools.has(each))) {
      context.addIssue({ code: 'custom', path: ['schools'], message: `The school ${school} is used but not listed.` });
    }
  }) satisfies z.ZodType<CareProfile>;
