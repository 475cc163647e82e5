import type { Entry, EntryKind, EntryOf, EntryToKeep } from '@/contract/storedEntries';
import { HEAD_KINDS } from '@/core/growth/census';
import type { BodyMeasure, Stage } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';
import type { Queries } from './database';
import { EVER_IN_HOME } from './residents';

export interface EntryRow {
  id: string;
  kind: EntryKind;
  resident_id: string | null;
  home_id: string | null;
  on_day: string;
  at: string;
  keeper: string | null;
  note: string | null;
  data: unknown;
  undone_at: string | null;
}

/** What is read of an entry `e`. */
export const COLUMNS = 'e.id, e.kind, e.resident_id, e.home_id, e.on_day, e.at, e.keeper, e.note, e.data, e.undone_at';

/** What is kept of a kind was checked by the form of that kind when it was written. */
export const fromRow = <Kind extends EntryKind = EntryKind>(row: EntryRow) =>
  ({
    id: row.id,
    kind: row.kind,
    residentId: row.resident_id,
    homeId: row.home_id,
    on: row.on_day,
    at: row.at,
    keeper: row.keeper,
    note: row.note,
    data: row.data,
    undoneAt: row.undone_at,
  }) as EntryOf<Kind>;

export async function findEntry(queries: Queries, id: string): Promise<Entry | undefined> {
  const [row] = await queries.query<EntryRow>(`SELECT ${COLUMNS} FROM entry e WHERE e.id = $1`, [id]);
  return row && fromRow(row);
}

/** Which of some ids entries have already. */
export async function knownIds(queries: Queries, ids: readonly string[]): Promise<Set<string>> {
  const rows = await queries.query<{ id: string }>('SELECT id FROM entry WHERE id = ANY ($1::uuid[])', [ids]);
  return new Set(rows.map(({ id }) => id));
}

/**
 * Writes an entry, and answers it as it stands; undefined when one with this id is there already.
 * @param pair the same for two entries that are one act and are undone together
 */
export async function insertEntry(
  queries: Queries,
  entry: EntryToKeep,
  pair: string | null = null,
): Promise<Entry | undefined> {
  const [row] = await queries.query<EntryRow>(
    `INSERT INTO entry AS e (id, kind, resident_id, home_id, on_day, at, keeper, note, data, pair)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9::jsonb, $10) ON CONFLICT (id) DO NOTHING RETURNING ${COLUMNS}`,
    [
      entry.id,
      entry.kind,
      entry.residentId,
      entry.homeId,
      entry.on,
      entry.at,
      entry.keeper,
      entry.note,
      JSON.stringify(entry.data),
      pair,
    ],
  );
  return row && fromRow(row);
}

/** Writes many entries at once, in the order given; their ids must be new. */
export async function insertEntries(
  queries: Queries,
  entries: readonly EntryToKeep[],
  pair: string | null = null,
): Promise<void> {
  await queries.query(
    `INSERT INTO entry (id, kind, resident_id, home_id, on_day, at, keeper, note, data, pair)
     SELECT r.id, r.kind, r."residentId", r."homeId", r."on", r.at, r.keeper, r.note, r.data, $2::uuid
     FROM ROWS FROM (jsonb_to_recordset($1::jsonb) AS (id uuid, kind text, "residentId" uuid, "homeId" uuid, "on" date,
       at timestamptz, keeper text, note text, data jsonb)) WITH ORDINALITY AS r (id, kind, "residentId", "homeId", "on",
       at, keeper, note, data, place)
     ORDER BY r.place`,
    [JSON.stringify(entries), pair],
  );
}

/** How many entries of a kind about a home have not been undone. */
export async function countStanding(queries: Queries, homeId: string, kind: EntryKind): Promise<number> {
  const [row] = await queries.query<{ standing: number }>(
    'SELECT count(*) AS standing FROM entry WHERE home_id = $1 AND kind = $2 AND undone_at IS NULL',
    [homeId, kind],
  );
  return row?.standing ?? 0;
}

/**
 * What goes with an entry that is taken back, itself among it: the rest of the same act, and what came of it (of a meal, that it was
 * eaten, of a rest its steps).
 */
export async function standingWith(queries: Queries, id: string): Promise<string[]> {
  const rows = await queries.query<{ id: string }>(
    `SELECT e.id FROM entry e
     WHERE e.undone_at IS NULL AND (e.id = $1 OR e.pair = (SELECT p.pair FROM entry p WHERE p.id = $1)
       OR (e.resident_id = (SELECT p.resident_id FROM entry p WHERE p.id = $1)
         AND (e.data ->> 'answers' IN ('meal ' || $1::text, 'search ' || $1::text)
           OR e.data ->> 'restId' = $1::text OR e.data ->> 'troubleId' = $1::text)))`,
    [id],
  );
  return rows.map((row) => row.id);
}

/** Marks entries as undone. Answers those that were marked. */
export async function markUndone(queries: Queries, ids: readonly string[], at: string): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `UPDATE entry e SET undone_at = $2 WHERE e.undone_at IS NULL AND e.id = ANY ($1::uuid[]) RETURNING ${COLUMNS}`,
    [ids, at],
  );
  return rows.map((row) => fromRow(row));
}

/**
 * The standing entries about a resident and about the soil of its home of the day, newest first.
 * @param before id of the last entry of the page before
 */
export async function historyOf(
  queries: Queries,
  residentId: string,
  limit: number,
  kinds: string[] | null = null,
  before: string | null = null,
): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT * FROM (
       (SELECT ${COLUMNS}, e.seq FROM entry e
        WHERE e.resident_id = $1 AND e.undone_at IS NULL AND ($3::text[] IS NULL OR e.kind = ANY ($3))
          AND ($4::uuid IS NULL OR (e.on_day, e.at, e.seq) < (SELECT b.on_day, b.at, b.seq FROM entry b WHERE b.id = $4))
        ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT $2)
       UNION ALL
       (SELECT ${COLUMNS}, e.seq FROM entry e
        WHERE e.kind = 'soil-set' AND e.undone_at IS NULL AND ($3::text[] IS NULL OR e.kind = ANY ($3))
          AND e.home_id IN (SELECT l.home_id FROM entry l WHERE l.resident_id = $1 AND l.kind IN ('taken-in', 'moved') AND l.undone_at IS NULL)
          AND e.home_id = (
            SELECT l.home_id FROM entry l
            WHERE l.resident_id = $1 AND l.kind IN ('taken-in', 'moved') AND l.undone_at IS NULL AND l.on_day <= e.on_day
            ORDER BY l.on_day DESC, l.at DESC, l.seq DESC LIMIT 1)
          AND ($4::uuid IS NULL OR (e.on_day, e.at, e.seq) < (SELECT b.on_day, b.at, b.seq FROM entry b WHERE b.id = $4))
        ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT $2)) both_kinds
     ORDER BY on_day DESC, at DESC, seq DESC LIMIT $2`,
    [residentId, limit, kinds, before],
  );
  return rows.map((row) => fromRow(row));
}

/** Everything about the heads of groups, oldest first. */
export const headEntriesOf = (queries: Queries, residentIds: readonly string[]) =>
  entriesOfKinds(queries, residentIds, HEAD_KINDS);

/** The standing entries of some kinds about some residents, oldest first. */
export async function entriesOfKinds<Kind extends EntryKind>(
  queries: Queries,
  residentIds: readonly string[],
  kinds: readonly Kind[],
): Promise<EntryOf<Kind>[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT ${COLUMNS} FROM entry e
     WHERE e.resident_id = ANY ($1::uuid[]) AND e.undone_at IS NULL
       AND e.kind = ANY ($2)
     ORDER BY e.on_day, e.at, e.seq`,
    [residentIds, kinds],
  );
  return rows.map((row) => fromRow<Kind>(row));
}

/** Of one kind, these are asked for apart: each sign, each job put off, each of its papers, weights, counts and lengths. */
const APART = `e.data ->> 'sign', e.data ->> 'job', e.data ->> 'paper', e.data ? 'massG', e.data ?| ARRAY['headCount', 'instars', 'stages'],
  e.data ?| ARRAY['legSpanMm', 'bodyLengthMm', 'carapaceWidthMm']`;

/**
 * What the round of `day` needs of the log: of every resident the latest entry of each kind (of signs: each kind of
 * sign, of jobs put off: each job) before that day, every sign and refusal since it last ate or moulted, and all of that day.
 */
export async function entriesForRound(queries: Queries, day: string, residentIds: readonly string[]): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT * FROM (
       SELECT DISTINCT ON (e.resident_id, e.kind, ${APART}) ${COLUMNS} FROM entry e
       WHERE e.undone_at IS NULL AND e.on_day < $1
         AND e.resident_id = ANY ($2::uuid[])
       ORDER BY e.resident_id, e.kind, ${APART}, e.on_day DESC, e.at DESC, e.seq DESC) past
     UNION
     SELECT ${COLUMNS} FROM entry e
     WHERE e.undone_at IS NULL AND e.on_day < $1 AND e.kind IN ('sign', 'refused')
       AND e.resident_id = ANY ($2::uuid[])
       AND NOT EXISTS (
         SELECT 1 FROM entry s WHERE s.resident_id = e.resident_id AND s.kind IN ('eaten', 'moulted')
           AND s.undone_at IS NULL AND s.on_day <= $1 AND (s.on_day, s.at, s.seq) > (e.on_day, e.at, e.seq))
     UNION ALL
     SELECT ${COLUMNS} FROM entry e WHERE e.undone_at IS NULL AND e.on_day = $1
       AND e.resident_id = ANY ($2::uuid[])
     ORDER BY on_day, at, id`,
    [day, residentIds],
  );
  return rows.map((row) => fromRow(row));
}

/** What is offered, and what becomes of it. */
export type MealKind = 'offered' | 'eaten' | 'refused';

/**
 * Meals of residents and what became of them, before a day, oldest first.
 * @param most so many entries of each resident, the latest
 */
export async function mealEntriesOf(
  queries: Queries,
  residentIds: readonly string[],
  before: string,
  most: number,
): Promise<EntryOf<MealKind>[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT m.* FROM unnest($1::uuid[]) AS r (id) CROSS JOIN LATERAL (
       SELECT ${COLUMNS}, e.seq FROM entry e
       WHERE e.resident_id = r.id AND e.kind IN ('offered', 'eaten', 'refused') AND e.undone_at IS NULL AND e.on_day < $2
       ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT $3) m
     ORDER BY m.on_day, m.at, m.seq`,
    [residentIds, before, most],
  );
  return rows.map((row) => fromRow<MealKind>(row));
}

/** Every weighing of a resident, oldest first, with the lengths as they had last been taken then. */
export async function weighingsOfResident(
  queries: Queries,
  residentId: string,
): Promise<({ on: string; massG: number } & Partial<Record<BodyMeasure, number>>)[]> {
  const rows = await queries.query<{ on_day: string; data: Partial<Record<BodyMeasure | 'massG', number>> }>(
    `SELECT e.on_day, e.data FROM entry e
     WHERE e.resident_id = $1 AND e.undone_at IS NULL AND e.kind IN ('taken-in', 'moulted', 'measured')
     ORDER BY e.on_day, e.at, e.seq`,
    [residentId],
  );
  let lengths: Partial<Record<BodyMeasure, number>> = {};
  return rows.flatMap(({ on_day, data }) => {
    const { legSpanMm, bodyLengthMm, carapaceWidthMm, massG } = data;
    lengths = { ...lengths, ...withoutUndefined({ legSpanMm, bodyLengthMm, carapaceWidthMm }) };
    return massG === undefined ? [] : [{ on: on_day, massG, ...lengths }];
  });
}

/** The moment of the newest entry of the house; null where nothing stands. */
export async function newestMoment(queries: Queries): Promise<string | null> {
  const [row] = await queries.query<{ at: string | null }>('SELECT max(at) AS at FROM entry WHERE undone_at IS NULL');
  return row?.at ?? null;
}

/** The standing entry that answers a job of a resident. */
export async function findAnswer(queries: Queries, residentId: string, answers: string): Promise<Entry | undefined> {
  const [row] = await queries.query<EntryRow>(
    `SELECT ${COLUMNS} FROM entry e
     WHERE e.resident_id = $1 AND e.data ->> 'answers' = $2 AND e.data ? 'answers' AND e.undone_at IS NULL`,
    [residentId, answers],
  );
  return row && fromRow(row);
}

/** Holds a resident until the transaction ends: two who log the same wait for each other. */
export async function holdResident(queries: Queries, id: string): Promise<void> {
  await queries.query('SELECT id FROM resident WHERE id = $1 FOR UPDATE', [id]);
}

/** Notes on an entry who else logged the same: all of them, each once, with commas between. */
export async function noteAlso(queries: Queries, id: string, keeper: string): Promise<void> {
  await queries.query(
    `UPDATE entry SET data = jsonb_set(data, '{alsoBy}', to_jsonb(concat_ws(', ', data ->> 'alsoBy', $2::text)))
     WHERE id = $1 AND NOT $2::text = ANY (string_to_array(coalesce(data ->> 'alsoBy', ''), ', '))`,
    [id, keeper],
  );
}

/** The entries about the water of a home, and of who moved in, newest first. */
export async function waterEntriesOf(queries: Queries, homeId: string): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT ${COLUMNS} FROM entry e
     WHERE e.resident_id = ANY (ARRAY(SELECT r.id FROM resident_now r
         WHERE r.home_id = $1 AND r.id = ANY (ARRAY(${EVER_IN_HOME}))))
       AND e.kind IN ('damped', 'felt', 'moved', 'taken-in') AND e.undone_at IS NULL
     ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 60`,
    [homeId],
  );
  return rows.map((row) => fromRow(row));
}

export interface MoultRow extends Partial<Record<BodyMeasure, number>> {
  on: string;
  stage?: Stage;
  /** How warm the interval was that ended with it. C */
  temperatureC?: number;
}

/**
 * The moults of single animals, here or gone, oldest first, with the sizes taken after each and the stage it began.
 */
export async function moultsOf(queries: Queries, of: readonly string[]): Promise<Map<string, MoultRow[]>> {
  const rows = await queries.query<{ resident_id: string; on_day: string; data: Record<string, unknown> }>(
    `SELECT DISTINCT ON (e.resident_id, e.on_day) e.resident_id, e.on_day, e.data
     FROM entry e WHERE e.kind = 'moulted' AND e.undone_at IS NULL AND NOT e.data ? 'count'
       AND e.resident_id = ANY ($1::uuid[])
     ORDER BY e.resident_id, e.on_day, e.at DESC, e.seq DESC`,
    [of],
  );
  const moults = new Map<string, MoultRow[]>();
  for (const { resident_id, on_day, data } of rows) {
    const { stage, legSpanMm, bodyLengthMm, carapaceWidthMm } = data as Omit<MoultRow, 'on'>;
    const list = moults.get(resident_id) ?? [];
    list.push({ on: on_day, ...withoutUndefined({ stage, legSpanMm, bodyLengthMm, carapaceWidthMm }) });
    moults.set(resident_id, list);
  }
  return moults;
}

/** Keeps the picture of an entry. Pictures travel as base64: both databases take it alike. */
export async function writeEntryPhoto(queries: Queries, entryId: string, jpegBase64: string): Promise<void> {
  await queries.query(`INSERT INTO entry_photo (entry_id, jpeg) VALUES ($1, decode($2, 'base64'))`, [
    entryId,
    jpegBase64,
  ]);
}

/** A photo as a strip shows it; undefined where it was not made yet. */
export async function readSmallPhoto(queries: Queries, entryId: string): Promise<Buffer | undefined> {
  const [row] = await queries.query<{ jpeg: string | null }>(
    `SELECT encode(small, 'base64') AS jpeg FROM entry_photo WHERE entry_id = $1`,
    [entryId],
  );
  return row?.jpeg ? Buffer.from(row.jpeg, 'base64') : undefined;
}

export async function writeSmallPhoto(queries: Queries, entryId: string, jpegBase64: string): Promise<void> {
  await queries.query(`UPDATE entry_photo SET small = decode($2, 'base64') WHERE entry_id = $1`, [entryId, jpegBase64]);
}

export async function readEntryPhoto(queries: Queries, entryId: string): Promise<Buffer | undefined> {
  const [row] = await queries.query<{ jpeg: string }>(
    `SELECT encode(jpeg, 'base64') AS jpeg FROM entry_photo WHERE entry_id = $1`,
    [entryId],
  );
  return row && Buffer.from(row.jpeg, 'base64');
}
