import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A keeper of many years has it all in a sheet: the boxes, who lives in them since when, and what was done. It comes in whole or
 * not at all, every row that makes no sense is told, and what came in by mistake goes as one.
 */
describe('lists of a keeper of many years', () => {
  let house: House;
  const BOX = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
  const boxes = (count: number) =>
    Array.from({ length: count }, (_, index) => ({
      ...{
        code: `K${index + 1}`,
        room: 'Spider room',
        shelf: `Rack ${1 + (index % 5)}`,
        container: BOX,
        substrateDepthMm: 80,
      },
    }));
  const spider = (index: number, more: object = {}) => ({
    ...{
      scientificName: 'Brachypelma hamorii',
      stage: 'juvenile',
      legSpanMm: 60,
      box: `K${index + 1}`,
      on: '2022-05-01',
    },
    ...{ lastMoultOn: '2025-11-01', called: `Spider ${index + 1}`, ...more },
  });
  const bring = async (kind: string, rows: object[], more: object = {}) =>
    house.granted(await house.post('/api/lists', { kind, rows, ...more }));
  const residents = async (): Promise<Resident[]> => house.granted(await house.get('/api/residents')).residents;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });

  it('bring the boxes in with their rooms and shelves', async () => {
    expect(await bring('boxes', boxes(200), { name: 'boxes.csv' })).toMatchObject({ written: 200, problems: [] });
    expect(await house.homes()).toHaveLength(200);
    const { shelves } = house.granted(await house.get('/api/shelves'));
    expect(shelves.map(({ room, name }: { room: string; name: string }) => `${room} ${name}`).sort()).toEqual(
      [1, 2, 3, 4, 5].map((rack) => `Spider room Rack ${rack}`),
    );
  });

  it('refuse a box whose code stands already, in the house or twice in the list, each at its row', async () => {
    const rows = [...boxes(1), { ...boxes(1)[0], code: 'N1' }, { ...boxes(1)[0], code: 'n1' }, { code: 'N2' }];
    const { problems, written } = await bring('boxes', rows);
    expect(written).toBe(0);
    expect(
      problems.map((each: { row: number; fields: { path: string }[] }) => [each.row, each.fields[0]?.path]),
    ).toEqual([
      [0, 'code'],
      [2, 'code'],
      [3, 'room'],
    ]);
    expect(await house.homes()).toHaveLength(200);
  });

  it('are read as they stand in the sheet, and what is read can be brought in', async () => {
    const { rows, columns, order } = await house.compute('table', {
      kind: 'residents',
      rows: [
        ['Name', 'Species', 'Enclosure', 'Legspan', 'Leg span (in)', 'Date acquired', 'Last molt'],
        ['Ember', 'brachypelma hamorii', 'K1', '', '4 1/2', '25/12/2023', '6 weeks ago'],
        ['', 'Cute fluffy thing', 'K2', '', '3', '1/2/2024', ''],
      ],
    });
    expect(columns).toMatchObject({ called: 0, scientificName: 1, box: 2, size: 4, on: 5, lastMoultOn: 6 });
    expect(order).toBe('dmy');
    expect(rows[1].problems[0].column).toBe('scientificName');
    expect(await bring('residents', [rows[0].row], { check: true })).toMatchObject({ problems: [] });
  });

  it('say of every row what is wrong with it, and keep nothing while one is', async () => {
    const rows = Array.from({ length: 200 }, (_, index) => spider(index));
    Object.assign(rows[3] ?? {}, { legSpanMm: -1 });
    Object.assign(rows[77] ?? {}, { box: 'K999' });
    Object.assign(rows[120] ?? {}, { lastMoultOn: '2021-01-01', bornOn: '2021-06-01' });
    Object.assign(rows[150] ?? {}, { on: '2026-03-15' });
    Object.assign(rows[160] ?? {}, { box: 'K1' });
    const { listId, written, problems } = await bring('residents', rows);
    expect({ listId, written }).toEqual({ listId: null, written: 0 });
    expect(
      problems.map(({ row, fields }: { row: number; fields: { path: string }[] }) => [row, fields[0]?.path]),
    ).toEqual([
      [3, 'legSpanMm'],
      [77, 'box'],
      [120, 'lastMoultOn'],
      [150, 'on'],
      [160, 'homeId'],
    ]);
    expect(await residents()).toEqual([]);
  });

  it('bring two hundred residents and five thousand events in, from which the clocks run', async () => {
    await bring(
      'residents',
      Array.from({ length: 200 }, (_, index) => spider(index)),
    );
    const all = await residents();
    expect(all).toHaveLength(200);
    expect(all[0]).toMatchObject({ takenInOn: '2022-05-01', legSpanMm: 60 });
    const events = Array.from({ length: 5000 }, (_, index) => {
      const residentId = all[index % 200]?.id;
      // Each has its turn every 25 days.
      const on = new Date(Date.UTC(2024, 5, 1) + Math.floor(index / 200) * 25 * 864e5).toISOString().slice(0, 10);
      return index % 1000 < 200
        ? { kind: 'moulted', residentId, on }
        : { kind: 'offered', residentId, on, preyCount: 1, preyLengthMm: 12 };
    });
    expect(await bring('events', events)).toMatchObject({ written: 5000, problems: [] });
    const [one] = all;
    if (!one) throw new Error('Nobody was taken in.');
    const { moults } = await house.forecast(one);
    expect(moults).toHaveLength(6);
    const { entries } = house.granted(await house.get(`/api/residents/${one.id}/entries?kinds=offered`));
    expect(entries[0].on).toBe('2026-01-22');
  });

  it('hold events against each other and against the house: two moults on a day, a size that shrinks, after a death', async () => {
    const [one, two] = await residents();
    const events = [
      { kind: 'moulted', residentId: one?.id, on: '2026-02-01' },
      { kind: 'moulted', residentId: one?.id, on: '2026-02-01' },
      { kind: 'measured', residentId: one?.id, on: '2026-03-01', legSpanMm: 20 },
      { kind: 'offered', residentId: two?.id, on: '2026-03-10' },
      { kind: 'died', residentId: two?.id, on: '2026-03-05' },
      { kind: 'noted', residentId: one?.id, on: '2020-01-01', note: 'At the breeder.' },
      { kind: 'watered', residentId: one?.id, on: '2020-01-01' },
      { kind: 'danced', residentId: one?.id },
    ];
    const { problems } = await bring('events', events);
    expect(
      problems.map(({ row, fields }: { row: number; fields: { path: string }[] }) => [row, fields[0]?.path]),
    ).toEqual([
      [1, 'on'],
      [2, 'legSpanMm'],
      [3, 'residentId'],
      [6, 'on'],
      [7, 'kind'],
    ]);
    expect((await house.forecast(one as Resident)).moults).toHaveLength(6);
    expect(await residents()).toHaveLength(200);
  });

  it('come in once, and go as one', async () => {
    const again = await house.post('/api/lists', { kind: 'boxes', rows: boxes(200) });
    expect(again.status).toBe(409);
    expect(again.body.error.fields[0].path).toBe('rows');
    const { lists } = house.granted(await house.get('/api/lists'));
    expect(lists.map(({ kind, rows }: { kind: string; rows: number }) => `${rows} ${kind}`)).toEqual([
      ...['5000 events', '200 residents', '200 boxes'],
    ]);
    const [events, people, tubs] = lists;
    // Those that came in have a history since.
    const asked = await house.post(`/api/lists/${people.id}/undo`, undefined);
    expect([asked.status, asked.body.error.fields[0].path]).toEqual([409, 'along']);
    for (const list of [events, people, tubs]) house.granted(await house.post(`/api/lists/${list.id}/undo`, undefined));
    expect(await residents()).toEqual([]);
    // Somebody lived in the boxes: their story stays readable.
    expect(await bring('events', [{ kind: 'noted', residentId: people.id, note: 'x' }])).toMatchObject({ written: 0 });
    expect(await bring('boxes', boxes(201).slice(200))).toMatchObject({ written: 1 });
  });

  it('of ten thousand rows with three wrong ones name the three', async () => {
    await bring('residents', [spider(0)]);
    const [one] = await residents();
    const rows = Array.from({ length: 10_000 }, (_, index) => ({
      ...{ kind: 'noted', residentId: one?.id, on: '2025-06-01', note: `Page ${index}` },
    }));
    for (const index of [5, 4000, 9999]) Object.assign(rows[index] ?? {}, { on: '2026-13-01' });
    const reply = await bring('events', rows, { check: true });
    expect(reply.problems.map(({ row }: { row: number }) => row)).toEqual([5, 4000, 9999]);
    const most = await house.post('/api/lists', { kind: 'events', rows: [...rows, ...rows.slice(0, 1)] });
    expect(most.body.error.fields[0].path).toBe('rows');
  });
});
