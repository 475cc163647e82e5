import type { ColonyFacts } from '@/contract/colony';
import type { Home, Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A keeper asks one question in two places: on the list of boxes and in the box, on the page of a colony and in its nest, on the
 * round and on the page of moves. The words differ; the answer does not.
 */
const grounds = (home: Home) => (home.state?.grounds ?? []).map(({ about, status }) => `${about} ${status}`);

describe('how a box stands', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('Shelf 1', 'Room', { temperatureC: 22, relativeHumidityPct: 45 });
  });

  it('is not good while its probe says that it was too damp for days', async () => {
    await house.box('S1', { lengthMm: 150, widthMm: 150, heightMm: 300, lid: 'solid', vents: HOLES }, { soilMm: 40 });
    const spider = await house.takeIn('Phidippus regius', 'S1', {
      ...{ profile: 'jumping-spider', stage: 'adult', bodyLengthMm: 14 },
    });
    await house.probe('S1', 8 * 24, { temperatureC: 24, relativeHumidityPct: 96 });
    const alarms = (await house.job(spider, 'alarm'))?.reason;
    expect(alarms).toMatchObject({ code: 'alarms' });
    const home = await house.home('S1');
    expect(home.state?.verdict).toBe('fail');
    expect(grounds(home)).toContain('alarm fail');
  });

  it('is not good where its air is stale, and nothing beside it says that air moves', async () => {
    await house.box('S2', { lengthMm: 280, widthMm: 200, heightMm: 200, lid: 'solid', vents: HOLES }, { soilMm: 40 });
    await house.takeIn('Mantis religiosa', 'S2', { profile: 'mantis', stage: 'adult', bodyLengthMm: 60 });
    const home = await house.home('S2');
    expect(grounds(home)).toContain('air watch');
    expect(home.state?.verdict).not.toBe('pass');
    expect(home.state?.air).toMatchObject({ staleAir: 'stale' });
    expect(JSON.stringify(home.state)).not.toMatch(/air moves/i);
  });

  it('is told of a free box by nobody', async () => {
    await house.box('S3', 'flat-2', { soilMm: 40 });
    expect((await house.home('S3')).state).toMatchObject({ verdict: null, grounds: [] });
  });

  it('is said the same by the box, and by the round that mends it', async () => {
    await house.box('S4', 'flat-1', { soilMm: 10 });
    const spider = await house.takeIn('Lasiodora parahybana', 'S4', {
      ...{ profile: 'ground-tarantula', stage: 'adult', legSpanMm: 180 },
    });
    const kinds = await house.kinds(spider);
    expect(kinds.some((kind) => ['rehouse', 'mend', 'soil'].includes(kind))).toBe(true);
    const home = await house.home('S4');
    expect(home.state?.verdict).toBe('fail');
    expect(grounds(home)).toContain('fit fail');
  });
});

/** Two pinholes on each of two sides: holes on two sides, and next to no air. */
const HOLES = (['left', 'right'] as const).map((side) => ({
  ...{ side, shape: 'hole', count: 1, diameterMm: 1, centreHeightMm: 150 },
}));

describe('how full a nest is', () => {
  let house: House;
  let colony: Resident;
  const NEST = {
    chambers: [{ lengthMm: 60, widthMm: 30, heightMm: 10 }],
    tubeBoreMm: 8,
    outworld: { lengthMm: 120, widthMm: 90, heightMm: 80 },
  };
  const fullness = async (who: Resident) => {
    const facts = house.granted(await house.get(`/api/residents/${who.id}/colony`)) as ColonyFacts;
    const { colonies } = house.granted(await house.get('/api/colonies'));
    const side = colonies.find(({ residentId }: { residentId: string }) => residentId === who.id);
    const home = (await house.homes()).find(({ id }) => id === who.homeId);
    return { page: facts.fullPct, side: side.fullPct, home: home?.state?.fullPct };
  };
  beforeAll(async () => {
    house = await emptyHouse('2026-05-20');
    await house.shelf('Ants', 'Room', { temperatureC: 25, relativeHumidityPct: 50 });
    await house.box('N1', { lengthMm: 140, widthMm: 100, heightMm: 60 }, { nest: NEST });
    const ants = { profile: 'ant-small-temperate', stage: 'adult', form: 'colony', headCount: 60 };
    colony = await house.takeIn('Myrmica rubra', 'N1', ants);
  });

  it('is one number on its page, beside the others, and in its box', async () => {
    const { page, side, home } = await fullness(colony);
    expect(page).toBeGreaterThan(0);
    expect(side).toBeCloseTo(page ?? NaN, 6);
    expect(home).toBeCloseTo(page ?? NaN, 6);
  });

  it('stays one number when they have grown on since they were counted', async () => {
    const before = await fullness(colony);
    await house.days(60);
    const { page, side, home } = await fullness(colony);
    expect(page).not.toBeCloseTo(before.page ?? NaN, 0);
    expect(side).toBeCloseTo(page ?? NaN, 6);
    expect(home).toBeCloseTo(page ?? NaN, 6);
  });

  it('of a tub is by the same room as its crowding: as many as it has room for fit, and more are crowded', async () => {
    await house.box('E1', { lengthMm: 300, widthMm: 200, heightMm: 160, lid: 'solid', vents: HOLES }, { soilMm: 50 });
    const swifts = { profile: 'isopod-temperate', stage: 'adult', headCount: 60 };
    // A kind of the size that is usual for its profile.
    const tub = await house.takeIn('Unnamed species', 'E1', swifts);
    const { roomForHeads } = house.granted(await house.get(`/api/residents/${tub.id}/colony`)) as ColonyFacts;
    const crowd = async (share: number) => {
      const { container, substrateDepthMm } = await house.home('E1');
      const headCount = Math.floor(share * (roomForHeads ?? 0));
      const { checks } = await house.compute('fit', { ...swifts, headCount, container, substrateDepthMm });
      return checks.find(({ rule }: { rule: string }) => rule === 'crowd').status;
    };
    expect(await crowd(0.99)).toBe('pass');
    expect(await crowd(1.05)).toBe('watch');
  });
});

describe('cleaners in the box of another', () => {
  it('fill it without anybody being told to split them: not its box, not the list of colonies', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('B1', { lengthMm: 300, widthMm: 200, heightMm: 200, vents: HOLES }, { soilMm: 100 });
    const spider = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60, on: '2025-06-01' };
    await house.takeIn('Lasiodora parahybana', 'B1', spider);
    const tails = { profile: 'springtail', stage: 'adult', headCount: 20_000, on: '2025-06-01' };
    const cleaners = await house.takeIn('Folsomia candida', 'B1', tails);
    const home = await house.home('B1');
    expect(home.state?.fullPct).toBeNull();
    expect(grounds(home).filter((each) => each.startsWith('full'))).toEqual([]);
    const { colonies } = house.granted(await house.get('/api/colonies'));
    const row = colonies.find(({ residentId }: { residentId: string }) => residentId === cleaners.id);
    expect(row).toMatchObject({ fullPct: null, splitOn: null });
    const page = house.granted(await house.get(`/api/residents/${cleaners.id}/colony`)) as ColonyFacts;
    expect(page).toMatchObject({ fullPct: null, splitOn: null });
  });
});

describe('when a queen has her first workers', () => {
  const firstWorkers = async (house: House, queen: Resident) =>
    (house.granted(await house.get(`/api/residents/${queen.id}/colony`)) as ColonyFacts).founding?.firstWorkers;
  const taken = async (day: string) => {
    const house = await emptyHouse(day);
    await house.shelf('Ants', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    await house.shelf('Cold', 'Cellar', { temperatureC: 6, relativeHumidityPct: 60 });
    const nest = { chambers: [{ lengthMm: 60, widthMm: 16, heightMm: 16 }] };
    await house.box('F1', { shape: 'cylinder', diameterMm: 16, heightMm: 150 }, { nest });
    const facts = { profile: 'ant-small-temperate', stage: 'adult', sex: 'female' };
    const queen = await house.takeIn('Lasius niger', 'F1', facts);
    return { house, queen };
  };

  it('is after her rest, where she rests before: no worker comes at 6 C', async () => {
    const { house, queen } = await taken('2026-09-25');
    const { rooms } = house.granted(await house.get('/api/rooms'));
    const cold = rooms.find(({ name }: { name: string }) => name === 'Cellar');
    await house.write('rest-planned', queen, { roomId: cold.id, startOn: '2026-10-10' });
    const { rest } = house.granted(await house.get(`/api/residents/${queen.id}/rest`));
    const ends = rest.course.endsOn;
    const first = await firstWorkers(house, queen);
    expect(first && first.p10 > ends).toBe(true);
    // And she is called sealed in until that same day.
    const quiet = await house.leftAlone(queen);
    expect(quiet).toMatchObject({ code: 'founding', endsOn: first?.p90 });
  });

  it('is after the rest that her kind must have, though nobody has planned it yet', async () => {
    const { house, queen } = await taken('2026-10-05');
    expect((await firstWorkers(house, queen))?.p10.slice(0, 4)).toBe('2027');
  });

  it('is within weeks in May', async () => {
    const { house, queen } = await taken('2026-05-05');
    const first = await firstWorkers(house, queen);
    expect(first && first.median < '2026-08-01').toBe(true);
  });
});

describe('whether a move can wait', () => {
  it('is no on the page of moves, too, for one whose box fails', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('B1', 'flat-1', { soilMm: 45 });
    await house.box('B3', 'flat-3', { soilMm: 80 });
    const animal = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 118, on: '2025-09-01' };
    const spider = await house.takeIn('Lasiodora parahybana', 'B1', animal);
    expect(await house.job(spider, 'rehouse')).toMatchObject({ cannotWait: true });
    const { moves } = house.granted(await house.post('/api/moves/plan', { days: 60 }));
    const move = moves.find(({ resident }: { resident: string }) => resident === spider.id);
    expect(move).toMatchObject({ need: 'fails', window: { until: move.on } });
    // Settled, it is asked for once, as the move that it is.
    const plan = { toHomeId: move.to, moveOn: move.on, from: move.window.from, until: move.window.until };
    await house.write('move-planned', spider, plan);
    const jobs = await house.jobs(spider);
    expect(jobs.filter(({ kind }) => kind === 'rehouse' || kind === 'move').map(({ kind }) => kind)).toEqual(['move']);
    expect(jobs.find(({ kind }) => kind === 'move')).toMatchObject({ cannotWait: true });
  });
});

describe('how many young a box will hold', () => {
  it('is said of eggs as it is said of those that have hatched', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('E1', { lengthMm: 300, widthMm: 300, heightMm: 300, lid: 'mesh' }, { soilMm: 0 });
    const eggs = await house.takeIn('Carausius morosus', 'E1', {
      ...{ profile: 'stick-insect', stage: 'egg', headCount: 400, on: '2025-12-01' },
    });
    await house.write('laid', eggs, { laidFrom: '2025-12-01', mating: 'mated' });
    const { broods } = house.granted(await house.get('/api/broods'));
    const kept = broods.find(({ residentId }: { residentId: string }) => residentId === eggs.id).inHalfAYear;
    const litres = 27;
    const heads = Math.floor((litres / kept.litres) * kept.heads * 0.98);
    const crowd = async (headCount: number) => {
      const animal = { profile: 'stick-insect', stage: kept.stage, bodyLengthMm: kept.sizeMm, headCount };
      const { container, substrateDepthMm } = await house.home('E1');
      const { checks } = await house.compute('fit', { ...animal, container, substrateDepthMm });
      return checks.find(({ rule }: { rule: string }) => rule === 'crowd').status;
    };
    expect(await crowd(heads)).toBe('pass');
    expect(await crowd(Math.ceil(heads * 1.1))).not.toBe('pass');
  });
});
