import fc from 'fast-check';
import { addDays } from '@/core/measure/day';
import { inLines } from '@/core/testing/inLines';
import { databases, emptyDatabase } from '../testing/databases';
import { startServer, type TestServer } from '../testing/server';
import type { Database } from '../storage/database';
import { houseToday, type HouseToday } from './houseToday';
import { StandingHouse } from './standingHouse';

/* What is kept and brought up to date is what is worked out from nothing, whatever was written, taken back or changed. */

const TODAY = '2026-03-14';
const NOW = `${TODAY}T19:00:00.000Z`;
const BOX = { shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
const KINDS = [
  { scientificName: 'Lasiodora parahybana', profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60 },
  { scientificName: 'Lasiodora parahybana', profile: 'ground-tarantula', stage: 'adult', legSpanMm: 140 },
  { scientificName: 'Porcellio laevis', profile: 'isopod-temperate', stage: 'adult', headCount: 80 },
  { scientificName: 'Folsomia candida', profile: 'springtail', stage: 'adult', headCount: 500 },
  { scientificName: 'Lasius niger', profile: 'ant-small-temperate', stage: 'adult', headCount: 30 },
];

/** Everything that anybody is told of a house, without the feeders that remember what was asked of them. */
function told({ homes, residents, lodgers, unworkable, homeStates, colonies, rests }: HouseToday): string[] {
  return [
    inLines(homes),
    inLines(residents),
    inLines(lodgers.map(({ due, today, log }) => [due, today.watering, today.outlooks, today.rest, today.move, log])),
    inLines(unworkable),
    inLines([...homeStates].sort(([a], [b]) => a.localeCompare(b))),
    inLines([...colonies].sort(([a], [b]) => a.localeCompare(b))),
    inLines([...rests].sort(([a], [b]) => a.localeCompare(b))),
  ];
}

/** One thing that a keeper does; which of the animals, boxes and entries is said by a number. */
type Act = (
  house: { server: TestServer; residents: string[]; homes: string[]; entries: string[] },
  which: number,
) => Promise<number>;
const pick = (list: readonly string[], which: number) => list[which % Math.max(1, list.length)] ?? '';

const about =
  (kind: string, facts: object = {}): Act =>
  async ({ server, residents, entries }, which) => {
    const residentId = pick(residents, which);
    const { status, body } = await server.post('/api/entries', { kind, residentId, ...facts });
    if (status === 201) entries.push(body.entry.id);
    return status;
  };

const ACTS: Record<string, Act> = {
  fed: about('offered', { dishes: [{ food: 'field-cricket-small', count: 2 }], insist: true }),
  eaten: about('eaten'),
  refused: about('refused'),
  dark: about('sign', { sign: 'dark' }),
  damped: about('damped', { waterMl: 20, neededMl: 40 }),
  felt: about('felt', { wetness: 0.3 }),
  watered: about('watered'),
  moulted: about('moulted', { legSpanMm: 75 }),
  'moulted before': about('moulted', { on: addDays(TODAY, -40) }),
  counted: about('measured', { headCount: 120 }),
  died: about('died'),
  'put off': about('skipped', { job: 'water', until: addDays(TODAY, 3), why: 'no-time' }),
  moved: async (house, which) => about('moved', { homeId: pick(house.homes, which >> 2), insist: true })(house, which),
  'a move planned': async (house, which) => {
    const days = { moveOn: TODAY, from: TODAY, until: addDays(TODAY, 4) };
    return about('move-planned', { toHomeId: pick(house.homes, which >> 2), ...days })(house, which);
  },
  'taken back': async ({ server, entries }, which) => {
    return (await server.post(`/api/entries/${pick(entries, which)}/undo`, {})).status;
  },
  'soil set': async ({ server, homes }, which) => {
    return (
      await server.post('/api/entries', {
        kind: 'soil-set',
        homeId: pick(homes, which),
        substrateDepthMm: 10 + (which % 90),
      })
    ).status;
  },
  'a box changed': async ({ server, homes }, which) => {
    return (
      await server.patch(`/api/homes/${pick(homes, which)}`, { place: 1 + (which % 9), litterDepthMm: which % 30 })
    ).status;
  },
  'taken in': async ({ server, residents, homes }, which) => {
    const kind = KINDS[which % KINDS.length];
    const { status, body } = await server.post('/api/residents', { ...kind, homeId: pick(homes, which >> 3) });
    if (status === 201) residents.push(body.resident.id);
    return status;
  },
  renamed: async ({ server, residents }, which) => {
    return (await server.patch(`/api/residents/${pick(residents, which)}`, { called: `Name ${which}` })).status;
  },
  bought: async ({ server }, which) => {
    return (
      await server.post('/api/store/entries', {
        kind: 'bought',
        item: 'field-cricket-small',
        amount: 1 + (which % 20),
        on: TODAY,
      })
    ).status;
  },
  'a reading': async ({ server, homes }, which) => {
    const reading = { place: 'air', temperatureC: 15 + (which % 15), relativeHumidityPct: 20 + (which % 70) };
    return (await server.post(`/api/homes/${pick(homes, which)}/readings`, reading)).status;
  },
  'a school': async ({ server, residents }, which) => {
    const whose =
      which % 3 === 0
        ? { scope: 'kind', about: 'ground-tarantula' }
        : { scope: 'resident', about: pick(residents, which) };
    const school = which % 2 ? 'large-and-rarely' : 'small-and-often';
    return (await server.put('/api/schools', { ...whose, topic: 'feeding', school })).status;
  },
};

/** Each of them once, of somebody who can. */
const EACH_ONCE = Object.keys(ACTS).map((name): [string, number] => [name, { moved: 20, died: 1 }[name] ?? 0]);
const RUNS = 10;
const done = fc.array(fc.tuple(fc.constantFrom(...Object.keys(ACTS)), fc.nat(1000)), { minLength: 6, maxLength: 18 });

describe.each(databases)('a house that is kept, on $kind', ({ open }) => {
  let database: Database;
  let server: TestServer;
  const house = { residents: [] as string[], homes: [] as string[], entries: [] as string[] };
  beforeAll(async () => {
    database = await emptyDatabase(open);
    server = await startServer(database);
    const { shelf } = (await server.post('/api/shelves', { room: 'Room', name: 'Shelf 1' })).body;
    for (const code of ['A1', 'A2', 'A3', 'A4', 'A5', 'A6']) {
      const box = { code, shelfId: shelf.id, container: BOX, substrateDepthMm: 40 };
      house.homes.push((await server.post('/api/homes', box)).body.home.id);
    }
    for (const [index, kind] of KINDS.entries()) {
      const { body } = await server.post('/api/residents', { ...kind, homeId: house.homes[index], on: '2025-06-01' });
      house.residents.push(body.resident.id);
    }
  });
  afterAll(async () => {
    await server.close();
    await database.close();
  });

  it('stays the same object for whom nothing was written about, and while nothing is', async () => {
    const before = await houseToday(database, TODAY, NOW);
    expect(await houseToday(database, TODAY, NOW)).toBe(before);
    const [one] = before.lodgers;
    await server.post('/api/entries', { kind: 'watered', residentId: one?.resident.id });
    const after = await houseToday(database, TODAY, NOW);
    const same = after.lodgers.filter((lodger) => before.lodgers.includes(lodger));
    expect(after.lodgers[0]).not.toBe(one);
    expect(same.length).toBeGreaterThan(0);
    expect(same.every(({ home }) => home.id !== one?.home.id)).toBe(true);
  });

  it('is told what another program has written to the same database', async () => {
    const before = await houseToday(database, TODAY, NOW);
    const [one] = before.residents;
    await database.query('UPDATE resident SET called = $2 WHERE id = $1', [one?.id, 'From outside']);
    expect((await houseToday(database, TODAY, NOW)).residents[0]?.called).toBe('From outside');
  });

  const granted = new Set<string>();
  it('is after any sequence of entries, undos and changes what is worked out from nothing', async () => {
    await fc.assert(
      fc.asyncProperty(done, async (acts) => {
        for (const [name, which] of acts) {
          const status = await ACTS[name]?.({ server, ...house }, which);
          if (status === 200 || status === 201) granted.add(name);
          const now = told(await houseToday(database, TODAY, NOW));
          expect([name, now]).toEqual([name, told((await StandingHouse.gather(database, TODAY, NOW)).today())]);
        }
      }),
      { numRuns: RUNS, endOnFailure: true, examples: [[EACH_ONCE]] },
    );
    // No law about what was never done.
    expect(Object.keys(ACTS).filter((name) => !granted.has(name))).toEqual([]);
  });
});
