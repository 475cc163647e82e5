import { z } from 'zod';

/** The text of rows that were sent before, and are sent again as they are, is kept as long as the row is. */
const texts = new WeakMap<z.ZodType, WeakMap<object, string>>();

/**
 * A reply in the shape of the contract, as JSON. Lists are read row by row: a row that is the very same object as in an answer
 * before is neither checked nor written out again. Whoever answers with an object he has answered with before must not have changed it.
 * @param report is told what has not the shape it should have; it is sent all the same: a page that misses one number shows more
 *   than a page that gets nothing
 */
export async function serialised(schema: z.ZodType, answer: unknown, report: (why: string) => void): Promise<string> {
  const isPlain = schema instanceof z.ZodObject && schema.def.catchall === undefined;
  if (!isPlain || typeof answer !== 'object' || answer === null) {
    return textOf(schema, answer, report);
  }
  const parts: string[] = [];
  for (const [name, of] of Object.entries(schema.shape as Record<string, z.ZodType>)) {
    const value = (answer as Record<string, unknown>)[name];
    if (value === undefined && isOptional(of)) continue;
    const text =
      of instanceof z.ZodArray && Array.isArray(value)
        ? `[${(await rowTexts(of.element as z.ZodType, value, report)).join(',')}]`
        : textOf(of, value, (why) => report(`${name}: ${why}`));
    if (text !== undefined) parts.push(`${JSON.stringify(name)}:${text}`);
  }
  return `{${parts.join(',')}}`;
}

/** Others are let in after so long: a list of a thousand takes ten times that. ms */
const PART_MS = 8;

async function rowTexts(schema: z.ZodType, rows: unknown[], report: (why: string) => void): Promise<string[]> {
  const texts: string[] = [];
  let began = performance.now();
  for (const row of rows) {
    texts.push(rowText(schema, row, report));
    if (performance.now() - began < PART_MS) continue;
    await new Promise(setImmediate);
    began = performance.now();
  }
  return texts;
}

const isOptional = (schema: z.ZodType) => {
  const { success, data } = schema.safeParse(undefined);
  return success && data === undefined;
};

function rowText(schema: z.ZodType, row: unknown, report: (why: string) => void): string {
  if (typeof row !== 'object' || row === null) return textOf(schema, row, report);
  const known = texts.get(schema) ?? new WeakMap<object, string>();
  texts.set(schema, known);
  const text = known.get(row) ?? textOf(schema, row, report);
  known.set(row, text);
  return text;
}

function textOf(schema: z.ZodType, value: unknown, report: (why: string) => void): string {
  const parsed = schema.safeParse(value);
  if (parsed.success) return JSON.stringify(parsed.data);
  const where = parsed.error.issues.slice(0, 5).map(({ path, message }) => `${path.join('.')}: ${message}`);
  report(where.join('; '));
  return JSON.stringify(value) ?? 'null';
}
