import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { seedDemo } from '../demo';
import { migrate } from '../storage/migrate';
import { openFolder, openMemory } from '../storage/pglite';
import type { Database, Queries } from '../storage/database';
import { readEveryPage } from '../storage/readEveryPage';
import { fixedClock } from '../testing/server';
import { rescue } from './rescue';
import { restore } from './restore';

const PAGE_BYTES = 8192;

describe('a house with damaged pages', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-damaged-'));
  const cluster = path.join(folder, 'cluster');
  const open = () =>
    openFolder({
      cluster,
      draft: `${cluster}.new`,
      isNew: !fs.existsSync(cluster),
      isHeld: () => true,
      release: () => undefined,
    });
  afterAll(() => fs.rmSync(folder, { recursive: true }));

  const count = async (queries: Queries, table: string) =>
    (await queries.query<{ count: number }>(`SELECT count(*)::int AS count FROM ${table}`))[0]?.count ?? 0;
  /** As a disk does it: bytes of a page are others than were written. */
  const damage = (file: string, page: number) => {
    const handle = fs.openSync(path.join(cluster, file), 'r+');
    fs.writeSync(handle, Buffer.alloc(64, 0x5a), 0, 64, page * PAGE_BYTES + 4000);
    fs.closeSync(handle);
  };

  it('is saved as far as it reads, and comes in again with nothing that points to nobody', async () => {
    const house = await open();
    await migrate(house);
    await seedDemo(house, fixedClock());
    const before = { entries: await count(house, 'entry'), residents: await count(house, 'resident') };
    const fileOf = async (table: string) =>
      (await house.query<{ file: string }>(`SELECT pg_relation_filepath('${table}') AS file`))[0]?.file ?? '';
    const [entries, residents] = [await fileOf('entry'), await fileOf('resident')];
    await expect(readEveryPage(house)).resolves.toBeUndefined();
    await house.query('CHECKPOINT');
    await house.close();
    damage(entries, 2);
    damage(residents, 0);
    const damaged = await open();
    await expect(readEveryPage(damaged)).rejects.toThrow(/^A page of entry is not what was written/);
    await damaged.close();
    const whole = fs.readFileSync(path.join(cluster, entries));

    const file = path.join(folder, 'saved.zip');
    const { rows, left, leftIn } = await rescue(cluster, file, { program: 'test', madeAt: fixedClock().now() });
    expect(fs.readFileSync(path.join(cluster, entries)).equals(whole)).toBe(true);
    // Their page held all residents: what was written about them reads, and lies beside.
    expect(rows).toBeGreaterThan(100);
    const beside = fs
      .readFileSync(leftIn ?? '', 'utf8')
      .trimEnd()
      .split('\n');
    expect(beside).toHaveLength(left);
    const saved = beside.map((line) => JSON.parse(line) as { table: string; row: { kind: string } });
    const entriesSaved = saved.filter(({ table }) => table === 'entry').length;
    expect(entriesSaved).toBeGreaterThan(before.entries * 0.9);
    expect(entriesSaved).toBeLessThan(before.entries);
    const again: Database = await openMemory();
    await migrate(again);
    await restore(again, file);
    expect(await count(again, 'resident')).toBeLessThan(before.residents);
    expect(await count(again, 'entry')).toBeLessThan(before.entries);
    expect(await count(again, 'home')).toBeGreaterThan(50);
    await again.close();
  }, 120_000);
});
