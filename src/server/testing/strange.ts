import fc from 'fast-check';
import { addDays } from '@/core/measure/day';
import { TODAY } from './server';

/* Bodies that keep the form of an endpoint and may say anything within it: the smallest and the largest numbers, days long gone. */

/** As much of JSON Schema as the forms of this program are written in. */
export interface JsonSchema {
  type?: 'object' | 'array' | 'string' | 'number' | 'integer' | 'boolean' | 'null';
  const?: unknown;
  enum?: unknown[];
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  allOf?: JsonSchema[];
  properties?: Record<string, JsonSchema>;
  required?: string[];
  additionalProperties?: boolean | JsonSchema;
  propertyNames?: JsonSchema;
  items?: JsonSchema;
  minItems?: number;
  minimum?: number;
  maximum?: number;
  format?: string;
  $ref?: string;
  $defs?: Record<string, JsonSchema>;
}

/** What a word stands for is told by the name of its field: ids and days that there are are accepted more often. */
export type Words = Record<string, readonly string[]>;

const DAYS = ['1999-01-01', '2025-06-01', addDays(TODAY, -40), addDays(TODAY, -1), TODAY, addDays(TODAY, 30)];
const DAY_FIELDS =
  /^(on|until|from|to|moveOn|laidFrom|laidTo|startOn|expiresOn|bornOn|begunOn|bestBefore|quarantineSince)$/;

/** Any body that a form allows. */
export function strange(schema: JsonSchema, words: Words, name = '', defs = schema.$defs ?? {}): fc.Arbitrary<unknown> {
  const inner = (part: JsonSchema, of = name) => strange(part, words, of, defs);
  if (schema.$ref) return inner(defs[schema.$ref.split('/').at(-1) ?? ''] ?? {});
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const either = schema.anyOf ?? schema.oneOf;
  if (either) return fc.oneof(...either.map((each) => inner(each)));
  if (schema.allOf) return inner(schema.allOf[0] ?? {});
  switch (schema.type) {
    case 'object':
      return schema.properties ? fieldsOf(schema, inner) : entriesOf(schema, words, inner);
    case 'array': {
      const least = schema.minItems ?? 0;
      return fc.array(inner(schema.items ?? {}), { minLength: least, maxLength: Math.max(2, least) });
    }
    case 'number':
    case 'integer':
      return numberOf(schema);
    case 'boolean':
      return fc.boolean();
    case 'string':
      return wordOf(name, words);
    default:
      return fc.constant(null);
  }
}

function fieldsOf(
  { properties = {}, required = [] }: JsonSchema,
  inner: (part: JsonSchema, of: string) => fc.Arbitrary<unknown>,
) {
  // A first id makes a writing the same as one before: that is asked elsewhere.
  const fields = Object.entries(properties).filter(([field]) => field !== 'id');
  const values = Object.fromEntries(fields.map(([field, part]) => [field, inner(part, field)]));
  return fc.record(values, { requiredKeys: required.filter((field) => field in values) });
}

function entriesOf(
  { additionalProperties }: JsonSchema,
  words: Words,
  inner: (part: JsonSchema) => fc.Arbitrary<unknown>,
) {
  if (typeof additionalProperties !== 'object') return fc.constant({});
  const keys = fc.constantFrom('1', '3', '9', 'worker', 'larva', 'egg', 'adult', 'young', ...(words.key ?? []));
  return fc.dictionary(keys, inner(additionalProperties), { maxKeys: 3 });
}

function numberOf({ type, minimum = -1e6, maximum = 1e6 }: JsonSchema) {
  const whole = type === 'integer';
  const between = fc.integer({ min: Math.ceil(minimum), max: Math.floor(Math.max(Math.ceil(minimum), maximum)) });
  const small = fc.integer({ min: 1, max: 100 }).filter((value) => value >= minimum && value <= maximum);
  const ends = fc.constantFrom(minimum, maximum);
  const parts = whole || minimum > 30 || maximum < 1 ? [] : [small];
  return fc.oneof(ends, ...(maximum - minimum < 1 ? [] : [between]), ...parts);
}

function wordOf(field: string, words: Words): fc.Arbitrary<string> {
  const known = words[field];
  if (known && known.length > 0) return fc.constantFrom(...known);
  if (DAY_FIELDS.test(field)) return fc.constantFrom(...DAYS);
  return fc.constantFrom('x', 'a-b', 'Name', 'word '.repeat(8).trim());
}
