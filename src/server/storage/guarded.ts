import { mayWrite, type Database, type Queries } from './database';

/** The disk has no room: a query that filled it up would spin for ever. */
export class DiskIsFull extends Error {
  constructor() {
    super('The disk is full: nothing was saved. Make room first.');
    this.name = 'DiskIsFull';
  }
}

/**
 * The same database, in which nothing is written while there is too little room on the disk: by whatever way it came in. Reading
 * goes on.
 */
export function guarded(database: Database, isFull: () => boolean): Database {
  const queriesOf = (queries: Queries): Queries => ({
    query: async (sql, parameters) => {
      if (mayWrite(sql) && isFull()) throw new DiskIsFull();
      return queries.query(sql, parameters);
    },
  });
  // A script within a transaction runs on the queries that the transaction was given.
  const inner = new WeakMap<Queries, Queries>();
  return {
    ...database,
    ...queriesOf(database),
    transaction: (work) =>
      database.transaction((queries) => {
        const own = queriesOf(queries);
        inner.set(own, queries);
        return work(own);
      }),
    script: (queries, sql) => {
      if (isFull()) throw new DiskIsFull();
      return database.script(inner.get(queries) ?? database, sql);
    },
  };
}
