import { z } from 'zod';
import { MATINGS } from '@/core/broods/eggs';
import { LEFT_AS } from '@/core/feeding/food';
import { CONDITIONS } from '@/core/feeding/prey';
import { JOB_KINDS } from '@/core/plan/jobs';
import { SKIP_REASONS } from '@/core/plan/work';
import { TROUBLE_ENDS } from '@/core/trouble/table';
import { LEAVING_CAUSES, MOULT_SIGNS } from '@/core/profiles/profile';
import { surplusWish } from './broods';
import { dish } from './feeding';
import { headCount, measures, soil, stage, substrateDepthMm } from './housing';
import { day, id, instar, instars, line, mm, oneOf, quantity, stageName } from './primitives';
import { jpegBase64, massG, sex, sexEvidence } from './records';
import { wetness } from './substrate';
import { signIds } from './trouble';

const heads = quantity('animals', 1, 1_000_000, true);
/** How many of each stage: {"larva": 40}. */
const stageCounts = z.record(stageName, quantity('animals', 0, 10_000_000, true));

export const entryFields = {
  id: id.optional(),
  on: day.optional(),
  keeper: line('the name of the keeper', 60).optional(),
  note: line('a note', 500).optional(),
};
const millilitres = quantity('millilitres', 0, 100_000);
/** The job that this answers (`feed 2026-03-14`, `meal <id of the offer>`): it is answered once, whoever logs it. */
const answers = line('the job that this answers', 80).optional();
/** What every entry about a resident has. */
export const aboutResident = { ...entryFields, residentId: id };

/** What keepers write down, kind by kind. */
export const ENTRY_FORMS = [
  z.strictObject({
    kind: z.literal('offered'),
    ...aboutResident,
    preyCount: quantity('prey animals', 1, 500, true).optional(),
    preyLengthMm: mm(0.2, 200).optional(),
    dishes: z
      .array(dish, { error: 'Must be a list of what was given.' })
      .min(1, { error: 'Give at least one dish.' })
      .max(12, { error: 'At most 12 dishes.' })
      .optional(),
    answers,
    /** Given although it is left alone now: it was asked, and meant. */
    insist: z.boolean().optional(),
  }),
  z.strictObject({ kind: z.literal('eaten'), ...aboutResident, answers }),
  /** Prey that was refused; of other food, that some of it was left, or that it had gone mouldy. */
  z.strictObject({ kind: z.literal('refused'), ...aboutResident, left: z.enum(LEFT_AS).optional(), answers }),
  /** The old leaves were searched for young and eggs before they went out. */
  z.strictObject({ kind: z.literal('searched'), ...aboutResident, answers }),
  /** The lime was looked at, and replaced where it was worn or pink. */
  z.strictObject({ kind: z.literal('calcium'), ...aboutResident, answers }),
  /** The soil was searched for clutches: how many eggs were found, and how many of them went into the freezer. */
  z.strictObject({
    kind: z.literal('clutch'),
    ...aboutResident,
    answers,
    eggs: quantity('eggs', 0, 100_000, true).optional(),
    frozen: quantity('eggs', 0, 100_000, true).optional(),
  }),
  /** Regular work that one tap tells. */
  ...(['cleaned', 'turned', 'refreshed', 'battery', 'labelled'] as const).map((kind) =>
    z.strictObject({ kind: z.literal(kind), ...aboutResident, answers }),
  ),
  /** A job of the round put off to a later day, with the reason. */
  z.strictObject({
    kind: z.literal('skipped'),
    ...aboutResident,
    job: oneOf(JOB_KINDS),
    until: day,
    why: oneOf(SKIP_REASONS),
  }),
  /** A move to another home on a day to come, within the days on which it can be made. */
  z.strictObject({
    kind: z.literal('move-planned'),
    ...aboutResident,
    toHomeId: id,
    moveOn: day,
    from: day,
    until: day,
  }),
  z.strictObject({ kind: z.literal('move-dropped'), ...aboutResident }),
  /** Papers: what they are, their number, and the last day on which they hold; written again when they are renewed. */
  z.strictObject({
    kind: z.literal('paper'),
    ...aboutResident,
    paper: line('what the papers are', 60),
    number: line('the number of the papers', 60).optional(),
    expiresOn: day.optional(),
  }),
  /** A rule of its home finds something, and it is kept so on purpose: settled in this home, with the reason. */
  z.strictObject({
    kind: z.literal('kept-so'),
    ...aboutResident,
    rule: line('the id of a rule, see /api/profiles', 60),
    why: line('why it is kept so', 200),
  }),
  /** Something was wrong: what was seen and what was not, what it was taken to be, and what was tried. */
  z.strictObject({
    kind: z.literal('trouble'),
    ...aboutResident,
    /** By the ids of `/api/residents/:id/trouble`. */
    seen: signIds,
    notSeen: signIds,
    cause: line('the id of a cause', 40).optional(),
    tried: line('what was tried', 300).optional(),
  }),
  /** What came of it. */
  z.strictObject({
    kind: z.literal('trouble-after'),
    ...aboutResident,
    troubleId: id,
    helped: oneOf(TROUBLE_ENDS),
  }),
  z.strictObject({ kind: z.literal('barrier'), ...aboutResident, answers }),
  z.strictObject({ kind: z.literal('rubbish'), ...aboutResident, answers }),
  /** Of eggs: when they were laid, and whether the mother had been with a male. */
  z.strictObject({
    kind: z.literal('laid'),
    ...aboutResident,
    laidFrom: day,
    laidTo: day.optional(),
    mating: oneOf(MATINGS),
  }),
  /** Of eggs: what is to become of those that hatch. */
  z.strictObject({ kind: z.literal('surplus'), ...aboutResident, ...surplusWish }),
  /** A founding queen's first eggs, larvae or pupae were seen. */
  z.strictObject({ kind: z.literal('brood-seen'), ...aboutResident, stage: stageName }),
  /** Put together for a night. */
  z.strictObject({ kind: z.literal('paired'), ...aboutResident, withId: id.optional() }),
  /** A winter rest in one of the rooms of the house; left out, it begins with its season, or today. */
  z.strictObject({
    kind: z.literal('rest-planned'),
    ...aboutResident,
    roomId: id,
    startOn: day.optional(),
    /** What the place holds, where no probe says. */
    placeC: quantity('degrees Celsius', -20, 40).optional(),
  }),
  z.strictObject({ kind: z.literal('rest-step'), ...aboutResident, step: line('the key of a step', 20), answers }),
  /** Given up, or broken off. */
  z.strictObject({ kind: z.literal('rest-ended'), ...aboutResident }),
  z.strictObject({ kind: z.literal('watered'), ...aboutResident, answers }),
  z.strictObject({
    kind: z.literal('damped'),
    ...aboutResident,
    waterMl: millilitres.optional(),
    /** What it would have taken: pouring less leaves the soil so much drier. */
    neededMl: millilitres.optional(),
    answers,
  }),
  z.strictObject({ kind: z.literal('misted'), ...aboutResident, waterMl: millilitres.optional(), answers }),
  /** A handful of the damp end squeezed: a wetness, or how it feels. */
  z.strictObject({ kind: z.literal('felt'), ...aboutResident, wetness }),
  z.strictObject({ kind: z.literal('looked'), ...aboutResident, answers }),
  z.strictObject({ kind: z.literal('sign'), ...aboutResident, sign: oneOf(MOULT_SIGNS) }),
  z.strictObject({
    kind: z.literal('moulted'),
    ...aboutResident,
    stage: stage.optional(),
    ...measures,
    massG: massG.optional(),
    headCount: headCount.optional(),
    /** The instar it is in now; with `count`, so many of a group have come to it. */
    instar: instar.optional(),
    count: heads.optional(),
    /** So many more heads than before: it was asked, and meant. */
    insist: z.boolean().optional(),
  }),
  z.strictObject({
    kind: z.literal('measured'),
    ...aboutResident,
    stage: stage.optional(),
    ...measures,
    massG: massG.optional(),
    headCount: headCount.optional(),
    instar: instar.optional(),
    instars: instars.optional(),
    /** Of a colony or a culture: how many of each stage, and how many queens. */
    stages: stageCounts.optional(),
    queens: quantity('queens', 0, 1000, true).optional(),
    /** Counted in a picture or by eye: between which numbers the truth is likely to lie. */
    headsLow: heads.optional(),
    headsHigh: heads.optional(),
    /** Of leafcutters: how large their fungus garden is, or how much of the chambers it fills. */
    fungusMl: quantity('millilitres', 0, 1_000_000).optional(),
    fungusSharePct: quantity('percent', 0, 100).optional(),
    /** Of a cocoon: it waits, for weeks to years, until it is brought out. */
    waits: z.boolean().optional(),
    insist: z.boolean().optional(),
    condition: oneOf(CONDITIONS).optional(),
  }),
  z.strictObject({ kind: z.literal('sexed'), ...aboutResident, sex, by: sexEvidence }),
  z.strictObject({ kind: z.literal('noted'), ...aboutResident, note: line('what you noticed', 500) }),
  /** So many eggs have hatched; those of the batch are in their first instar now. */
  z.strictObject({ kind: z.literal('hatched'), ...aboutResident, headCount, stage: stage.optional(), ...measures }),
  z.strictObject({
    kind: z.literal('died'),
    ...aboutResident,
    count: heads.optional(),
    instar: instar.optional(),
    cause: oneOf(LEAVING_CAUSES).optional(),
  }),
  z.strictObject({
    kind: z.literal('passed-on'),
    ...aboutResident,
    count: heads.optional(),
    to: line('to whom', 120).optional(),
  }),
  z.strictObject({
    kind: z.literal('moved'),
    ...aboutResident,
    homeId: id,
    /** Moved although it is left alone now: it was asked, and meant. */
    insist: z.boolean().optional(),
  }),
  z.strictObject({
    kind: z.literal('soil-set'),
    ...entryFields,
    homeId: id,
    substrateDepthMm,
    soil: soil.optional(),
  }),
] as const;

export const newEntry = z
  .discriminatedUnion('kind', ENTRY_FORMS, {
    error: `Must be one of ${ENTRY_FORMS.map(({ shape }) => shape.kind.value).join(', ')}.`,
  })
  .meta({ id: 'NewEntry' });
export type NewEntry = z.infer<typeof newEntry>;

/** Many entries as one act: all are written or none. A refusal names the entry: `entries.3.on`. */
export const newEntries = z.strictObject({
  entries: z
    .array(newEntry, { error: 'Must be a list of entries.' })
    .min(1, { error: 'Give at least one entry.' })
    .max(500, { error: 'At most 500 entries at a time.' }),
});

/** Some of a group, on their own from now on. */
export const newPart = z.strictObject({
  id: id.optional(),
  count: heads,
  homeId: id,
  called: line('a name', 60).optional(),
  stage: stage.optional(),
  ...measures,
  sex: sex.optional(),
  on: day.optional(),
  keeper: line('the name of the keeper', 60).optional(),
});

export const newJoin = z.strictObject({
  /** The group that comes in and is one with this from now on. */
  otherId: id,
  on: day.optional(),
  keeper: line('the name of the keeper', 60).optional(),
});

/** A picture of a resident, with a note. */
export const newResidentPhoto = z.strictObject({ jpegBase64: jpegBase64(11_000_000), ...entryFields });
