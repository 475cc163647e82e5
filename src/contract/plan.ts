import { z } from 'zod';
import { FEEDING_CAUTIONS } from '@/core/feeding/food';
import { JOB_KINDS } from '@/core/plan/jobs';
import { SKIP_REASONS } from '@/core/plan/work';
import { FORMS, MOULT_SIGNS } from '@/core/profiles/profile';
import { HEMISPHERES } from '@/core/season/year';
import { temperatureC } from './climate';
import { ENTRY_KINDS } from './storedEntries';
import { schools } from './feeding';
import { animal, boxSize, candidateHome, container, homeContents, status, substrateDepthMm } from './housing';
import { day, id, oneOf, quantity, MOST_AT_ONCE, tooMany } from './primitives';
import { leaveAlone, job } from './round';

const text = z.string().min(1).max(60);

// ---- due work, and work ahead ----

const logLine = z.strictObject({
  kind: oneOf([...ENTRY_KINDS, 'weighed', 'counted'] as const),
  on: day,
  sign: oneOf(MOULT_SIGNS).optional(),
  hasSize: z.boolean().optional(),
  skip: z.strictObject({ job: oneOf(JOB_KINDS), until: day, why: oneOf(SKIP_REASONS) }).optional(),
});

/** Whom the work is asked for: the animal, its home, and what was written down. */
const workSubject = z.strictObject({
  id: text,
  ...animal,
  form: oneOf(FORMS).optional(),
  schools: schools.optional(),
  home: z.strictObject({ container, substrateDepthMm, ...homeContents }),
  hemisphere: oneOf(HEMISPHERES).optional(),
  batterySince: day.optional(),
  temperatureC: temperatureC.optional(),
  watchedTemperatureC: temperatureC.optional(),
  /** When its soil is to be damped, and for how many days it holds then. */
  watering: z
    .strictObject({
      dueOn: day.nullable(),
      holdsDays: quantity('days', 1, 400, true).nullable(),
      waterMl: quantity('millilitres', 0, 100_000),
    })
    .optional(),
  log: z.array(logLine).max(2000),
});
export type WorkSubject = z.infer<typeof workSubject>;

export const dueRequest = z.strictObject({ on: day, resident: workSubject }).meta({ id: 'DueRequest' });
export const dueReply = z
  .object({ jobs: z.array(job), leaveAlone: leaveAlone.nullable(), waiting: z.array(z.enum(JOB_KINDS)) })
  .meta({ id: 'DueReply' });

const daysAhead = quantity('days', 1, 366, true);

/** A year of 200 residents, or two months of 500. Chosen here: the answer stays below some megabytes */
const MOST_WORK_DAYS = 80_000;

export const workRequest = z
  .strictObject({
    from: day,
    days: daysAhead,
    residents: z
      .array(workSubject, { error: 'Must be a list of residents.' })
      .max(MOST_AT_ONCE, { error: tooMany('residents') }),
    busyDays: z.array(day).max(366).default([]),
  })
  .refine(({ residents, days }) => residents.length * days <= MOST_WORK_DAYS, {
    path: ['days'],
    error: `Must be fewer: residents times days must come to at most ${MOST_WORK_DAYS}.`,
  })
  .meta({ id: 'WorkRequest' });
export const workReply = z
  .object({
    days: z.array(z.object({ on: day, minutes: z.number(), jobs: z.int(), isBusy: z.boolean() })),
    jobs: z.array(
      z.object({
        residentId: z.string(),
        kind: z.enum(JOB_KINDS),
        dueOn: day,
        until: day,
        on: day,
        minutes: z.number(),
      }),
    ),
  })
  .meta({ id: 'WorkReply' });

// ---- the chain of moves ----

const windows = z
  .array(z.strictObject({ from: day, until: day }))
  .max(60)
  .refine((list) => list.every(({ from, until }) => from <= until), {
    error: 'Each window must begin before it ends.',
  });
const perDay = quantity('moves a day', 1, 50, true);
const cleaningDays = quantity('days to clean a tub', 1, 30, true).default(2);
const chainDays = quantity('days', 1, 366, true);
/** How long a better plan is looked for; the best one so far is answered, with its bound. */
const searchS = quantity('seconds of search', 0.1, 14).default(1);

export const chainRequest = z
  .strictObject({
    residents: z
      .array(
        z.strictObject({
          id: text,
          ...animal,
          /** The id of the tub it is in; left out for one that has none yet. */
          from: text.nullable().optional(),
          /** Days on which it can be moved; any day if left out. */
          windows: windows.optional(),
          /** The day on which its tub is likely to be outgrown. */
          outgrownOn: day.optional(),
          /** It may be moved to make room though its tub still serves. */
          mayMove: z.boolean().default(false),
        }),
        { error: 'Must be a list of residents.' },
      )
      .max(MOST_AT_ONCE, { error: tooMany('residents') }),
    tubs: z.array(candidateHome, { error: 'Must be a list of tubs.' }).max(MOST_AT_ONCE, { error: tooMany('tubs') }),
    days: chainDays,
    perDay,
    cleaningDays,
    searchS,
    startOn: day.optional(),
    /** Days on which nobody can move anything. */
    busyDays: z.array(day).max(400).default([]),
  })
  .superRefine(({ residents, tubs }, context) => {
    const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    const known = new Set(tubs.map((tub) => tub.id));
    if (known.size < tubs.length) refuse(['tubs'], 'Each tub must have an id of its own.');
    const seen = new Set<string>();
    residents.forEach((resident, index) => {
      if (seen.has(resident.id)) refuse(['residents', index, 'id'], `${resident.id} is in the list already.`);
      seen.add(resident.id);
      if (typeof resident.from === 'string' && !known.has(resident.from)) {
        refuse(['residents', index, 'from'], `There is no tub ${resident.from} in the list.`);
      }
    });
  })
  .meta({ id: 'ChainRequest' });

const need = z.enum(['homeless', 'fails', 'outgrows', 'none']);

export const chainMove = z.object({
  resident: z.string(),
  from: z.string().nullable(),
  to: z.string(),
  on: day,
  need,
  verdict: status,
  /** Soil the tub is filled to for it, and moults for which it will serve (2: two and more). */
  depthMm: z.number(),
  servesMoults: z.int(),
  /** Who leaves that tub first. */
  waitsFor: z.string().nullable(),
  cost: z.number(),
});

export const chainReply = z
  .object({
    moves: z.array(chainMove),
    unplaced: z.array(z.string()),
    unplacedWhy: z.array(z.object({ resident: z.string(), need, why: z.enum(['no-tub', 'no-day', 'taken']) })),
    cost: z.number(),
    /** No plan costs less. */
    bound: z.number(),
    by: z.enum(['exact', 'heuristic']),
  })
  .meta({ id: 'ChainReply' });
export type ChainReply = z.infer<typeof chainReply>;

/** Why a move cannot be made on some days. */
export const CLOSED_BY = ['moult', 'rest', 'busy', 'tub'] as const;
const closedDays = z.object({ from: day, until: day, why: z.enum(CLOSED_BY) });

export const movesRequest = z
  .strictObject({
    days: chainDays.default(60),
    perDay: perDay.default(2),
    cleaningDays,
    searchS,
    /** Also those whose box still serves may move, to make room. */
    makeRoom: z.boolean().default(false),
  })
  .meta({ id: 'MovesRequest' });
export const movesReply = z
  .object({
    ...chainReply.shape,
    moves: z.array(
      chainMove.extend({
        soilToAddL: z.number(),
        /** The days on which it can be moved, around the one that was chosen. */
        window: z.object({ from: day, until: day }),
        closed: z.array(closedDays),
      }),
    ),
    /** Sizes of box to buy for those that stay unplaced. */
    buy: z.array(z.object({ size: boxSize, residentIds: z.array(z.string()) })),
    unserved: z.array(z.string()),
  })
  .meta({ id: 'MovesReply' });
export type MovesReply = z.infer<typeof movesReply>;

// ---- the seasons ----

export const MARKS = ['moult', 'outgrown', 'hatch', 'emerge', 'pair', 'workers', 'rest', 'move'] as const;
export const seasonMark = z.object({
  residentId: id,
  kind: z.enum(MARKS),
  from: day,
  until: day,
  /** The likeliest day, where there is one. */
  median: day.nullable(),
  /** Of a move: the entry that planned it, and where to. */
  moveId: id.nullable(),
  toHomeId: id.nullable(),
});
export type SeasonMark = z.infer<typeof seasonMark>;

const absenceFacts = z.object({
  id,
  keeperId: id.nullable(),
  from: day,
  until: day,
  sitter: z.string().nullable(),
  call: z.string().nullable(),
  hasPage: z.boolean(),
});
export type AbsenceFacts = z.infer<typeof absenceFacts>;

export const seasons = z
  .object({
    from: day,
    days: z.int(),
    marks: z.array(seasonMark),
    /** Minutes of work of each day, levelled. */
    minutes: z.array(z.number()),
    /** Days on which none of the keepers has time. */
    busyDays: z.array(day),
    absences: z.array(absenceFacts),
    closed: z.array(closedDays.extend({ residentId: id })),
  })
  .meta({ id: 'Seasons' });
export type Seasons = z.infer<typeof seasons>;

// ---- absence ----

const task = z.object({ residentId: z.string(), kind: z.enum(JOB_KINDS) });
const visit = z.object({ on: day, tasks: z.array(task) });
export const absencePlan = z
  .object({
    days: z.int(),
    before: z.array(visit),
    visits: z.array(visit),
    cannotWait: z.array(task.extend({ until: day })),
    neverOpen: z.array(
      z.object({
        residentId: z.string(),
        why: z.enum(['dangerous', 'premoult', 'hardening', 'resting', 'founding']),
        until: day.nullable(),
      }),
    ),
    needsKeeper: z.array(z.string()),
    waits: z.int(),
  })
  .meta({ id: 'AbsencePlan' });

const inOrder = ({ from, until }: { from: string; until: string }) => from <= until;
const wrongOrder = { path: ['until'], error: 'Must not be before the first day.' };

export const absenceRequest = z
  .strictObject({
    today: day,
    from: day,
    until: day,
    residents: z
      .array(workSubject.extend({ isDangerous: z.boolean().default(false) }))
      .max(MOST_AT_ONCE, { error: tooMany('residents') }),
  })
  .refine(inOrder, wrongOrder)
  .meta({ id: 'AbsenceRequest' });

export const newAbsence = z
  .strictObject({
    id: id.optional(),
    keeperId: id.optional(),
    from: day,
    until: day,
    sitter: z.string().trim().max(60).optional(),
    call: z.string().trim().max(200).optional(),
  })
  .refine(inOrder, wrongOrder);

/** A line of the sheet in words that need nobody who knows the animals. */
const sheetTask = z.object({
  residentId: id,
  code: z.string(),
  shelf: z.string(),
  room: z.string(),
  scientificName: z.string(),
  called: z.string().nullable(),
  kinds: z.array(z.enum(JOB_KINDS)),
  /** What to give, how much water. */
  dishes: z.array(
    z.object({
      name: z.string(),
      count: z.number().nullable(),
      massG: z.number().nullable(),
      drinkMl: z.number().nullable(),
    }),
  ),
  /** What to mind when it is given. */
  cautions: z.array(z.enum(FEEDING_CAUTIONS)),
  waterMl: z.number().nullable(),
});
export const sitterSheet = z
  .object({
    from: day,
    until: day,
    sitter: z.string().nullable(),
    call: z.string().nullable(),
    before: z.array(z.object({ on: day, stops: z.array(sheetTask) })),
    visits: z.array(z.object({ on: day, stops: z.array(sheetTask) })),
    neverOpen: z.array(
      z.object({
        code: z.string(),
        scientificName: z.string(),
        why: z.enum(['dangerous', 'premoult', 'hardening', 'resting', 'founding']),
        until: day.nullable(),
      }),
    ),
    needsKeeper: z.array(z.object({ code: z.string(), scientificName: z.string() })),
    waits: z.int(),
    /** What the visits take out of the store, and what is there. */
    stock: z.array(
      z.object({
        name: z.string(),
        needed: z.number(),
        have: z.number().nullable(),
        unit: z.enum(['pieces', 'g', 'mL']),
      }),
    ),
  })
  .meta({ id: 'SitterSheet' });
export type SitterSheet = z.infer<typeof sitterSheet>;

export const absence = absenceFacts.meta({ id: 'Absence' });
