import { z } from 'zod';
import { day, id, line } from './primitives';

const clockTime = z
  .string()
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'Must be a time of day written HH:MM, for example 19:00.' });

/** A time zone by its name in the tz database. */
const zone = z.string().max(60).refine(isZone, { error: 'Must be a time zone such as Europe/London.' });

function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return !/^[+-]/.test(name);
  } catch {
    return false;
  }
}

export const keeper = z
  .object({
    id,
    name: z.string(),
    /** Rooms that this keeper walks; none for all. */
    roomIds: z.array(id),
    walkAt: z.string(),
    zone: z.string(),
    /** Days from today on on which this keeper has no time. */
    busyDays: z.array(day),
    hasCalendar: z.boolean(),
  })
  .meta({ id: 'Keeper' });
export type Keeper = z.infer<typeof keeper>;

export const newKeeper = z.strictObject({
  id: id.optional(),
  name: line('the name of the keeper', 60),
  roomIds: z.array(id).max(100).default([]),
  walkAt: clockTime.default('19:00'),
  zone,
});

export const keeperChange = z
  .strictObject({ name: newKeeper.shape.name, roomIds: z.array(id).max(100), walkAt: clockTime, zone })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

/** Days without time: named, or read out of a calendar of one's own. */
export const busyChange = z.union([
  z.strictObject({ days: z.array(day).max(800) }),
  z.strictObject({
    /** An iCalendar file. Days with an event of at least `hours` that is not shown as free are busy. */
    calendar: z.string().max(900_000, { error: 'The calendar is too large: at most 900 KB.' }),
    hours: z.number().min(0.5).max(24).default(8),
  }),
]);
