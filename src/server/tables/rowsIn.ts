import { z } from 'zod';
import { factors, roomAir } from '@/contract/climate';
import { day, id, instant, line, profileId, scientificName } from '@/contract/primitives';
import { PROBE_KINDS, PROBE_PLACES } from '@/contract/readings';
import { MARKS } from '@/core/readings/reading';
import { newHome, resident as residentShape, shelf as shelfShape } from '@/contract/records';
import { schoolChoice, stockEntry } from '@/contract/store';
import { dataShape, entry as entryShape, ENTRY_KINDS, type EntryKind } from '@/contract/storedEntries';
import type { TableIn } from '@/contract/tables';

/** The cells of a row by the names of their columns, as text; empty where there are none. */
export type Cells = Readonly<Record<string, string>>;

/** The text of a cell; null where it is empty. */
const textIn = (cells: Cells, name: string): string | null => (cells[name] ?? '') || null;
const given = (cells: Cells, ...names: string[]) =>
  Object.fromEntries(names.flatMap((name) => (textIn(cells, name) === null ? [] : [[name, cells[name]]])));
const numbers = (cells: Cells, ...names: string[]) =>
  Object.fromEntries(names.flatMap((name) => (textIn(cells, name) === null ? [] : [[name, Number(cells[name])]])));

/** JSON in a cell; what is none stays text, and is refused where it has to be more. */
function jsonIn(cells: Cells, name: string): unknown {
  const text = textIn(cells, name);
  if (text === null) return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}
const jsons = (cells: Cells, ...names: string[]) =>
  Object.fromEntries(names.flatMap((name) => (textIn(cells, name) === null ? [] : [[name, jsonIn(cells, name)]])));

export const ROWS_IN = {
  rooms: z.strictObject({ id, name: line('the name of the room', 60), air: roomAir.optional() }),
  shelves: z.strictObject({
    ...{ id, roomId: id, name: line('the name of the shelf', 60) },
    ...{ place: shelfShape.shape.position, loadLimitKg: z.number().optional() },
  }),
  homes: z.strictObject({ home: newHome, factors: factors.optional() }),
  residents: z.strictObject({
    ...{ id, scientificName, profile: profileId, sex: residentShape.shape.sex, form: residentShape.shape.form },
    called: line('a name', 60).nullable(),
    commonName: line('a common name', 90).nullable(),
    source: line('where it came from', 120).nullable(),
    permit: line('the number or kind of the permit', 120).nullable(),
    batch: line('the name of the batch', 60).nullable(),
    ...{ bornOn: day.nullable(), motherId: id.nullable(), fatherId: id.nullable(), outOfId: id.nullable() },
    grownMm: z.number().positive().optional(),
    plants: z.array(z.string()).nullable(),
    forbidden: z.record(z.string(), z.string()),
  }),
  entries: entryShape,
  probes: z.strictObject({
    ...{ id, name: line('what the probe is called', 60), kind: z.enum(PROBE_KINDS), place: z.enum(PROBE_PLACES) },
    ...{ homeId: id.nullable(), roomId: id.nullable(), addedAt: instant },
  }),
  readings: z.strictObject({
    ...{ probeId: id, at: instant, mark: z.enum(MARKS).nullable() },
    ...{
      temperatureC: z.number().optional(),
      relativeHumidityPct: z.number().optional(),
      massG: z.number().optional(),
    },
  }),
  store: stockEntry.omit({ undoneAt: true }),
  keepers: z.strictObject({
    ...{ id, name: line('the name of the keeper', 60), walkAt: z.string(), zone: z.string() },
    ...{ roomIds: z.array(id), busyDays: z.array(day) },
  }),
  absences: z.strictObject({
    ...{ id, keeperId: id.nullable(), from: day, until: day },
    ...{ sitter: z.string().max(60).nullable(), call: z.string().max(120).nullable() },
  }),
  schools: schoolChoice,
} as const satisfies Record<TableIn, z.ZodType>;
export type RowIn<Name extends TableIn> = z.output<(typeof ROWS_IN)[Name]>;

/** What the cells of a row tell, before it is looked at whether that can be. */
const ASKED: Record<TableIn, (cells: Cells) => unknown> = {
  rooms: (cells) => ({ ...given(cells, 'id', 'name'), ...jsons(cells, 'air') }),
  shelves: (cells) => ({ ...given(cells, 'id', 'roomId', 'name'), ...numbers(cells, 'place', 'loadLimitKg') }),
  homes: (cells) => ({
    home: {
      ...given(cells, 'id', 'code', 'shelfId'),
      ...numbers(cells, 'place', 'litterDepthMm', 'dishAreaCm2', 'weightLimitKg'),
      container: {
        ...(jsonIn(cells, 'make') as object | undefined),
        ...numbers(cells, 'lengthMm', 'widthMm', 'diameterMm', 'heightMm'),
        ...given(cells, 'walls', 'lid', 'opens'),
      },
      ...jsons(cells, 'furniture', 'nest', 'heat'),
      mixId: textIn(cells, 'mix'),
      quarantineSince: textIn(cells, 'quarantineSince'),
      // How deep it is filled is told by the entries.
      substrateDepthMm: 0,
    },
    ...jsons(cells, 'factors'),
  }),
  residents: (cells) => ({
    ...given(cells, 'id', 'scientificName', 'profile', 'sex', 'form'),
    ...nullable(cells, 'called', 'commonName', 'source', 'permit', 'batch'),
    ...nullable(cells, 'bornOn', 'motherId', 'fatherId', 'outOfId'),
    ...numbers(cells, 'grownMm'),
    plants: jsonIn(cells, 'plants') ?? null,
    forbidden: jsonIn(cells, 'forbidden') ?? {},
  }),
  entries: (cells) => ({
    ...given(cells, 'id', 'kind', 'on', 'at'),
    ...nullable(cells, 'residentId', 'homeId', 'keeper', 'note'),
    data: dataIn(cells),
    undoneAt: null,
  }),
  probes: (cells) => ({
    ...given(cells, 'id', 'name', 'kind', 'place', 'addedAt'),
    ...nullable(cells, 'homeId', 'roomId'),
  }),
  readings: (cells) => ({
    ...given(cells, 'probeId', 'at'),
    ...numbers(cells, 'temperatureC', 'relativeHumidityPct', 'massG'),
    mark: textIn(cells, 'doubt'),
  }),
  store: (cells) => ({
    ...given(cells, 'id', 'on', 'at', 'item', 'kind'),
    ...numbers(cells, 'amount'),
    ...nullable(cells, 'keeper', 'note'),
  }),
  keepers: (cells) => ({
    ...given(cells, 'id', 'name', 'walkAt', 'zone'),
    roomIds: jsonIn(cells, 'roomIds') ?? [],
    busyDays: textIn(cells, 'busyDays')?.split(' ') ?? [],
  }),
  absences: (cells) => ({
    ...given(cells, 'id', 'from', 'until'),
    ...nullable(cells, 'keeperId', 'sitter', 'call'),
  }),
  schools: (cells) => given(cells, 'scope', 'about', 'topic', 'school'),
};

const nullable = (cells: Cells, ...names: string[]) =>
  Object.fromEntries(names.map((name) => [name, textIn(cells, name)]));

/** The facts of an event, each as its kind has it: text, a number, yes or no, else JSON. */
function dataIn(cells: Cells): Record<string, unknown> {
  const kind = ENTRY_KINDS.find((each) => each === cells['kind']);
  if (!kind) return {};
  return Object.fromEntries(
    Object.entries(dataShape(kind)).flatMap(([field, schema]) => {
      const text = textIn(cells, field);
      return text === null ? [] : [[field, asItsKind(kind, field, schema as z.ZodType, text)]];
    }),
  );
}

/** How a fact was written when it was met last: thousands of rows tell the same fields. */
const ways = new Map<string, number>();
const WAYS: readonly ((text: string) => unknown)[] = [
  (text) => text,
  (text) => Number(text),
  (text) => (text === 'true' ? true : text === 'false' ? false : text),
  (text) => jsonIn({ text }, 'text'),
];

function asItsKind(kind: EntryKind, field: string, schema: z.ZodType, text: string): unknown {
  const key = `${kind} ${field}`;
  const usual = ways.get(key) ?? 0;
  for (let tried = 0; tried < WAYS.length; tried += 1) {
    const at = (usual + tried) % WAYS.length;
    const value = WAYS[at]?.(text);
    if (!schema.safeParse(value).success) continue;
    ways.set(key, at);
    return value;
  }
  return text;
}

/** A row of a table as it came out of a house; or what is wrong with it, field by field. */
export const rowIn = <Name extends TableIn>(name: Name, cells: Cells) =>
  ROWS_IN[name].safeParse(ASKED[name](cells)) as z.ZodSafeParseResult<RowIn<Name>>;
