import type { Request, RequestHandler, Response } from 'express';
import { visitorOf } from './access/visitor';
import { Problem } from './http/problem';
import { behindSince } from './behind';
import type { Clock } from './clock';
import { complain } from './log';
import type { Database } from './storage/database';

/** The time is told so often: pages keep to the clock of the house, and a connection that is heard of is not cut. ms */
const HEARTBEAT_MS = 20_000;

/** What computes, and what instruments send, changes nothing on anybody's page. */
const SAYS_NOTHING = /^\/(compute|readings|imports)(\/|$)/;

/** So many pages of one session, or of one address where nobody signs in, may listen at once, and so many in all. Chosen here */
const MOST_STREAMS = { ofOne: 24, inAll: 1000 };

/** Tells every open page that something was written, and by which page. */
export interface EventHub {
  /** `GET /api/events`: server-sent events. */
  stream: RequestHandler;
  /** Announces every request that wrote something. */
  watch: RequestHandler;
  /** Tells every open page what time it is in the house. */
  tellTime: () => void;
  /** Tells every open page that something was written by nobody in particular. */
  tellWritten: () => void;
  /** A session has ended or was locked: its pages are told no more. Null: any may have. */
  shut: (sessionId: string | null) => void;
}

export function eventHub(database: Database, clock: Clock): EventHub {
  /** By what they are counted: the session, else the address. */
  const open = new Map<Response, string>();
  const send = (text: string) => {
    for (const response of open.keys()) response.write(text);
  };
  const time = async () => {
    const behind = await behindSince(database, clock).catch((error: unknown) => {
      complain('Whether the clock is right could not be looked up.', error);
      return null;
    });
    return `event: clock\ndata: ${JSON.stringify({ now: clock.now(), today: clock.today(), behind })}\n\n`;
  };
  const written = (by: string) => `event: written\ndata: ${JSON.stringify({ by })}\n\n`;
  const tellTime = () => {
    if (open.size > 0) void time().then(send);
  };
  setInterval(tellTime, HEARTBEAT_MS).unref();
  return {
    tellTime,
    tellWritten: () => send(written('')),
    shut: (sessionId) => {
      for (const [response, by] of open) if (sessionId === null || by === sessionId) response.end();
    },
    stream: (request, response) => {
      const by = countedBy(request);
      const mine = [...open.values()].filter((each) => each === by).length;
      if (mine >= MOST_STREAMS.ofOne || open.size >= MOST_STREAMS.inAll) {
        throw new Problem('too-many', `Too many pages are open at once: at most ${MOST_STREAMS.ofOne}.`);
      }
      response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' });
      response.flushHeaders();
      // A page that lost the server asks again after a second.
      response.write('retry: 1000\n\n');
      open.set(response, by);
      request.on('close', () => open.delete(response));
      void time().then((text) => open.has(response) && response.write(text));
    },
    watch: (request, response, next) => {
      const writes = request.method !== 'GET' && !SAYS_NOTHING.test(request.path);
      if (writes) {
        const by = /^[\w-]{1,60}$/.exec(request.get('X-Page') ?? '')?.[0] ?? '';
        response.on('finish', () => {
          if (response.statusCode < 300) send(written(by));
        });
      }
      next();
    },
  };
}

function countedBy(request: Request): string {
  const { session, address } = visitorOf(request);
  return session?.id ?? address;
}
