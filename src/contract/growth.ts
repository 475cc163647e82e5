import { z } from 'zod';
import { BASES, MOULT_SIGNS } from '@/core/profiles/profile';
import { temperatureC } from './climate';
import { stage } from './housing';
import { day, id, line, mm, oneOf, profileId, quantity } from './primitives';

const size = mm(0.05, 640);
const seenMoult = z.strictObject({ on: day, sizeMm: size.optional(), stage: stage.optional() });

export const moultRequest = z
  .strictObject({
    profile: profileId,
    scientificName: line('a scientific name', 90).optional(),
    stage: stage.optional(),
    moults: z
      .array(seenMoult, { error: 'Must be a list of moults: [{on, sizeMm?}]; empty where none was seen.' })
      .max(400),
    bornOn: day.optional(),
    sizeMm: size.optional(),
    signs: z.array(oneOf(MOULT_SIGNS)).max(20).optional(),
    temperatureC: temperatureC.optional(),
    asOf: day,
    /** Moults of others of its kind, one list an animal. */
    others: z.array(z.array(seenMoult).max(400)).max(500).optional(),
    /** From this size on its home no longer serves. */
    outgrownMm: size.optional(),
  })
  .meta({ id: 'MoultRequest' });

const dayWindow = z.object({ p10: day, median: day, p90: day });

export const moultReply = z
  .object({
    next: dayWindow
      .extend({ within7DaysPct: z.number(), within30DaysPct: z.number(), within90DaysPct: z.number() })
      .nullable(),
    later: z.array(dayWindow),
    sizeMm: z.array(z.object({ moult: z.int(), p10: z.number(), median: z.number(), p90: z.number() })),
    moultsToAdult: z.object({ p10: z.number(), median: z.number(), p90: z.number() }).nullable(),
    outgrown: dayWindow.nullable(),
    premoultPct: z.number(),
    /** The last of the days after a moult on which it is left alone, and the first on which it is fed. */
    quietUntil: day.nullable(),
    firstFeedOn: day.nullable(),
    grounds: z.object({
      usualDays: z.number().nullable(),
      paceTimes: z.number(),
      ownIntervals: z.int(),
      otherAnimals: z.int(),
      growthTimes: z.number(),
      priorPct: z.number(),
      signs: z.array(z.object({ sign: z.enum(MOULT_SIGNS), times: z.number() })),
      basis: z.enum(BASES),
    }),
  })
  .meta({ id: 'MoultReply' });

/** The forecast of one resident, with what it was made from. */
export const residentMoult = z
  .object({
    residentId: id,
    asOf: day,
    moults: z.array(z.object({ on: day, sizeMm: z.number().optional(), stage: stage.optional() })),
    sizeMm: z.number().nullable(),
    /** Of the home, by its room and its heat. */
    temperatureC: z.number(),
    outgrownMm: z.number().nullable(),
    forecast: moultReply,
  })
  .meta({ id: 'ResidentMoult' });
export type ResidentMoult = z.infer<typeof residentMoult>;

export const survivalRequest = z
  .strictObject({
    durations: z
      .array(quantity('units of time', 0, 100_000))
      .min(1)
      .max(5000),
    died: z.array(z.boolean({ error: 'Must be true where it died, false where it lived on.' })).max(5000),
  })
  .meta({ id: 'SurvivalRequest' });
export const survivalReply = z
  .object({
    steps: z.array(
      z.object({
        time: z.number(),
        atRisk: z.int(),
        deaths: z.int(),
        survival: z.number(),
        low: z.number(),
        high: z.number(),
      }),
    ),
    median: z.number().nullable(),
    total: z.int(),
    deaths: z.int(),
  })
  .meta({ id: 'SurvivalReply' });

const base = { baseC: temperatureC, upperC: temperatureC.optional() };
export const degreeDaysRequest = z
  .union(
    [
      z.strictObject({ minC: temperatureC, maxC: temperatureC, ...base }),
      z.strictObject({
        series: z
          .array(z.strictObject({ hour: quantity('hours', 0, 100_000), temperatureC }))
          .min(2)
          .max(20_000),
        ...base,
      }),
    ],
    { error: 'Give minC, maxC and baseC of one day, or a series and baseC; upperC where there is a cut-off.' },
  )
  .meta({ id: 'DegreeDaysRequest' });
export const degreeDaysReply = z.object({ degreeDays: z.number() }).meta({ id: 'DegreeDaysReply' });
