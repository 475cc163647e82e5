import { z } from 'zod';
import { FORMS, HIGHEST_INSTAR, LEAVING_CAUSES, MOULT_SIGNS, SEX_EVIDENCE, SEXES } from '@/core/profiles/profile';
import {
  container,
  fillingWithinBox,
  headCount,
  homeContents,
  measures,
  soil,
  stage,
  substrateDepthMm,
} from './housing';
import { dishArea, factors, heat } from './climate';
import { CONDITIONS } from '@/core/feeding/prey';
import { dish, itemId, schools } from './feeding';
import {
  day,
  id,
  instant,
  instar,
  line,
  mm,
  oneOf,
  profileId,
  quantity,
  scientificName,
  stageName,
} from './primitives';
import { surplusWish } from './broods';
import { MATINGS } from '@/core/broods/eggs';
import { wetness } from './substrate';

// ---- shelves ----

export const shelf = z
  .object({ id, name: z.string(), room: z.string(), roomId: id, position: z.int(), loadLimitKg: z.number().nullable() })
  .meta({ id: 'Shelf', description: 'Shelves in the order in which the round passes them.' });
export type Shelf = z.infer<typeof shelf>;

export const newShelf = z.strictObject({
  id: id.optional(),
  room: line('the name of the room', 60),
  name: line('the name of the shelf', 60),
  loadLimitKg: quantity('kilograms', 0.1, 5000).optional(),
});

export const shelfChange = z
  .strictObject({ name: newShelf.shape.name, loadLimitKg: quantity('kilograms', 0.1, 5000).nullable() })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

// ---- homes ----

export const home = z
  .object({
    id,
    code: z.string(),
    shelfId: id,
    place: z.int(),
    container,
    substrateDepthMm: z.number(),
    /** The surface of the soil where it is not flat. */
    soil: soil.optional(),
    furniture: homeContents.furniture,
    litterDepthMm: homeContents.litterDepthMm,
    nest: homeContents.nest,
    heat: heat.optional(),
    dishAreaCm2: z.number().optional(),
    /** Draught and surface of this box against one of its kind, by its own readings. */
    factors: factors.optional(),
    /** Id of the mix it is filled with, where that was written down. */
    mixId: z.string().nullable(),
    /** What the box itself bears. */
    weightLimitKg: z.number().nullable(),
    /** Kept apart since that day: nobody joins who lives there. */
    quarantineSince: day.nullable(),
    /** Changes with the picture; null where there is none. */
    photoVersion: z.number().nullable(),
    residentIds: z.array(id),
  })
  .meta({ id: 'Home' });
export type Home = z.infer<typeof home>;

const homeFields = {
  code: line('what the box is called on the shelf, for example B3', 12),
  shelfId: id,
  place: quantity('places from the left', 0, 9999, true).optional(),
  container,
  furniture: homeContents.furniture,
  litterDepthMm: homeContents.litterDepthMm,
  nest: homeContents.nest,
  heat: heat.optional(),
  dishAreaCm2: dishArea.optional(),
  mixId: line('the id of a mix', 60).nullable().optional(),
  weightLimitKg: quantity('kilograms', 0.05, 2000).nullable().optional(),
  quarantineSince: day.nullable().optional(),
};

export const newHome = z
  .strictObject({ id: id.optional(), ...homeFields, soil: soil.optional(), substrateDepthMm })
  .superRefine(fillingWithinBox);
export type NewHome = z.infer<typeof newHome>;

/** A photo as the browser has made it smaller: JPEG, base64. */
export const newPhoto = z.strictObject({
  jpegBase64: z
    .string({ error: 'Must be a JPEG picture in base64.' })
    .max(900_000, { error: 'The picture is too large: at most 650 KB. Make it smaller first.' })
    .regex(/^\/9j\/[A-Za-z0-9+/]+={0,2}$/, { error: 'Must be a JPEG picture in base64.' }),
});

/** Contents that are not given stay; null takes litter or a nest away. */
export const homeChange = z
  .strictObject({
    ...homeFields,
    litterDepthMm: homeFields.litterDepthMm.unwrap().nullable().optional(),
    nest: homeFields.nest.unwrap().nullable().optional(),
    heat: heat.nullable().optional(),
    dishAreaCm2: dishArea.nullable().optional(),
  })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

// ---- residents ----

const sex = oneOf(SEXES);
const sexEvidence = oneOf(SEX_EVIDENCE);
const form = oneOf(FORMS);
const massG = quantity('grams', 0.0001, 5000);
/** How many of a group are in which instar: {"3": 3, "4": 12}. */
export const instars = z.record(
  z.string().refine((key) => /^[1-9]\d?$/.test(key) && Number(key) <= HIGHEST_INSTAR, {
    error: `Must be the number of an instar, from 1 to ${HIGHEST_INSTAR}.`,
  }),
  quantity('animals', 0, 1_000_000, true),
);
const heads = quantity('animals', 1, 1_000_000, true);
/** How many of each stage: {"larva": 40}. */
const stageCounts = z.record(stageName, quantity('animals', 0, 10_000_000, true));

export const resident = z
  .object({
    id,
    called: z.string().nullable(),
    scientificName: z.string(),
    commonName: z.string().nullable(),
    profile: z.string(),
    stage,
    legSpanMm: z.number().optional(),
    bodyLengthMm: z.number().optional(),
    carapaceWidthMm: z.number().optional(),
    /** Of a group or a colony: how many. */
    headCount: z.int().optional(),
    massG: z.number().optional(),
    weighedOn: day.optional(),
    /** The how-manieth instar it is in, where that was ever told. */
    instar: z.int().optional(),
    measuredOn: day,
    form,
    sex,
    /** What its sex was told by. */
    sexBy: sexEvidence.nullable(),
    bornOn: day.nullable(),
    motherId: id.nullable(),
    fatherId: id.nullable(),
    /** The egg batch or the group of this house that it came out of. */
    outOfId: id.nullable(),
    /** What its batch was called where it came from. */
    batch: z.string().nullable(),
    source: z.string().nullable(),
    permit: z.string().nullable(),
    /** The school that is followed on each topic on which one was chosen for it, its kind or its room. */
    schools,
    /** Food it is never given, with the reason. */
    forbidden: z.record(z.string(), z.string()),
    /** How it looked when it was last said. */
    condition: z.enum(CONDITIONS).optional(),
    takenInOn: day,
    homeId: id,
  })
  .meta({ id: 'Resident' });
export type Resident = z.infer<typeof resident>;

/** One that is here no longer: as it was last, and how it left. */
export const goneResident = z
  .object({ ...resident.shape, leftOn: day, leftBy: z.enum(['died', 'passed-on', 'joined-into']) })
  .meta({ id: 'GoneResident' });
export type GoneResident = z.infer<typeof goneResident>;

export const newResident = z.strictObject({
  id: id.optional(),
  called: line('a name', 60).optional(),
  scientificName,
  commonName: line('a common name', 90).optional(),
  profile: profileId,
  stage,
  ...measures,
  headCount: headCount.optional(),
  massG: massG.optional(),
  instar: instar.optional(),
  /** Left out: a group where heads were counted, a colony of ants, eggs in the stage egg, else a single animal. */
  form: form.optional(),
  bornOn: day.optional(),
  motherId: id.optional(),
  fatherId: id.optional(),
  outOfId: id.optional(),
  batch: line('the name of the batch', 60).optional(),
  sex: sex.default('unknown'),
  source: line('where it came from', 120).optional(),
  permit: line('the number or kind of the permit', 120).optional(),
  school: line('a school', 60).optional(),
  on: day.optional(),
  homeId: id,
  /** The depth the box is filled to for it, where that differs from now. */
  substrateDepthMm: substrateDepthMm.optional(),
  keeper: line('the name of the keeper', 60).optional(),
});
export type NewResident = z.infer<typeof newResident>;

/** What a keeper may correct about who a resident is, and how it is kept. Sizes, stage and home change by entries. */
export const residentChange = z
  .strictObject({
    called: line('a name', 60).nullable(),
    commonName: line('a common name', 90).nullable(),
    profile: profileId,
    sex,
    bornOn: day.nullable(),
    motherId: id.nullable(),
    fatherId: id.nullable(),
    batch: line('the name of the batch', 60).nullable(),
    source: line('where it came from', 120).nullable(),
    permit: line('the number or kind of the permit', 120).nullable(),
    forbidden: z.record(itemId, z.string().trim().max(200, { error: 'Must be at most 200 letters long.' })),
  })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });
export type ResidentChange = z.infer<typeof residentChange>;

// ---- what was done, seen and measured ----

const entryFields = {
  id: id.optional(),
  on: day.optional(),
  keeper: line('the name of the keeper', 60).optional(),
  note: line('a note', 500).optional(),
};
const millilitres = quantity('millilitres', 0, 100_000);
/** The job that this answers (`feed 2026-03-14`, `meal <id of the offer>`): it is answered once, whoever logs it. */
const answers = line('the job that this answers', 80).optional();
const aboutResident = { ...entryFields, residentId: id };

export const newEntry = z
  .discriminatedUnion(
    'kind',
    [
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
      z.strictObject({ kind: z.literal('refused'), ...aboutResident, answers }),
      /** The old leaves were searched for young and eggs before they went out. */
      z.strictObject({ kind: z.literal('searched'), ...aboutResident, answers }),
      /** The lime was looked at, and replaced where it was worn or pink. */
      z.strictObject({ kind: z.literal('calcium'), ...aboutResident }),
      /** The soil was searched for clutches: how many eggs were found, and how many of them went into the freezer. */
      z.strictObject({
        kind: z.literal('clutch'),
        ...aboutResident,
        eggs: quantity('eggs', 0, 100_000, true).optional(),
        frozen: quantity('eggs', 0, 100_000, true).optional(),
      }),
      z.strictObject({ kind: z.literal('barrier'), ...aboutResident }),
      z.strictObject({ kind: z.literal('rubbish'), ...aboutResident }),
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
      z.strictObject({ kind: z.literal('watered'), ...aboutResident }),
      z.strictObject({
        kind: z.literal('damped'),
        ...aboutResident,
        waterMl: millilitres.optional(),
        /** What it would have taken: pouring less leaves the soil so much drier. */
        neededMl: millilitres.optional(),
      }),
      z.strictObject({ kind: z.literal('misted'), ...aboutResident, waterMl: millilitres.optional() }),
      /** A handful of the damp end squeezed: a wetness, or how it feels. */
      z.strictObject({ kind: z.literal('felt'), ...aboutResident, wetness }),
      z.strictObject({ kind: z.literal('looked'), ...aboutResident }),
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
      z.strictObject({ kind: z.literal('moved'), ...aboutResident, homeId: id }),
      z.strictObject({
        kind: z.literal('soil-set'),
        ...entryFields,
        homeId: id,
        substrateDepthMm,
        soil: soil.optional(),
      }),
    ],
    {
      error:
        'Must be one of offered, eaten, refused, searched, calcium, clutch, barrier, rubbish, laid, surplus, brood-seen, paired, rest-planned, rest-step, rest-ended, watered, damped, misted, felt, looked, sign, moulted, measured, sexed, noted, hatched, died, passed-on, moved, soil-set.',
    },
  )
  .meta({ id: 'NewEntry' });
export type NewEntry = z.infer<typeof newEntry>;

export const ENTRY_KINDS = [
  'taken-in',
  'offered',
  'eaten',
  'refused',
  'searched',
  'calcium',
  'clutch',
  'barrier',
  'rubbish',
  'laid',
  'surplus',
  'brood-seen',
  'paired',
  'rest-planned',
  'rest-step',
  'rest-ended',
  'watered',
  'damped',
  'misted',
  'felt',
  'looked',
  'sign',
  'moulted',
  'measured',
  'sexed',
  'noted',
  'photo',
  'hatched',
  'died',
  'passed-on',
  'parted',
  'joined',
  'joined-into',
  'moved',
  'soil-set',
] as const;

export const entry = z
  .object({
    id,
    kind: z.enum(ENTRY_KINDS),
    residentId: id.nullable(),
    homeId: id.nullable(),
    on: day,
    at: instant,
    keeper: z.string().nullable(),
    note: z.string().nullable(),
    /** What belongs to the kind: sizes, sign, prey, depth. */
    data: z.record(z.string(), z.union([z.string(), z.number(), z.array(dish), soil, instars, stageCounts])),
    undoneAt: instant.nullable(),
  })
  .meta({ id: 'Entry' });
export type Entry = z.infer<typeof entry>;

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
export const newResidentPhoto = z.strictObject({ ...newPhoto.shape, ...entryFields });
