import { z } from 'zod';
import { day } from './primitives';

/** How the backups of the house stand. */
export const backupBoard = z
  .object({
    /** Nothing is kept in this house yet: another can be brought in without that anything gives way. */
    isEmpty: z.boolean(),
    /** Where they are kept; null where none are. */
    folder: z.string().nullable(),
    /** The newest first. */
    backups: z.array(z.object({ name: z.string(), day, bytes: z.number() })),
    /** The last day whose backup was restored on trial, and came out whole. */
    provenOn: day.nullable(),
    /** Why the last one did not work. */
    problem: z.string().nullable(),
    /** How many tables of the file that is written now are read; null while none is written. */
    writing: z.object({ done: z.int(), of: z.int() }).nullable(),
    /** None has worked for three days. */
    isLate: z.boolean(),
  })
  .meta({ id: 'BackupBoard' });
export type BackupBoard = z.infer<typeof backupBoard>;
