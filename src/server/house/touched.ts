import type { Queries } from '../storage/database';

/** What was written about since somebody last asked. */
export interface Touched {
  residents: ReadonlySet<string>;
  homes: ReadonlySet<string>;
  /** Homes whose probes have said something. */
  air: ReadonlySet<string>;
  /** Homes and rooms of which another warmth is known for some week. */
  warmth: ReadonlySet<string>;
  rooms: ReadonlySet<string>;
  /** What lies in the store. */
  store: boolean;
  /** Anything may have changed. */
  all: boolean;
  /** From this transaction on it is asked the next time. */
  since: string;
}

/** So much was touched that it is quicker to begin anew. */
const TOO_MANY = 2000;
/** Kept for other servers on the same database, which may ask later. */
const KEPT = 20_000;

/**
 * What was touched by transactions from one on. Those that had not ended then are told again: a server that is told twice works
 * out the same twice, and one that is not told would be wrong.
 * @param since as it was answered the last time; null at the start: then only the place from which to go on is answered
 */
export async function touchedSince(queries: Queries, since: string | null): Promise<Touched> {
  const [row] = await queries.query<{ since: string; touched: [string, string | null][] | null }>(
    `SELECT pg_snapshot_xmin(pg_current_snapshot())::text AS since,
       (SELECT json_agg(DISTINCT jsonb_build_array(t.what, t.about)) FROM touched t WHERE t.tx >= $1::text::xid8) AS touched`,
    [since ?? NEVER],
  );
  if (!row) throw new Error('The database does not tell what was touched.');
  const touched = row.touched ?? [];
  const of = (what: string) => new Set(touched.flatMap(([which, about]) => (which === what && about ? [about] : [])));
  return {
    ...{
      residents: of('resident'),
      homes: of('home'),
      air: of('air'),
      warmth: of('warmth'),
      rooms: of('room'),
      since: row.since,
    },
    store: touched.some(([what]) => what === 'store'),
    all: touched.length > TOO_MANY || touched.some(([what]) => what === 'all'),
  };
}

/** No transaction comes after this one. */
const NEVER = '9223372036854775807';

/** Forgets what nobody asks for any more, and what is left of another cluster whose transactions went further. */
export async function forgetTouched(queries: Queries): Promise<void> {
  await queries.query(
    `DELETE FROM touched WHERE id <= (SELECT max(id) FROM touched) - $1
       OR tx > pg_snapshot_xmax(pg_current_snapshot())`,
    [KEPT],
  );
}
