import { z } from 'zod';
import { MOULT_SIGNS, SEXES } from '@/core/profiles/profile';
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
import { day, id, instant, line, mm, oneOf, profileId, quantity, scientificName } from './primitives';
import { wetness } from './substrate';

// ---- shelves ----

export const shelf = z
  .object({ id, name: z.string(), room: z.string(), position: z.int(), loadLimitKg: z.number().nullable() })
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
    measuredOn: day,
    sex,
    source: z.string().nullable(),
    permit: z.string().nullable(),
    school: z.string().nullable(),
    takenInOn: day,
    homeId: id,
  })
  .meta({ id: 'Resident' });
export type Resident = z.infer<typeof resident>;

export const newResident = z.strictObject({
  id: id.optional(),
  called: line('a name', 60).optional(),
  scientificName,
  commonName: line('a common name', 90).optional(),
  profile: profileId,
  stage,
  ...measures,
  headCount: headCount.optional(),
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
    source: line('where it came from', 120).nullable(),
    permit: line('the number or kind of the permit', 120).nullable(),
    school: line('a school', 60).nullable(),
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
      }),
      z.strictObject({ kind: z.literal('eaten'), ...aboutResident }),
      z.strictObject({ kind: z.literal('refused'), ...aboutResident }),
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
        headCount: headCount.optional(),
      }),
      z.strictObject({
        kind: z.literal('measured'),
        ...aboutResident,
        stage: stage.optional(),
        ...measures,
        headCount: headCount.optional(),
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
        'Must be one of offered, eaten, refused, watered, damped, misted, felt, looked, sign, moulted, measured, moved, soil-set.',
    },
  )
  .meta({ id: 'NewEntry' });
export type NewEntry = z.infer<typeof newEntry>;

export const ENTRY_KINDS = [
  'taken-in',
  'offered',
  'eaten',
  'refused',
  'watered',
  'damped',
  'misted',
  'felt',
  'looked',
  'sign',
  'moulted',
  'measured',
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
    data: z.record(z.string(), z.union([z.string(), z.number(), soil])),
    undoneAt: instant.nullable(),
  })
  .meta({ id: 'Entry' });
export type Entry = z.infer<typeof entry>;
