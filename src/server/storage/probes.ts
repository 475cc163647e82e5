import type { Probe } from '@/contract/readings';
import type { Queries } from './database';

interface ProbeRow {
  id: string;
  name: string;
  kind: Probe['kind'];
  place: Probe['place'];
  home_id: string | null;
  room_id: string | null;
  fault: Probe['fault'];
  added_at: string;
  at: string | null;
  temperature_c: number | null;
  relative_humidity_pct: number | null;
  mass_g: number | null;
}

const SELECT = `
  SELECT p.id, p.name, p.kind, p.place, p.home_id, p.room_id, p.fault, p.added_at, l.at, l.temperature_c,
    l.relative_humidity_pct, l.mass_g
  FROM probe p
  LEFT JOIN LATERAL (
    SELECT * FROM reading r WHERE r.probe_id = p.id AND r.mark IS NULL ORDER BY r.at DESC LIMIT 1
  ) l ON true`;

const fromRow = (row: ProbeRow): Probe => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  place: row.place,
  homeId: row.home_id,
  roomId: row.room_id,
  fault: row.fault,
  addedAt: row.added_at,
  latest:
    row.at === null
      ? null
      : {
          at: row.at,
          temperatureC: row.temperature_c,
          relativeHumidityPct: row.relative_humidity_pct,
          massG: row.mass_g,
        },
});

/** All probes with what each said last, or those of one home. */
export async function listProbes(queries: Queries, homeId?: string): Promise<Probe[]> {
  const rows = await queries.query<ProbeRow>(
    `${SELECT} WHERE $1::uuid IS NULL OR p.home_id = $1 ORDER BY p.kind, p.name, p.id`,
    [homeId ?? null],
  );
  return rows.map(fromRow);
}

export async function findProbe(queries: Queries, id: string): Promise<Probe | undefined> {
  const [row] = await queries.query<ProbeRow>(`${SELECT} WHERE p.id = $1`, [id]);
  return row && fromRow(row);
}

export interface ProbeFacts {
  id: string;
  name: string;
  kind: Probe['kind'];
  place: Probe['place'];
  homeId: string | null;
  roomId: string | null;
  tokenSha256: string | null;
  addedAt: string;
}

export async function insertProbe(queries: Queries, probe: ProbeFacts): Promise<void> {
  await queries.query(
    `INSERT INTO probe (id, name, kind, place, home_id, room_id, token_sha256, added_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [probe.id, probe.name, probe.kind, probe.place, probe.homeId, probe.roomId, probe.tokenSha256, probe.addedAt],
  );
}

/** The probe of a kind, place and name in a home or room, if there is one. */
export async function findProbeLike(
  queries: Queries,
  like: Pick<ProbeFacts, 'kind' | 'place' | 'homeId' | 'roomId' | 'name'>,
): Promise<string | undefined> {
  const [row] = await queries.query<{ id: string }>(
    `SELECT id FROM probe WHERE kind = $1 AND place = $2 AND home_id IS NOT DISTINCT FROM $3
       AND room_id IS NOT DISTINCT FROM $4 AND name = $5`,
    [like.kind, like.place, like.homeId, like.roomId, like.name],
  );
  return row?.id;
}

export async function updateProbe(
  queries: Queries,
  id: string,
  change: { name?: string | undefined; fault?: Probe['fault'] | undefined },
  now: string,
): Promise<void> {
  await queries.query(
    `UPDATE probe SET name = coalesce($2, name), fault = coalesce($3, fault),
       fault_from = CASE WHEN $3::text IS NULL OR $3 = fault THEN fault_from ELSE $4 END
     WHERE id = $1`,
    [id, change.name ?? null, change.fault ?? null, now],
  );
}

/** True when there was such a probe; its readings go with it. */
export async function deleteProbe(queries: Queries, id: string): Promise<boolean> {
  return (await queries.query('DELETE FROM probe WHERE id = $1 RETURNING id', [id])).length > 0;
}

/** Another token: the one before is refused from now on, and another device may use this one. */
export async function setToken(queries: Queries, id: string, tokenSha256: string): Promise<void> {
  await queries.query('UPDATE probe SET token_sha256 = $2, device = NULL WHERE id = $1', [id, tokenSha256]);
}

/** Whose token it is, and the device that uses it, held for this transaction. */
export async function probeOfToken(
  queries: Queries,
  tokenSha256: string,
): Promise<{ id: string; device: string | null } | undefined> {
  const [row] = await queries.query<{ id: string; device: string | null }>(
    'SELECT id, device FROM probe WHERE token_sha256 = $1 FOR UPDATE',
    [tokenSha256],
  );
  return row;
}

export async function setDevice(queries: Queries, id: string, device: string): Promise<void> {
  await queries.query('UPDATE probe SET device = $2 WHERE id = $1', [id, device]);
}

/** The simulated probes, with since when their fault shows and what they last said. */
export async function listSimulated(queries: Queries): Promise<
  {
    id: string;
    homeId: string | null;
    roomId: string | null;
    fault: Probe['fault'];
    faultFrom: string | null;
    lastAt: string | null;
    addedAt: string;
    place: Probe['place'];
  }[]
> {
  return queries.query(
    `SELECT p.id, p.home_id AS "homeId", p.room_id AS "roomId", p.fault, p.fault_from AS "faultFrom", p.place,
       p.added_at AS "addedAt", (SELECT max(r.at) FROM reading r WHERE r.probe_id = p.id) AS "lastAt"
     FROM probe p WHERE p.kind = 'simulated'`,
  );
}

/** The probe with this token's digest. */
export async function findProbeOfDigest(queries: Queries, tokenSha256: string): Promise<string | undefined> {
  const [row] = await queries.query<{ id: string }>('SELECT id FROM probe WHERE token_sha256 = $1', [tokenSha256]);
  return row?.id;
}
