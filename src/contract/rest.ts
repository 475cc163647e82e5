import { z } from 'zod';
import { STAGES } from '@/core/profiles/profile';
import { REST_WARNINGS, type RestKind, type RestPlan } from '@/core/season/rest';
import { REST_ACTS } from '@/core/season/restActs';
import { REST_PHASES, type RestCourse } from '@/core/season/restCourse';
import { day, holdsFor, id, instant, quantity, whose } from './primitives';
import { fact, temperatureBand, ground } from './profile';
import { probeAlarm } from './readings';

const degrees = quantity('degrees Celsius', -20, 60);

// ---- what ships ----

const ofProfiles = { ...holdsFor, why: z.string().min(1), ...ground };
const resting = {
  ...ofProfiles,
  bandC: temperatureBand,
  floorC: fact,
  beginsOn: z.string().regex(/^(0[1-9]|1[0-2])-([0-2]\d|3[01])$/),
  weeks: fact,
  degreesPerStep: fact,
  daysPerStep: fact,
  checkEveryDays: fact,
  stages: z.array(z.enum(STAGES)).optional(),
  isUnfed: z.boolean().optional(),
  isUnopened: z.boolean().optional(),
};
export const restKind = z.discriminatedUnion('need', [
  z.strictObject({ need: z.literal('must'), ...resting }),
  z.strictObject({ need: z.literal('may'), ...resting }),
  z.strictObject({ need: z.literal('never'), ...ofProfiles }),
]) satisfies z.ZodType<RestKind>;

// ---- the engines over HTTP ----

export const restRequest = z
  .strictObject({
    ...whose,
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
    endsBetween: z.object({ from: day, to: day }),
  })
  .meta({ id: 'RestReply' }) satisfies z.ZodType<RestPlan>;

const restDone = z.record(
  z.string().regex(/^[a-z-]+-\d+$/, { error: 'Must be the key of a step, for example cool-1.' }),
  day,
);

export const restCourseRequest = z
  .strictObject({
    ...restRequest.shape,
    /** The day on which each step was done: {"cool-1": "2026-10-28"}. */
    done: restDone,
    on: day,
    /** Of the probe in its place. */
    readings: z
      .array(z.strictObject({ at: instant, temperatureC: degrees }))
      .max(100_000)
      .optional(),
  })
  .meta({ id: 'RestCourseRequest' });

const restCourse = z.object({
  steps: z.array(
    z.object({
      key: z.string(),
      what: z.enum(REST_ACTS),
      targetC: z.number(),
      on: day,
      plannedOn: day,
      doneOn: day.nullable(),
      isPassed: z.boolean(),
    }),
  ),
  phase: z.enum(REST_PHASES),
  targetC: z.number(),
  isFasting: z.boolean(),
  isQuiet: z.boolean(),
  lateDays: z.int(),
  isShort: z.boolean(),
  endsOn: day,
}) satisfies z.ZodType<RestCourse>;

const degreeHours = z.object({ above: z.number(), below: z.number(), hours: z.number() });

export const restCourseReply = z
  .object({ course: restCourse, degreeHours: degreeHours.nullable() })
  .meta({ id: 'RestCourseReply' });

// ---- winter rest of the house ----

const weighed = z.object({ on: day, massG: z.number() }).nullable();
const counted = z.object({ on: day, heads: z.number() }).nullable();

/** A place to rest: a room of the house with what it holds. */
const restPlace = z.object({
  roomId: id,
  name: z.string(),
  temperatureC: z.number(),
  from: z.enum(['readings', 'set', 'usual']),
});

/** The winter of one resident: its kind, and the rest that is planned or under way. */
export const residentRest = z
  .object({
    residentId: id,
    asOf: day,
    kind: restKind.nullable(),
    roomC: z.number(),
    places: z.array(restPlace),
    rest: z
      .object({
        id,
        plannedOn: day,
        roomId: id,
        place: z.string(),
        placeC: z.number(),
        roomC: z.number(),
        warnings: z.array(z.enum(REST_WARNINGS)),
        course: restCourse.extend({
          /** Each with the place of the house that holds it; null where none does. */
          steps: z.array(restCourse.shape.steps.element.extend({ place: z.string().nullable() })),
        }),
        degreeHours: degreeHours.nullable(),
        /** Day by day the mean of the probe in its place, since it was cooled. C */
        measured: z.array(z.object({ on: day, temperatureC: z.number() })),
        alarms: z.array(probeAlarm),
        /** Nothing that was measured is outside its band, and no alarm cries. */
        isAsWanted: z.boolean(),
        before: counted,
        after: counted,
        weights: z.object({ before: weighed, after: weighed }),
      })
      .nullable(),
  })
  .meta({ id: 'ResidentRest' });
export type ResidentRest = z.infer<typeof residentRest>;

/** Who needs a rest, who may have one, who must not; and how far each is. */
export const restBoard = z
  .object({
    asOf: day,
    rests: z.array(
      z.object({
        residentId: id,
        need: z.enum(['must', 'may', 'never']),
        why: z.string(),
        /** The usual season of its kind, of this winter or the next. */
        beginsOn: day.nullable(),
        endsOn: day.nullable(),
        phase: z.enum(REST_PHASES).nullable(),
        targetC: z.number().nullable(),
        /** The next step to do. */
        next: z.object({ on: day, what: z.enum(REST_ACTS) }).nullable(),
        alarms: z.int(),
      }),
    ),
  })
  .meta({ id: 'RestBoard' });
export type RestBoard = z.infer<typeof restBoard>;
