import { WATERING_WAYS } from '@/core/climate/soilLayers';
import { z } from 'zod';
import { MOULT_SIGNS } from '@/core/profiles/profile';
import { JOB_KINDS } from '@/core/plan/jobs';
import { SKIP_REASONS, type Job, type LeaveAlone } from '@/core/plan/work';
import { REST_ACTS } from '@/core/season/restActs';
import { jobMeal } from './feeding';
import { day, id, instant } from './primitives';
import { probeAlarm } from './readings';

const reason = z.discriminatedUnion('code', [
  z.object({ code: z.literal('never'), since: day }),
  z.object({ code: z.literal('since-last'), days: z.int(), on: day }),
  z.object({ code: z.literal('after-refusal'), days: z.int(), on: day }),
  z.object({ code: z.literal('offered'), on: day, at: instant, entryId: id }),
  z.object({
    code: z.literal('dries'),
    by: z.enum(['damped', 'felt', 'weighed']),
    since: day,
    dampWetness: z.number(),
    dampWetnessMin: z.number(),
  }),
  z.object({ code: z.literal('dry-air'), humidityPct: z.number(), minPct: z.number(), hours: z.number() }),
  z.object({ code: z.literal('alarms'), alarms: z.array(probeAlarm) }),
  z.object({ code: z.literal('rest'), plannedOn: day, lateDays: z.int() }),
  z.object({ code: z.literal('home-fails'), rules: z.array(z.string()) }),
  z.object({ code: z.literal('buried'), sign: z.enum(MOULT_SIGNS), days: z.int(), since: day }),
  z.object({ code: z.literal('coming'), from: day, until: day }),
  z.object({ code: z.literal('hold'), to: z.enum(['cool', 'warm']), targetC: z.number(), until: day.nullable() }),
  z.object({ code: z.literal('pair'), on: day, targetC: z.number() }),
  z.object({ code: z.literal('moved'), on: day }),
  z.object({ code: z.literal('moulted'), on: day }),
  z.object({ code: z.literal('no-moult'), since: day, usualDays: z.number() }),
  z.object({ code: z.literal('quiet-over'), since: day, on: day, mayMoult: z.boolean() }),
  z.object({ code: z.literal('founding'), since: day }),
  z.object({ code: z.literal('founding-water'), since: day }),
  z.object({ code: z.literal('move-planned'), on: day, until: day }),
  z.object({ code: z.literal('papers'), title: z.string(), expiresOn: day }),
]);

export const job = z
  .object({
    kind: z.enum(JOB_KINDS),
    dueOn: day,
    /** The last day that is borne. */
    until: day,
    cannotWait: z.boolean(),
    minutes: z.number(),
    reason,
    meal: jobMeal.optional(),
    soil: z.object({ fromMm: z.number(), toMm: z.number() }).optional(),
    water: z.object({ ml: z.number(), way: z.enum(WATERING_WAYS) }).optional(),
    leavesHeap: z.boolean().optional(),
    rest: z
      .object({
        ...{ restId: id, key: z.string(), what: z.enum(REST_ACTS), targetC: z.number() },
        /** The place of the house that holds it; null where none does. */
        place: z.string().nullable(),
      })
      .optional(),
    move: z.object({ id, toHomeId: id, toCode: z.string(), on: day, from: day, until: day }).optional(),
    skipped: z.object({ entryId: id, until: day, why: z.enum(SKIP_REASONS) }).optional(),
    /** So many days from now it would be less work, and it is borne to wait until then. */
    lighterIn: z.int().optional(),
    doneBy: id.optional(),
    alsoBy: z.string().optional(),
  })
  .meta({ id: 'Job' }) satisfies z.ZodType<Job>;

export const leaveAlone = z.discriminatedUnion('code', [
  z.object({
    code: z.literal('premoult'),
    signs: z.array(z.enum(MOULT_SIGNS)),
    since: day,
    premoultPct: z.number().nullable(),
    endsOn: day,
  }),
  z.object({ code: z.literal('hardening'), feedFrom: day }),
  z.object({ code: z.literal('resting'), since: day, endsOn: day }),
  z.object({ code: z.literal('founding'), since: day, endsOn: day.nullable() }),
]) satisfies z.ZodType<LeaveAlone>;

/** One box on the walk. */
export const stop = z.object({
  residentId: id,
  homeId: id,
  shelfId: id,
  jobs: z.array(job),
  leaveAlone: leaveAlone.nullable(),
  /** Due too, and waiting until it is left alone no longer. */
  waiting: z.array(z.enum(JOB_KINDS)),
});

/** One whose records cannot be worked out: why, and the entry to take back. */
export const unworkable = z.object({ residentId: id, homeId: id, why: z.string(), entryId: id.nullable() });

/** One day's walk: a stop for every resident with work, or to be left alone, in shelf order. */
export const round = z
  .object({
    on: day,
    stops: z.array(stop),
    /** Those whose records cannot be worked out. */
    unworkable: z.array(unworkable),
  })
  .meta({ id: 'Round' });
export type Round = z.infer<typeof round>;
export type Stop = Round['stops'][number];
