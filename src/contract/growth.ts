import { z } from 'zod';
import { STILLNESS_VERDICTS } from '@/core/growth/stillness';
import { BASES, MOULT_SIGNS } from '@/core/profiles/profile';
import { temperatureC } from './climate';
import { stage } from './housing';
import { sex } from './records';
import { day, id, instar, line, mm, oneOf, profileId, quantity, instars } from './primitives';

const size = mm(0.05, 640);
const seenMoult = z.strictObject({
  on: day,
  sizeMm: size.optional(),
  stage: stage.optional(),
  /** How warm the interval was that ended with it. */
  temperatureC: temperatureC.optional(),
});

export const moultRequest = z
  .strictObject({
    profile: profileId,
    scientificName: line('a scientific name', 90).optional(),
    stage: stage.optional(),
    /** Its sex, and how large it becomes where that is known: else as its species does. */
    sex: sex.optional(),
    grownMm: size.optional(),
    moults: z
      .array(seenMoult, { error: 'Must be a list of moults: [{on, sizeMm?}]; empty where none was seen.' })
      .max(400),
    bornOn: day.optional(),
    /** Of one whose last moult nobody knows: since when a moult of it would have been written down. */
    watchedSince: day.optional(),
    sizeMm: size.optional(),
    /** The day on which that size was taken: it is carried on over the moults since, and one taken later tells of a moult unseen. */
    sizedOn: day.optional(),
    signs: z.array(oneOf(MOULT_SIGNS)).max(20).optional(),
    temperatureC: temperatureC.optional(),
    /** How warm it has been since its last moult; as warm as it is now if left out. */
    sinceTemperatureC: temperatureC.optional(),
    /** By how much windows are to be widened; 1 if left out. */
    spreadTimes: quantity('times', 0.1, 10).optional(),
    asOf: day,
    instar: instar.optional(),
    /** Moults of its siblings, and of others of its kind; one list an animal. */
    siblings: z.array(z.array(seenMoult).max(400)).max(500).optional(),
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
    /** The chance that it has moulted since the last that is known, without anybody writing it down. */
    unseenPct: z.number(),
    instar: z.int().nullable(),
    /** The last of the days after a moult on which it is left alone, and the first on which it is fed. */
    quietUntil: day.nullable(),
    firstFeedOn: day.nullable(),
    grounds: z.object({
      usualDays: z.number().nullable(),
      paceTimes: z.number(),
      ownIntervals: z.int(),
      siblings: z.int(),
      otherAnimals: z.int(),
      growthTimes: z.number(),
      closeDays: z.number(),
      priorPct: z.number(),
      signs: z.array(z.object({ sign: z.enum(MOULT_SIGNS), times: z.number() })),
      basis: z.enum(BASES),
    }),
  })
  .meta({ id: 'MoultReply' });

const moultsSeen = z.array(
  z.object({
    on: day,
    sizeMm: z.number().optional(),
    stage: stage.optional(),
    /** How warm the interval was that ended with it, as far as that is known. */
    temperatureC: z.number().optional(),
  }),
);

/** The forecast of one resident, with what it was made from. */
export const residentMoult = z
  .object({
    residentId: id,
    asOf: day,
    moults: moultsSeen,
    sizeMm: z.number().nullable(),
    /** Of the home: by a probe in it since the last moult, else by its room and its heat. */
    temperatureC: z.number(),
    temperatureFrom: z.enum(['probe', 'room']),
    /** Of a group: the days on which half of it had come to an instar stand for its moults. */
    isGroup: z.boolean(),
    outgrownMm: z.number().nullable(),
    forecast: moultReply,
  })
  .meta({ id: 'ResidentMoult' });
export type ResidentMoult = z.infer<typeof residentMoult>;

const lives = {
  durations: z
    .array(quantity('units of time', 0, 100_000))
    .min(1)
    .max(5000),
  died: z.array(z.boolean({ error: 'Must be true where it died, false where it lived on.' })).max(5000),
};
export const survivalRequest = z
  .strictObject({
    ...lives,
    /** Another batch to hold against it. */
    against: z.strictObject(lives).optional(),
  })
  .meta({ id: 'SurvivalRequest' });
/** Whether two batches live on alike, by log-rank; null where nobody has died of them. */
const logRank = z
  .object({ chiSquare: z.number(), chancePct: z.number(), deaths: z.int(), expected: z.number() })
  .nullable();
const survivalOf = z
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
    followed: z.number(),
  })
  .meta({ id: 'Survival' });
export const survivalReply = survivalOf
  .extend({ against: survivalOf.optional(), logRank: logRank.optional() })
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

export const stillnessRequest = z
  .strictObject({
    profile: profileId,
    daysStill: quantity('days', 0, 2000),
    /** Ids of what was seen, from the list that the answer gives. */
    seen: z.array(line('the id of a finding', 40)).max(20).optional(),
    premoultPct: quantity('percent', 0, 100).optional(),
  })
  .meta({ id: 'StillnessRequest' });
export const stillnessReply = z
  .object({
    verdict: z.enum(STILLNESS_VERDICTS),
    deadPct: z.number(),
    byDaysPct: z.number(),
    lookAgainInDays: z.int(),
    used: z.array(z.object({ id: z.string(), times: z.number() })),
    usualDays: z.number(),
    longestDays: z.number(),
    findings: z.array(z.object({ id: z.string(), title: z.string(), times: z.number() })),
    lookFor: z.array(z.string()),
    howToLook: z.array(z.string()),
    notToDo: z.array(z.string()),
    worry: z.string(),
    basis: z.enum(BASES),
  })
  .meta({ id: 'StillnessReply' });
export type StillnessReply = z.infer<typeof stillnessReply>;

const instarCounts = z.record(z.string(), z.int());

export const censusRequest = z
  .strictObject({
    asOf: day,
    entries: z
      .array(
        z.strictObject({
          kind: oneOf(['taken-in', 'measured', 'moulted', 'hatched', 'died', 'passed-on', 'parted', 'joined']),
          on: day,
          headCount: quantity('animals', 1, 1_000_000, true).optional(),
          count: quantity('animals', 1, 1_000_000, true).optional(),
          instar: instar.optional(),
          instars: instars.optional(),
        }),
      )
      .max(2000),
  })
  .meta({ id: 'CensusRequest' });
const course = {
  heads: z.int(),
  instars: instarCounts,
  missing: z.int(),
  survival: survivalOf,
};
export const censusReply = z.object(course).meta({ id: 'CensusReply' });

/** A group and the batches of its species, with the survival of each. */
export const residentBatch = z
  .object({
    residentId: id,
    ...course,
    bornOn: day.nullable(),
    /** Others of its species that were counted, those that are gone too. */
    compared: z.array(
      z.object({ residentId: id, name: z.string(), isHere: z.boolean(), survival: survivalOf, logRank }),
    ),
  })
  .meta({ id: 'ResidentBatch' });
export type ResidentBatch = z.infer<typeof residentBatch>;

const peer = z.object({
  id,
  scientificName: z.string(),
  motherId: id.nullable(),
  outOfId: id.nullable(),
  batch: z.string().nullable(),
  moults: moultsSeen,
});

/** What the next moults of the whole house are worked out from, beside the page. */
export const moultFacts = z
  .object({
    asOf: day,
    residents: z.array(
      z.object({
        ...peer.shape,
        profile: z.string(),
        grownMm: z.number(),
        stage,
        sizeMm: z.number().optional(),
        /** The day on which that size was taken; left out where it was carried on since. */
        sizedOn: day.optional(),
        bornOn: day.optional(),
        instar: z.int().optional(),
        signs: z.array(z.enum(MOULT_SIGNS)),
        temperatureC: z.number(),
        sinceTemperatureC: z.number().optional(),
        /** By how much the windows of this house are widened. */
        spreadTimes: z.number().optional(),
      }),
    ),
    /** Whose moults tell of the pace of their kind, here or gone. */
    peers: z.array(peer),
  })
  .meta({ id: 'MoultFacts' });
export type MoultFacts = z.infer<typeof moultFacts>;
