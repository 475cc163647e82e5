import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import { log } from '../log';
import { loggedUrl } from './loggedUrl';

/** One line for each request, with the id that its answer carries too: what went wrong for somebody is found by it. */
export const requestLog: RequestHandler = (request, response, next) => {
  const began = performance.now();
  const id = randomUUID().slice(0, 8);
  response.set('X-Request-Id', id);
  response.on('close', () => {
    const { statusCode: status } = response;
    const line = {
      ...{ id, method: request.method, place: loggedUrl(request.originalUrl), status },
      ms: Math.round((performance.now() - began) * 10) / 10,
      // A page that was shut before it was answered.
      ...(!response.writableFinished && { isCut: true }),
    };
    if (status >= 500) log.error(line);
    else if (status === 401 || status === 403 || status === 429) log.warn(line);
    else log.info(line);
  });
  next();
};
