import { log } from '../log';
import fs from 'node:fs';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { createApp } from '../app';
import { migrate } from '../storage/migrate';
import { openMemory } from '../storage/pglite';
import type { Database } from '../storage/database';
import { fixedClock } from '../testing/server';
import { backupKeeper } from './keeping';
import { keptOf } from './kept';
import { restore } from './restore';
import { writeBackup } from './write';

/** A house with a box or none, over HTTP, with a folder for its backups. */
async function house(folder?: string) {
  const database = await openMemory();
  await migrate(database);
  const clock = fixedClock();
  const backups =
    folder === undefined
      ? undefined
      : backupKeeper({ database, clock, version: '0', folder, prove: async () => undefined });
  const server = createApp({ database, clock, version: '0', backups }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const at = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  const post = (place: string, body: unknown) =>
    fetch(`${at}${place}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const send = (place: string, file: Buffer, type = 'application/zip') =>
    fetch(`${at}${place}`, { method: 'POST', headers: { 'Content-Type': type }, body: new Uint8Array(file) });
  const shelves = async (): Promise<string[]> =>
    ((await (await fetch(`${at}/shelves`)).json()) as { shelves: { name: string }[] }).shelves.map(({ name }) => name);
  const close = async () => {
    await new Promise((resolve) => server.close(resolve));
    await database.close();
  };
  return { at, post, send, shelves, close, backups, database };
}

describe('backups over HTTP', () => {
  const root = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-http-'));
  let here: Awaited<ReturnType<typeof house>>;
  let there: Awaited<ReturnType<typeof house>>;
  beforeAll(async () => {
    [here, there] = [await house(path.join(root, 'here')), await house(path.join(root, 'there'))];
    await here.post('/shelves', { name: 'Warm', room: 'Boiler Room' });
  }, 60_000);
  afterAll(async () => {
    await here.close();
    await there.close();
    fs.rmSync(root, { recursive: true });
  });
  const isEmpty = async ({ at }: typeof here) =>
    ((await (await fetch(`${at}/backups`)).json()) as { isEmpty: boolean }).isEmpty;
  const saved = async () => Buffer.from(await (await fetch(`${here.at}/backup`)).arrayBuffer());

  it('are taken out of one house and brought into an empty one, which answers', async () => {
    const response = await fetch(`${here.at}/backup`);
    expect(response.headers.get('Content-Disposition')).toMatch(/verdant-burrow-2026-03-14\.zip/);
    expect(await there.shelves()).toEqual([]);
    expect([await isEmpty(here), await isEmpty(there)]).toEqual([false, true]);
    const brought = await there.send('/restore', Buffer.from(await response.arrayBuffer()));
    expect([brought.status, ((await brought.json()) as { keptAs: null }).keptAs]).toEqual([200, null]);
    expect(await there.shelves()).toEqual(['Warm']);
    expect((await fetch(`${there.at}/round`)).status).toBe(200);
  });

  it('take the place of a house that is not empty only where that is said, and what was there is kept', async () => {
    await there.post('/shelves', { name: 'Mine', room: 'Attic' });
    const refused = await there.send('/restore', await saved());
    expect(refused.status).toBe(409);
    expect(await there.shelves()).toEqual(['Warm', 'Mine']);
    const { keptAs } = (await (await there.send('/restore?instead=1', await saved())).json()) as { keptAs: string };
    expect(await there.shelves()).toEqual(['Warm']);
    // What was kept brings it back.
    const before = fs.readFileSync(path.join(root, 'there', keptAs));
    expect((await there.send('/restore?instead=1', before)).status).toBe(200);
    expect(await there.shelves()).toEqual(['Warm', 'Mine']);
  });

  it('that are none are refused by name, and nothing is changed', async () => {
    const bad = await there.send('/restore?instead=1', Buffer.from('a list'));
    const { error } = (await bad.json()) as { error: { fields: { path: string; message: string }[] } };
    expect([bad.status, error.fields[0]?.path]).toEqual([422, 'file']);
    expect(error.fields[0]?.message).toMatch(/no backup/);
    expect((await there.send('/restore?instead=1', Buffer.from('{}'), 'application/json')).status).toBe(415);
    expect(await there.shelves()).toEqual(['Warm', 'Mine']);
    // Nothing gave way, so nothing more is kept aside.
    expect(fs.readdirSync(path.join(root, 'there'))).toHaveLength(2);
  });

  it('come into a house without records alone: what its page says is what is done', async () => {
    const kept = await house();
    await kept.post('/keepers', { name: 'Odalys Fenn', zone: 'UTC' });
    // No box yet, and somebody who walks: that is something.
    expect(await isEmpty(kept)).toBe(false);
    expect((await kept.send('/restore', await saved())).status).toBe(409);
    await kept.close();
  });

  it('take no place where what is there could not be kept aside', async () => {
    const bare = await house();
    await bare.post('/shelves', { name: 'Only', room: 'Attic' });
    const refused = await bare.send('/restore?instead=1', await saved());
    expect([refused.status, await refused.text()]).toEqual([409, expect.stringContaining('VB_BACKUPS')]);
    expect(await bare.shelves()).toEqual(['Only']);
    expect(await isEmpty(bare)).toBe(false);
    await bare.close();
  });

  it('are made once a day, kept by days, weeks and months, and late after three days without', async () => {
    const state = async () =>
      (await (await fetch(`${here.at}/backups`)).json()) as {
        provenOn: string;
        isLate: boolean;
        backups: { name: string }[];
      };
    expect(await state()).toMatchObject({ provenOn: null, isLate: false, backups: [] });
    await here.backups?.daily();
    await here.backups?.daily();
    const [{ name } = { name: '' }] = (await state()).backups;
    expect(await state()).toMatchObject({ provenOn: '2026-03-14', isLate: false });
    expect(name).toBe('verdant-burrow-2026-03-14.zip');
    expect((await fetch(`${here.at}/backups/${name}`)).status).toBe(200);
    expect((await fetch(`${here.at}/backups/..%2F..%2Fetc%2Fpasswd`)).status).toBe(404);
    const folder = path.join(root, 'failing');
    let day = '2026-03-14';
    const failing = backupKeeper({
      ...{ database: here.database, version: '0', folder },
      clock: { today: () => day, now: () => `${day}T10:00:00.000Z` },
      prove: async () => Promise.reject(new Error('A page is damaged.')),
    });
    const silent = jest.spyOn(log, 'error').mockImplementation(() => undefined);
    for (day of ['2026-03-14', '2026-03-15', '2026-03-16']) {
      await failing.daily();
      expect(failing.state()).toMatchObject({ isLate: false, problem: 'A page is damaged.' });
    }
    day = '2026-03-17';
    await failing.daily();
    expect(failing.state()).toMatchObject({ isLate: true, provenOn: null });
    silent.mockRestore();
  });

  it('of a year leave seven days, four weeks and twelve months', () => {
    const days = Array.from({ length: 400 }, (_, index) =>
      new Date(Date.parse('2025-02-08') + index * 864e5).toISOString().slice(0, 10),
    );
    const kept = [...keptOf(days)].sort();
    expect(kept.slice(-7)).toEqual(days.slice(-7));
    expect(kept.length).toBeGreaterThanOrEqual(7 + 2 + 10);
    expect(kept.length).toBeLessThanOrEqual(7 + 4 + 12);
    // The last day of each of twelve months.
    expect(kept).toContain('2026-01-31');
    expect(kept).toContain('2025-05-31');
    expect(kept).not.toContain('2025-03-31');
    expect(keptOf([]).size).toBe(0);
  });

  it('of an earlier version are brought up to this one', async () => {
    const [old, now]: Database[] = [await openMemory(), await openMemory()];
    if (!old || !now) throw new Error('No database.');
    await migrate(old, 9);
    await migrate(now);
    const room = '11111111-1111-4111-8111-111111111111';
    await old.query(`INSERT INTO room (id, name) VALUES ($1, 'Attic')`, [room]);
    await old.query(
      `INSERT INTO shelf (id, name, position, room_id) VALUES ('22222222-2222-4222-8222-222222222222', 'Old', 1, $1)`,
      [room],
    );
    const file = path.join(root, 'old.zip');
    await writeBackup(old, file, { program: '0', madeAt: '2026-01-01T00:00:00.000Z' });
    await restore(now, file);
    expect(await now.query('SELECT name FROM shelf')).toEqual([{ name: 'Old' }]);
    await old.close();
    await now.close();
  }, 60_000);
});
