import { apart } from './savepoint';
import type { Database } from './database';
import { openMemory } from './pglite';

/** @source PostgreSQL, the view pg_prepared_statements */
const KNOWN = 'SELECT statement, generic_plans, custom_plans FROM pg_prepared_statements';

describe('statements of the embedded database', () => {
  let database: Database;
  beforeAll(async () => {
    database = await openMemory();
    await database.script(database, 'CREATE TABLE box (code text UNIQUE, mm integer)');
    await database.query('INSERT INTO box VALUES ($1, $2)', ['A', 200]);
  });
  afterAll(() => database.close());

  const known = () => database.query<{ statement: string; generic_plans: number; custom_plans: number }>(KNOWN);

  it('are planned once, for all parameters', async () => {
    const sql = 'SELECT mm FROM box WHERE code = $1';
    const answers = [];
    for (const code of ['A', 'B', null, 'A']) answers.push(await database.query(sql, [code]));
    expect(answers).toEqual([[{ mm: 200 }], [], [], [{ mm: 200 }]]);
    const told = (await known()).filter(({ statement }) => statement === sql);
    expect(told).toMatchObject([{ generic_plans: 4, custom_plans: 0 }]);
  });

  it('go on after one that was refused, in a transaction too', async () => {
    const twice = () => database.query('INSERT INTO box VALUES ($1, $2)', ['A', 1]);
    await expect(twice()).rejects.toMatchObject({ code: '23505' });
    await expect(database.query('SELECT nothing FROM box')).rejects.toMatchObject({ code: '42703' });
    await database.transaction(async (queries) => {
      for (const code of ['A', 'A', 'C']) {
        const added = apart(queries, () => queries.query('INSERT INTO box VALUES ($1, $2)', [code, 1]));
        if (code === 'A') await expect(added).rejects.toMatchObject({ code: '23505' });
        else await added;
      }
    });
    expect(await database.query('SELECT code FROM box ORDER BY code')).toEqual([{ code: 'A' }, { code: 'C' }]);
  });

  it('are asked of a transaction while it lasts', async () => {
    const kept = await database.transaction((queries) => Promise.resolve(queries));
    await expect(kept.query('SELECT code FROM box')).rejects.toThrow('The transaction has ended');
  });

  it('asked at one moment are answered each with its own', async () => {
    const asked = Array.from({ length: 20 }, (_, index) => database.query('SELECT $1::integer AS n', [index]));
    expect(await Promise.all(asked)).toEqual(Array.from({ length: 20 }, (_, n) => [{ n }]));
    await database.transaction(async (queries) => {
      const inner = ['A', 'C'].map((code) => queries.query('SELECT code FROM box WHERE code = $1', [code]));
      expect(await Promise.all(inner)).toEqual([[{ code: 'A' }], [{ code: 'C' }]]);
    });
  });

  it('hold after the tables have changed, were it only for a while', async () => {
    const all = 'SELECT * FROM box WHERE code = $1';
    expect(await database.query(all, ['A'])).toEqual([{ code: 'A', mm: 200 }]);
    const changed = database.transaction(async (queries) => {
      await database.script(queries, 'ALTER TABLE box ADD COLUMN lid text');
      expect(await queries.query(all, ['A'])).toEqual([{ code: 'A', mm: 200, lid: null }]);
      throw new Error('Not after all.');
    });
    await expect(changed).rejects.toThrow('Not after all.');
    expect(await database.query(all, ['A'])).toEqual([{ code: 'A', mm: 200 }]);
    await database.script(database, 'ALTER TABLE box DROP COLUMN mm');
    expect(await database.query(all, ['A'])).toEqual([{ code: 'A' }]);
  });

  it('are not kept without end', async () => {
    for (let index = 0; index < 700; index += 1) await database.query(`SELECT ${index} AS n`);
    expect((await known()).length).toBeLessThanOrEqual(600);
    expect(await database.query('SELECT 0 AS n')).toEqual([{ n: 0 }]);
  });
});
