import { emptyHouse, type House } from './house';

/**
 * A young animal is measured when it comes. Then it moults, and nobody lays a ruler beside it: it has grown all the same. Its box, its
 * prey and the day its home is outgrown go by the size it has come to, told as carried on, until somebody measures it again.
 */
describe('growth goes on between measurements', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const residents = async () => house.granted(await house.get('/api/residents')).residents;
  const seen = async (id: string) => (await residents()).find((each: { id: string }) => each.id === id);

  it('of a spiderling that moulted three times since', async () => {
    await house.box('V1', 'vial-large', { soilMm: 40 });
    const facts = { profile: 'ground-tarantula', stage: 'spiderling', legSpanMm: 16, on: '2025-09-01' };
    const young = await house.takeIn('Grammostola pulchra', 'V1', facts);
    const before = await house.job(young, 'feed');
    const moults: { id: string }[] = [];
    for (const on of ['2025-10-10', '2025-12-01', '2026-02-01'])
      moults.push(await house.write('moulted', young, { on }));
    const now = await seen(young.id);
    expect(now.legSpanMm / 16).toBeGreaterThan(1.15 ** 3);
    expect(now.legSpanMm / 16).toBeLessThan(1.35 ** 3);
    expect(now).toMatchObject({ sizeCarriedOn: true, measuredOn: '2025-09-01' });
    // Prey goes by it, the forecast begins from it, and so does the choice of a box.
    const preyOf = (job: typeof before) => job?.meal?.dishes[0]?.lengthMm ?? 0;
    expect(preyOf(await house.job(young, 'feed'))).toBeGreaterThanOrEqual(preyOf(before));
    const { forecast } = house.granted(await house.get(`/api/residents/${young.id}/moult`));
    expect(forecast.sizeMm[0].median).toBeGreaterThan(now.legSpanMm);
    const single = house.granted(await house.get(`/api/residents/${young.id}/moult`));
    expect(single.forecast.sizeMm[0].median / now.legSpanMm).toBeLessThan(1.4);
    // Measured, it is what it is; a moult taken back is taken out again.
    const measured = await house.write('measured', young, { legSpanMm: 27 });
    expect(await seen(young.id)).toMatchObject({ legSpanMm: 27 });
    expect((await seen(young.id)).sizeCarriedOn).toBeUndefined();
    house.granted(await house.post(`/api/entries/${measured.id}/undo`, {}));
    house.granted(await house.post(`/api/entries/${moults[2]?.id}/undo`, {}));
    expect((await seen(young.id)).legSpanMm).toBeLessThan(now.legSpanMm);
  });

  it('of a group that has come to its fourth instar; some of it may be measured as they moult', async () => {
    await house.box('C1', 'net-small', { soilMm: 0 });
    const group = await house.takeIn('Extatosoma tiaratum', 'C1', {
      ...{
        profile: 'stick-insect',
        stage: 'nymph',
        bodyLengthMm: 18,
        headCount: 12,
        instars: { 1: 12 },
        on: '2025-12-01',
      },
    });
    await house.write('moulted', group, { count: 12, instar: 2, on: '2026-01-05' });
    await house.write('moulted', group, { count: 12, instar: 3, on: '2026-02-10' });
    const grown = await seen(group.id);
    expect(grown.bodyLengthMm).toBeGreaterThan(18 * 1.3);
    expect(grown.sizeCarriedOn).toBe(true);
    await house.write('moulted', group, { count: 12, instar: 4, bodyLengthMm: 33, on: '2026-03-10' });
    expect(await seen(group.id)).toMatchObject({ bodyLengthMm: 33 });
    expect((await seen(group.id)).sizeCarriedOn).toBeUndefined();
  });

  it('of a grown one little, and never down to what is usual', async () => {
    await house.box('T1', 'flat-3', { soilMm: 80 });
    const facts = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 200, on: '2025-09-01' };
    const large = await house.takeIn('Theraphosa ignota', 'T1', facts);
    await house.write('moulted', large, { on: '2026-01-10' });
    // A grown female moults on, and grows little.
    expect((await seen(large.id)).legSpanMm).toBeCloseTo(210, 0);
    const moult = async (sex: string) => {
      house.granted(await house.patch(`/api/residents/${large.id}`, { sex }));
      return (await house.forecast(large)).forecast;
    };
    // A grown male moults no more.
    expect((await moult('male')).next).toBeNull();
    expect((await moult('female')).next).not.toBeNull();
    await house.box('T2', 'flat-3', { soilMm: 80 });
    const young = await house.takeIn('Theraphosa ignota', 'T2', { ...facts, stage: 'juvenile' });
    await house.write('moulted', young, { on: '2026-01-10' });
    // One that moults still grows by what a moult adds, though its kind usually becomes no larger.
    expect(await seen(young.id)).toMatchObject({ sizeCarriedOn: true });
    expect((await seen(young.id)).legSpanMm).toBeGreaterThan(215);
    expect((await seen(young.id)).legSpanMm).toBeLessThan(260);
  });

  describe('how large it becomes', () => {
    const grown = async (who: { id: string }) => {
      const { residents: told } = house.granted(await house.get('/api/residents/moults'));
      return told.find((each: { id: string }) => each.id === who.id)?.grownMm;
    };
    const nymph = { profile: 'mantis', stage: 'nymph', bodyLengthMm: 20 };
    const takeIn = async (name: string, code: string, facts: object) => {
      await house.box(code, 'net-small', { soilMm: 20 });
      return house.takeIn(name, code, { ...nymph, ...facts });
    };

    it('is told by its species and its sex, by its genus where nobody listed it, by its keeper before both', async () => {
      const female = await takeIn('Hymenopus coronatus', 'M1', { sex: 'female' });
      const male = await takeIn('Hymenopus coronatus', 'M2', { sex: 'male' });
      expect(await grown(female)).toBe(62);
      expect(await grown(male)).toBeCloseTo(28, 0);
      // A male of 20 mm is nearly grown, a female of 20 mm far from it: the forecast, prey and boxes follow.
      const toAdult = async (who: { id: string }) => (await house.forecast(who)).forecast.moultsToAdult?.median;
      expect((await toAdult(female)) ?? 0).toBeGreaterThanOrEqual(4);
      expect((await toAdult(male)) ?? 9).toBeLessThanOrEqual(2);
      // Nobody listed this one; others of its genus are 80 and 85 mm.
      const unlisted = await takeIn('Sphodromantis gastrica', 'M3', {});
      expect(await grown(unlisted)).toBe(80);
      house.granted(await house.patch(`/api/residents/${unlisted.id}`, { grownMm: 72 }));
      expect(await grown(unlisted)).toBe(72);
      expect((await seen(unlisted.id)).grownMm).toBe(72);
      house.granted(await house.patch(`/api/residents/${unlisted.id}`, { grownMm: null }));
      expect(await grown(unlisted)).toBe(80);
    });

    it('is told by a card of one’s own, and no card means no other kind', async () => {
      const own = await takeIn('Nusquamia ignota', 'M4', {});
      expect(await grown(own)).toBe(85);
      const card = { name: 'Nusquamia ignota', profile: 'mantis', grownMm: 44 };
      house.granted(await house.put('/api/handbook/own/Nusquamia%20ignota', card));
      expect(await grown(own)).toBe(44);
      const wrong = await house.put('/api/handbook/own/Nusquamia%20ignota', { ...card, grownMm: -1 });
      expect([wrong.status, JSON.stringify(wrong.body)]).toEqual([422, expect.stringContaining('grownMm')]);
      house.granted(await house.remove('/api/handbook/own/Nusquamia%20ignota'));
      expect(await grown(own)).toBe(85);
    });

    it('is told of a spider larger than its kind: it does not end below what it measures', async () => {
      await house.box('T3', 'flat-3', { soilMm: 80 });
      const large = { profile: 'ground-tarantula', stage: 'subadult', legSpanMm: 200 };
      const spider = await house.takeIn('Nusquamia magna', 'T3', large);
      expect(await grown(spider)).toBeGreaterThan(215);
      expect((await house.forecast(spider)).forecast.sizeMm[0]?.median).toBeGreaterThan(205);
    });
  });
});
