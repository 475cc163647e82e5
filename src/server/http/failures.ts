import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { ErrorCode, ErrorReply } from '@/contract/errors';
import { Refusal } from '@/core/refusal';
import { DiskIsFull } from '../storage/guarded';
import { DISK_FULL, isDamage, sqlState } from '../storage/database';
import { loggedUrl } from './loggedUrl';
import { Problem } from './problem';
import { complain } from '../log';

/** What the body parser throws. */
interface HttpError extends Error {
  type?: string;
  status?: number;
}

const UNREADABLE = 'The body holds a character that no text has: U+0000, or half of a pair (\\ud800 to \\udfff).';

/**
 * What no database keeps and no page shows, though JSON can write it: U+0000, and one half of a surrogate pair. Looked for in the
 * body as it came.
 */
export function readableText(_request: unknown, _response: unknown, body: Buffer): void {
  if (!body.includes('\\u')) return;
  const text = body.toString('utf8').replaceAll('\\\\', '');
  if (/\\u0000|\\ud[89ab][0-9a-f]{2}(?!\\ud[c-f])|(?<!\\ud[89ab][0-9a-f]{2})\\ud[c-f]/i.test(text)) {
    throw Object.assign(new Error(UNREADABLE), { type: 'text.unreadable', status: 400 });
  }
}

const PARSER_PROBLEMS: Record<string, [ErrorCode, string] | undefined> = {
  'entity.parse.failed': ['bad-json', 'The body is not JSON.'],
  'entity.too.large': ['too-large', 'The body is too large: at most 1 MB.'],
  'text.unreadable': ['bad-json', UNREADABLE],
  'charset.unsupported': ['unsupported-media-type', 'Send the body as UTF-8 JSON.'],
  'encoding.unsupported': ['unsupported-media-type', 'Send the body as UTF-8 JSON.'],
};

/** An index is read when it is needed: what is wrong with one is met while the server runs. */
const DAMAGED =
  'A part of the data is damaged on the disk. Stop the server, save what still reads with bin/backup --rescue FILE, and bring it in with bin/restore FILE --instead.';

function asProblem(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error;
  if (error instanceof Refusal) return new Problem('invalid', 'This cannot be computed.', error.fields);
  if (error instanceof DiskIsFull) return new Problem('disk-full', error.message);
  const fromParser = PARSER_PROBLEMS[(error as HttpError).type ?? ''];
  if (fromParser) return new Problem(...fromParser);
  if (error instanceof URIError) return new Problem('not-found', 'The address is not readable.');
  if (isDamage(error)) return new Problem('internal', DAMAGED);
  const status = (error as HttpError).status;
  return status !== undefined && status >= 400 && status < 500
    ? new Problem('bad-json', 'The request could not be read.')
    : undefined;
}

/** The last handler: everything thrown leaves in the one error shape, without a stack. */
export const failures: ErrorRequestHandler = (error, request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const problem = asProblem(error) ?? new Problem('internal', 'Something went wrong here. Nothing was saved.');
  if (problem.code === 'internal')
    complain(
      `${response.get('X-Request-Id') ?? ''} ${request.method} ${loggedUrl(request.originalUrl)} failed.`,
      error,
    );
  const { code, message, fields } = problem;
  const reply: ErrorReply = { error: { code, message, ...(fields && { fields }) } };
  response.status(problem.status).json(reply);
  if (sqlState(error) === DISK_FULL) {
    // The embedded database does not come back from a full disk: stop before a query spins for ever.
    complain('The disk is full. The server stops; what was acknowledged is safe. Make room and start it again.');
    process.exit(70);
  }
};

/** An address under /api that no endpoint answers. */
export const unknownAddress: RequestHandler = (request) => {
  throw new Problem('not-found', `There is nothing at ${request.method} ${request.path}. See /api/openapi.json.`);
};

/**
 * A body in another format would otherwise look like no body at all. What writes says JSON even without a body: a form of
 * another page cannot say so.
 */
export const jsonOnly: RequestHandler = (request, _response, next) => {
  const reads = request.method === 'GET' || request.method === 'HEAD';
  const hasBody = request.headers['content-length'] !== undefined && request.headers['content-length'] !== '0';
  const chunked = request.headers['transfer-encoding'] !== undefined;
  const isJson = /^application\/json\s*(;|$)/i.test(request.headers['content-type'] ?? '');
  if ((!reads || hasBody || chunked) && !isJson) {
    throw new Problem('unsupported-media-type', 'Send JSON, with Content-Type: application/json.');
  }
  next();
};
