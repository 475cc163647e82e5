import { emptyDatabase } from '../testing/databases';
import type { Database } from './database';
import { DiskIsFull, guarded } from './guarded';

describe('a disk that is full', () => {
  let isFull = false;
  let plain: Database;
  let database: Database;
  beforeAll(async () => {
    plain = await emptyDatabase();
    database = guarded(plain, () => isFull);
  });
  beforeEach(() => (isFull = false));
  afterAll(() => plain.close());
  const write = `INSERT INTO meta (key, value) VALUES ('a', '1') ON CONFLICT (key) DO UPDATE SET value = '1'`;
  const count = async () => (await database.query<{ n: number }>('SELECT count(*) AS n FROM meta'))[0]?.n;

  it('refuses what writes, whatever way it comes, and reads on', async () => {
    isFull = true;
    await expect(database.query(write)).rejects.toThrow(DiskIsFull);
    await expect(database.transaction((queries) => queries.query(write))).rejects.toThrow(DiskIsFull);
    await expect((async () => database.script(database, `${write};`))()).rejects.toThrow(DiskIsFull);
    expect(await count()).toBe(0);
  });

  it('takes back what a transaction had written before the disk was full', async () => {
    const half = database.transaction(async (queries) => {
      await queries.query(write);
      isFull = true;
      await queries.query(`INSERT INTO meta (key, value) VALUES ('b', '2')`);
    });
    await expect(half).rejects.toThrow(DiskIsFull);
    expect(await count()).toBe(0);
  });

  it('writes again once there is room, in transactions and scripts too', async () => {
    await database.transaction(async (queries) => {
      await queries.query(write);
      await database.script(queries, `INSERT INTO meta (key, value) VALUES ('b', '2')`);
    });
    expect(await count()).toBe(2);
  });
});
