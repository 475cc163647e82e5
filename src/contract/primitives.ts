import { z } from 'zod';
import { isDay } from '@/core/measure/day';

const shown = (input: unknown) => (input === undefined ? 'nothing' : JSON.stringify(input)?.slice(0, 60));

/** A number with its limits and unit; every refusal says what would be right and what came. */
export function quantity(unit: string, min: number, max: number, whole = false) {
  const right = `${whole ? 'a whole number' : 'a number'} of ${unit} from ${min} to ${max}`;
  const error = (issue: { input?: unknown }) => `Must be ${right}; got ${shown(issue.input)}.`;
  const number = whole ? z.int({ error }) : z.number({ error });
  return number.min(min, { error }).max(max, { error });
}

export const mm = (min: number, max: number) => quantity('millimetres', min, max);

/** One line of text without control characters, trimmed. */
export function line(what: string, max: number, min = 1) {
  return z
    .string({ error: (issue) => `Must be ${what} in up to ${max} letters; got ${shown(issue.input)}.` })
    .trim()
    .min(min, { error: `Write ${what}.` })
    .max(max, { error: `Must be at most ${max} letters long.` })
    .refine((text) => !/\p{Cc}/u.test(text), { error: 'Must not contain line breaks or control characters.' });
}

export const id = z.uuid({ error: (issue) => `Must be an id (a UUID); got ${shown(issue.input)}.` });

export const day = z
  .string({ error: (issue) => `Must be a day written YYYY-MM-DD; got ${shown(issue.input)}.` })
  .refine(isDay, {
    error: (issue) => `Must be a day that exists, written YYYY-MM-DD; got ${shown(issue.input)}.`,
  });

export const instant = z.iso.datetime();

/** One of a closed list; a refusal names the list. */
export function oneOf<const T extends readonly [string, ...string[]]>(values: T) {
  return z.enum(values, { error: (issue) => `Must be one of ${values.join(', ')}; got ${shown(issue.input)}.` });
}
