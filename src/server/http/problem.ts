import type { z } from 'zod';
import { fieldMessages, type ErrorCode, type FieldMessage } from '@/contract/errors';
import { refusedFields } from '@/contract/refusedFields';

const STATUS: Record<ErrorCode, number> = {
  'bad-json': 400,
  unauthorized: 401,
  forbidden: 403,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  'unsupported-media-type': 415,
  invalid: 422,
  'too-many': 429,
  internal: 500,
  unreachable: 502,
  busy: 503,
  'disk-full': 507,
};

/** A refusal on its way to the client; the error handler turns it into the one error shape. */
export class Problem extends Error {
  readonly status: number;

  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly fields?: FieldMessage[],
  ) {
    super(message);
    this.name = 'Problem';
    this.status = STATUS[code];
  }
}

/** A refusal of what a schema found, field by field. */
export function invalidBy({ issues }: Pick<z.ZodError, 'issues'>): Problem {
  const count = issues.reduce((sum, each) => sum + (each.code === 'unrecognized_keys' ? each.keys.length : 1), 0);
  const fields = fieldMessages({ issues: issues.slice(0, MOST_FIELDS) });
  return new Problem('invalid', refusedFields(count), fields.slice(0, MOST_FIELDS));
}

/** So many fields are named: who sends 35,000 wrong ones sees by these what is wrong with the others. Chosen here */
const MOST_FIELDS = 60;

/** A refusal of one field. */
export const invalid = (path: string, message: string) => new Problem('invalid', refusedFields(1), [{ path, message }]);

export const notFound = (what: string) => new Problem('not-found', `There is no ${what}.`);
