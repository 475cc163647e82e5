import { z } from 'zod';
import { checkScientificName } from '@/core/measure/scientificName';
import { MOULT_SIGNS, SEXES } from '@/core/profiles/profile';
import { container, depthWithinBox, measures, stage, substrateDepthMm } from './housing';
import { day, id, instant, line, mm, oneOf, quantity } from './primitives';
import { PROFILE_IDS } from './profiles';

// ---- shelves ----

export const shelf = z
  .object({ id, name: z.string(), room: z.string(), position: z.int() })
  .meta({ id: 'Shelf', description: 'Shelves in the order in which the round passes them.' });
export type Shelf = z.infer<typeof shelf>;

export const newShelf = z.strictObject({
  id: id.optional(),
  room: line('the name of the room', 60),
  name: line('the name of the shelf', 60),
});

// ---- homes ----

export const home = z
  .object({
    id,
    code: z.string(),
    shelfId: id,
    place: z.int(),
    container,
    substrateDepthMm: z.number(),
    residentIds: z.array(id),
  })
  .meta({ id: 'Home' });
export type Home = z.infer<typeof home>;

const homeFields = {
  code: line('what the box is called on the shelf, for example B3', 12),
  shelfId: id,
  place: quantity('places from the left', 0, 9999, true).optional(),
  container,
};

export const newHome = z
  .strictObject({ id: id.optional(), ...homeFields, substrateDepthMm })
  .superRefine(depthWithinBox);
export type NewHome = z.infer<typeof newHome>;

export const homeChange = z
  .strictObject(homeFields)
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

// ---- residents ----

/** The form of a scientific name; a refusal says how it would be written. */
export const scientificName = line('a scientific name', 90).superRefine((text, context) => {
  const check = checkScientificName(text);
  if (check.ok) return;
  const message = check.suggestion ? `${check.problem} Write “${check.suggestion}”.` : check.problem;
  context.addIssue({ code: 'custom', message });
});

const sex = oneOf(SEXES);

export const resident = z
  .object({
    id,
    called: z.string().nullable(),
    scientificName: z.string(),
    commonName: z.string().nullable(),
    profile: z.enum(PROFILE_IDS),
    stage,
    legSpanMm: z.number().optional(),
    bodyLengthMm: z.number().optional(),
    carapaceWidthMm: z.number().optional(),
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

export const newResident = z
  .strictObject({
    id: id.optional(),
    called: line('a name', 60).optional(),
    scientificName,
    commonName: line('a common name', 90).optional(),
    profile: oneOf(PROFILE_IDS),
    stage,
    ...measures,
    sex: sex.default('unknown'),
    source: line('where it came from', 120).optional(),
    permit: line('the number or kind of the permit', 120).optional(),
    school: line('a school', 60).optional(),
    on: day.optional(),
    homeId: id,
    /** The depth the box is filled to for it, where that differs from now. */
    substrateDepthMm: substrateDepthMm.optional(),
    keeper: line('the name of the keeper', 60).optional(),
  })
  .refine((each) => (each.legSpanMm ?? each.bodyLengthMm ?? each.carapaceWidthMm) !== undefined, {
    path: ['legSpanMm'],
    error: 'Give a first size: legSpanMm, bodyLengthMm or carapaceWidthMm, in millimetres.',
  });
export type NewResident = z.infer<typeof newResident>;

// ---- what was done, seen and measured ----

const entryFields = {
  id: id.optional(),
  on: day.optional(),
  keeper: line('the name of the keeper', 60).optional(),
  note: line('a note', 500).optional(),
};
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
      z.strictObject({ kind: z.literal('damped'), ...aboutResident }),
      z.strictObject({ kind: z.literal('looked'), ...aboutResident }),
      z.strictObject({ kind: z.literal('sign'), ...aboutResident, sign: oneOf(MOULT_SIGNS) }),
      z.strictObject({ kind: z.literal('moulted'), ...aboutResident, stage: stage.optional(), ...measures }),
      z.strictObject({ kind: z.literal('measured'), ...aboutResident, stage: stage.optional(), ...measures }),
      z.strictObject({ kind: z.literal('moved'), ...aboutResident, homeId: id }),
      z.strictObject({ kind: z.literal('soil-set'), ...entryFields, homeId: id, substrateDepthMm }),
    ],
    {
      error:
        'Must be one of offered, eaten, refused, watered, damped, looked, sign, moulted, measured, moved, soil-set.',
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
    data: z.record(z.string(), z.union([z.string(), z.number()])),
    undoneAt: instant.nullable(),
  })
  .meta({ id: 'Entry' });
export type Entry = z.infer<typeof entry>;
