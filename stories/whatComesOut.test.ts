import type { Resident } from '@/contract/records';
import { addDays, daysBetween } from '@/core/measure/day';
import { emptyHouse, type House } from './house';

/**
 * What comes out of eggs and cocoons is on the round when it is time, in the year, in the calendar and on the sheet of whoever
 * looks in: hatchlings dry out within a day, and moths live a week.
 */
describe('what comes out', () => {
  let house: House;
  const kindsIn = async (who: Resident, days: number) => {
    const seen = new Set<string>();
    for (let day = 0; day < days; day += 1) {
      for (const kind of await house.kinds(who)) seen.add(kind);
      await house.days(1);
    }
    return seen;
  };

  // Nobody saw the mother mate: half of such batches hatch, and each within weeks of which none is likely by itself.
  it('of eggs that are likely to hatch is housed, also where nobody knows of a male', async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('S', 'Room', { temperatureC: 25, relativeHumidityPct: 60 });
    for (const code of ['E1', 'E2']) await house.box(code, 'net-small');
    await house.takeIn('Hierodula membranacea', 'E1', { stage: 'egg', headCount: 200 });
    await house.takeIn('Platymeris biguttatus', 'E2', { stage: 'egg', headCount: 80 });
    const { broods } = house.granted(await house.get('/api/broods'));
    for (const { forecast, inHalfAYear } of broods) {
      expect(forecast.expected.median).toBeGreaterThan(25);
      expect(inHalfAYear.heads).toBeGreaterThan(0.1 * forecast.expected.median);
      expect(inHalfAYear.heads).toBeLessThan(forecast.expected.median);
      expect(inHalfAYear.preyPerWeek).toBeGreaterThan(0);
    }
  });

  it('of eggs is reckoned with the food that is in the store, whenever that came', async () => {
    const inHalfAYear = async () => house.granted(await house.get('/api/broods')).broods[0].inHalfAYear;
    const stock = async () =>
      house.granted(
        await house.post('/api/store/entries', { item: 'field-cricket-medium', kind: 'counted', amount: 12 }),
        201,
      );
    const lay = async () => {
      house = await emptyHouse('2026-03-14');
      await house.shelf('S', 'Room', { temperatureC: 27, relativeHumidityPct: 60 });
      await house.box('E1', 'net-small');
    };
    const eggsOfAMantis = () => house.takeIn('Hierodula membranacea', 'E1', { stage: 'egg', headCount: 200 });
    await lay();
    await eggsOfAMantis();
    const before = await inHalfAYear();
    await stock();
    const after = await inHalfAYear();
    await lay();
    await stock();
    await eggsOfAMantis();
    expect(after).toEqual(await inHalfAYear());
    expect(after).not.toEqual(before);
  });

  describe('of eggs', () => {
    let eggs: Resident;
    beforeEach(async () => {
      house = await emptyHouse('2026-03-14');
      await house.shelf('S', 'Room', { temperatureC: 21, relativeHumidityPct: 55 });
      await house.box('E1', 'culture', { soilMm: 10 });
      await house.box('E2', 'net-small');
      eggs = await house.takeIn('Carausius morosus', 'E1', { stage: 'egg', headCount: 60 });
      await house.write('laid', eggs, { laidFrom: '2025-11-20', mating: 'mated' });
    });

    it('is looked for on the round from its first likely day, and not before', async () => {
      const { broods } = house.granted(await house.get('/api/broods'));
      const { from } = broods[0].forecast;
      expect(from > '2026-03-14').toBe(true);
      expect(await house.kinds(eggs)).not.toContain('hatch');
      await house.days(daysBetween('2026-03-14', from) + 1);
      const job = await house.job(eggs, 'hatch');
      expect(job?.reason).toMatchObject({ code: 'coming' });
      await house.write('looked', eggs, { answers: 'hatch' });
      await house.days(1);
      expect(await house.kinds(eggs)).not.toContain('hatch');
      await house.days(1);
      expect(await house.kinds(eggs)).toContain('hatch');
    });

    it('is taken out day by day, as large as is usual where nobody measures one', async () => {
      const LEFT = [
        [3, 57],
        [5, 52],
        [2, 50],
      ] as const;
      for (const [count, left] of LEFT) {
        const some = { count, homeId: house.boxId('E2'), stage: 'nymph' };
        const { resident } = house.granted(await house.post(`/api/residents/${eggs.id}/part`, some), 201);
        expect(resident.bodyLengthMm).toBeGreaterThan(5);
        expect((await house.resident(eggs)).headCount).toBe(left);
        await house.days(1);
      }
    });

    it('stands in the year, in the calendar and on the sheet of a sitter', async () => {
      const { forecast } = house.granted(await house.get('/api/broods')).broods[0];
      const { marks } = house.granted(await house.get('/api/seasons'));
      expect(marks).toContainEqual(
        expect.objectContaining({ residentId: eggs.id, kind: 'hatch', from: forecast.from }),
      );
      const until = addDays(forecast.from, 20);
      const asked = { from: addDays(forecast.from, 1), until, sitter: 'Wren' };
      const { absence } = house.granted(await house.post('/api/absences', asked), 201);
      const sheet = house.granted(await house.get(`/api/absences/${absence.id}/sheet`));
      expect(JSON.stringify(sheet.visits)).toMatch(/hatch/);
      const { keeper } = house.granted(await house.post('/api/keepers', { name: 'Imre', zone: 'UTC' }), 201);
      const { path } = house.granted(await house.post(`/api/keepers/${keeper.id}/calendar`, {}));
      const calendar = (await house.text(path)).replace(/\r\n /g, '');
      expect(calendar).toMatch(/Eggs hatch: E1/);
    });

    it('needs in half a year what whole animals of each age need', async () => {
      const { inHalfAYear } = house.granted(await house.get('/api/broods')).broods[0];
      const { heads, foodGPerWeek, sizeMm } = inHalfAYear;
      expect(Number.isInteger(heads)).toBe(true);
      // Not all of them are as large as the oldest.
      const asked = { profile: 'stick-insect', scientificName: 'Carausius morosus', stage: 'nymph', headCount: heads };
      const { meal } = await house.compute('meal', { ...asked, bodyLengthMm: sizeMm, on: inHalfAYear.on });
      const asOldest = meal.dishes.reduce((sum: number, { massG = 0 }) => sum + massG, 0) * (7 / meal.everyDays);
      expect(foodGPerWeek).toBeLessThan(0.9 * asOldest);
      expect(foodGPerWeek).toBeGreaterThan(0.02 * asOldest);
    });
  });

  describe('of cocoons', () => {
    let males: Resident;
    let females: Resident;
    beforeEach(async () => {
      house = await emptyHouse('2026-05-01');
      await house.shelf('Warm', 'Room', { temperatureC: 24, relativeHumidityPct: 60 });
      await house.shelf('Cool', 'Cellar', { temperatureC: 10, relativeHumidityPct: 70 });
      for (const code of ['N1', 'N2']) await house.box(code, 'net-large', { shelf: 'Warm' });
      await house.box('C1', 'net-large', { shelf: 'Cool' });
      const cocoons = { stage: 'pupa', form: 'group', headCount: 5, bodyLengthMm: 40 };
      males = await house.takeIn('Actias luna', 'N1', { ...cocoons, sex: 'male', on: '2026-04-22' });
      females = await house.takeIn('Actias luna', 'N2', { ...cocoons, sex: 'female', on: '2026-05-01' });
    });

    it('asks to hold the early ones back in the cool, and to bring them out again', async () => {
      const hold = await house.job(males, 'hold');
      expect(hold?.reason).toMatchObject({ code: 'hold', to: 'cool' });
      expect(await house.kinds(females)).not.toContain('hold');
      await house.write('moved', males, { homeId: house.boxId('C1') });
      expect(await house.kinds(males)).not.toContain('hold');
      let back = 0;
      for (; back < 30 && !(await house.kinds(males)).includes('hold'); back += 1) await house.days(1);
      expect(back).toBeGreaterThan(0);
      expect(back).toBeLessThan(20);
      expect((await house.job(males, 'hold'))?.reason).toMatchObject({ code: 'hold', to: 'warm' });
    });

    it('is looked for while it is likely, and a pair is put together on the night both are out', async () => {
      await house.write('moved', males, { homeId: house.boxId('C1') });
      expect(await kindsIn(females, 28)).toContain('emerge');
      await house.write('moulted', males, { stage: 'adult' });
      await house.write('moulted', females, { stage: 'adult' });
      const kinds = [...(await house.kinds(males)), ...(await house.kinds(females))];
      expect(kinds).toContain('pair');
      await house.write('paired', females, { withId: males.id });
      const { marks } = house.granted(await house.get('/api/seasons'));
      expect(marks.some(({ kind }: { kind: string }) => kind === 'pair')).toBe(true);
    });

    it('of a species that nobody holds back in time is told in the year', async () => {
      const { marks } = house.granted(await house.get('/api/seasons'));
      const kinds = marks.map(({ kind }: { kind: string }) => kind);
      expect(kinds).toContain('emerge');
    });
  });

  it('of layers is told by their lives and rates, as it is collected, whatever their box holds', async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('S', 'Room', { temperatureC: 23, relativeHumidityPct: 55 });
    await house.box('E1', 'net-large');
    const sticks = { stage: 'adult', form: 'group', headCount: 6, bodyLengthMm: 80 };
    const who = await house.takeIn('Carausius morosus', 'E1', sticks);
    const { layers } = house.granted(await house.get('/api/broods'));
    const [layer] = layers;
    expect(layer).toMatchObject({ residentId: who.id, females: 6 });
    // Fourteen a week each at the warmth of reference, for some months more.
    expect(layer.eggsPerWeek.median).toBeGreaterThan(6 * 7);
    expect(layer.eggsPerWeek.median).toBeLessThan(6 * 25);
    expect(layer.eggsInAll.median).toBeGreaterThan(8 * layer.eggsPerWeek.median);
    const asked = { profile: 'stick-insect', scientificName: 'Carausius morosus', females: 6, temperatureC: 23 };
    const { eggsPerWeek } = await house.compute('layers', { ...asked, weeks: 26 });
    expect(eggsPerWeek).toEqual(layer.eggsPerWeek);
  });
});
