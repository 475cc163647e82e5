import { TINY_JPEG } from '@/core/testing/tinyJpeg';
import { onEmptyServer } from './testing/onEmptyServer';
import { TODAY, type Answer, type TestServer } from './testing/server';

/** The smallest TINY_JPEG there is to speak of: the server keeps what it is sent. */

describe('residents of every form', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  const homes: Record<string, string> = {};
  const newHome = async (code: string, shelfId: string) => {
    const container = { shape: 'box', lengthMm: 300, widthMm: 300, heightMm: 300, lid: 'mesh', vents: [] };
    homes[code] = (await server.post('/api/homes', { code, shelfId, container, substrateDepthMm: 0 })).body.home.id;
  };
  beforeAll(async () => {
    const { shelf } = (await server.post('/api/shelves', { room: 'R', name: 'A' })).body;
    for (const code of ['A1', 'A2', 'A3', 'A4', 'A5', 'A6']) await newHome(code, shelf.id);
  }, 60_000);

  const STICK = { scientificName: 'Carausius morosus', profile: 'stick-insect' };
  const takeIn = async (body: object) => server.post('/api/residents', { ...STICK, on: '2025-12-01', ...body });
  const taken = async (body: object) => (await takeIn(body)).body.resident;
  const write = (body: object) => server.post('/api/entries', body);
  const now = async (id: string) =>
    (await server.get('/api/residents')).body.residents.find((each: { id: string }) => each.id === id);
  const fields = ({ body }: Answer) => body.error.fields.map((field: { path: string }) => field.path);
  const undo = (entryId: string) => server.post(`/api/entries/${entryId}/undo`, {});
  const leave = async (id: string) => write({ kind: 'passed-on', residentId: id });

  it('come as what they are: single, group, colony, eggs', async () => {
    const single = await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A1, instar: 3, massG: 0.1 });
    expect(single).toMatchObject({ form: 'single', instar: 3, massG: 0.1, sexBy: null });
    const eggs = await taken({ stage: 'egg', headCount: 40, homeId: homes.A2, batch: 'Harbour 25' });
    expect(eggs).toMatchObject({ form: 'eggs', headCount: 40, batch: 'Harbour 25' });
    expect(fields(await takeIn({ stage: 'nymph', form: 'eggs', bodyLengthMm: 9, homeId: homes.A3 }))).toEqual(['form']);
    const many = { stage: 'nymph', form: 'single', headCount: 4, bodyLengthMm: 9, homeId: homes.A3 };
    expect(fields(await takeIn(many))).toEqual(['headCount']);
    // Every moult adds an instar by itself.
    await write({ kind: 'moulted', residentId: single.id, on: '2026-01-05' });
    await write({ kind: 'moulted', residentId: single.id, on: '2026-01-25', bodyLengthMm: 41 });
    expect(await now(single.id)).toMatchObject({ instar: 5, bodyLengthMm: 41, massG: 0.1 });
    await leave(single.id);
    await leave(eggs.id);
  });

  it('keep a sex with its evidence, notes and photos, and give each back on undo', async () => {
    const one = await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A1 });
    const sexed = (await write({ kind: 'sexed', residentId: one.id, sex: 'female', by: 'size' })).body.entry;
    expect(await now(one.id)).toMatchObject({ sex: 'female', sexBy: 'size' });
    await undo(sexed.id);
    expect(await now(one.id)).toMatchObject({ sex: 'unknown', sexBy: null });
    const photo = await server.post(`/api/residents/${one.id}/photos`, {
      jpegBase64: TINY_JPEG,
      note: 'On its bramble',
    });
    expect(photo.status).toBe(201);
    const { entry } = photo.body;
    // Sent again with the same id it is kept once.
    expect(
      (await server.post(`/api/residents/${one.id}/photos`, { id: entry.id, jpegBase64: TINY_JPEG })).body,
    ).toEqual(photo.body);
    for (const size of ['', '?small=1']) {
      const picture = await fetch(`${server.address}/api/entries/${entry.id}/photo${size}`);
      expect([picture.status, picture.headers.get('content-type')]).toEqual([200, 'image/jpeg']);
    }
    const notes = (await server.get(`/api/residents/${one.id}/entries?kinds=photo,noted`)).body.entries;
    expect(notes).toMatchObject([{ kind: 'photo', note: 'On its bramble' }]);
    expect(fields(await server.post(`/api/residents/${one.id}/photos`, { jpegBase64: 'AAAA' }))).toEqual([
      'jpegBase64',
    ]);
    expect(fields(await write({ kind: 'noted', residentId: one.id, note: ' ' }))).toEqual(['note']);
    await leave(one.id);
  });

  it('die or are passed on: they leave, are found among the gone, and come back on undo while the box is free', async () => {
    const one = await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A1, called: 'Twig' });
    const died = (await write({ kind: 'died', residentId: one.id, cause: 'moult' })).body.entry;
    expect(died.data).toMatchObject({ count: 1, everybody: 1 });
    expect(await now(one.id)).toBeUndefined();
    const gone = (await server.get('/api/residents/gone')).body.residents;
    expect(gone[0]).toMatchObject({ id: one.id, leftOn: TODAY, leftBy: 'died' });
    const late = await write({ kind: 'eaten', residentId: one.id });
    expect(late.status).toBe(409);
    expect((await write({ kind: 'noted', residentId: one.id, note: 'Pinned.' })).status).toBe(201);
    const other = await taken({
      stage: 'nymph',
      bodyLengthMm: 20,
      homeId: homes.A1,
      scientificName: 'Hierodula membranacea',
      profile: 'mantis',
    });
    expect((await undo(died.id)).status).toBe(409);
    expect(await now(one.id)).toBeUndefined();
    await leave(other.id);
    expect((await undo(died.id)).status).toBe(200);
    expect(await now(one.id)).toMatchObject({ called: 'Twig' });
    expect(fields(await write({ kind: 'died', residentId: one.id, on: '2025-11-01' }))).toEqual(['on']);
    await leave(one.id);
  });

  it('in groups are counted by what happens to them, and never fewer than none', async () => {
    const group = await taken({ stage: 'nymph', headCount: 15, instar: 3, bodyLengthMm: 20, homeId: homes.A2 });
    await write({ kind: 'moulted', residentId: group.id, count: 12, instar: 4, on: '2026-01-10' });
    const batch = async () => (await server.get(`/api/residents/${group.id}/batch`)).body;
    expect(await batch()).toMatchObject({ heads: 15, instars: { 3: 3, 4: 12 } });
    const two = (await write({ kind: 'died', residentId: group.id, count: 2, on: '2026-02-01' })).body.entry;
    expect(await now(group.id)).toMatchObject({ headCount: 13, form: 'group' });
    expect((await batch()).survival).toMatchObject({ total: 15, deaths: 2, followed: 103 });
    expect(fields(await write({ kind: 'died', residentId: group.id, count: 14 }))).toEqual(['count']);
    // Written down late, it would leave fewer than none later on.
    await write({ kind: 'measured', residentId: group.id, headCount: 3, on: '2026-02-10' });
    await write({ kind: 'passed-on', residentId: group.id, count: 2, on: '2026-02-20' });
    expect(fields(await write({ kind: 'moulted', residentId: group.id, count: 5, instar: 5 }))).toEqual(['count']);
    expect(fields(await write({ kind: 'moulted', residentId: group.id, count: 1 }))).toEqual(['instar']);
    const counted = (counts: object) => write({ kind: 'measured', residentId: group.id, ...counts });
    expect(fields(await counted({ headCount: 4, instars: { 4: 3 } }))).toEqual(['instars']);
    const odd = await counted({ instars: { zero: 3 } });
    expect(odd.body.error.fields).toEqual([
      { path: 'instars.zero', message: 'Must be the number of an instar, from 1 to 59.' },
    ]);
    // A count by instars is a count of the heads.
    const found = (await counted({ instars: { 4: 7 }, on: '2026-02-25' })).body.entry;
    expect(await now(group.id)).toMatchObject({ headCount: 7 });
    await undo(found.id);
    await undo(two.id);
    expect(await now(group.id)).toMatchObject({ headCount: 1 });
    // The last of them gone, all are.
    const last = (await write({ kind: 'died', residentId: group.id })).body.entry;
    expect(last.data).toMatchObject({ count: 1, everybody: 1 });
    expect(await now(group.id)).toBeUndefined();
  });

  it('part and join, each one act: undone as one', async () => {
    const group = await taken({ stage: 'nymph', headCount: 10, bodyLengthMm: 20, homeId: homes.A3, called: 'Ten' });
    const apart = await server.post(`/api/residents/${group.id}/part`, { count: 4, homeId: homes.A4, called: 'Four' });
    expect(apart.body.resident).toMatchObject({ form: 'group', headCount: 4, outOfId: group.id, called: 'Four' });
    expect(await now(group.id)).toMatchObject({ headCount: 6 });
    const part = apart.body.resident;
    expect(fields(await server.post(`/api/residents/${group.id}/part`, { count: 6, homeId: homes.A5 }))).toEqual([
      'count',
    ]);
    const joined = await server.post(`/api/residents/${group.id}/join`, { otherId: part.id });
    expect(joined.body.resident).toMatchObject({ headCount: 10 });
    expect(await now(part.id)).toBeUndefined();
    await undo(joined.body.entry.id);
    expect(await now(group.id)).toMatchObject({ headCount: 6 });
    expect(await now(part.id)).toMatchObject({ headCount: 4 });
    await undo(apart.body.entry.id);
    expect(await now(part.id)).toBeUndefined();
    expect(await now(group.id)).toMatchObject({ headCount: 10 });
    const other = await taken({
      scientificName: 'Phyllium philippinicum',
      profile: 'leaf-insect',
      stage: 'nymph',
      headCount: 3,
      bodyLengthMm: 30,
      homeId: homes.A5,
    });
    const mixed = await server.post(`/api/residents/${group.id}/join`, { otherId: other.id });
    expect(fields(mixed)).toEqual(['otherId']);
    expect(mixed.body.error.fields[0].message).toMatch(/different kinds are not made one/);
    expect(await now(other.id)).toMatchObject({ headCount: 3 });
    const single = await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A6, form: 'single' });
    expect((await server.post(`/api/residents/${single.id}/join`, { otherId: group.id })).status).toBe(409);
    for (const each of [group, other, single]) await leave(each.id);
  });

  it('hatch: eggs become a group, born that day; some may be taken out as they come', async () => {
    const mother = await taken({ stage: 'adult', bodyLengthMm: 80, sex: 'female', homeId: homes.A1, called: 'Dam' });
    const eggs = await taken({ stage: 'egg', headCount: 50, homeId: homes.A2, motherId: mother.id });
    const early = await server.post(`/api/residents/${eggs.id}/part`, {
      count: 6,
      homeId: homes.A3,
      stage: 'nymph',
      bodyLengthMm: 11,
      on: '2026-03-01',
    });
    expect(early.body.resident).toMatchObject({
      stage: 'nymph',
      bornOn: '2026-03-01',
      motherId: mother.id,
    });
    expect(fields(await write({ kind: 'hatched', residentId: mother.id, headCount: 3 }))).toEqual(['residentId']);
    expect(fields(await write({ kind: 'moulted', residentId: eggs.id }))).toEqual(['residentId']);
    const taken409 = { id: mother.id, count: 2, homeId: homes.A4 };
    expect((await server.post(`/api/residents/${eggs.id}/part`, taken409)).status).toBe(409);
    await write({ kind: 'hatched', residentId: eggs.id, headCount: 21, on: '2026-03-10' });
    expect(await now(eggs.id)).toMatchObject({ form: 'group', stage: 'nymph', headCount: 21, bornOn: '2026-03-10' });
    expect((await server.get(`/api/residents/${eggs.id}/batch`)).body).toMatchObject({ instars: { 1: 21 } });
    // Lineage holds together: no father that is female, no parent of another kind, no birth after arrival.
    const change = (body: object) => server.patch(`/api/residents/${eggs.id}`, body);
    expect(fields(await change({ fatherId: mother.id }))).toEqual(['fatherId']);
    expect(fields(await change({ motherId: eggs.id }))).toEqual(['motherId']);
    expect(fields(await change({ bornOn: '2026-02-01' }))).toEqual(['bornOn']);
    expect((await change({ called: 'Spring' })).body.resident).toMatchObject({ bornOn: '2026-03-10', form: 'group' });
    for (const each of [mother, eggs, early.body.resident]) await leave(each.id);
  });

  it('have histories that hold: no two moults on a day, none before birth, no shrinking', async () => {
    const one = await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A1, bornOn: '2025-11-20' });
    const moult = (on: string, bodyLengthMm?: number) =>
      write({ kind: 'moulted', residentId: one.id, on, ...(bodyLengthMm !== undefined && { bodyLengthMm }) });
    expect((await moult('2026-02-01', 44)).status).toBe(201);
    const twice = await moult('2026-02-01');
    expect(fields(twice)).toEqual(['on']);
    expect(twice.body.error.fields[0].message).toMatch(/one a day/);
    // Out of order is no mistake, as long as the sizes fit in between.
    expect((await moult('2026-01-10', 37)).status).toBe(201);
    expect(fields(await moult('2026-01-20', 60))).toEqual(['bodyLengthMm']);
    expect(fields(await moult('2026-03-01', 30))).toEqual(['bodyLengthMm']);
    expect(fields(await moult('2025-11-10'))).toEqual(['on']);
    expect(fields(await moult('2026-05-01'))).toEqual(['on']);
    const answer = (await server.get(`/api/residents/${one.id}/moult`)).body;
    expect(answer.moults.map((each: { on: string }) => each.on)).toEqual(['2026-01-10', '2026-02-01']);
    await leave(one.id);
  });

  it('are written about many at once, all or none, and taken back as one', async () => {
    const [a, b] = [
      await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A1, called: 'A' }),
      await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A2, called: 'B' }),
    ];
    const bulk = (entries: object[]) => server.post('/api/entries/bulk', { entries });
    const misted = (id: string) => ({ kind: 'misted', residentId: id });
    const wrong = await bulk([misted(a.id), { kind: 'watered', residentId: b.id, on: '2025-01-01' }]);
    expect(fields(wrong)).toEqual(['entries.1.on']);
    const kinds = async (id: string) =>
      (await server.get(`/api/residents/${id}/entries`)).body.entries.map((each: { kind: string }) => each.kind);
    expect(await kinds(a.id)).not.toContain('misted');
    const done = await bulk([misted(a.id), misted(b.id)]);
    expect(done.status).toBe(201);
    expect(await kinds(b.id)).toContain('misted');
    const ids = done.body.entries.map((each: { id: string }) => each.id);
    expect((await server.post('/api/entries/undo', { ids })).body).toEqual({ undone: 2 });
    expect(await kinds(a.id)).not.toContain('misted');
    expect(fields(await bulk([]))).toEqual(['entries']);
    await leave(a.id);
    await leave(b.id);
  });

  it('have a history of any length, a page at a time, narrowed by kind', async () => {
    const one = await taken({ stage: 'nymph', bodyLengthMm: 30, homeId: homes.A1 });
    const entries = Array.from({ length: 150 }, (_, index) => ({
      kind: index % 3 === 0 ? 'misted' : 'looked',
      residentId: one.id,
      on: index < 75 ? '2026-01-01' : '2026-02-01',
    }));
    await server.post('/api/entries/bulk', { entries });
    const seen: string[] = [];
    let page = (await server.get(`/api/residents/${one.id}/entries`)).body;
    for (;;) {
      seen.push(...page.entries.map((each: { id: string }) => each.id));
      if (!page.hasMore) break;
      page = (await server.get(`/api/residents/${one.id}/entries?before=${seen.at(-1)}`)).body;
    }
    // The taking in and all that came after; the depth of the box was set after it moved in.
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen.length).toBe(152);
    const misted = (await server.get(`/api/residents/${one.id}/entries?kinds=misted`)).body;
    expect(misted.entries).toHaveLength(50);
    expect(fields(await server.get(`/api/residents/${one.id}/entries?kinds=sulked`))).toEqual(['kinds']);
    await leave(one.id);
  });
});

describe('engines that need no records', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));

  // By hand: two orders at 15 each, and ten kept for a week at 1.
  it('plan orders, and refuse needs under nothing', async () => {
    const ask = (body: object) => server.post('/api/compute/feeder-orders', body);
    const plan = await ask({ demand: [10, 10, 0, 30], setupCost: 15, holdingCost: 1, shelfLifeWeeks: 2 });
    expect(plan.body).toEqual({ orders: [20, 0, 0, 30], totalCost: 40 });
    const wrong = await ask({ demand: [10, -1], setupCost: [1, 2, 3], holdingCost: 1 });
    expect(wrong.body.error.fields.map((field: { path: string }) => field.path)).toEqual(['demand.1']);
    expect((await ask({ demand: [1, 1], setupCost: [1], holdingCost: 1 })).body.error.fields[0].path).toBe('setupCost');
  });

  it('say of stillness what to do, and of a group what became of it', async () => {
    const ask = (body: object) => server.post('/api/compute/stillness', { profile: 'millipede-tropical', ...body });
    const buried = await ask({ daysStill: 30 });
    expect(buried.body).toMatchObject({ verdict: 'leave', usualDays: 35, basis: 'common practice' });
    expect(buried.body.notToDo.length).toBeGreaterThan(0);
    expect((await ask({ daysStill: 30, seen: ['rings'] })).body.deadPct).toBeGreaterThan(buried.body.deadPct);
    const strange = await ask({ daysStill: 30, seen: ['hammock'] });
    expect(strange.body.error.fields[0].path).toBe('seen.0');
    expect((await ask({ daysStill: -1 })).body.error.fields[0].path).toBe('daysStill');
    const entries = [
      { kind: 'taken-in', on: '2026-01-01', headCount: 6 },
      { kind: 'died', on: '2026-01-11', count: 3 },
    ];
    const census = await server.post('/api/compute/census', { asOf: TODAY, entries });
    expect(census.body).toMatchObject({ heads: 3, survival: { steps: [{ time: 10, survival: 0.5 }] } });
    const more = await server.post('/api/compute/census', {
      asOf: TODAY,
      entries: [...entries, { kind: 'died', on: '2026-02-01', count: 9 }],
    });
    expect(more.body.error.fields[0].path).toBe('count');
  });
});
