import { z } from 'zod';

/** The name of the format, as it stands in each file. */
export const FORMAT = 'verdant-burrow-backup';
export const FORMAT_VERSION = 1;
export const MANIFEST = 'manifest.json';
/** The rows of a table lie in a file of their own, one JSON object a line. */
export const fileOf = (table: string): string => `tables/${table}.jsonl`;

const table = z.strictObject({
  name: z.string().regex(/^[a-z][a-z_]{0,60}$/),
  rows: z.int().min(0),
  bytes: z.int().min(0),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});

/** What a backup says of itself: by which program, of which schema, and what lies in it with its sums. */
export const manifest = z.strictObject({
  format: z.literal(FORMAT),
  formatVersion: z.literal(FORMAT_VERSION),
  /** The last migration of its tables. */
  schema: z.int().positive(),
  program: z.string().max(40),
  madeAt: z.iso.datetime(),
  tables: z.array(table).max(100),
});
export type Manifest = z.infer<typeof manifest>;
export type BackedUpTable = Manifest['tables'][number];
