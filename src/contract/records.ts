import { z } from 'zod';
import type { StateOfHome } from '@/core/house/homeState';
import { COMPANY_RULES } from '@/core/housing/company';
import { FORMS, MOULT_SIGNS, SEX_EVIDENCE, SEXES } from '@/core/profiles/profile';
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
import { itemId, schools } from './feeding';
import { probeAlarm } from './readings';
import { day, id, instant, instar, instars, line, mm, oneOf, profileId, quantity, scientificName } from './primitives';

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

/** The shelves of a room at once, from above. */
export const newShelves = z.strictObject({
  room: newShelf.shape.room,
  names: z
    .array(newShelf.shape.name, { error: 'Must be a list of names.' })
    .min(1, { error: 'Give at least one name.' })
    .max(60, { error: 'At most 60 shelves at a time.' }),
});

export const shelfChange = z
  .strictObject({ name: newShelf.shape.name, loadLimitKg: quantity('kilograms', 0.1, 5000).nullable() })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

// ---- homes ----

const against = { status: z.enum(['watch', 'fail']) };
/** How a home stands today, for all who live in it: one verdict, and what speaks against it, worst first. */
export const stateOfHome = z
  .object({
    /** Null where nobody lives there. */
    verdict: z.enum(['pass', 'watch', 'fail']).nullable(),
    grounds: z.array(
      z.discriminatedUnion('about', [
        z.object({ about: z.literal('fit'), ...against, residentId: id, rule: z.string(), title: z.string() }),
        z.object({ about: z.literal('unreadable'), ...against, residentId: id }),
        z.object({ about: z.literal('company'), ...against, rule: z.enum(COMPANY_RULES) }),
        z.object({ about: z.literal('alarm'), ...against, alarm: probeAlarm }),
        z.object({
          ...{ about: z.literal('air'), ...against },
          ...{ staleAir: z.enum(['still', 'stale']), airChangesPerHour: z.number() },
        }),
        z.object({ about: z.literal('water'), ...against, dueOn: day.nullable(), isDryAir: z.boolean() }),
        z.object({ about: z.literal('full'), ...against, fullPct: z.number() }),
      ]),
    ),
    /** By the forecast, from freshly damped; null for nests and free boxes. */
    air: z
      .object({ airChangesPerHour: z.number(), humidityPct: z.number(), staleAir: z.enum(['fresh', 'still', 'stale']) })
      .nullable(),
    /** How wet its damp end is, from 0 to about 1, and when it is to be damped; null where nobody can say. */
    water: z.object({ wetness: z.number(), dueOn: day.nullable() }).nullable(),
    /** How much of its room those take that are counted. % */
    fullPct: z.number().nullable(),
  })
  .meta({ id: 'StateOfHome' }) satisfies z.ZodType<StateOfHome>;

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
    /** How warm it is there on average: by its probe, else by its room and heater. C */
    temperatureC: z.number().optional(),
    /** In the list of homes: how it stands. */
    state: stateOfHome.optional(),
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

/** More boxes like one that stands already: empty, filled alike, with codes that go on from its own. */
export const newCopies = z.strictObject({
  count: quantity('boxes', 1, 200, true),
  /** The first code of the new ones; left out, the next after that of the box. */
  firstCode: homeFields.code.optional(),
});

/** A JPEG picture in base64, of so many letters at most: four for each three bytes. */
export const jpegBase64 = (most: number) => {
  const kilobytes = Math.round((most * 3) / 4 / 1000);
  return z
    .string({ error: 'Must be a JPEG picture in base64.' })
    .max(most, { error: `The picture is too large: at most ${kilobytes} kB. Make it smaller first.` })
    .regex(/^\/9j\/[A-Za-z0-9+/]+={0,2}$/, { error: 'Must be a JPEG picture in base64.' })
    .refine((text) => text.length % 4 === 0, {
      error: 'Must be whole: base64 comes in fours, and this ends in between.',
    });
};

/** A photo as the browser has made it smaller. */
export const newPhoto = z.strictObject({ jpegBase64: jpegBase64(900_000) });

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

export const sex = oneOf(SEXES);
export const sexEvidence = oneOf(SEX_EVIDENCE);
const form = oneOf(FORMS);
export const massG = quantity('grams', 0.0001, 5000);

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
    /** Its lengths are carried on over the moults since it was measured. */
    sizeCarriedOn: z.boolean().optional(),
    /** Of a group or a colony: how many. */
    headCount: z.int().optional(),
    /** Where others live with it: heads of its kind in that home; and whether it is only a cleaner among them. */
    headsTogether: z.int().optional(),
    isGuest: z.boolean().optional(),
    massG: z.number().optional(),
    weighedOn: day.optional(),
    /** The how-manieth instar it is in, where that was ever told. */
    instar: z.int().optional(),
    measuredOn: day,
    form,
    sex,
    /** What its sex was told by. */
    sexBy: sexEvidence.nullable(),
    /** The kind that ships of which its profile is, or was copied. */
    kind: z.string(),
    /** How large it becomes, as its keeper says; left out, as its species does. mm of the measure that is taken. */
    grownMm: z.number().optional(),
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
    /** The plants it is given, the usual one first, where its keeper chose them; left out, those of its species. */
    plants: z.array(z.string()).optional(),
    /** Food it is never given, with the reason. */
    forbidden: z.record(z.string(), z.string()),
    /** Rules that are settled in its home, kept so on purpose, with the reason. */
    keptSo: z.record(z.string(), z.string()),
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

/** One whose taking in was taken back: with the entry that brings it back again. */
export const takenBack = z.object({
  ...{ id, called: z.string().nullable(), scientificName: z.string() },
  ...{ entryId: id, takenInOn: day, takenBackAt: instant },
});
export type TakenBack = z.infer<typeof takenBack>;

export const newResident = z.strictObject({
  id: id.optional(),
  called: line('a name', 60).optional(),
  scientificName,
  commonName: line('a common name', 90).optional(),
  /** Left out: what the name is known to be, or its genus. */
  profile: profileId.optional(),
  stage,
  ...measures,
  headCount: headCount.optional(),
  massG: massG.optional(),
  instar: instar.optional(),
  /** Left out: a group where heads were counted, a colony of ants, eggs in the stage egg, else a single animal. */
  form: form.optional(),
  bornOn: day.optional(),
  /** When it moulted, and was given food, last: also before it came. */
  lastMoultOn: day.optional(),
  lastMealOn: day.optional(),
  /** A sign of a moult that it shows, and since when. */
  sign: oneOf(MOULT_SIGNS).optional(),
  signSince: day.optional(),
  /** The count is a guess. */
  headsAbout: z.boolean().optional(),
  /** When they were counted, where that was not on the day they came. */
  countedOn: day.optional(),
  /** Of ants: 1 is a queen, alone where no workers are counted; 0 are workers without one. */
  queens: quantity('queens', 0, 1000, true).optional(),
  /** Of a group: how many are in which instar. */
  instars: instars.optional(),
  /** When the soil of its box was changed last, since it came. */
  soilChangedOn: day.optional(),
  motherId: id.optional(),
  fatherId: id.optional(),
  outOfId: id.optional(),
  batch: line('the name of the batch', 60).optional(),
  sex: sex.default('unknown'),
  grownMm: mm(1, 640).optional(),
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
    /** Another name: its kind follows where the name is known for another one, and none is given. */
    scientificName,
    /** Its parents and young, which are of one species with it, are renamed too. */
    withKin: z.boolean(),
    /** One animal or a group. A group is counted: `headCount`, from today. */
    form,
    headCount,
    called: line('a name', 60).nullable(),
    commonName: line('a common name', 90).nullable(),
    /** Any kind: what it says otherwise of stage and size is carried over, and written down. */
    profile: profileId,
    sex,
    grownMm: mm(1, 640).nullable(),
    /** The plants it is given, the usual one first; null for those of its species. */
    plants: z
      .array(itemId)
      .min(1, { error: 'Give at least one plant.' })
      .max(30)
      .refine((list) => new Set(list).size === list.length, { error: 'Give each plant once.' })
      .nullable(),
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
