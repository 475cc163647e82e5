import { z } from 'zod';
import { pauses } from '../house/inTurn';

/** A list that is longer is read row by row, and others are let in between: a thousand rows take some 15 ms. Chosen here */
const LONG = 200;

export type Read = { success: true; data: unknown } | { success: false; issues: z.core.$ZodIssue[] };

/** The rest of what is read, where its long lists are read already. */
interface Rest {
  schema: z.ZodType;
  value: unknown;
  issues: z.core.$ZodIssue[];
}

/** Reads a value by a schema as `safeParse` does, but holds nobody up for long. What is wrong in a long list is told before the rest. */
export async function readInSteps(schema: z.ZodType, value: unknown): Promise<Read> {
  const rest = await withoutLongLists(schema, value, []);
  if (rest.issues.length > 0) return { success: false, issues: rest.issues };
  const read = rest.schema.safeParse(rest.value);
  return read.success ? read : { success: false, issues: read.error.issues };
}

async function withoutLongLists(schema: z.ZodType, value: unknown, path: PropertyKey[]): Promise<Rest> {
  if (schema instanceof z.ZodArray && Array.isArray(value)) return listOf(schema, value, path);
  if (schema instanceof z.ZodObject && isRecord(value)) return objectOf(schema, value, path);
  if ((schema instanceof z.ZodOptional || schema instanceof z.ZodNullable) && value !== undefined && value !== null) {
    const inner = schema.unwrap() as z.ZodType;
    const rest = await withoutLongLists(inner, value, path);
    // What is there needs no leave to be left out.
    return rest.schema === inner ? { schema, value, issues: [] } : rest;
  }
  return { schema, value, issues: [] };
}

async function listOf(schema: z.ZodArray, rows: unknown[], path: PropertyKey[]): Promise<Rest> {
  const light = schema.clone({ ...schema.def, element: z.unknown() });
  if (rows.length <= LONG) return { schema, value: rows, issues: [] };
  // One that is too long is refused for that alone.
  if (!light.safeParse(rows).success) return { schema: light, value: rows, issues: [] };
  const pause = pauses();
  const row = schema.element as z.ZodType;
  const data: unknown[] = [];
  const issues: z.core.$ZodIssue[] = [];
  for (const [index, each] of rows.entries()) {
    const read = row.safeParse(each);
    if (read.success) data.push(read.data);
    else issues.push(...read.error.issues.map((issue) => ({ ...issue, path: [...path, index, ...issue.path] })));
    await pause();
  }
  return { schema: light, value: data, issues };
}

async function objectOf(schema: z.ZodObject, value: Record<string, unknown>, path: PropertyKey[]): Promise<Rest> {
  const rests: [string, Rest][] = [];
  for (const [name, of] of Object.entries(schema.shape as Record<string, z.ZodType>)) {
    if (!Object.hasOwn(value, name)) continue;
    const rest = await withoutLongLists(of, value[name], [...path, name]);
    if (rest.schema !== of) rests.push([name, rest]);
  }
  if (rests.length === 0) return { schema, value, issues: [] };
  const shape = { ...schema.shape, ...Object.fromEntries(rests.map(([name, rest]) => [name, rest.schema])) };
  return {
    schema: schema.clone({ ...schema.def, shape }),
    value: { ...value, ...Object.fromEntries(rests.map(([name, rest]) => [name, rest.value])) },
    issues: rests.flatMap(([, rest]) => rest.issues),
  };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
