import type { AccessEvent } from '@/contract/access';
import type { Role } from '@/contract/roles';
import type { Queries } from './database';

/** Somebody who may come in, with what only the server knows. */
export interface PersonRow {
  id: string;
  name: string;
  role: Role;
  password: string | null;
  pin: string | null;
  passkeys: number;
}

export interface SessionRow {
  id: string;
  personId: string;
  device: string;
  isShared: boolean;
  lockAfterMin: number | null;
  madeAt: string;
  seenAt: string;
  touchedAt: string;
  endsAt: string;
  lockedAt: string | null;
}

export interface PasskeyRow {
  id: string;
  personId: string;
  site: string;
  name: string;
  publicKey: string;
  counter: number;
  transports: string[];
  madeAt: string;
  usedAt: string | null;
}

const PERSON = `p.id, p.name, p.role, p.password, p.pin,
  (SELECT count(*) FROM access.passkey k WHERE k.person_id = p.id) AS passkeys`;
const SESSION = `s.id, s.person_id AS "personId", s.device, s.is_shared AS "isShared", s.lock_after_min AS "lockAfterMin",
  s.made_at AS "madeAt", s.seen_at AS "seenAt", s.touched_at AS "touchedAt", s.ends_at AS "endsAt", s.locked_at AS "lockedAt"`;
const PASSKEY = `k.id, k.person_id AS "personId", k.site, k.name, k.public_key AS "publicKey", k.counter, k.transports,
  k.made_at AS "madeAt", k.used_at AS "usedAt"`;

export const listPeople = (queries: Queries): Promise<PersonRow[]> =>
  queries.query<PersonRow>(`SELECT ${PERSON} FROM access.person p ORDER BY lower(p.name)`);

export async function insertPerson(
  queries: Queries,
  { id, name, role, password }: Pick<PersonRow, 'id' | 'name' | 'role' | 'password'>,
): Promise<void> {
  await queries.query('INSERT INTO access.person (id, name, role, password) VALUES ($1, $2, $3, $4)', [
    ...[id, name, role, password],
  ]);
}

/** What is to be otherwise; what is left out stays, whoever changes it at the same moment. */
export interface PersonChange {
  name?: string | undefined;
  role?: Role | undefined;
  password?: string | null | undefined;
  pin?: string | null | undefined;
}

export async function updatePerson(
  queries: Queries,
  id: string,
  { name, role, password, pin }: PersonChange,
): Promise<void> {
  await queries.query(
    `UPDATE access.person SET name = coalesce($2, name), role = coalesce($3, role),
       password = CASE WHEN $4 THEN $5 ELSE password END, pin = CASE WHEN $6 THEN $7 ELSE pin END WHERE id = $1`,
    [id, name ?? null, role ?? null, password !== undefined, password ?? null, pin !== undefined, pin ?? null],
  );
}

export async function deletePerson(queries: Queries, id: string): Promise<void> {
  await queries.query('DELETE FROM access.person WHERE id = $1', [id]);
}

export async function listSessions(queries: Queries, now: string): Promise<SessionRow[]> {
  return queries.query<SessionRow>(
    `SELECT ${SESSION} FROM access.session s WHERE s.ends_at > $1 ORDER BY s.seen_at DESC, s.id`,
    [now],
  );
}

export async function sessionOfToken(queries: Queries, sha256: string, now: string): Promise<SessionRow | undefined> {
  const [row] = await queries.query<SessionRow>(
    `SELECT ${SESSION} FROM access.session s WHERE s.token_sha256 = $1 AND s.ends_at > $2`,
    [sha256, now],
  );
  return row;
}

export async function insertSession(queries: Queries, session: SessionRow, sha256: string): Promise<void> {
  await queries.query(
    `INSERT INTO access.session (id, token_sha256, person_id, device, is_shared, lock_after_min, made_at, seen_at, touched_at,
       ends_at) VALUES ($1, $2, $3, $4, $5, $6, $7, $7, $7, $8)`,
    [
      ...[session.id, sha256, session.personId, session.device, session.isShared, session.lockAfterMin],
      ...[session.madeAt, session.endsAt],
    ],
  );
}

/** A session was used: it goes on for as long as one that begins now. */
export async function seeSession(queries: Queries, id: string, at: string, endsAt: string): Promise<void> {
  await queries.query('UPDATE access.session SET seen_at = $2, ends_at = $3 WHERE id = $1', [id, at, endsAt]);
}

/** Somebody touched its page. */
export async function touchSession(queries: Queries, id: string, at: string): Promise<void> {
  await queries.query('UPDATE access.session SET seen_at = $2, touched_at = $2 WHERE id = $1', [id, at]);
}

export async function lockSession(queries: Queries, id: string, at: string): Promise<void> {
  await queries.query('UPDATE access.session SET locked_at = $2 WHERE id = $1', [id, at]);
}

/** Opens it for somebody, whose session it is from then on. */
export async function openSession(queries: Queries, id: string, personId: string, at: string): Promise<void> {
  await queries.query(
    `UPDATE access.session SET person_id = $2, locked_at = NULL, wrong_pins = 0, seen_at = $3, touched_at = $3 WHERE id = $1`,
    [id, personId, at],
  );
}

/** After how many minutes it locks itself; null for never. */
export async function setSessionLock(queries: Queries, id: string, minutes: number | null, at: string): Promise<void> {
  await queries.query('UPDATE access.session SET lock_after_min = $2, touched_at = $3 WHERE id = $1', [
    id,
    minutes,
    at,
  ]);
}

/** One wrong PIN more. Answers how many there were: each of many at once is counted. */
export async function countWrongPin(queries: Queries, id: string): Promise<number> {
  const [row] = await queries.query<{ count: number }>(
    'UPDATE access.session SET wrong_pins = wrong_pins + 1 WHERE id = $1 RETURNING wrong_pins AS count',
    [id],
  );
  return row?.count ?? 0;
}

export async function deleteSession(queries: Queries, id: string): Promise<void> {
  await queries.query('DELETE FROM access.session WHERE id = $1', [id]);
}

/** All sessions of somebody but one. */
export async function deleteSessionsOf(queries: Queries, personId: string, but: string | null): Promise<void> {
  await queries.query('DELETE FROM access.session WHERE person_id = $1 AND ($2::uuid IS NULL OR id <> $2)', [
    ...[personId, but],
  ]);
}

export async function insertPairing(queries: Queries, sha256: string, personId: string, endsAt: string): Promise<void> {
  await queries.query('INSERT INTO access.pairing (sha256, person_id, ends_at) VALUES ($1, $2, $3)', [
    ...[sha256, personId, endsAt],
  ]);
}

/** Takes a pairing code out: it works once. Undefined for one that is over or was never made. */
export async function takePairing(queries: Queries, sha256: string, now: string): Promise<string | undefined> {
  const rows = await queries.query<{ personId: string; isOver: boolean }>(
    `DELETE FROM access.pairing WHERE sha256 = $1 OR ends_at <= $2
     RETURNING CASE WHEN sha256 = $1 THEN person_id END AS "personId", ends_at <= $2 AS "isOver"`,
    [sha256, now],
  );
  return rows.find(({ personId, isOver }) => personId !== null && !isOver)?.personId;
}

export const listPasskeys = (queries: Queries): Promise<PasskeyRow[]> =>
  queries.query<PasskeyRow>(`SELECT ${PASSKEY} FROM access.passkey k ORDER BY k.made_at, k.id`);

export async function insertPasskey(queries: Queries, key: PasskeyRow): Promise<void> {
  await queries.query(
    `INSERT INTO access.passkey (id, person_id, site, name, public_key, counter, transports, made_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7::jsonb, $8)`,
    [
      ...[key.id, key.personId, key.site, key.name, key.publicKey, key.counter],
      ...[JSON.stringify(key.transports), key.madeAt],
    ],
  );
}

/** A key that was used counts on: one that does not has been copied. */
export async function usePasskey(queries: Queries, id: string, counter: number, at: string): Promise<void> {
  await queries.query('UPDATE access.passkey SET counter = $2, used_at = $3 WHERE id = $1', [id, counter, at]);
}

export async function deletePasskey(queries: Queries, id: string, personId: string): Promise<void> {
  await queries.query('DELETE FROM access.passkey WHERE id = $1 AND person_id = $2', [id, personId]);
}

/** So much of the log is kept. events */
const KEPT_EVENTS = 5000;

export async function insertAccessEvent(queries: Queries, event: AccessEvent): Promise<void> {
  const { at, who, what, detail, address } = event;
  await queries.query('INSERT INTO access.log (at, who, what, detail, address) VALUES ($1, $2, $3, $4, $5)', [
    ...[at, who, what, detail, address],
  ]);
  await queries.query(`DELETE FROM access.log WHERE seq <= (SELECT max(seq) FROM access.log) - ${KEPT_EVENTS}`);
}

export const listAccessEvents = (queries: Queries, limit: number): Promise<AccessEvent[]> =>
  queries.query<AccessEvent>('SELECT at, who, what, detail, address FROM access.log ORDER BY seq DESC LIMIT $1', [
    limit,
  ]);

/** Nobody may come in any more: for tests, which begin anew. */
export async function eraseAccess(queries: Queries): Promise<void> {
  await queries.query('TRUNCATE access.person, access.session, access.pairing, access.passkey, access.log');
}
