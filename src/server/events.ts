import type { RequestHandler, Response } from 'express';

/** A line is sent so often, that a connection of which nobody hears anything is not cut. ms */
const HEARTBEAT_MS = 20_000;

/** What computes, and what instruments send, changes nothing on anybody's page. */
const SAYS_NOTHING = /^\/(compute|readings|imports)(\/|$)/;

/** Tells every open page that something was written, and by which page. */
export interface EventHub {
  /** `GET /api/events`: server-sent events. */
  stream: RequestHandler;
  /** Announces every request that wrote something. */
  watch: RequestHandler;
}

export function eventHub(): EventHub {
  const open = new Set<Response>();
  const send = (text: string) => {
    for (const response of open) response.write(text);
  };
  setInterval(() => send(': still here\n\n'), HEARTBEAT_MS).unref();
  return {
    stream: (request, response) => {
      response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' });
      response.flushHeaders();
      // A page that lost the server asks again after a second.
      response.write('retry: 1000\n\n');
      open.add(response);
      request.on('close', () => open.delete(response));
    },
    watch: (request, response, next) => {
      const writes = request.method !== 'GET' && !SAYS_NOTHING.test(request.path);
      if (writes) {
        const by = /^[\w-]{1,60}$/.exec(request.get('X-Page') ?? '')?.[0] ?? '';
        response.on('finish', () => {
          if (response.statusCode < 300) send(`event: written\ndata: ${JSON.stringify({ by })}\n\n`);
        });
      }
      next();
    },
  };
}
