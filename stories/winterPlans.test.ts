import type { ResidentRest } from '@/contract/rest';
import type { Resident } from '@/contract/records';
import { daysBetween } from '@/core/measure/day';
import { emptyHouse, type House } from './house';

/**
 * A winter is planned when somebody thinks of it, often when it has begun. The plan starts that day, feeds well before, says where
 * each step can be kept, and no page says that all is well beside an alarm.
 */
describe('the plan of a winter', () => {
  let house: House;
  let rooms: { id: string; name: string }[];
  const NEST = {
    chambers: [{ lengthMm: 90, widthMm: 60, heightMm: 12 }],
    tubeBoreMm: 10,
    outworld: { lengthMm: 200, widthMm: 150, heightMm: 120 },
  };
  const begin = async (day: string, fridgeC = 6) => {
    house = await emptyHouse(day);
    await house.shelf('Bench', 'Room', { temperatureC: 22, relativeHumidityPct: 50 });
    await house.shelf('Floor', 'Cellar', { temperatureC: 13, relativeHumidityPct: 70 });
    await house.shelf('Door', 'Refrigerator', { temperatureC: fridgeC, relativeHumidityPct: 60 });
    ({ rooms } = house.granted(await house.get('/api/rooms')));
    await house.box('F1', { lengthMm: 200, widthMm: 150, heightMm: 60 }, { nest: NEST, shelf: 'Bench' });
  };
  const roomId = (name: string) => rooms.find((each) => each.name === name)?.id;
  const ants = (more: object = {}) =>
    house.takeIn('Lasius niger', 'F1', {
      ...{ stage: 'adult', form: 'colony', headCount: 150, bodyLengthMm: 4, ...more },
    });
  const restOf = async (who: Resident): Promise<ResidentRest> =>
    house.granted(await house.get(`/api/residents/${who.id}/rest`));
  const plan = (who: Resident, place = 'Refrigerator', more: object = {}) =>
    house.write('rest-planned', who, { roomId: roomId(place), ...more });

  it('made in its season starts today, and is not late', async () => {
    await begin('2026-11-20');
    const colony = await ants();
    await plan(colony);
    const { rest } = await restOf(colony);
    expect(rest?.course.lateDays).toBe(0);
    expect(rest?.course.steps[0]).toMatchObject({ what: 'feed-well', on: '2026-11-20' });
    const job = await house.job(colony, 'rest');
    expect(job).toMatchObject({ rest: { what: 'feed-well' }, cannotWait: false });
    const on = (what: string) => rest?.course.steps.find((step) => step.what === what)?.on ?? '';
    // Fed well for a fortnight, the last food days before it is cooled, each on its own day.
    expect(daysBetween(on('feed-well'), on('last-food'))).toBeGreaterThanOrEqual(10);
    expect(daysBetween(on('last-food'), on('cool'))).toBeGreaterThanOrEqual(3);
    expect(new Set([on('feed-well'), on('last-food'), on('clear-food'), on('cool')]).size).toBe(4);
  });

  it('begun on the day that is chosen still empties it first', async () => {
    await begin('2026-11-20');
    const colony = await ants();
    await plan(colony, 'Refrigerator', { startOn: '2026-11-20' });
    const { rest } = await restOf(colony);
    expect(rest?.course.steps[0]).toMatchObject({ on: '2026-11-20' });
    const on = (what: string) => rest?.course.steps.find((step) => step.what === what)?.on ?? '';
    expect(daysBetween(on('last-food'), on('cool'))).toBeGreaterThanOrEqual(3);
    expect(rest?.course.lateDays).toBe(0);
  });

  it('names a place for every step that a place of the house can hold', async () => {
    await begin('2026-11-20');
    const colony = await ants();
    await plan(colony);
    const { rest } = await restOf(colony);
    const steps = (rest?.course.steps ?? []).filter(({ what }) => what === 'cool' || what === 'warm');
    const at = (targetC: number) => steps.find((step) => Math.abs(step.targetC - targetC) < 2)?.place;
    expect(at(22)).toBe('Room');
    expect(at(14)).toBe('Cellar');
    expect(at(6)).toBe('Refrigerator');
    // Nothing in the house is 18 C.
    expect(at(18)).toBeNull();
    for (let day = 0; day < 20; day += 1) {
      const rested = (await house.job(colony, 'rest'))?.rest;
      if (rested) await house.write('rest-step', colony, { step: rested.key, answers: `rest ${rested.key}` });
      if (rested?.what === 'cool') break;
      await house.days(1);
    }
    await house.days(4);
    expect((await house.job(colony, 'rest'))?.rest).toMatchObject({ what: 'cool', place: 'Cellar' });
  });

  it('does not say that all was well where an alarm cries', async () => {
    await begin('2026-11-20', 3);
    const colony = await ants();
    await plan(colony);
    const first = await restOf(colony);
    expect(first.rest?.warnings).toContain('place-too-cold');
    for (let day = 0; day < 60; day += 1) {
      for (const { rest, kind } of await house.jobs(colony))
        if (kind === 'rest' && rest)
          await house.write('rest-step', colony, { step: rest.key, answers: `r ${rest.key}` });
      if ((await restOf(colony)).rest?.course.phase === 'cold') break;
      await house.days(1);
    }
    const facts = { name: 'In the door', kind: 'device', place: 'room', roomId: roomId('Refrigerator') };
    const { token } = house.granted(await house.post('/api/probes', facts), 201);
    const now = Date.parse(`${await house.today()}T18:00:00`);
    const readings = Array.from({ length: 30 }, (_, hour) => ({
      at: new Date(now - (29 - hour) * 3_600_000).toISOString(),
      temperatureC: 1 + (hour % 2) / 10,
    }));
    house.granted(await house.send('/api/readings', { readings }, token), 201);
    const { rest } = await restOf(colony);
    expect(rest?.alarms.length).toBeGreaterThan(0);
    expect(rest?.isAsWanted).toBe(false);
    expect((await house.jobs(colony)).map(({ kind }) => kind)).toContain('alarm');
  });

  it('tells what it weighed and how many it was before and after', async () => {
    await begin('2026-11-05');
    await house.box('S1', 'culture-large', { soilMm: 80, shelf: 'Bench' });
    const snail = await house.takeIn('Helix pomatia', 'S1', { stage: 'adult', massG: 22, bodyLengthMm: 38 });
    await plan(snail);
    const write = async () => {
      for (const { rest, kind } of await house.jobs(snail))
        if (kind === 'rest' && rest) {
          if (rest.what === 'count')
            await house.write('measured', snail, { massG: (await house.today()) < '2027-01-01' ? 22 : 20 });
          await house.write('rest-step', snail, { step: rest.key, answers: `r ${rest.key}` });
        }
      await house.days(1);
    };
    for (let day = 0; day < 150; day += 1) await write();
    const { rest } = await restOf(snail);
    expect(rest?.course.phase).toBe('over');
    expect(rest?.weights).toEqual({
      before: expect.objectContaining({ massG: 22 }),
      after: expect.objectContaining({ massG: 20 }),
    });
  });

  it('of a school that does not rest is made nowhere, and its colony slows by itself', async () => {
    await begin('2026-10-20');
    const colony = await ants();
    const heads = async () => {
      const { counts, temperaturesC } = house.granted(await house.get(`/api/residents/${colony.id}/colony`));
      const asked = { profile: 'ant-small-temperate', scientificName: 'Lasius niger', queens: 1, weeks: 16 };
      const { series } = await house.compute('colony', { ...asked, counts, temperaturesC: temperaturesC.slice(0, 16) });
      return series.at(-1);
    };
    const rested = await heads();
    house.granted(
      await house.put('/api/schools', { scope: 'resident', about: colony.id, topic: 'winter', school: 'no-rest' }),
    );
    const { rests } = house.granted(await house.get('/api/rests'));
    expect(rests[0]).toMatchObject({ need: 'may' });
    const awake = await heads();
    expect(rested.isResting).toBe(true);
    expect(awake.isResting).toBe(false);
    expect(awake.total.median).toBeGreaterThan(rested.total.median);
    // And less than in a summer of the same warmth.
    const { counts } = house.granted(await house.get(`/api/residents/${colony.id}/colony`));
    const asked = { profile: 'ant-small-temperate', scientificName: 'Lasius niger', queens: 1, weeks: 16 };
    const { series } = await house.compute('colony', { ...asked, counts, temperatureC: 22 });
    expect(awake.total.median).toBeLessThan(0.9 * series.at(-1).total.median);
  });

  it('is told for those of cold winters, and that others have none', async () => {
    await begin('2026-10-20');
    await house.box('M1', 'vial-tall', { shelf: 'Bench' });
    await house.box('M2', 'vial-tall', { shelf: 'Bench' });
    await house.box('M3', 'flat-2', { shelf: 'Bench', soilMm: 30 });
    await house.box('M4', 'culture-large', { shelf: 'Bench', soilMm: 120 });
    const eggs = { stage: 'egg', headCount: 100 };
    const need = async (who: Resident) => (await restOf(who)).kind?.need;
    expect(await need(await house.takeIn('Mantis religiosa', 'M1', { profile: 'mantis', ...eggs }))).toBe('must');
    expect(await need(await house.takeIn('Hierodula membranacea', 'M2', eggs))).toBe('never');
    const scorpion = { profile: 'crevice-scorpion', stage: 'adult', bodyLengthMm: 35 };
    expect(await need(await house.takeIn('Euscorpius italicus', 'M3', scorpion))).toBe('may');
    const millipede = { profile: 'millipede-tropical', stage: 'adult', bodyLengthMm: 120 };
    expect(await need(await house.takeIn('Archispirostreptus gigas', 'M4', millipede))).toBe('never');
  });
});
