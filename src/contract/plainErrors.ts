import type { z } from 'zod';

const KINDS: Record<string, string> = {
  ...{ string: 'a text', number: 'a number', int: 'a whole number', boolean: 'true or false', array: 'a list' },
  ...{ object: 'an object with fields', record: 'an object with fields', null: 'null' },
};
const FORMATS: Record<string, string> = {
  datetime: 'an instant in UTC, for example 2026-03-14T18:00:00Z',
  uuid: 'an id (a UUID)',
};
/** How messages begin that nobody wrote for a field. */
const NOBODYS = /^(Invalid |Too (small|big)|Unrecognized)/;

/** What would be right, in plain words, where the schema itself says nothing about it. */
export function plainMessage(issue: z.core.$ZodIssue): string {
  if (!NOBODYS.test(issue.message)) return issue.message;
  switch (issue.code) {
    case 'invalid_type':
      return `Must be ${KINDS[issue.expected] ?? issue.expected}.`;
    case 'invalid_value':
      return `Must be ${issue.values.length > 1 ? 'one of ' : ''}${issue.values.map(String).join(', ')}.`;
    case 'invalid_format':
      return `Must be ${FORMATS[issue.format] ?? `written as ${issue.format}`}.`;
    case 'too_small':
      return `Must be ${limitWords(issue.origin, 'at least', Number(issue.minimum))}.`;
    case 'too_big':
      return `Must be ${limitWords(issue.origin, 'at most', Number(issue.maximum))}.`;
    case 'invalid_union':
      return unionWords(issue);
    default:
      return issue.message;
  }
}

/** "at least 2 letters long", "at most 60 of them", "at least 3". */
function limitWords(origin: string, which: string, limit: number): string {
  if (origin === 'string') return `${which} ${limit} letters long`;
  if (origin === 'array' || origin === 'set') return `a list of ${which} ${limit}`;
  return `${which} ${limit}`;
}

function unionWords({ errors, options }: { errors?: z.core.$ZodIssue[][]; options?: unknown[] }): string {
  if (options) return `Must be one of ${options.map(String).join(', ')}.`;
  const ways = (errors ?? []).flatMap(([first]) => (first ? [plainMessage(first).replace(/^Must be |\.$/g, '')] : []));
  return ways.length === 0 ? 'Must be something else.' : `Must be ${[...new Set(ways)].join(', or ')}.`;
}
