import { UNIT_ENDINGS } from '@/core/measure/unitEndings';
import words from './fields.json';

/** What is read of a JSON Schema here, and added to it. */
export interface JsonSchema {
  description?: string;
  type?: string | string[];
  minimum?: number;
  maximum?: number;
  maxLength?: number;
  maxItems?: number;
  properties?: Record<string, JsonSchema>;
  items?: JsonSchema;
  additionalProperties?: JsonSchema | boolean;
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  allOf?: JsonSchema[];
  prefixItems?: JsonSchema[];
}

/** Beside those of tables: what no table has. */
const UNITS: typeof UNIT_ENDINGS = [
  ...UNIT_ENDINGS,
  [/Mg$/, 'mg'],
  [/massesG/, 'g'],
  [/[a-z]L$|^litres/, 'L'],
  [/[a-z]K$/, 'K'],
  [/Minutes$|^minutes/, 'minutes'],
  [/Hours$|^hours/, 'hours'],
  [/Days$|^days/, 'days'],
  [/Weeks$|^weeks/, 'weeks'],
];
/** A sentence that names its unit already. */
const NAMES_ITS_UNIT =
  /\b(percent|square|cubic|kelvin|kilograms?|litres?|milligrams|millilitres|microlitres|millimetres|gram|metres?|pascals|bits|degrees|Minutes|Hours?|Days?|Weeks?|days|hours|weeks|factor|share)\b|%/;

/** What a field is, in one sentence, with its unit and its range. Undefined for a name that nobody has described. */
export function fieldWords(name: string, schema: JsonSchema): string | undefined {
  const sentence = (words as Record<string, string>)[name];
  if (sentence === undefined) return undefined;
  const unit = NAMES_ITS_UNIT.test(sentence) ? undefined : UNITS.find(([ending]) => ending.test(name))?.[1];
  const range = rangeWords(schema);
  const more = [unit, range].filter((each) => each !== undefined).join(', ');
  return more === '' ? sentence : `${sentence.replace(/\.$/, '')} (${more}).`;
}

const numberWords = (value: number) => value.toLocaleString('en-GB', { maximumFractionDigits: 6 });

/** Beyond this a limit is that of the number format, and says nothing. */
const NO_LIMIT = 1e15;

function rangeWords({ minimum, maximum, maxLength, maxItems, items, anyOf }: JsonSchema): string | undefined {
  if (minimum !== undefined && maximum !== undefined && Math.abs(maximum) < NO_LIMIT && Math.abs(minimum) < NO_LIMIT)
    return `from ${numberWords(minimum)} to ${numberWords(maximum)}`;
  if (maxLength !== undefined) return `at most ${maxLength} letters`;
  if (maxItems !== undefined) return `at most ${maxItems}`;
  if (items?.minimum !== undefined) return rangeWords(items);
  return anyOf?.map(rangeWords).find((each) => each !== undefined);
}

/** Says of every field in a schema what it is. Answers the names that nobody has described. */
export function describeFields(schema: JsonSchema): string[] {
  const { properties = {}, items, additionalProperties, anyOf = [], oneOf = [], allOf = [], prefixItems = [] } = schema;
  const own = Object.entries(properties).flatMap(([name, field]) => {
    const said = field.description ?? fieldWords(name, field);
    if (said !== undefined) field.description = said;
    return [...(said === undefined ? [name] : []), ...describeFields(field)];
  });
  const more = typeof additionalProperties === 'object' ? [additionalProperties] : [];
  const inner = [...(items ? [items] : []), ...more, ...anyOf, ...oneOf, ...allOf, ...prefixItems];
  return [...own, ...inner.flatMap(describeFields)];
}
