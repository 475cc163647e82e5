import type { Queries } from './database';

/** Does something within a transaction that is undone by itself when it fails: what was done before it stays. */
export async function apart<Result>(queries: Queries, work: () => Promise<Result>): Promise<Result> {
  await queries.query('SAVEPOINT apart');
  try {
    const result = await work();
    await queries.query('RELEASE SAVEPOINT apart');
    return result;
  } catch (error) {
    await queries.query('ROLLBACK TO SAVEPOINT apart');
    throw error;
  }
}
