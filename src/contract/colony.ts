import { z } from 'zod';
import type { PopulationKind } from '@/core/colony/kind';

import { COUNT_VERDICTS } from '@/core/colony/expected';
import { day, holdsFor, id, profileId, quantity, rangeOf, stageName, whose } from './primitives';
import { fact, headsBand, ground } from './profile';
import { restKind } from './rest';

const heads = quantity('heads', 0, 10_000_000);
const degrees = quantity('degrees Celsius', -20, 60);

// ---- what ships ----

export const populationKind = z.strictObject({
  ...holdsFor,
  adults: z.enum(['adult', 'worker']),
  young: z.array(z.strictObject({ id: stageName, days: fact, weeklyDeathPct: fact })),
  adultLifeDays: fact,
  firstLifeDays: fact.optional(),
  laying: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('female'), perWeek: fact, femaleShare: fact }),
    z.strictObject({ by: z.literal('queen'), perWeek: fact, founding: fact, halfAtWorkers: fact }),
  ]),
  warmth: z.strictObject({ referenceC: fact, baseC: fact, optimumC: fact, restBelowC: fact }),
  headsPerL: fact.optional(),
  colonySize: headsBand.optional(),
  queensAtMost: z.int().positive().optional(),
  founding: z.strictObject({ isSealed: z.boolean(), firstBatch: headsBand, ...ground }).optional(),
  castes: z
    .array(z.strictObject({ id: z.string(), mostSharePct: fact.optional(), halfAtWorkers: fact.optional() }))
    .optional(),
  spread: fact,
  ...ground,
}) satisfies z.ZodType<PopulationKind>;

// ---- the engines over HTTP ----

const row = z.array(z.number().min(0, { error: 'Must not be under 0.' }));

export const populationRequest = z
  .strictObject({
    matrix: z
      .array(row, { error: 'Must be a square table: for each stage a row of numbers.' })
      .min(1, { error: 'Give at least one stage.' })
      .max(60, { error: 'At most 60 stages.' }),
    initial: row.min(1, { error: 'Give at least one stage.' }),
    steps: quantity('steps', 0, 1000, true),
  })
  .meta({ id: 'PopulationRequest' });

export const populationReply = z
  .object({ lambda: z.number(), stableStage: z.array(z.number()), series: z.array(z.array(z.number())) })
  .meta({ id: 'PopulationReply' });

export const colonyRequest = z
  .strictObject({
    ...whose,
    queens: quantity('queens', 0, 1000, true).optional(),
    counts: z.record(stageName, heads),
    /** One for all weeks. */
    temperatureC: degrees.optional(),
    /** Or one for each week. */
    temperaturesC: z.array(degrees).max(520).optional(),
    weeks: quantity('weeks', 1, 520, true),
    harvestPerWeek: quantity('heads a week', 0, 1_000_000).optional(),
    /** Where heads were estimated: between which numbers they are likely to lie. */
    countedLow: heads.optional(),
    countedHigh: heads.optional(),
    roomForHeads: quantity('heads', 1, 100_000_000).optional(),
    asOf: day.optional(),
  })
  .refine((asked) => (asked.temperatureC === undefined) !== (asked.temperaturesC === undefined), {
    path: ['temperatureC'],
    error: 'Give temperatureC for all weeks, or temperaturesC with one for each, and not both.',
  })
  .meta({ id: 'ColonyRequest' });

const band = z.object({ p10: z.number(), median: z.number(), p90: z.number() });

/** What a culture bears for ever: at most one in twenty falls under what is kept back within three years. */
const harvest = z.object({
  /** Grown ones a week. */
  perWeek: z.number(),
  /** Of the grown ones that were counted last. % a week */
  sharePct: z.number(),
  /** So many grown ones stay at any rate. */
  keepBack: z.int(),
  /** The first day on which it bears that; null where none comes within two years. */
  usableOn: day.nullable(),
});
export type Harvest = z.infer<typeof harvest>;

export const colonyReply = z
  .object({
    series: z.array(
      z.object({
        week: z.int(),
        temperatureC: z.number(),
        isResting: z.boolean(),
        stages: z.record(z.string(), band),
        total: band,
      }),
    ),
    /** Of its room, now. */
    nestFullPct: z.number().nullable(),
    splitOn: day.nullable(),
    /** Of a colony without workers. */
    firstWorkersOn: z.object({ p10: day, median: day, p90: day }).nullable(),
    /** What may be taken out for ever; null of ants, and where the warmth changes. */
    harvest: harvest.nullable(),
    /** How the workers there are now are likely to be built. */
    castes: z.array(z.object({ id: z.string(), count: z.number() })),
  })
  .meta({ id: 'ColonyReply' });

export const foundingRequest = z
  .strictObject({
    ...whose,
    beganOn: day,
    seen: z.record(stageName, day).default({}),
    temperatureC: degrees,
    /** What her place is set to from a day on, where she is cooled: the steps of a rest. */
    steps: z
      .array(z.strictObject({ on: day, targetC: degrees }))
      .max(200)
      .optional(),
    asOf: day.optional(),
  })
  .meta({ id: 'FoundingRequest' });

export const foundingReply = z
  .object({
    furthest: z.string().nullable(),
    firstWorkers: z.object({ p10: day, median: day, p90: day }).nullable(),
    isLate: z.boolean(),
    food: z.enum(['none', 'a-little']),
  })
  .meta({ id: 'FoundingReply' });

export const nestRequest = z
  .strictObject({
    profile: profileId,
    workers: heads,
    ahead: heads,
    volumeMl: quantity('millilitres', 0, 10_000_000),
    /** What a worker takes, where they are larger or smaller than usual. */
    perHeadMl: quantity('millilitres', 0.0001, 1000).optional(),
  })
  .meta({ id: 'NestRequest' });

export const nestReply = z
  .object({
    fullPct: z.number(),
    fullBetween: rangeOf(z.number()),
    verdict: z.enum(['far-too-large', 'too-large', 'right', 'full']),
    closeMl: z.number().nullable(),
    nextModuleMl: z.number().nullable(),
  })
  .meta({ id: 'NestReply' });

export const tubsRequest = z
  .strictObject({
    ...whose,
    needPerWeek: quantity('heads a week', 0, 1_000_000),
    litresPerTub: quantity('litres', 0.1, 10_000),
    temperatureC: degrees,
    founders: quantity('heads', 2, 100_000, true).default(10),
  })
  .meta({ id: 'TubsRequest' });

export const tubsReply = z
  .object({ harvestPerTub: z.number(), keepBack: z.int(), tubs: z.int().nullable(), readyWeeks: z.int().nullable() })
  .meta({ id: 'TubsReply' });

export const countRequest = z
  .strictObject({ counted: quantity('heads', 1, 1_000_000, true), sharePct: quantity('percent', 0.1, 100) })
  .meta({ id: 'CountRequest' });

export const countReply = z.object({ heads: z.int(), low: z.int(), high: z.int() }).meta({ id: 'CountReply' });

// ---- one colony of the house ----

/** What the course of a colony or culture is worked out from, on the device itself. */
export const colonyFacts = z
  .object({
    residentId: id,
    asOf: day,
    /** Null for kinds whose numbers nobody gave. */
    kind: populationKind.nullable(),
    counts: z.record(z.string(), z.number()),
    /** Stages that nobody counted, filled with what is usual beside so many grown ones. */
    estimated: z.array(z.string()),
    queens: z.int(),
    temperatureC: z.number(),
    /** Week by week, with the rest that is on, planned, or usual. */
    temperaturesC: z.array(z.number()),
    roomForHeads: z.number().nullable(),
    /** Of its room: of ants by their workers, each with its share of brood. */
    fullPct: z.number().nullable(),
    /** Nearly full from that day on. */
    splitOn: day.nullable(),
    /** The day of the last count. */
    countedOn: day,
    countSpread: z.number(),
    /** Of ants the workers, of others all. */
    heads: z.number(),
    /** Nobody takes its size: it is reckoned on from its last count; else it is followed head by head. */
    isCounted: z.boolean(),
    /** What the last count says against the one before; null where there are not two. */
    verdict: z.enum(COUNT_VERDICTS).nullable(),
    /** Of ants: how the workers are likely to be built. */
    castes: z.array(z.object({ id: z.string(), count: z.number() })),
    /** Of leafcutters whose garden was measured. mL */
    fungusMl: z.number().nullable(),
    /** Of a queen without workers. */
    founding: z
      .object({ beganOn: day, seen: z.record(z.string(), day), isSealed: z.boolean(), ...foundingReply.shape })
      .nullable(),
    /** Of ants in a nest. */
    nest: z
      .object({
        volumeMl: z.number(),
        chambers: z.int(),
        tubeBoreMm: z.number().nullable(),
        outworldL: z.number().nullable(),
        /** What a worker takes, with her share of brood. */
        perHeadMl: z.number(),
      })
      .nullable(),
    rest: restKind.nullable(),
  })
  .meta({ id: 'ColonyFacts' });
export type ColonyFacts = z.infer<typeof colonyFacts>;

/** Cultures and colonies of the house side by side. */
export const colonyBoard = z
  .object({
    asOf: day,
    colonies: z.array(
      z.object({
        residentId: id,
        heads: z.number(),
        countedOn: day,
        roomForHeads: z.number().nullable(),
        fullPct: z.number().nullable(),
        /** Crowded from that day on. */
        splitOn: day.nullable(),
        harvest: harvest.nullable(),
        verdict: z.enum(COUNT_VERDICTS).nullable(),
        /** Free boxes that would take half of them, the best first, where some are to be taken out soon. */
        splitInto: z.array(z.object({ homeId: id, code: z.string() })),
        /** The group of this house it was taken out of. */
        outOfId: id.nullable(),
        /** The last day on which some were taken out to begin another tub. */
        partedOn: day.nullable(),
        isCounted: z.boolean(),
        isFounding: z.boolean(),
        isResting: z.boolean(),
      }),
    ),
  })
  .meta({ id: 'ColonyBoard' });
export type ColonyBoard = z.infer<typeof colonyBoard>;
