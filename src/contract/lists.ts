import { z } from 'zod';
import { day, id, instant, line, oneOf } from './primitives';
import { TABLE_KINDS } from '@/core/records/readTable';
import { BODY_MEASURES } from '@/core/profiles/profile';
import { newShelf } from './records';

export const MOST_ROWS = 10_000;

/** Of a box in a list: its shelf by name, which is put up where it is not there yet. The rest is as of any new home. */
export const shelfOfRow = z.looseObject({ room: newShelf.shape.room, shelf: newShelf.shape.name });

/** A newcomer of a list lives in a box by its code. */
export const boxOfRow = z.looseObject({ box: line('the code of a box', 12) });

/** A list as it is brought in: all of its rows or none. Each row is held against its own kind. */
export const newList = z.strictObject({
  id: id.optional(),
  kind: oneOf(TABLE_KINDS),
  name: line('what the list is called', 120).optional(),
  /** Not looked into here: each row is held against its own kind while others are answered. */
  rows: z
    .array(z.record(z.string(), z.unknown()), { error: 'Must be a list of rows.' })
    .min(1, { error: 'Give at least one row.' })
    .max(MOST_ROWS, { error: `At most ${MOST_ROWS} rows at a time.` }),
  /** Only says what would become of each row; nothing is written. */
  check: z.boolean().optional(),
});
export type NewList = z.infer<typeof newList>;

/** A table to be read, its first line naming the columns. */
export const tableRequest = z.strictObject({
  kind: oneOf(TABLE_KINDS),
  rows: z
    .array(z.array(z.string().max(2000)).max(60))
    .min(2, { error: 'Give the names of the columns, and a row.' })
    .max(MOST_ROWS),
  unit: oneOf(['mm', 'cm', 'in']).default('mm'),
  /** How days with strokes are written; left out, as they tell themselves, else the day first. */
  order: oneOf(['dmy', 'mdy']).optional(),
  today: day.optional(),
  room: z.string().max(60).default(''),
  shelf: z.string().max(60).default(''),
  /** Who events may be about. */
  residents: z
    .array(
      z.strictObject({ id: z.string(), names: z.array(z.string()), takes: oneOf(BODY_MEASURES), isGroup: z.boolean() }),
    )
    .max(MOST_ROWS)
    .default([]),
});

export const tableReply = z.object({
  /** By the name of what it holds the place of a column, from 0. */
  columns: z.record(z.string(), z.int()),
  /** Null where the days can be read both ways, and it has to be asked. */
  order: z.enum(['dmy', 'mdy']).nullable(),
  rows: z.array(
    z.object({
      row: z.record(z.string(), z.json()).optional(),
      notes: z.array(z.string()).optional(),
      problems: z.array(z.object({ column: z.string(), message: z.string() })).optional(),
    }),
  ),
});

/** A row that makes no sense, counted from 0, with what would be right. */
export const rowProblem = z.object({
  row: z.int(),
  fields: z.array(z.object({ path: z.string(), message: z.string() })),
});
export type RowProblem = z.infer<typeof rowProblem>;

export const listReply = z.object({
  /** Null where nothing was written: it was only checked, or some rows make no sense. */
  listId: id.nullable(),
  written: z.int(),
  problems: z.array(rowProblem),
});

/** A list that was brought in. */
export const broughtList = z.object({
  id,
  kind: z.enum(TABLE_KINDS),
  name: z.string().nullable(),
  rows: z.int(),
  on: day,
  undoneAt: instant.nullable(),
});
export type BroughtList = z.infer<typeof broughtList>;
