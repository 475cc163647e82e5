import { z } from 'zod';
import { isDay } from '@/core/measure/day';
import { checkScientificName } from '@/core/measure/scientificName';
import { HIGHEST_INSTAR } from '@/core/profiles/profile';

const shown = (input: unknown) => (input === undefined ? 'nothing' : JSON.stringify(input)?.slice(0, 60));

/** A number with its limits and unit; every refusal says what would be right and what came. */
export function quantity(unit: string, min: number, max: number, whole = false) {
  const right = `${whole ? 'a whole number' : 'a number'} of ${unit} from ${min} to ${max}`;
  const error = (issue: { input?: unknown }) => `Must be ${right}; got ${shown(issue.input)}.`;
  const number = whole ? z.int({ error }) : z.number({ error });
  return number.min(min, { error }).max(max, { error });
}

export const instar = quantity('instars', 1, HIGHEST_INSTAR, true);

/** How many of a group are in which instar: {"3": 3, "4": 12}. */
export const instars = z.record(
  z.string().refine((key) => /^[1-9]\d?$/.test(key) && Number(key) <= HIGHEST_INSTAR, {
    error: `Must be the number of an instar, from 1 to ${HIGHEST_INSTAR}.`,
  }),
  quantity('animals', 0, 1_000_000, true),
);

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

/** The first day that a record is believed of. Chosen here */
const FIRST_DAY = '1950-01-01';
/** And the last that is planned for: an animal of today lives no longer. Chosen here */
const LAST_DAY = '2199-12-31';

export const day = z
  .string({ error: (issue) => `Must be a day written YYYY-MM-DD; got ${shown(issue.input)}.` })
  .refine(isDay, {
    error: (issue) => `Must be a day that exists, written YYYY-MM-DD; got ${shown(issue.input)}.`,
  })
  // What a sheet makes of an empty cell is a day of 1900; nobody who keeps these animals has a record of then.
  .refine((value) => value >= FIRST_DAY || !isDay(value), {
    error: (issue) => `Must not be before ${FIRST_DAY}; got ${shown(issue.input)}.`,
  })
  .refine((value) => value <= LAST_DAY || !isDay(value), {
    error: (issue) => `Must not be after ${LAST_DAY}; got ${shown(issue.input)}.`,
  });

/** What is asked of an engine from outside is read in one go, while nobody else is answered: so many at a time. Chosen here */
export const MOST_AT_ONCE = 500;
export const tooMany = (what: string): string =>
  `At most ${MOST_AT_ONCE} ${what} at a time: ask for the rest after them.`;

export const instant = z.iso.datetime();

/** One of a closed list; a refusal names the list. */
export function oneOf<const T extends readonly [string, ...string[]]>(values: T) {
  return z.enum(values, { error: (issue) => `Must be one of ${values.join(', ')}; got ${shown(issue.input)}.` });
}

/** The id of a care profile; whether there is one of that id is looked up when it is used. */
export const profileId = z
  .string({ error: (issue) => `Must be the id of a care profile; got ${shown(issue.input)}.` })
  .regex(/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/, {
    error: (issue) => `Must be the id of a care profile, for example ground-tarantula; got ${shown(issue.input)}.`,
  })
  .max(60);

/** The name of a stage, or of a size of feeder. */
export const stageName = z
  .string()
  .max(40)
  .regex(/^[a-z]+(-[a-z]+)*$/, { error: 'Must be the name of a stage, for example larva.' });

/** The form of a scientific name; a refusal says how it would be written. */
export const scientificName = line('a scientific name', 90).superRefine((text, context) => {
  const check = checkScientificName(text);
  if (check.ok) return;
  const message = check.suggestion ? `${check.problem} Write “${check.suggestion}”.` : check.problem;
  context.addIssue({ code: 'custom', message });
});

/** For which kinds a row of numbers ships, and for which species or genera of them alone. */
export const holdsFor = {
  profiles: z.array(profileId).min(1),
  species: z.array(line('a species or a genus', 90)).min(1).optional(),
};

/** Whose numbers are asked for: a kind, and the species where that is known. */
export const whose = { profile: profileId, scientificName: line('a scientific name', 90).optional() };

/** From the least to the most of something, in the unit of its own. */
export const rangeOf = (value: z.ZodNumber) =>
  z
    .strictObject({ min: value, max: value })
    .refine(({ min, max }) => min <= max, { path: ['max'], error: 'Must be at least min.' });
