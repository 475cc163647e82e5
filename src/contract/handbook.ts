import { CONTRADICTIONS, type Contradiction } from '@/core/plan/schoolChange';
import { z } from 'zod';
import { CARD_PARTS } from '@/core/handbook/card';
import { JOB_KINDS } from '@/core/plan/jobs';
import { CASE_KINDS } from '@/core/training/cases';
import { BASES } from '@/core/profiles/profile';
import { SCHOOL_TOPICS } from '@/core/profiles/schools';
import { TROUBLE_ENDS } from '@/core/trouble/table';
import { eggKind, mothKind } from './broods';
import { populationKind } from './colony';
import { dish } from './feeding';
import { day, id, instant, line, mm, oneOf, scientificName } from './primitives';
import { restKind } from './rest';
import { drillPlan, stage } from './housing';
import { cause, sign, signIds } from './trouble';

const status = z.enum(['pass', 'watch', 'fail']);
const text = z.string();

// ---- cards ----

/** A keeper's own card: what is known of a species in this house, beside or in place of what ships. */
export const ownCard = z
  .strictObject({
    name: scientificName,
    commonName: line('a common name', 80).nullable().default(null),
    /** The care profile whose numbers it goes by. */
    profile: line('the id of a care profile', 60),
    notes: z
      .partialRecord(z.enum(CARD_PARTS), line('what you know of it', 1000), {
        error: `Must be notes by part: ${CARD_PARTS.join(', ')}.`,
      })
      .default({}),
    /** Other names that lead to it. */
    synonyms: z
      .array(scientificName, { error: 'Must be a list of names.' })
      .max(20, { error: 'At most 20 other names.' })
      .refine((list) => new Set(list).size === list.length, { error: 'Give each name once.' })
      .default([]),
    /** How large it becomes. mm of the measure that is taken. */
    grownMm: mm(1, 640).nullable().default(null),
    keeper: line('the name of the keeper', 60).nullable().default(null),
  })
  .meta({ id: 'OwnCard' });
export type OwnCard = z.infer<typeof ownCard>;

/** Everything that the cards are made of, besides the profiles, the species and the hazards. */
export const handbook = z
  .object({
    sources: z.object({
      ...{ rests: z.array(restKind), eggs: z.array(eggKind), moths: z.array(mothKind) },
      populations: z.array(populationKind),
    }),
    ownCards: z.array(ownCard),
  })
  .meta({ id: 'Handbook' });
export type Handbook = z.infer<typeof handbook>;

// ---- names ----

const someNames = z
  .array(text.max(90, { error: 'Must be at most 90 letters long.' }))
  .min(1, { error: 'Give at least one name.' })
  .max(30, { error: 'At most 30 names.' });
const names = z
  .array(z.strictObject({ id: text.max(80), names: someNames }))
  .max(5000, { error: 'At most 5000 to look among.' });

/** A name as typed: its form, what it is called now, and which names are like it. */
export const namesRequest = z
  .strictObject({
    typed: z.string({ error: 'Must be the name as typed.' }).max(120, { error: 'Must be at most 120 letters long.' }),
    most: z.number().int().min(1).max(50).default(8),
    /** Names to look among; those of the handbook if left out. */
    among: names.optional(),
    synonyms: z
      .array(z.strictObject({ name: text.max(90), nowNamed: text.max(90) }))
      .max(5000)
      .optional(),
  })
  .meta({ id: 'NamesRequest' });
export const namesReply = z
  .object({
    isWellFormed: z.boolean(),
    problem: text.nullable(),
    suggestion: text.nullable(),
    nowNamed: text,
    via: z.array(text),
    /** The care profile that the name alone tells of; null where neither the species nor its genus is known. */
    kind: z.object({ profile: text, by: z.enum(['species', 'genus']) }).nullable(),
    found: z.array(z.object({ id: text, by: text, distance: z.number() })),
  })
  .meta({ id: 'NamesReply' });

// ---- emergencies ----

const MOST_CONTACTS = 12;
/** Whom this house calls; the numbers are the keepers' own. */
export const emergencyCard = z
  .strictObject({
    contacts: z
      .array(
        z.strictObject({
          who: line('whom to call', 60),
          number: z
            .string()
            .trim()
            .regex(/^[+\d][\d\s()/.-]{1,29}$/, { error: 'Must be a telephone number: digits, spaces, + ( ) / . -.' }),
        }),
      )
      .max(MOST_CONTACTS, { error: `At most ${MOST_CONTACTS} numbers.` }),
    /** Where the house is, as it is told on the telephone. */
    address: z.string().trim().max(300).default(''),
  })
  .meta({ id: 'EmergencyCard' });
export type EmergencyCard = z.infer<typeof emergencyCard>;

// ---- trouble ----

export const troubleRequest = z
  .strictObject({
    profile: line('the id of a care profile', 60),
    /** A grown one is not about to moult; left out, any stage. */
    stage: stage.optional(),
    ...{ yes: signIds, no: signIds },
  })
  .meta({ id: 'TroubleRequest' });

export const diagnosis = z
  .object({
    ranked: z.array(z.object({ id: text, pct: z.number(), usualPct: z.number() })),
    causes: z.array(text),
    steps: z.array(
      z.object({
        ...{ sign: text, present: z.boolean() },
        ...{ likelihood: z.array(z.number()), afterPct: z.array(z.number()) },
      }),
    ),
    next: z.array(
      z.object({
        ...{ sign: text, gainBits: z.number(), seenPct: z.number() },
        ...{ ifYes: z.object({ cause: text, pct: z.number() }), ifNo: z.object({ cause: text, pct: z.number() }) },
      }),
    ),
    contradicting: z.array(text),
  })
  .meta({ id: 'Diagnosis' });

const boxSign = z.object({
  ...{ id: text, present: z.boolean(), actual: z.number(), limit: z.number() },
  unit: z.enum(['%', 'C', 'of full', '/h', 'days', 'count', 'years']),
});

/** What was tried before with animals of this kind, and what came of it. */
const triedBefore = z.object({
  id,
  residentId: id,
  called: text,
  on: day,
  cause: text.nullable(),
  tried: text.nullable(),
  seen: z.array(text),
  helped: z.enum(TROUBLE_ENDS).nullable(),
});

export const residentTrouble = z
  .object({
    residentId: id,
    table: z.object({
      causes: z.array(cause.extend({ usual: z.number() })),
      signs: z.array(sign),
      boxSigns: z.array(sign),
      never: z.array(text),
    }),
    /** Read off the box; what nobody can know is left out. */
    box: z.array(boxSign),
    tried: z.array(triedBefore),
  })
  .meta({ id: 'ResidentTrouble' });
export type ResidentTrouble = z.infer<typeof residentTrouble>;

// ---- schools ----

const plainMeal = z.object({
  eats: text,
  everyDays: z.number(),
  dishes: z.array(dish),
});
const drilled = drillPlan.extend({ airChangesPerHour: z.number() });
const change = z.object({
  work: z.array(z.object({ kind: z.enum(JOB_KINDS), timesBefore: z.int(), timesAfter: z.int() })),
  minutesBefore: z.number(),
  minutesAfter: z.number(),
  checks: z.array(z.object({ rule: text, title: text, before: status.nullable(), after: status.nullable() })),
  meal: z.object({ before: plainMeal.nullable(), after: plainMeal.nullable() }).nullable(),
  openings: z.object({ before: drilled, after: drilled }).nullable(),
});
const contradiction = z.enum(Object.keys(CONTRADICTIONS) as [Contradiction, ...Contradiction[]]);

/** What a choice would change, before it is made. */
export const schoolEffect = z
  .object({
    /** Those that know the topic and are reached by the choice; the others keep their nearer one. */
    residents: z.array(
      z.object({ residentId: id, before: text, after: text, change, contradictions: z.array(contradiction) }),
    ),
    minutesBefore: z.number(),
    minutesAfter: z.number(),
  })
  .meta({ id: 'SchoolEffect' });
export type SchoolEffect = z.infer<typeof schoolEffect>;

export const schoolChangeReply = change.extend({ contradictions: z.array(contradiction) }).meta({ id: 'SchoolChange' });
export const schoolTopic = oneOf(SCHOOL_TOPICS);

// ---- the trainer ----

/** One case out of this house: what is to be seen, and which answer its engine gives. */
export const trainingCase = z
  .object({
    id: text,
    kind: z.enum(CASE_KINDS),
    residentId: id,
    otherId: id.nullable(),
    homeId: id.nullable(),
    /** What a helper sees: days, a wetness, findings by their words. */
    daysStill: z.number().nullable(),
    seen: z.array(text),
    wetness: z.number().nullable(),
    answers: z.array(text),
    right: text,
    /** Why, in sentences with their numbers. */
    why: z.array(text),
    basis: z.enum(BASES),
  })
  .meta({ id: 'TrainingCase' });
export type TrainingCase = z.infer<typeof trainingCase>;

export const newTrainingAnswer = z.strictObject({
  id: id.optional(),
  keeper: line('who answers', 60),
  kind: oneOf(CASE_KINDS),
  isRight: z.boolean({ error: 'Must be true or false.' }),
});
export const trainingTally = z
  .object({
    keeper: text,
    kinds: z.array(z.object({ kind: z.enum(CASE_KINDS), right: z.int(), asked: z.int() })),
    lastAt: instant,
  })
  .meta({ id: 'TrainingTally' });
export type TrainingTally = z.infer<typeof trainingTally>;
