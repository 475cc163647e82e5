import type { Request, Response } from 'express';
import type { Access } from '@/contract/access';
import type { Role } from '@/contract/roles';
import type { PersonRow, SessionRow } from '../storage/access';

/** Who asks, as far as the door can tell. */
export interface Visitor {
  state: Access['state'];
  person: PersonRow | null;
  session: SessionRow | null;
  /** Came straight from a program on this computer, through no proxy. */
  isThisMachine: boolean;
  /** Over TLS, here or as far as the proxy. */
  isSecure: boolean;
  address: string;
  /** The name of the house under which the page was opened, and its whole origin. */
  site: string;
  origin: string;
  /** The browser and its system, as it names itself. */
  device: string;
}

/** As what somebody is let in: in an open house whoever sits at this machine is its keeper. */
export const roleOf = ({ state, person }: Visitor): Role | null =>
  state === 'open' ? 'keeper' : state === 'signed-in' ? (person?.role ?? null) : null;

/** Whose name stands under what is written: nobody's in an open house, where it is as the page says. */
export const signatureOf = ({ state, person }: Visitor): string | undefined =>
  state === 'signed-in' ? person?.name : undefined;

const visitors = new WeakMap<Request, Visitor>();
export const setVisitor = (request: Request, visitor: Visitor): void => void visitors.set(request, visitor);
/** @throws for a request that did not come by the door: a route that forgot it is refused, not open */
export function visitorOf(request: Request): Visitor {
  const visitor = visitors.get(request);
  if (!visitor) throw new Error(`${request.method} ${request.path} is answered without having passed the door.`);
  return visitor;
}

const COOKIE = 'burrow';
/** Browsers take a name that begins so only over TLS, for the whole house and no other. */
const SECURE_COOKIE = '__Host-burrow';
/** A phone in use stays signed in for half a year. s */
export const SESSION_S = 180 * 24 * 3600;

export const tokenIn = (request: Request): string | undefined => {
  const found = /(?:^|;\s*)(?:__Host-)?burrow=([\w-]{32})(?:;|$)/.exec(request.headers.cookie ?? '');
  return found?.[1];
};

/** Puts the token of a session into the browser, or takes it away. */
export function setToken(response: Response, { isSecure }: Visitor, token: string | null): void {
  const name = isSecure ? SECURE_COOKIE : COOKIE;
  const options = { httpOnly: true, secure: isSecure, sameSite: 'strict', path: '/' } as const;
  if (token === null) response.clearCookie(name, options);
  else response.cookie(name, token, { ...options, maxAge: SESSION_S * 1000 });
}

/** "Firefox on Android": what a browser says of itself, in short. */
export function deviceWords(agent: string | undefined): string {
  const text = agent ?? '';
  const browser = (
    [
      [/Edg\//, 'Edge'],
      [/OPR\//, 'Opera'],
      [/Firefox\/|FxiOS/, 'Firefox'],
      [/Chrome\/|CriOS/, 'Chrome'],
      [/Safari\//, 'Safari'],
    ] as const
  ).find(([pattern]) => pattern.test(text))?.[1];
  const system = (
    [
      [/iPhone|iPad/, 'iOS'],
      [/Android/, 'Android'],
      [/Windows/, 'Windows'],
      [/Mac OS X/, 'macOS'],
      [/Linux|X11/, 'Linux'],
    ] as const
  ).find(([pattern]) => pattern.test(text))?.[1];
  if (browser === undefined) return 'a program';
  return system === undefined ? browser : `${browser} on ${system}`;
}
