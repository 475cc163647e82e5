import { rangeOf } from './primitives';
import { z } from 'zod';
import { FEEDING_CAUTIONS, FOOD_KINDS, LEFT_AS, type FeederKind, type Food, type Meal } from '@/core/feeding/food';
import { CONDITIONS } from '@/core/feeding/prey';
import { HEMISPHERES } from '@/core/season/year';

import { SCHOOL_TOPICS, type Schools } from '@/core/profiles/schools';
import { headCount, measures, stage } from './housing';
import { day, instar, line, mm, oneOf, profileId, quantity } from './primitives';
import { fact, ground } from './profile';

export const itemId = z
  .string({ error: 'Must be the id of a feeder or a food, for example field-cricket-medium.' })
  .regex(/^[a-z][a-z0-9-]*$/, { error: 'Must be the id of a feeder or a food, for example field-cricket-medium.' })
  .max(60);

// ---- what ships ----

export const feederKind = z.strictObject({
  id: itemId,
  name: z.string().min(1),
  plural: z.string().min(1),
  scientificName: z.string().min(1),
  mostAtOnce: fact.optional(),
  digsIn: z.boolean().optional(),
  classes: z
    .array(
      z.strictObject({
        id: itemId,
        name: z.string().min(1),
        lengthMm: z.number().positive(),
        lengthMmRange: rangeOf(z.number().positive()).optional(),
        massG: z.number().positive(),
        massGRange: rangeOf(z.number().positive()).optional(),
        daysInClass: z.number().min(1),
        weeklyLossPct: z.number().min(0).max(99),
        isFood: z.boolean(),
        ...ground,
      }),
    )
    .min(1),
  moisturePct: fact,
  energyKJPerG: fact.optional(),
  culture: z.strictObject({ femaleShare: fact, eggsPerFemalePerWeek: fact, hatchSharePct: fact }),
}) satisfies z.ZodType<FeederKind>;

const monthDay = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, {
  error: 'Must be a day of the year, written MM-DD.',
});

export const food = z.strictObject({
  id: itemId,
  name: z.string().min(1),
  kind: z.enum(FOOD_KINDS),
  shelfLifeDays: z.number().positive(),
  shelfLifeDaysRange: rangeOf(z.number().positive()).optional(),
  neverFor: z.array(z.strictObject({ groups: z.array(z.string()).min(1), why: z.string().min(1) })).optional(),
  onlyWith: z
    .strictObject({ groups: z.array(z.string()).min(1), school: z.string(), why: z.string().min(1) })
    .optional(),
  evergreen: z.boolean().optional(),
  inLeaf: z.strictObject({ from: monthDay, to: monthDay }).optional(),
  tough: z.boolean().optional(),
  thorny: z.boolean().optional(),
  gramsPerCutting: fact.optional(),
  piece: z
    .strictObject({ name: z.string().min(1), plural: z.string().min(1), massG: z.number().positive() })
    .optional(),
  ...ground,
}) satisfies z.ZodType<Food>;

/** A food plant of a keeper's own. */
export const newPlant = z.strictObject({
  name: line('the name of the plant', 60),
  /** In water a cutting keeps so long at midsummer. */
  keepsDays: quantity('days', 1, 60, true).default(5),
  evergreen: z.boolean().default(false),
  /** From which day of the year to which it bears leaves, in the north; left out, as most that shed them. */
  inLeaf: z.strictObject({ from: monthDay, to: monthDay }).optional(),
  /** Too tough for hatchlings; with thorns. */
  tough: z.boolean().default(false),
  thorny: z.boolean().default(false),
});
export type NewPlant = z.infer<typeof newPlant>;

// ---- meals ----

export const dish = z.strictObject({
  food: itemId,
  count: quantity('pieces', 1, 100_000, true).optional(),
  lengthMm: mm(0.2, 200).optional(),
  massG: quantity('grams', 0, 100_000).optional(),
  volumeMl: quantity('millilitres', 0, 10_000).optional(),
});

/** The school on each topic on which one was chosen. */
export const schools = z
  .strictObject(
    Object.fromEntries(SCHOOL_TOPICS.map((topic) => [topic, line('a school', 60).optional()])) as Record<
      (typeof SCHOOL_TOPICS)[number],
      z.ZodOptional<z.ZodString>
    >,
  )
  .meta({ id: 'Schools' }) satisfies z.ZodType<Schools>;

const feedingGround = z.object({
  rule: z.string(),
  value: z.number(),
  unit: z.string(),
  between: rangeOf(z.number()).optional(),
  school: z.string().optional(),
  ...ground,
});

const onOffer = z.strictObject({
  id: itemId,
  lengthMm: mm(0.2, 200),
  massG: quantity('grams', 0.000001, 100),
  /** So many at once for one mouth, of small ones that do not bite; 3 if left out. */
  mostAtOnce: quantity('feeders', 1, 50, true).optional(),
  /** Loose on soil it is gone before it is seen. */
  digsIn: z.boolean().optional(),
  onHand: quantity('feeders', 0, 10_000_000).optional(),
});

const eaterFields = {
  profile: profileId,
  stage,
  ...measures,
  massG: quantity('grams', 0.0001, 5000).optional(),
  headCount: headCount.optional(),
  condition: oneOf(CONDITIONS).optional(),
  /** The first meal after a moult or another rest. */
  afterQuiet: z.boolean().optional(),
};

export const preyRequest = z
  .strictObject({
    ...eaterFields,
    school: line('a school', 60).optional(),
    aim: line('an aim', 60).optional(),
    feeders: z
      .array(onOffer, { error: 'Must be a list of feeders, each with id, lengthMm and massG.' })
      .min(1, { error: 'Give at least one feeder.' })
      .max(200, { error: 'At most 200 feeders.' }),
  })
  .meta({ id: 'PreyRequest' });

export const preyReply = z
  .object({
    maxLengthMm: z.number(),
    everyDays: z.number(),
    mealG: z.number().nullable(),
    offers: z.array(z.object({ feeder: z.string(), count: z.int(), lengthMm: z.number(), massG: z.number() })),
    grounds: z.array(feedingGround),
  })
  .meta({ id: 'PreyReply' });

const pastMeal = z.strictObject({
  on: day,
  dishes: z.array(dish).max(20),
  outcome: z.strictObject({ kind: z.enum(['eaten', 'refused']), on: day, left: z.enum(LEFT_AS).optional() }).nullable(),
});

export const mealRequest = z
  .strictObject({
    ...eaterFields,
    scientificName: z.string().max(90).optional(),
    instar: instar.optional(),
    schools: schools.optional(),
    /** Of ants: the larvae that are fed, the size of a fungus garden, and the days since a move into another nest. */
    brood: z
      .strictObject({
        larvae: quantity('heads', 0, 10_000_000).optional(),
        fungusMl: quantity('millilitres', 0, 1_000_000).optional(),
        movedDaysAgo: quantity('days', 0, 3650).optional(),
      })
      .optional(),
    forbidden: z.record(itemId, z.string().max(200)).optional(),
    on: day,
    hemisphere: oneOf(HEMISPHERES).optional(),
    /** Left out: every size of feeder and every food that ships. */
    feeders: z.array(onOffer).max(200).optional(),
    meals: z.array(pastMeal).max(200).optional(),
  })
  .meta({ id: 'MealRequest' });

export const mealEats = z.enum(['prey', 'leaves', 'litter', 'greens', 'colony-food']);
const mealFields = {
  eats: mealEats,
  dishes: z.array(dish),
  maxLengthMm: z.number().optional(),
  prepared: z.enum(['live', 'pre-killed']).optional(),
  /** Of leaves: from that day on none of its plants bears any; and what it might be got used to instead. */
  bareFrom: day.optional(),
  insteadOf: z.array(z.string()).optional(),
  cautions: z.array(z.enum(FEEDING_CAUTIONS)),
};
/** A meal as a job of the round carries it. */
export const jobMeal = z.object(mealFields);
export const meal = z
  .object({ ...mealFields, everyDays: z.number(), grounds: z.array(feedingGround) })
  .meta({ id: 'Meal' }) satisfies z.ZodType<Meal>;
/** Null for those that are not fed: eggs, pupae, moths that fly. */
export const mealReply = z.object({ meal: meal.nullable() }).meta({ id: 'MealReply' });

// ---- orders and cultures ----

const cost = quantity('units of cost', 0, 1_000_000);
const costs = z.union([cost, z.array(cost)], { error: 'Must be one cost, or a list with one for each week.' });

export const feederOrdersRequest = z
  .strictObject({
    demand: z
      .array(quantity('feeders', 0, 1_000_000), { error: 'Must be a list: how many are needed in each week.' })
      .min(1, { error: 'Give at least one week.' })
      .max(520, { error: 'At most 520 weeks.' }),
    setupCost: costs,
    holdingCost: costs,
    shelfLifeWeeks: quantity('weeks', 1, 520, true).optional(),
    weeklyLossPct: quantity('percent', 0, 99).optional(),
  })
  .meta({ id: 'FeederOrdersRequest' });

export const feederOrdersReply = z
  .object({ orders: z.array(z.number()), totalCost: z.number() })
  .meta({ id: 'FeederOrdersReply' });

export const feederCultureRequest = z
  .strictObject({
    kind: itemId,
    /** How many of each size are taken in a week. */
    weekly: z.record(itemId, quantity('feeders a week', 0, 1_000_000)),
  })
  .meta({ id: 'FeederCultureRequest' });

export const feederCultureReply = z
  .object({
    breeders: z.number(),
    counts: z.array(z.object({ item: z.string(), count: z.number() })),
    hatchedPerWeek: z.number(),
  })
  .meta({ id: 'FeederCultureReply' });
