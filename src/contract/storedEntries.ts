import { z } from 'zod';
import { HEMISPHERES } from '@/core/season/year';
import { ENTRY_FORMS, type NewEntry } from './entries';
import { headCount, measures, stage } from './housing';
import { day, id, instant, instar, oneOf } from './primitives';
import { massG } from './records';

/** Of what is written these are told by every kind alike, or were an answer to a question and are kept by nobody. */
const TOLD_APART = ['kind', 'id', 'on', 'keeper', 'note', 'residentId', 'homeId', 'insist'] as const;

/** Given or moved while it was left alone: it was insisted on. */
const inQuiet = z.literal(1).optional();
/** All who were there left. */
const everybody = z.literal(1).optional();
const heads = z.number();

/** What the server notes with an entry, beside what was written or in its place. */
const NOTED = {
  offered: { inQuiet },
  moved: { inQuiet },
  felt: { wetness: z.number() },
  hatched: { stage },
  died: { everybody },
  'passed-on': { everybody },
  'rest-planned': { placeC: z.number(), roomC: z.number(), hemisphere: oneOf(HEMISPHERES) },
  'rest-step': { restId: id },
  'rest-ended': { restId: id },
} as const;

/** Kinds that nobody writes as an entry: they come of taking in, of parting and joining groups, and of pictures. */
const MADE = {
  'taken-in': {
    stage,
    ...measures,
    massG: massG.optional(),
    headCount: headCount.optional(),
    instar: instar.optional(),
  },
  photo: {},
  parted: { count: heads, toId: id },
  joined: { count: heads, fromId: id },
  'joined-into': { count: heads, toId: id, everybody },
} as const;

/** Another keeper who logged the same; how often it was put right. */
const common = { alsoBy: z.string().optional(), mended: z.int().optional() };

type Infer<Shape extends z.ZodRawShape> = z.infer<z.ZodObject<Shape>>;
type NotedWith<Kind> = Kind extends keyof typeof NOTED ? Infer<(typeof NOTED)[Kind]> : object;

/** The form of a kind; some kinds have one between them. */
type FormOf<Kind, Form = NewEntry> = Form extends { kind: infer Kinds } ? (Kind extends Kinds ? Form : never) : never;

type Written = {
  [Kind in NewEntry['kind']]: Omit<FormOf<Kind>, (typeof TOLD_APART)[number] | keyof NotedWith<Kind>> &
    NotedWith<Kind> &
    Infer<typeof common>;
};
type Made = { [Kind in keyof typeof MADE]: Infer<(typeof MADE)[Kind]> & Infer<typeof common> };

/** What belongs to each kind of entry: sizes, sign, prey, depth. */
export type EntryData = Written & Made;
export type EntryKind = keyof EntryData;

export interface EntryBase {
  id: string;
  residentId: string | null;
  homeId: string | null;
  on: string;
  at: string;
  keeper: string | null;
  note: string | null;
  undoneAt: string | null;
}

/** An entry of some kinds, as it is kept. */
export type EntryOf<Kind extends EntryKind> = {
  [Each in Kind]: EntryBase & { kind: Each; data: EntryData[Each] };
}[Kind];
export type Entry = EntryOf<EntryKind>;

/** An entry that is to be kept: nobody has undone it yet. */
export type EntryToKeep<Kind extends EntryKind = EntryKind> = {
  [Each in Kind]: Omit<EntryBase, 'undoneAt'> & { kind: Each; data: EntryData[Each] };
}[Kind];

/** An entry of a kind that is known when the program runs, with the data of that kind. */
export const entryToKeep = <Kind extends EntryKind>(
  kind: Kind,
  data: EntryData[Kind],
  facts: Omit<EntryBase, 'undoneAt'>,
) => ({ ...facts, kind, data }) as EntryToKeep<Kind>;

/** Whether a field of what is written is none of the data of its kind. */
export const isToldApart = (name: string): boolean => TOLD_APART.some((each) => each === name);

const SHAPES = {
  ...Object.fromEntries(
    ENTRY_FORMS.map(({ shape }) => {
      const kind = shape.kind.value;
      const own = Object.entries(shape).filter(([name]) => !isToldApart(name));
      return [kind, { ...Object.fromEntries(own), ...(kind in NOTED ? NOTED[kind as keyof typeof NOTED] : {}) }];
    }),
  ),
  ...MADE,
} as unknown as Record<EntryKind, z.ZodRawShape>;

/** What is kept of an entry beside what every kind tells, by its kind. */
export const dataShape = (kind: EntryKind): z.ZodRawShape => ({ ...SHAPES[kind], ...common });

export const ENTRY_KINDS = Object.keys(SHAPES) as [EntryKind, ...EntryKind[]];

const forms = ENTRY_KINDS.map((kind) =>
  z.object({
    id,
    kind: z.literal(kind),
    residentId: id.nullable(),
    homeId: id.nullable(),
    on: day,
    at: instant,
    keeper: z.string().nullable(),
    note: z.string().nullable(),
    data: z.object(dataShape(kind)),
    undoneAt: instant.nullable(),
  }),
);

// Made of the same forms as the type above; the library cannot follow a list that is worked out.
export const entry = z
  .discriminatedUnion('kind', forms as [(typeof forms)[0], ...typeof forms])
  .meta({ id: 'Entry' }) as unknown as z.ZodType<Entry>;
