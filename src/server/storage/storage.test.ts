import { randomUUID } from 'node:crypto';
import type { EntryToKeep } from '@/contract/storedEntries';
import type { Home } from '@/contract/records';
import { profileOf } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { databases, emptyDatabase } from '../testing/databases';
import type { Database } from './database';
import { entriesForRound, findEntry, historyOf, insertEntry, markUndone } from './entries';
import { findHome, homeOrder, insertHomes, readPhoto, removePhoto, updateHome, writePhoto } from './homes';
import { listOwnMaterials, removeOwnMaterial, writeOwnMaterial } from './materials';
import { fingerprint } from './meta';
import { migrate } from './migrate';
import { insertOwnProfile, keptBy, listOwnProfiles, removeOwnProfile, updateOwnProfile } from './profiles';
import { findResident, insertResident, residentsNow } from './residents';
import { insertShelf, listShelves } from './shelves';

const container: Container = { shape: 'cylinder', diameterMm: 45.5, heightMm: 80, lid: 'solid', vents: [] };

describe.each(databases)('storage on $kind', ({ open }) => {
  let database: Database;
  const shelfId = randomUUID();
  const homes = { a: randomUUID(), b: randomUUID() };
  const residentId = randomUUID();

  const entry = (change: Partial<EntryToKeep>) =>
    ({
      id: randomUUID(),
      kind: 'looked',
      residentId,
      homeId: null,
      on: '2026-03-10',
      at: '2026-03-10T19:00:00.123Z',
      keeper: null,
      note: null,
      data: {},
      ...change,
    }) as EntryToKeep;
  const write = async (change: Partial<EntryToKeep>) => {
    const written = entry(change);
    await insertEntry(database, written);
    return written;
  };

  beforeAll(async () => {
    database = await emptyDatabase(open);
    await insertShelf(database, { id: shelfId, room: 'Boiler Room', name: 'Shelf A' });
    for (const [code, id] of [
      ['A10', homes.a],
      ['A9', homes.b],
    ] as const) {
      await insertHomes(database, [{ id, code, shelfId, place: code === 'A9' ? 1 : 2, container }]);
      await write({ kind: 'soil-set', residentId: null, homeId: id, data: { substrateDepthMm: 60 } });
    }
    const facts = { called: 'Pip', scientificName: 'Grammostola pulchra', commonName: null, sex: 'unknown' } as const;
    await insertResident(database, {
      id: residentId,
      profile: 'ground-tarantula',
      source: null,
      permit: null,
      ...{ form: 'single', bornOn: null, motherId: null, fatherId: null, outOfId: null, batch: null },
      ...facts,
    });
    await write({
      kind: 'taken-in',
      homeId: homes.a,
      on: '2026-01-01',
      data: { stage: 'spiderling', legSpanMm: 12.5 },
    });
  }, 60_000);

  afterAll(() => database.close());

  it('migrates once and then leaves everything as it is', async () => {
    const before = await fingerprint(database);
    await migrate(database);
    expect(await fingerprint(database)).toBe(before);
  });

  it('refuses data of a newer program', async () => {
    await database.query(`INSERT INTO schema_migration (number, name) VALUES (999, 'later.sql')`);
    await expect(migrate(database)).rejects.toThrow(/newer Verdant Burrow \(migration 999\)/);
    await database.query('DELETE FROM schema_migration WHERE number = 999');
  });

  it('gives back what was written: numbers, days, instants, containers', async () => {
    expect(await listShelves(database)).toEqual([
      {
        ...{ id: shelfId, name: 'Shelf A', room: 'Boiler Room', roomId: expect.any(String) },
        ...{ position: 0, loadLimitKg: null },
      },
    ]);
    expect(await homeOrder(database)).toEqual([homes.b, homes.a]);
    const [first, second] = [await findHome(database, homes.b), await findHome(database, homes.a)];
    expect(first).toEqual({
      id: homes.b,
      code: 'A9',
      shelfId,
      place: 1,
      container,
      substrateDepthMm: 60,
      mixId: null,
      weightLimitKg: null,
      quarantineSince: null,
      photoVersion: null,
      residentIds: [],
    });
    expect(second).toMatchObject({ code: 'A10', residentIds: [residentId] });
    expect(await residentsNow(database, [residentId])).toEqual([
      expect.objectContaining({ stage: 'spiderling', legSpanMm: 12.5, takenInOn: '2026-01-01', homeId: homes.a }),
    ]);
    const written = await write({
      keeper: 'Odalys Fenn',
      note: 'a “note”, with ü',
      kind: 'offered',
      data: { preyCount: 2, preyLengthMm: 8 },
    });
    expect(await findEntry(database, written.id)).toEqual({ ...written, undoneAt: null });
  });

  it('keeps all that belongs to a home, a photo byte for byte', async () => {
    const home = (await findHome(database, homes.b)) as Home;
    const full = {
      ...home,
      furniture: [{ kind: 'perch', heightMm: 70, count: 2 }],
      litterDepthMm: 12.5,
      nest: { chambers: [{ lengthMm: 30, widthMm: 20, heightMm: 8 }], tubeBoreMm: 4 },
      mixId: 'coir',
      weightLimitKg: 2.5,
      quarantineSince: '2026-03-01',
    } satisfies Home;
    await updateHome(database, full, '2026-03-01');
    expect(await findHome(database, homes.b)).toEqual(full);
    const picture = Buffer.from([0xff, 0xd8, 0xff, 0x00, 0x27, 0x5c, 0xfe]);
    await writePhoto(database, homes.b, picture.toString('base64'));
    const { photoVersion: first } = (await findHome(database, homes.b)) as Home;
    expect(await readPhoto(database, homes.b)).toEqual(picture);
    await writePhoto(database, homes.b, Buffer.from('another').toString('base64'));
    const { photoVersion: second } = (await findHome(database, homes.b)) as Home;
    expect(second).not.toBe(first);
    await removePhoto(database, homes.b);
    expect(await readPhoto(database, homes.b)).toBeUndefined();
    await updateHome(database, home, '2026-03-02');
  });

  it('keeps a sloped surface with its depth, and a count without a size', async () => {
    const soil = { shape: 'slope', frontMm: 70, backMm: 50 } as const;
    const set = { kind: 'soil-set', residentId: null, homeId: homes.b } as const;
    const sloped = await write({ ...set, data: { substrateDepthMm: 60, soil } });
    expect(await findHome(database, homes.b)).toMatchObject({ substrateDepthMm: 60, soil });
    await markUndone(database, [sloped.id], '2026-03-12T08:00:00.000Z');
    expect((await findHome(database, homes.b))?.soil).toBeUndefined();
    const counted = await write({ kind: 'measured', data: { headCount: 420 } });
    expect(await findResident(database, residentId)).toMatchObject({ headCount: 420, legSpanMm: 12.5 });
    await markUndone(database, [counted.id], '2026-03-12T08:00:00.000Z');
    expect((await findResident(database, residentId))?.headCount).toBeUndefined();
  });

  it('keeps own profiles and materials, each once', async () => {
    const own = { ...profileOf('mantis'), id: 'mantis-own', name: 'Ours' };
    expect(await insertOwnProfile(database, own)).toBe(true);
    expect(await insertOwnProfile(database, { ...own, name: 'Twice' })).toBe(false);
    expect(await listOwnProfiles(database)).toEqual([own]);
    expect(await updateOwnProfile(database, { ...own, name: 'Changed' })).toBe(true);
    expect(await updateOwnProfile(database, { ...own, id: 'nobody' })).toBe(false);
    expect((await listOwnProfiles(database))[0]?.name).toBe('Changed');
    expect(await keptBy(database, 'ground-tarantula')).toEqual([{ name: 'Pip', stage: 'spiderling' }]);
    expect([await removeOwnProfile(database, own.id), await removeOwnProfile(database, own.id)]).toEqual([true, false]);
    const numbers = { looseDensityGPerL: 90, waterHeldMlPerL: 500 };
    await writeOwnMaterial(database, 'coir', { ...numbers, looseDensityGPerL: 70 });
    await writeOwnMaterial(database, 'coir', numbers);
    expect([...(await listOwnMaterials(database))]).toEqual([['coir', numbers]]);
    await removeOwnMaterial(database, 'coir');
    expect((await listOwnMaterials(database)).size).toBe(0);
  });

  it('reads the present off the latest standing entry, and the one before it once that is undone', async () => {
    const measured = await write({ kind: 'measured', on: '2026-02-01', data: { legSpanMm: 20 } });
    const moulted = await write({ kind: 'moulted', on: '2026-02-20', data: { stage: 'juvenile' } });
    const moved = await write({ kind: 'moved', on: '2026-02-21', homeId: homes.b });
    const soil = await write({
      kind: 'soil-set',
      residentId: null,
      homeId: homes.b,
      on: '2026-03-11',
      data: { substrateDepthMm: 71.5 },
    });
    // Measured at 20 mm, and moulted once since: 1.25 times that.
    const grown = { legSpanMm: 25, sizeCarriedOn: true, measuredOn: '2026-02-01' };
    const now = { stage: 'juvenile', ...grown, homeId: homes.b };
    expect(await findResident(database, residentId)).toMatchObject(now);
    expect((await findHome(database, homes.b))?.substrateDepthMm).toBe(71.5);
    for (const { id } of [measured, moulted, moved, soil]) await markUndone(database, [id], '2026-03-12T08:00:00.000Z');
    const before = { stage: 'spiderling', legSpanMm: 12.5, homeId: homes.a };
    expect(await findResident(database, residentId)).toMatchObject(before);
    expect((await findHome(database, homes.b))?.substrateDepthMm).toBe(60);
  });

  it('takes a back-dated entry for what it is: earlier', async () => {
    const late = await write({
      kind: 'measured',
      on: '2026-02-02',
      at: '2026-03-01T10:00:00.000Z',
      data: { legSpanMm: 15 },
    });
    const early = await write({
      kind: 'measured',
      on: '2026-01-15',
      at: '2026-03-02T10:00:00.000Z',
      data: { legSpanMm: 14 },
    });
    expect((await findResident(database, residentId))?.legSpanMm).toBe(15);
    for (const { id } of [late, early]) await markUndone(database, [id], '2026-03-12T08:00:00.000Z');
  });

  it('writes an entry of one id once', async () => {
    const written = entry({ kind: 'watered' });
    expect((await insertEntry(database, written))?.id).toBe(written.id);
    expect(await insertEntry(database, { ...written, note: 'again' })).toBeUndefined();
    expect((await findEntry(database, written.id))?.note).toBeNull();
  });

  it('gives the round the latest of each kind before the day, and all of the day', async () => {
    const old = await write({ kind: 'offered', on: '2026-03-01' });
    const latest = await write({ kind: 'offered', on: '2026-03-05' });
    const signs = [
      await write({ kind: 'sign', on: '2026-03-02', data: { sign: 'dull' } }),
      await write({ kind: 'sign', on: '2026-03-03', data: { sign: 'dark' } }),
    ];
    const today = [await write({ kind: 'eaten', on: '2026-03-06' }), await write({ kind: 'looked', on: '2026-03-06' })];
    const tomorrow = await write({ kind: 'offered', on: '2026-03-07' });
    const ids = (await entriesForRound(database, '2026-03-06', [residentId])).map((each) => each.id);
    expect(ids).toEqual(expect.arrayContaining([latest, ...signs, ...today].map((each) => each.id)));
    expect(ids).not.toContain(old.id);
    expect(ids).not.toContain(tomorrow.id);
  });

  it('tells the history of an animal and of the soil it lived on, newest first', async () => {
    await write({
      kind: 'soil-set',
      residentId: null,
      homeId: homes.a,
      on: '2026-03-12',
      data: { substrateDepthMm: 63 },
    });
    const elsewhere = await write({
      kind: 'soil-set',
      residentId: null,
      homeId: homes.b,
      on: '2026-03-12',
      data: { substrateDepthMm: 1 },
    });
    const history = await historyOf(database, residentId, 200);
    expect(history.map((each) => each.on)).toEqual(
      history
        .map((each) => each.on)
        .sort()
        .reverse(),
    );
    expect(history.some((each) => each.kind === 'soil-set' && each.homeId === homes.a)).toBe(true);
    expect(history.map((each) => each.id)).not.toContain(elsewhere.id);
  });

  it('keeps nothing of a transaction that fails', async () => {
    const before = await fingerprint(database);
    const failing = database.transaction(async (queries) => {
      await insertEntry(queries, entry({}));
      await insertHomes(queries, [{ id: randomUUID(), code: 'a9', shelfId, place: 3, container }]);
    });
    await expect(failing).rejects.toMatchObject({ code: '23505' });
    expect(await fingerprint(database)).toBe(before);
  });
});
