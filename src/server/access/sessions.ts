import { randomUUID } from 'node:crypto';
import type { Clock } from '../clock';
import { digestOf, newSecret } from '../secrets';
import {
  countWrongPin,
  deleteSession,
  deleteSessionsOf,
  insertSession,
  listPeople,
  lockSession,
  openSession,
  seeSession,
  sessionOfToken,
  setSessionLock,
  touchSession,
  type PersonRow,
  type SessionRow,
} from '../storage/access';
import type { Database } from '../storage/database';
import { SESSION_S } from './visitor';

const MINUTE_MS = 60_000;
/** That a session is in use is written down no oftener. ms */
const SEEN_EVERY_MS = 10 * MINUTE_MS;
/** A tablet that several share locks after so long. minutes, chosen here */
export const SHARED_LOCK_MIN = 5;
/** After so many wrong PINs a session ends: four digits are guessed in 10,000 tries. */
const MOST_WRONG_PINS = 5;
/** So many that were not there are remembered as such: whoever sends an old cookie asks the database once. */
const MOST_KEPT = 2000;

/** Who may come in and who is in: kept in memory where nobody else writes to the database, else read at each request. */
export interface Sessions {
  people: () => Promise<PersonRow[]>;
  /** Whether somebody can sign in as keeper: else the house is open on this machine, and to be set up from elsewhere. */
  hasKeeper: () => Promise<boolean>;
  of: (token: string) => Promise<{ session: SessionRow; person: PersonRow } | undefined>;
  begin: (personId: string, device: string, isShared: boolean) => Promise<string>;
  end: (id: string) => Promise<void>;
  endAllOf: (personId: string, but?: string) => Promise<void>;
  isLocked: (session: SessionRow) => boolean;
  lock: (id: string) => Promise<void>;
  /** Opens a locked one for somebody, whose session it is from then on. */
  open: (id: string, personId: string) => Promise<void>;
  /** A wrong PIN was given: after five the session ends. */
  wrongPin: (id: string) => Promise<void>;
  /** Somebody touched its page. */
  touch: (id: string) => Promise<void>;
  lockAfter: (id: string, minutes: number | null) => Promise<void>;
  /** Something was written about people: what is kept in memory is read anew. */
  forget: () => void;
  /** Tells of sessions that have ended or were locked; null: any may have. */
  onShut: (hear: (id: string | null) => void) => void;
}

export const canComeAsKeeper = ({ role, password, passkeys }: PersonRow): boolean =>
  role === 'keeper' && (password !== null || passkeys > 0);

export function sessionsOf({ database, clock }: { database: Database; clock: Clock }): Sessions {
  const isAlone = database.writes !== undefined;
  let people: Promise<PersonRow[]> | undefined;
  const byToken = new Map<string, Promise<SessionRow | undefined>>();
  const listeners: ((id: string | null) => void)[] = [];
  const tell = (id: string | null) => listeners.forEach((hear) => hear(id));
  const forget = () => {
    people = undefined;
    byToken.clear();
  };
  const now = () => Date.parse(clock.now());
  const readPeople = () => {
    if (!isAlone) return listPeople(database);
    return (people ??= listPeople(database).catch((error: unknown) => {
      people = undefined;
      throw error;
    }));
  };
  const readSession = (token: string) => {
    const read = () => sessionOfToken(database, digestOf(token), clock.now());
    if (!isAlone) return read();
    const known = byToken.get(token);
    if (known) return known;
    if (byToken.size >= MOST_KEPT) byToken.clear();
    const found = read().catch((error: unknown) => {
      byToken.delete(token);
      throw error;
    });
    byToken.set(token, found);
    return found;
  };
  /** Does something to a session, which is read anew then. */
  const changing = async (work: Promise<unknown>) => {
    await work;
    byToken.clear();
  };
  const endOfNow = () => new Date(now() + SESSION_S * 1000).toISOString();
  const end = async (id: string) => {
    await changing(deleteSession(database, id));
    tell(id);
  };
  const isLocked = ({ lockedAt, lockAfterMin, touchedAt }: SessionRow) =>
    lockedAt !== null || (lockAfterMin !== null && now() - Date.parse(touchedAt) > lockAfterMin * MINUTE_MS);

  return {
    people: readPeople,
    hasKeeper: async () => (await readPeople()).some(canComeAsKeeper),
    of: async (token) => {
      const session = await readSession(token);
      if (!session || Date.parse(session.endsAt) <= now()) return undefined;
      const person = (await readPeople()).find(({ id }) => id === session.personId);
      if (!person) return undefined;
      if (now() - Date.parse(session.seenAt) > SEEN_EVERY_MS) {
        await changing(seeSession(database, session.id, clock.now(), endOfNow()));
      }
      return { session, person };
    },
    begin: async (personId, device, isShared) => {
      const token = newSecret();
      const at = clock.now();
      const session: SessionRow = {
        ...{ id: randomUUID(), personId, device, isShared, lockAfterMin: isShared ? SHARED_LOCK_MIN : null },
        ...{ madeAt: at, seenAt: at, touchedAt: at, lockedAt: null, endsAt: endOfNow() },
      };
      await insertSession(database, session, digestOf(token));
      byToken.delete(token);
      return token;
    },
    end,
    endAllOf: async (personId, but) => {
      await changing(deleteSessionsOf(database, personId, but ?? null));
      tell(null);
    },
    isLocked,
    lock: async (id) => {
      await changing(lockSession(database, id, clock.now()));
      tell(id);
    },
    open: (id, personId) => changing(openSession(database, id, personId, clock.now())),
    wrongPin: async (id) => {
      if ((await countWrongPin(database, id)) >= MOST_WRONG_PINS) await end(id);
    },
    touch: (id) => changing(touchSession(database, id, clock.now())),
    lockAfter: (id, minutes) => changing(setSessionLock(database, id, minutes, clock.now())),
    forget,
    onShut: (hear) => void listeners.push(hear),
  };
}
