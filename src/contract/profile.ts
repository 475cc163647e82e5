import { z } from 'zod';
import { FURNITURE_KINDS } from '@/core/housing/furniture';
import {
  BASES,
  BODY_MEASURES,
  DAMPINGS,
  isPublished,
  MOULT_SIGNS,
  PLACES,
  QUANTITIES,
  SEX_EVIDENCE,
  SILHOUETTES,
  STAGES,
  VENT_STYLES,
  YARDSTICKS,
  type CareProfile,
  type Fact,
  type FitRule,
  type Ground,
  REGULAR_WORKS,
} from '@/core/profiles/profile';
import { SCHOOL_TOPICS } from '@/core/profiles/schools';
import { profileId, quantity, rangeOf } from './primitives';

/** What a number rests on, and the work in which it stands. */
export const ground = { basis: z.enum(BASES), source: z.string().optional() };
const withSource = (value: Ground) => !isPublished(value.basis) || value.source !== undefined;
const sourceMissing = { path: ['source'], error: 'A published number names its source.' };

const isInRange = ({ value, range }: Fact) => range === undefined || (range.min <= value && value <= range.max);
const outOfRange = { path: ['range'], error: 'Must hold the value, from min to max.' };
/** Spreads are of logarithms: what is over nothing is so at both ends. */
const isOfOneSign = ({ value, range }: Fact) => range === undefined || value <= 0 || range.min > 0;
const overNothing = { path: ['range', 'min'], error: 'Must be over 0, as the value is.' };
const factOf = (value: z.ZodNumber) =>
  z
    .strictObject({ value, range: rangeOf(value).optional(), ...ground })
    .refine(withSource, sourceMissing)
    .refine(isInRange, outOfRange)
    .refine(isOfOneSign, overNothing);
export const fact = factOf(z.number());
const positive = factOf(z.number().positive());
/** What a keeper's profile of an earlier version did not say. */
const ownGround = { ...ground, basis: ground.basis.default('your own setting') };
const share = quantity('wetness', 0, 1.5);
const percent = quantity('percent', 0, 100);
const stages = z.array(z.enum(STAGES)).min(1);

const limit = z
  .strictObject({
    of: z.enum(YARDSTICKS).optional(),
    times: z.number().positive().optional(),
    plus: z.number().optional(),
    range: rangeOf(z.number()).optional(),
  })
  .refine((each) => each.of !== undefined || each.plus !== undefined, {
    error: 'Give a yardstick (of) or a number (plus).',
  });

/** A gap is bounded by the highest soil from below and by the lowest from above: one rule, one bound. */
const oneSided = (rule: { quantity: FitRule['quantity']; min?: unknown; max?: unknown }) =>
  !['surfaceToLidMm', 'substrateDepthMm'].includes(rule.quantity) || rule.min === undefined || rule.max === undefined;

export const fitRule = z
  .strictObject({
    id: z.string().regex(/^[a-z]+(-[a-z]+)*$/),
    quantity: z.enum(QUANTITIES),
    min: limit.optional(),
    watchMin: limit.optional(),
    softMin: z.boolean().optional(),
    max: limit.optional(),
    watchMax: limit.optional(),
    softMax: z.boolean().optional(),
    softOutOfReach: z.boolean().optional(),
    maxExcluded: z.boolean().optional(),
    stages: stages.optional(),
    school: z.string().optional(),
    fromHeadCount: z.int().positive().optional(),
    toHeadCount: z.int().positive().optional(),
    words: z.strictObject({ pass: z.string(), low: z.string().optional(), high: z.string().optional() }),
    why: z.string().min(1),
    ...ground,
  })
  .refine(withSource, sourceMissing)
  .refine((rule) => rule.min !== undefined || rule.max !== undefined, { error: 'A rule has a min or a max.' })
  .refine(oneSided, { path: ['max'], error: 'A rule about depth or gap bounds one side; write two rules.' })
  .refine((rule) => rule.min === undefined || rule.words.low !== undefined, {
    path: ['words', 'low'],
    error: 'Say it in words.',
  })
  .refine((rule) => rule.max === undefined || rule.words.high !== undefined, {
    path: ['words', 'high'],
    error: 'Say it in words.',
  });

const making = z.strictObject({
  mixes: z.array(z.string()).min(1),
  dampWetness: share,
  dampWetnessRange: rangeOf(share).optional(),
  dryWetness: share,
  dampSharePct: percent,
  dampSharePctRange: rangeOf(percent).optional(),
  pouredDownSide: z.boolean().optional(),
  dampThroughout: stages.optional(),
  litterMm: quantity('millimetres', 0, 300),
  vents: z.strictObject({ style: z.enum(VENT_STYLES), openSharePct: percent }),
  furniture: z.array(z.strictObject({ kind: z.enum(FURNITURE_KINDS), count: z.int().positive() })),
  ...ground,
});

/** Limits of temperature that any home or room of the program may have. C */
const degrees = z.number().min(-40).max(60);
const inOrder = (each: { min: number; max: number }) => each.min < each.max;
const outOfOrder = { path: ['max'], error: 'Must be more than min.' };
const bandOf = (value: z.ZodNumber) =>
  z
    .strictObject({ min: value, max: value, ...ground })
    .refine(withSource, sourceMissing)
    .refine(inOrder, outOfOrder);

/** Days from the shortest to the longest that is usual. */
export const daysBand = bandOf(quantity('days', 0, 3650));

/** Heads from the fewest to the most that are usual. */
export const headsBand = bandOf(quantity('heads', 0, 10_000_000));

/** A band of temperatures with what it rests on. C */
export const temperatureBand = bandOf(degrees);

const climate = z.strictObject({
  humidityPct: bandOf(quantity('percent', 0, 100)),
  nestHumidityPct: bandOf(quantity('percent', 0, 100)).optional(),
  outworldHumidityPct: bandOf(quantity('percent', 0, 100)).optional(),
  temperatureC: temperatureBand,
  bearsHours: positive,
  dampWetnessMin: positive.refine(({ value }) => value <= 1.5, { path: ['value'], error: 'Must be at most 1.5.' }),
  airChangesPerHour: positive,
  damping: z.enum(DAMPINGS),
});

const proportions = z.strictObject(
  Object.fromEntries(BODY_MEASURES.map((name) => [name, positive.optional()])) as Record<
    (typeof BODY_MEASURES)[number],
    z.ZodOptional<typeof positive>
  >,
);

const foodIds = z.array(z.string().min(1));
const colonyDiet = {
  sugarUlPerWorkerPerDay: fact,
  proteinMgPerLarvaPerDay: fact,
  larvaePerWorker: fact,
  seedsMgPerWorkerPerDay: positive.optional(),
  seeds: foodIds.optional(),
  leafMgPerFungusMlPerDay: positive.optional(),
  fungusMlPerWorker: positive.optional(),
  plants: foodIds,
  wholePrey: z.boolean(),
  liveFromWorkers: positive,
};
const nestSpace = z.strictObject({ perHeadMl: positive, spinsCocoons: z.boolean().optional() });
const dietWork = { stages, minutes: z.number().positive(), toleranceDays: z.number().nonnegative(), ...ownGround };
const everyDays = z.number().positive();

const diet = z.discriminatedUnion('eats', [
  z.strictObject({
    eats: z.literal('leaves'),
    ...dietWork,
    plants: foodIds.min(1),
    renewDays: z.strictObject({ summer: positive, winter: positive }),
    dailyPctOfMass: positive,
  }),
  z.strictObject({
    eats: z.literal('litter'),
    ...dietWork,
    everyDays,
    headMassMg: positive,
    weeklyPctOfMass: positive,
    freshHours: positive,
    preparedHours: positive,
    restDays: positive,
    foods: foodIds.min(1),
  }),
  z.strictObject({
    eats: z.literal('greens'),
    ...dietWork,
    everyDays,
    dailyPctOfMass: positive,
    foods: foodIds.min(2),
    proteinEveryDays: positive,
    proteins: foodIds.min(1),
    proteinPctOfMass: positive,
  }),
  z.strictObject({
    eats: z.literal('colony-food'),
    ...dietWork,
    everyDays,
    ...colonyDiet,
  }),
]);

const schools = z.array(
  z.strictObject({
    id: z.string(),
    topic: z.enum(SCHOOL_TOPICS),
    name: z.string(),
    isDefault: z.boolean().optional(),
    why: z.string().min(1).optional(),
  }),
);

/** What a species does otherwise than its profile. */
export const speciesOverrides = z.strictObject({
  grownMm: positive.optional(),
  maleTimes: positive.optional(),
  usualMm: positive.optional(),
  youngWidthMm: positive.optional(),
  proportions: proportions.optional(),
  fit: z.array(fitRule).optional(),
  making: making.partial().optional(),
  climate: climate.partial().optional(),
  /** Of ants: what its colonies eat otherwise, and how they live in a nest. */
  colonyDiet: z.strictObject(colonyDiet).partial().optional(),
  nest: nestSpace.partial().optional(),
  schools: schools.optional(),
  /** The plants that this species eats, the usual one first. */
  plants: foodIds.min(1).optional(),
});

/** What a keeper's own card says of how large a species becomes. */
export const ownSize = z.object({ name: z.string(), profile: z.string(), grownMm: z.number() });

/** A care profile as it stands in `data/profiles/<id>.json`. */
export const careProfile = z
  .strictObject({
    id: profileId,
    kind: profileId.optional(),
    name: z.string().min(1).max(80),
    group: z.string().min(1).max(40),
    silhouette: z.enum(SILHOUETTES),
    lives: z.enum(PLACES),
    stages,
    schools,
    measure: z.strictObject({
      takes: z.enum(BODY_MEASURES),
      name: z.string().min(1),
      howTo: z.string().min(1),
      usualMm: positive.optional(),
    }),
    proportions,
    massGPerCm3: positive.optional(),
    sexing: z
      .array(
        z
          .strictObject({ by: z.enum(SEX_EVIDENCE), how: z.string().min(1), ...ground })
          .refine(withSource, sourceMissing),
      )
      .optional(),
    young: z.strictObject({ widthMm: positive }).optional(),
    growth: z.strictObject({
      ratioPerMoult: positive,
      grownStages: z.array(z.enum(STAGES)),
      maleGrownStages: z.array(z.enum(STAGES)).optional(),
      grownMm: positive,
      maleTimes: positive.optional(),
      intervals: z.array(z.strictObject({ stages, days: positive })).optional(),
    }),
    company: z.strictObject({
      sameKind: z.enum(['alone', 'group']),
      role: z.enum(['predator', 'grazer', 'cleaner']),
      youngLookLike: z.string().optional(),
      ...ground,
    }),
    making,
    climate,
    nest: nestSpace.optional(),
    fit: z.array(fitRule).min(1).max(100),
    feeding: z
      .strictObject({
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
        rations: z
          .array(
            z.strictObject({
              stages,
              weeklyPct: quantity('percent', 0.1, 300),
              weeklyPctRange: rangeOf(z.number().positive()).optional(),
              ...ground,
            }),
          )
          .optional(),
        preyLengthPerAbdomen: fact,
        abdomenLengthPerBodyLength: fact,
        leftoversAfterHours: fact,
        takesMany: z.boolean().optional(),
        offerAgainAfterDays: fact,
        bearsHunger: z.array(z.strictObject({ stages, days: fact })).optional(),
        settleDays: fact,
        minutes: z.number().positive(),
        ...ownGround,
      })
      .optional(),
    diet: diet.optional(),
    work: z.array(
      z.strictObject({
        work: z.enum(REGULAR_WORKS),
        stages,
        school: z.string().optional(),
        everyDays: z.number().positive(),
        winterEveryDays: z.number().positive().optional(),
        aloneFromInstar: z.int().positive().optional(),
        toleranceDays: z.number().nonnegative(),
        minutes: z.number().positive(),
        ...ground,
      }),
    ),
    homeWork: z.strictObject({
      ...{ soilMinutes: z.number().positive(), moveMinutes: z.number().positive() },
      ...ownGround,
    }),
    quietAfterMoult: z.array(
      z.strictObject({
        stages,
        fromMm: z.number().positive().optional(),
        days: z.number().nonnegative(),
        ...ground,
      }),
    ),
    leaveAloneSigns: z.array(z.enum(MOULT_SIGNS)),
  })
  .superRefine((profile, context) => {
    const schools = new Set(profile.schools.map((school) => school.id));
    const named = [...profile.fit, ...(profile.feeding?.meals ?? [])].flatMap((each) => each.school ?? []);
    for (const school of named.filter((each) => !schools.has(each))) {
      context.addIssue({ code: 'custom', path: ['schools'], message: `The school ${school} is used but not listed.` });
    }
    const { takes } = profile.measure;
    profile.fit.forEach((rule, index) => {
      for (const bound of ['min', 'watchMin', 'max', 'watchMax'] as const) {
        const yardstick = rule[bound]?.of === 'bodyLengthSquaredMm2' ? 'bodyLengthMm' : rule[bound]?.of;
        const measure = BODY_MEASURES.find((each) => each === yardstick);
        const isKnown = !measure || measure === takes || profile.proportions[measure] !== undefined;
        if (isKnown && (yardstick !== 'youngWidthMm' || profile.young)) continue;
        const message = `${yardstick} is not known of this kind: it is not taken, and proportions do not give it.`;
        context.addIssue({ code: 'custom', path: ['fit', index, bound, 'of'], message });
      }
    });
  }) satisfies z.ZodType<CareProfile>;
