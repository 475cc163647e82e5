/** What the storage files need of a database; PGlite and a PostgreSQL server both give it. */
export interface Queries {
  /** Runs one statement with `$1`, `$2`... and answers its rows. */
  query<Row>(sql: string, parameters?: unknown[]): Promise<Row[]>;
}

export interface Database extends Queries {
  readonly name: string;
  /** All or nothing. Inside, only the given queries may be used: the outer ones would wait for ever. */
  transaction<Result>(work: (queries: Queries) => Promise<Result>): Promise<Result>;
  /** Runs a script of several statements, as part of the given queries' transaction. */
  script(queries: Queries, sql: string): Promise<void>;
  /** How many statements may have changed something so far, those of ended transactions; undefined where another program may write too. */
  writes?(): number;
  /** When it answered last, by `performance.now()`, ms; undefined where it is not part of this process, and may be gone. */
  answeredAt?(): number;
  close(): Promise<void>;
}

/** The whole database, not what one transaction sees of it. */
export const isDatabase = (queries: Queries): queries is Database => 'transaction' in queries;

/** Whether a statement may change something of the house: that somebody came in or was seen is nothing of it. */
export const mayWrite = (sql: string): boolean =>
  /\b(INSERT|UPDATE|DELETE|TRUNCATE|ALTER|DROP|CREATE)\b/.test(sql) &&
  !/^\s*(INSERT INTO|UPDATE|DELETE FROM) access\./.test(sql);

/** The PostgreSQL type ids whose JavaScript form is set here, the same for both databases. */
const OID = { int8: 20, date: 1082, timestamp: 1114, timestamptz: 1184 } as const;

/** Days stay text, instants become ISO text in UTC, 64-bit counts become numbers (they never pass 2^53 here). */
export const typeParsers: Record<number, (text: string) => string | number> = {
  [OID.int8]: Number,
  [OID.date]: (text) => text,
  [OID.timestamp]: (text) => new Date(`${text.replace(' ', 'T')}Z`).toISOString(),
  [OID.timestamptz]: (text) => new Date(text.replace(' ', 'T').replace(/([+-]\d{2})$/, '$1:00')).toISOString(),
};

/** The SQLSTATE of a database error, where it has one. */
export function sqlState(error: unknown): string | undefined {
  return error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : undefined;
}

export const UNIQUE_VIOLATION = '23505';
export const FOREIGN_KEY_VIOLATION = '23503';
export const DISK_FULL = '53100';

/** A page, or an index, that is not what was written. @source PostgreSQL, error codes, class XX */
export const isDamage = (error: unknown): boolean => ['XX001', 'XX002'].includes(sqlState(error) ?? '');
