import { z } from 'zod';
import { type EggKind, MATINGS } from '@/core/broods/eggs';
import type { MothKind } from '@/core/broods/emergence';
import type { LayersForecast } from '@/core/broods/layers';
import { SEXES, STAGES } from '@/core/profiles/profile';
import { day, holdsFor, id, oneOf, quantity, whose } from './primitives';
import { daysBand, fact, ground } from './profile';

const degrees = quantity('degrees Celsius', -20, 60);
const eggs = quantity('eggs', 1, 1_000_000, true);
const young = quantity('young', 0, 1_000_000, true);

// ---- what ships ----

const broodWarmth = z.strictObject({ referenceC: fact, baseC: fact, optimumC: fact });

export const eggKind = z.strictObject({
  ...holdsFor,
  matedDays: daysBand,
  unmatedDays: daysBand.optional(),
  hatchPct: z.strictObject({ mated: fact, unmated: fact.optional() }),
  warmth: broodWarmth,
  coldWeeks: fact.optional(),
  weeklyDeathPct: fact,
  feedOff: z.strictObject({ isSafe: z.boolean(), why: z.string().min(1) }),
  freezing: z.string().min(1),
  ...ground,
}) satisfies z.ZodType<EggKind>;

export const mothKind = z.strictObject({
  ...holdsFor,
  cocoonDays: daysBand,
  larvaDays: daysBand,
  larvaInstars: fact,
  wakeDays: daysBand,
  adultDays: daysBand,
  malesAheadDays: fact,
  warmth: broodWarmth,
  holdC: fact,
  wakeC: fact,
  pairC: fact,
  ...ground,
}) satisfies z.ZodType<MothKind>;

// ---- eggs ----

/** What is to become of the young: how many are kept, passed on, fed off where that is safe. */
export const surplusWish = { keep: young, passOn: young, feedOff: young };

const mating = oneOf(MATINGS);

export const hatchRequest = z
  .strictObject({
    ...whose,
    eggs,
    laidFrom: day,
    laidTo: day.optional(),
    mating,
    /** Of kinds that want cold first: the day on which they were warm again. */
    warmSince: day.optional(),
    temperatureC: degrees,
    asOf: day.optional(),
    /** What is to become of them: then the reply says how many eggs to freeze. */
    wish: z.strictObject(surplusWish).optional(),
  })
  .meta({ id: 'HatchRequest' });

const band = z.object({ p10: z.number(), median: z.number(), p90: z.number() });

const hatchForecast = z.object({
  from: day,
  median: day,
  to: day,
  expected: band,
  /** Each with its share of those that will hatch in a batch of middle pace. */
  weeks: z.array(z.object({ on: day, share: z.number(), p10: z.number(), median: z.number(), p90: z.number() })),
  isOverdue: z.boolean(),
  isStanding: z.boolean(),
});

const surplusPlan = z.object({
  ...surplusWish,
  freezeEggs: z.int(),
  placed: z.int(),
  mayExceedBy: z.int(),
});

/** What keeping them all would take in half a year. */
const reared = z.object({
  on: day,
  heads: z.number(),
  sizeMm: z.number().nullable(),
  stage: z.enum(STAGES),
  /** One for each that lives alone; null for those that live together. */
  boxes: z.int().nullable(),
  /** Litres in all for those that live together; null where nobody knows. */
  litres: z.number().nullable(),
  /** Food in a week, by its kind; null where they are not fed or nobody knows. */
  foodGPerWeek: z.number().nullable(),
  preyPerWeek: z.number().nullable(),
});

export const hatchReply = z
  .object({ ...hatchForecast.shape, surplus: surplusPlan.nullable() })
  .meta({ id: 'HatchReply' });

// ---- moths ----

const cocoon = z.strictObject({
  id: z.string().min(1).max(60),
  sex: oneOf(SEXES),
  on: day,
  count: quantity('cocoons', 1, 1000, true),
  /** Of a caterpillar: nine of ten spin between these days. */
  spins: z.strictObject({ from: day, to: day }).optional(),
  /** It waits: from when it is, or will be, warm and damp again. */
  warmOn: day.optional(),
  /** Of its place, where that is another. */
  temperatureC: degrees.optional(),
  /** Days that it was held back in the cool. */
  coolDays: quantity('days', 0, 1000).optional(),
});

export const meetingRequest = z
  .strictObject({
    ...whose,
    cocoons: z.array(cocoon).min(1, { error: 'Give at least one cocoon.' }).max(200, { error: 'At most 200 cocoons.' }),
    temperatureC: degrees,
    asOf: day.optional(),
  })
  .meta({ id: 'MeetingRequest' });

const emergence = z.object({ p10: day, median: day, p90: day }).nullable();

export const meetingReply = z
  .object({
    female: emergence,
    male: emergence,
    meetPct: z.number(),
    pairOn: day.nullable(),
    hold: z
      .object({ sex: z.enum(['female', 'male']), days: z.int(), until: day, holdC: z.number(), meetPct: z.number() })
      .nullable(),
  })
  .meta({ id: 'MeetingReply' });

// ---- of the house ----

/** One batch of eggs of the house, with what is known and expected of it. */
export const brood = z.object({
  residentId: id,
  eggs: z.int(),
  laidFrom: day,
  laidTo: day,
  mating,
  /** Nobody wrote down when they were laid: the day they were taken in stands for it. */
  isGuessed: z.boolean(),
  temperatureC: z.number(),
  /** Null for kinds whose eggs nobody gave numbers for, or that do not hatch. */
  forecast: hatchForecast.nullable(),
  /** Why there is none. */
  problem: z.string().nullable(),
  /** Weeks of cold that they want first. */
  coldWeeks: z.number().nullable(),
  /** The day on which they were warm again after that. */
  warmSince: day.nullable(),
  surplus: surplusPlan.nullable(),
  feedOff: z.object({ isSafe: z.boolean(), why: z.string() }).nullable(),
  freezing: z.string().nullable(),
  inHalfAYear: reared.nullable(),
  /** None of their plants bears leaves when they are likeliest to hatch: the first day on which one does. */
  bareUntil: day.nullable(),
});
export type Brood = z.infer<typeof brood>;

/** Cocoons and moths of one kind. */
export const mothFlight = z.object({
  profile: z.string(),
  scientificName: z.string(),
  residentIds: z.array(id),
  /** Grown moths that are out now, by sex. */
  out: z.object({ female: z.int(), male: z.int() }),
  meeting: meetingReply.nullable(),
  /** Of caterpillars: when they spin. */
  spins: z.object({ from: day, median: day, to: day }).nullable(),
  /** Cocoons that wait, and nobody has planned to bring out. */
  waiting: z.int(),
  waitingIds: z.array(id),
  temperatureC: z.number(),
  wakeC: z.number(),
  pairC: z.number(),
});
export type MothFlight = z.infer<typeof mothFlight>;

export const spinningRequest = z
  .strictObject({
    ...whose,
    /** The day it hatched; or the instar it is in, where nobody knows. */
    bornOn: day.optional(),
    instar: quantity('instar', 1, 12, true).optional(),
    temperatureC: degrees,
    asOf: day.optional(),
  })
  .meta({ id: 'SpinningRequest' });

/** Days of 5, 50 and 95 of a hundred. */
export const spinningReply = z.object({ from: day, median: day, to: day }).meta({ id: 'SpinningReply' });

export const layersRequest = z
  .strictObject({
    ...whose,
    females: quantity('females', 0.01, 1_000_000),
    /** The day on which they were grown, where that is known. */
    grownSince: day.optional(),
    temperatureC: degrees,
    asOf: day.optional(),
    weeks: quantity('weeks', 1, 104, true),
  })
  .meta({ id: 'LayersRequest' });

export const layersReply = z
  .object({
    eggsPerWeek: band,
    /** While they live. */
    eggsInAll: band,
    /** When half of them are dead. */
    livesUntil: z.object({ p10: day, median: day, p90: day }),
    weeks: z.array(z.object({ on: day, ...band.shape })),
  })
  .meta({ id: 'LayersReply' }) satisfies z.ZodType<LayersForecast>;

/** Grown females of the house, and the eggs that can be collected from them. */
const layer = z.object({ residentId: id, females: z.number(), temperatureC: z.number(), ...layersReply.shape });
export type Layer = z.infer<typeof layer>;

export const broodBoard = z
  .object({ asOf: day, broods: z.array(brood), layers: z.array(layer), flights: z.array(mothFlight) })
  .meta({ id: 'BroodBoard' });
export type BroodBoard = z.infer<typeof broodBoard>;
