import type { RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import { Problem } from '../http/problem';

const QUARTER_MS = 15 * 60_000;

const limited = (limit: number, onlyRefused: boolean, message: string): RequestHandler =>
  rateLimit({
    ...{ windowMs: QUARTER_MS, limit, skipSuccessfulRequests: onlyRefused },
    ...{ standardHeaders: 'draft-8', legacyHeaders: false },
    keyGenerator: (request) => ipKeyGenerator(request.ip ?? ''),
    handler: (_request, _response, next) => next(new Problem('too-many', message)),
  });

/** Who guesses passwords, PINs, codes or passkeys: ten wrong ones in a quarter of an hour from one address. */
export const limitSignIn = (): RequestHandler =>
  limited(10, true, 'Too many wrong tries. Wait a quarter of an hour, then try again.');

/** Who guesses addresses or tokens: a device with an old token sends every few seconds, and its neighbours go on. */
export const limitSecrets = (): RequestHandler =>
  limited(600, true, 'Too many wrong addresses or tokens from there. Wait a quarter of an hour.');
