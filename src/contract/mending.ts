import { z } from 'zod';
import { aboutResident, ENTRY_FORMS, entryFields } from './entries';
import { headCount, measures, stage } from './housing';
import { day, id, instant, instar, line } from './primitives';
import { massG } from './records';

/** Kinds that come of another act than writing an entry, and can be put right like one. */
const MADE_FORMS = [
  z.strictObject({
    kind: z.literal('taken-in'),
    ...aboutResident,
    homeId: id,
    stage,
    ...measures,
    massG: massG.optional(),
    headCount: headCount.optional(),
    instar: instar.optional(),
  }),
  z.strictObject({ kind: z.literal('photo'), ...aboutResident }),
] as const;

/** An entry as it is to stand, once it was put right. */
export const mendedEntry = z.discriminatedUnion('kind', [...ENTRY_FORMS, ...MADE_FORMS]);
export type MendedEntry = z.infer<typeof mendedEntry>;

/** The names of the fields that a kind of entry has of its own; undefined for kinds that cannot be put right. */
export const fieldsOfKind = (kind: string): ReadonlySet<string> | undefined => FIELDS.get(kind);

/** An entry of what has happened: nobody is asked whether it was meant. */
export const asHappened = <Asked extends { kind: string }>(entry: Asked): Asked =>
  fieldsOfKind(entry.kind)?.has('insist') ? { ...entry, insist: true } : entry;

const FIELDS = new Map(
  [...ENTRY_FORMS, ...MADE_FORMS].map(({ shape }) => [shape.kind.value as string, new Set(Object.keys(shape))]),
);

/** What is to be otherwise in an entry. What is not given stays; null takes a note or a field of `set` away. */
export const entryChange = z
  .strictObject({
    on: day,
    keeper: entryFields.keeper.unwrap().nullable(),
    note: entryFields.note.unwrap().nullable(),
    residentId: id,
    homeId: id,
    /** Fields of its kind: sizes, counts, the stage. */
    set: z.record(z.string().max(40), z.json()),
    /** Who puts it right. */
    by: line('the name of the keeper', 60),
  })
  .partial()
  .refine(({ by: _, ...change }) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });
export type EntryChange = z.infer<typeof entryChange>;

/** How an entry stood before it was put right. */
export const entryVersion = z.object({
  number: z.int(),
  changedAt: instant,
  changedBy: z.string().nullable(),
  kind: z.string(),
  residentId: id.nullable(),
  homeId: id.nullable(),
  on: day,
  at: instant,
  keeper: z.string().nullable(),
  note: z.string().nullable(),
  data: z.record(z.string(), z.json()),
});
export type EntryVersion = z.infer<typeof entryVersion>;
