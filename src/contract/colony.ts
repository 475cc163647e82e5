import { z } from 'zod';
import type { PopulationKind } from '@/core/colony/kind';
import { REST_ACTS, REST_WARNINGS, type RestKind, type RestPlan } from '@/core/season/rest';
import { BASES } from '@/core/profiles/profile';
import { day, id, profileId, quantity } from './primitives';
import { fact, temperatureBand } from './profile';

const ground = { basis: z.enum(BASES), source: z.string().optional() };
const stageName = z.string().regex(/^[a-z]+$/, { error: 'Must be the name of a stage, for example larva.' });
const heads = quantity('heads', 0, 10_000_000);
const degrees = quantity('degrees Celsius', -20, 60);

// ---- what ships ----

export const populationKind = z.strictObject({
  profiles: z.array(profileId).min(1),
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
  queensAtMost: z.int().positive().optional(),
  spread: fact,
  ...ground,
}) satisfies z.ZodType<PopulationKind>;

const ofProfiles = { profiles: z.array(profileId).min(1), why: z.string().min(1), ...ground };
const resting = {
  ...ofProfiles,
  bandC: temperatureBand,
  floorC: fact,
  beginsOn: z.string().regex(/^(0[1-9]|1[0-2])-([0-2]\d|3[01])$/),
  weeks: fact,
  degreesPerStep: fact,
  daysPerStep: fact,
  checkEveryDays: fact,
};
export const restKind = z.discriminatedUnion('need', [
  z.strictObject({ need: z.literal('must'), ...resting }),
  z.strictObject({ need: z.literal('may'), ...resting }),
  z.strictObject({ need: z.literal('never'), ...ofProfiles }),
]) satisfies z.ZodType<RestKind>;

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
    profile: profileId,
    queens: quantity('queens', 0, 1000, true).optional(),
    counts: z.record(stageName, heads),
    /** One for all weeks. */
    temperatureC: degrees.optional(),
    /** Or one for each week. */
    temperaturesC: z.array(degrees).max(520).optional(),
    weeks: quantity('weeks', 1, 520, true),
    harvestPerWeek: quantity('heads a week', 0, 1_000_000).optional(),
    roomForHeads: quantity('heads', 1, 100_000_000).optional(),
    asOf: day.optional(),
  })
  .refine((asked) => (asked.temperatureC === undefined) !== (asked.temperaturesC === undefined), {
    path: ['temperatureC'],
    error: 'Give temperatureC for all weeks, or temperaturesC with one for each, and not both.',
  })
  .meta({ id: 'ColonyRequest' });

const band = z.object({ p10: z.number(), median: z.number(), p90: z.number() });

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
    firstWorkersOn: z.object({ p10: day, median: day, p90: day.nullable() }).nullable(),
    /** What may be taken out in a week for ever; null where the warmth changes. */
    lastingHarvestPerWeek: z.number().nullable(),
  })
  .meta({ id: 'ColonyReply' });

export const restRequest = z
  .strictObject({
    profile: profileId,
    latitudeDeg: quantity('degrees of latitude', -90, 90),
    asOf: day.optional(),
    startOn: day.optional(),
    roomC: degrees,
    placeC: degrees,
  })
  .meta({ id: 'RestRequest' });

export const restReply = z
  .object({
    steps: z.array(z.object({ on: day, targetC: z.number(), what: z.enum(REST_ACTS) })),
    warnings: z.array(z.enum(REST_WARNINGS)),
    restC: z.number(),
    beginsOn: day,
    endsOn: day,
  })
  .meta({ id: 'RestReply' }) satisfies z.ZodType<RestPlan>;

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
    roomForHeads: z.number().nullable(),
    rest: restKind.nullable(),
  })
  .meta({ id: 'ColonyFacts' });
export type ColonyFacts = z.infer<typeof colonyFacts>;
