import type { Request, RequestHandler } from 'express';
import { isAllowed, type Needed, type Role } from '@/contract/roles';
import type { AccessEvent } from '@/contract/access';
import type { Clock } from '../clock';
import { unknownAddress } from '../http/failures';
import { Problem } from '../http/problem';
import { insertAccessEvent } from '../storage/access';
import { ROLE_WORDS } from '@/words/access';
import { LOOPBACK } from '../lan/speakingTls';
import type { Database } from '../storage/database';
import { routeAt, type KnownRoute } from './routeTable';
import { sessionsOf, type Sessions } from './sessions';
import { deviceWords, roleOf, setVisitor, tokenIn, type Visitor } from './visitor';
import { complain } from '../log';

export interface DoorOptions {
  database: Database;
  clock: Clock;
  /** A proxy, or a network, brings others here: being on this machine lets nobody in. */
  isShared?: boolean | undefined;
  /** A server for tests knows addresses beside those of the contract. */
  isForTests?: boolean | undefined;
}

export interface Door {
  sessions: Sessions;
  /** Finds out who asks, and refuses whom the address is not for. Everything under /api passes here. */
  gate: RequestHandler;
  /** Who asks, looked at anew: after somebody has signed in. */
  look: (request: Request, token?: string | null) => Promise<Visitor>;
  tell: (visitor: Visitor, what: AccessEvent['what'], detail: string, who?: string) => Promise<void>;
}

/** Headers of those who bring somebody else's request: it did not come from this machine. */
const BROUGHT = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-real-ip', 'via', 'cf-connecting-ip'];

/** Who comes in, and as what: the one place that decides it. */
export function doorOf({ database, clock, isShared = false, isForTests = false }: DoorOptions): Door {
  const sessions = sessionsOf({ database, clock });

  const look: Door['look'] = async (request, token = tokenIn(request) ?? null) => {
    const { socket, headers } = request;
    const isThisMachine =
      LOOPBACK.test(socket.remoteAddress ?? '') && !BROUGHT.some((name) => headers[name] !== undefined);
    const host = request.get('host') ?? '';
    const about = {
      ...{ isThisMachine, isSecure: request.secure, address: request.ip ?? '' },
      ...{ site: host.replace(/:\d+$/, '').toLowerCase(), origin: `${request.protocol}://${host.toLowerCase()}` },
      device: deviceWords(headers['user-agent']),
    };
    const found = token === null ? undefined : await sessions.of(token);
    if (found) {
      const state = sessions.isLocked(found.session) ? 'locked' : 'signed-in';
      return { ...about, ...found, state };
    }
    const nobody = { ...about, person: null, session: null };
    if (await sessions.hasKeeper()) return { ...nobody, state: 'signed-out' };
    return { ...nobody, state: isThisMachine && !isShared ? 'open' : 'setup' };
  };

  const tell: Door['tell'] = (visitor, what, detail, who) =>
    insertAccessEvent(database, {
      ...{ at: clock.now(), what, detail, address: visitor.address },
      who: who ?? visitor.person?.name ?? null,
    });

  /** What only keepers may change, and what leaves the house, is told. */
  const noted = ({ method, role, isExport, summary, path, name }: KnownRoute, status: number) => {
    if (status >= 400 || path.startsWith('/api/access')) return undefined;
    if (isExport) return ['exported', name] as const;
    return method !== 'get' && role === 'keeper' ? (['changed', inShort(summary ?? name)] as const) : undefined;
  };

  return {
    sessions,
    look,
    tell,
    gate: async (request, response, next) => {
      if (!/^\/api(\/|$)/i.test(request.path)) return next();
      const visitor = await look(request);
      setVisitor(request, visitor);
      const route = routeAt(request.method, request.path);
      if (!route) {
        if (isForTests && request.path.startsWith('/api/test/')) return next();
        return unknownAddress(request, response, next);
      }
      if (!isAllowed(roleOf(visitor), route.role)) throw refusal(visitor, route.role);
      response.on('finish', () => {
        const note = noted(route, response.statusCode);
        if (note)
          tell(visitor, note[0], note[1]).catch((error: unknown) =>
            complain('The log of access could not be written.', error),
          );
      });
      next();
    },
  };
}

/** What an address does, as far as it fits on a line: up to the first stop of its sentence. */
const inShort = (summary: string): string => summary.split(/[.:;]/)[0] ?? summary;

function refusal({ state, person }: Visitor, needed: Needed): Problem {
  if (state === 'locked') return new Problem('unauthorized', 'Locked: unlock it first. Nothing was saved.');
  if (state === 'setup') {
    return new Problem(
      'unauthorized',
      'Nobody can sign in yet. Set the house up with the code in the terminal of the server.',
    );
  }
  if (state === 'signed-out') return new Problem('unauthorized', 'Sign in first. Nothing was saved.');
  const a = (role: Role) => `a ${ROLE_WORDS[role].title}`;
  return new Problem(
    'forbidden',
    `That is for ${a(needed as Role)}; ${person?.name} is ${a(person?.role ?? 'reader')} here.`,
  );
}
