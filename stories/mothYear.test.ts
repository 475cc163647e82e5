import type { Resident } from '@/contract/records';
import { addDays, daysBetween } from '@/core/measure/day';
import { emptyHouse, type House } from './house';

/**
 * A year of silk moths: eggs that lie cold until their oaks are out, caterpillars that spin after some weeks, cocoons, moths that
 * live for days and have to be out together. One chain: what is moved at its beginning moves all of it.
 */
describe('a year of moths', () => {
  let house: House;
  const rooms: Record<string, string> = {};
  const begin = async (day: string) => {
    house = await emptyHouse(day);
    await house.shelf('Warm', 'Room', { temperatureC: 22, relativeHumidityPct: 60 });
    await house.shelf('Door', 'Refrigerator', { temperatureC: 4, relativeHumidityPct: 60 });
    for (const { id, name } of house.granted(await house.get('/api/rooms')).rooms) rooms[name] = id;
    for (const code of ['N1', 'N2', 'N3']) await house.box(code, 'net-large', { shelf: 'Warm' });
  };
  const brood = async () => house.granted(await house.get('/api/broods')).broods[0];
  const flight = async () => house.granted(await house.get('/api/broods')).flights[0];
  /** Does what the round asks of a rest, day by day. */
  const rested = async (who: Resident, until: string) => {
    while ((await house.today()) < until) {
      for (const { rest, kind } of await house.jobs(who))
        if (kind === 'rest' && rest)
          await house.write('rest-step', who, { step: rest.key, answers: `rest ${rest.restId} ${rest.key}` });
      await house.days(1);
    }
  };

  it('goes from eggs in the cold to a pair in the net', async () => {
    await begin('2026-10-20');
    const laid = { stage: 'egg', headCount: 40 };
    const eggs = await house.takeIn('Antheraea yamamai', 'N1', laid);
    await house.write('laid', eggs, { laidFrom: '2026-09-01', mating: 'mated' });
    expect((await brood()).problem).toMatch(/cold/);
    await house.write('rest-planned', eggs, { roomId: rooms.Refrigerator });
    const planned = await brood();
    // Twenty weeks from November: no oak is out yet in the middle of March.
    expect(planned.forecast.median > '2027-03-15' && planned.forecast.median < '2027-05-10').toBe(true);
    expect(planned.bareUntil === null || planned.bareUntil === '2027-05-01').toBe(true);
    const { marks } = house.granted(await house.get('/api/seasons'));
    expect(marks).toContainEqual(
      expect.objectContaining({ residentId: eggs.id, kind: 'hatch', median: planned.forecast.median }),
    );
    await rested(eggs, '2027-04-05');
    const { forecast } = await brood();
    expect(Math.abs(daysBetween(forecast.median, planned.forecast.median))).toBeLessThan(15);
    while ((await house.today()) < forecast.median) await house.days(1);
    const young = { count: 12, homeId: house.boxId('N2'), stage: 'larva' };
    const { resident: larvae } = house.granted(await house.post(`/api/residents/${eggs.id}/part`, young), 201);
    const { spins } = await flight();
    const weeks = daysBetween(await house.today(), spins.median) / 7;
    expect(weeks).toBeGreaterThan(4);
    expect(weeks).toBeLessThan(9);
    while ((await house.today()) < spins.median) await house.days(1);
    await house.write('moulted', larvae, { stage: 'pupa' });
    const { meeting } = await flight();
    expect(daysBetween(await house.today(), meeting.female.median)).toBeGreaterThan(10);
    while ((await house.today()) < meeting.pairOn) await house.days(1);
    await house.write('moulted', larvae, { stage: 'adult' });
    expect((await flight()).meeting).toBeNull();
  });

  it('in which nobody finds leaves is told weeks before', async () => {
    await begin('2026-12-28');
    const eggs = await house.takeIn('Antheraea polyphemus', 'N1', { stage: 'egg', headCount: 40 });
    await house.write('laid', eggs, { laidFrom: '2026-12-27', mating: 'mated' });
    const { forecast, bareUntil } = await brood();
    // Kept warm they hatch in January; of oak, birch, hazel, willow and beech the willow is out first, late in March.
    expect(forecast.median < '2027-02-01').toBe(true);
    expect(bareUntil).toBe('2027-03-25');
  });

  it("in which there is a plant of the keeper's own is told as long as that plant is there", async () => {
    await begin('2026-12-28');
    const { plant } = house.granted(await house.post('/api/plants', { name: 'Quercus ilex', evergreen: true }), 201);
    const eggs = await house.takeIn('Antheraea polyphemus', 'N1', { stage: 'egg', headCount: 40 });
    await house.write('laid', eggs, { laidFrom: '2026-12-27', mating: 'mated' });
    house.granted(await house.patch(`/api/residents/${eggs.id}`, { plants: [plant.id, 'willow'] }));
    expect((await brood()).bareUntil).toBeNull();
    house.granted(await house.remove(`/api/plants/${plant.id}`));
    expect((await brood()).bareUntil).toBe('2027-03-25');
  });

  it('of kinds whose cocoons may be cooled or not says so on the card, in the list of rests and in the plan', async () => {
    await begin('2026-10-20');
    const cocoons = { stage: 'pupa', form: 'group', headCount: 4, bodyLengthMm: 40, sex: 'female' };
    for (const [index, name] of ['Actias luna', 'Antheraea polyphemus'].entries()) {
      const who = await house.takeIn(name, `N${index + 1}`, cocoons);
      const { rests } = house.granted(await house.get('/api/rests'));
      expect(rests.find(({ residentId }: { residentId: string }) => residentId === who.id)).toMatchObject({
        need: 'may',
      });
      const { kind } = house.granted(await house.get(`/api/residents/${who.id}/rest`));
      expect(kind).toMatchObject({ need: 'may', stages: ['pupa'] });
      const warm = house.granted(await house.get('/api/broods')).flights.at(index ? 1 : 0).meeting.female.median;
      await house.write('rest-planned', who, { roomId: rooms.Refrigerator });
      const flights = house.granted(await house.get('/api/broods')).flights;
      const later = flights.find(({ scientificName }: { scientificName: string }) => scientificName === name);
      expect(later.meeting.female.median > addDays(warm, 90)).toBe(true);
    }
    const atlas = await house.takeIn('Attacus atlas', 'N3', cocoons);
    expect(house.granted(await house.get(`/api/residents/${atlas.id}/rest`)).kind).toMatchObject({ need: 'never' });
  });

  it('in which a cocoon waits for its time does not count on it', async () => {
    await begin('2026-06-01');
    const cocoons = { stage: 'pupa', form: 'group', headCount: 4, bodyLengthMm: 40, sex: 'female' };
    const who = await house.takeIn('Actias luna', 'N1', cocoons);
    expect((await flight()).meeting).not.toBeNull();
    await house.write('measured', who, { waits: true });
    expect(await flight()).toMatchObject({ meeting: null, waiting: 4, waitingIds: [who.id] });
    expect(await house.kinds(who)).not.toContain('emerge');
    await house.write('measured', who, { waits: false });
    expect((await flight()).meeting).not.toBeNull();
  });

  it('has caterpillars that spin by their age, else by their instar', async () => {
    await begin('2026-06-01');
    const asked = { profile: 'moth-tropical', scientificName: 'Actias luna', temperatureC: 24 };
    const spins = (more: object) => house.compute('spinning', { ...asked, ...more });
    const aged = await spins({ bornOn: '2026-05-20' });
    expect(daysBetween('2026-05-20', aged.median)).toBeGreaterThanOrEqual(21);
    expect(daysBetween('2026-05-20', aged.median)).toBeLessThanOrEqual(35);
    const [second, fourth] = [await spins({ instar: 2 }), await spins({ instar: 4 })];
    expect(daysBetween(fourth.median, second.median)).toBeGreaterThan(7);
    const { status, body } = await house.post('/api/compute/spinning', { ...asked, instar: 7 });
    expect([status, body.error.fields[0].path]).toEqual([422, 'instar']);
  });
});
