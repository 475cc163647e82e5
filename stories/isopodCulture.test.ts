import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Twelve Porcellio laevis begin in a tub of 6 L with 5 cm of soil and litter. Litter is always there; what is put on it beside
 * is gone in a day or two, or too much. The commonest mistake is too much: gnats and mould.
 */
describe('a young isopod culture', () => {
  let house: House;
  let culture: Resident;
  const FACTS = { profile: 'isopod-temperate', scientificName: 'Porcellio laevis', stage: 'adult', headCount: 12 };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('E', 'Room', { temperatureC: 22, relativeHumidityPct: 50 });
    const furniture = [{ kind: 'slab', count: 2 }];
    await house.box('E1', 'culture', { soilMm: 50, litterDepthMm: 20, furniture, mixId: 'isopod-litter' });
    culture = await house.takeIn('Porcellio laevis', 'E1', {
      profile: 'isopod-temperate',
      stage: 'adult',
      headCount: 12,
    });
  });
  // In a day: a pinch is the least that is given, and where that is too much it comes more seldom.
  const portion = async () => {
    const { meal } = await house.compute('meal', { ...FACTS, on: await house.today(), meals });
    const massG = meal.dishes.reduce((sum: number, each: { massG?: number }) => sum + (each.massG ?? 0), 0);
    return { massG, aDay: massG / meal.everyDays };
  };
  let meals: object[] = [];

  it('meets: twelve in such a tub find each other', async () => {
    const [{ verdict } = { verdict: '' }] = await house.ranking(FACTS);
    expect(verdict).not.toBe('fail');
  });

  it('is given less after food was left lying, and more after it was gone in a day', async () => {
    const usual = await portion();
    meals = ['2026-03-01', '2026-03-06', '2026-03-11'].map((on) => ({
      on,
      dishes: [{ food: 'carrot', massG: usual.massG }],
      outcome: { kind: 'refused', on },
    }));
    const less = await portion();
    meals = ['2026-03-01', '2026-03-06', '2026-03-11'].map((on) => ({
      on,
      dishes: [{ food: 'carrot', massG: usual.massG }],
      outcome: { kind: 'eaten', on },
    }));
    const more = await portion();
    expect(less.aDay).toBeLessThan(usual.aDay);
    expect(more.aDay).toBeGreaterThan(usual.aDay);
  });

  it('has room for the same number of heads wherever one asks', async () => {
    const { colonies } = house.granted(await house.get('/api/colonies'));
    const facts = house.granted(await house.get(`/api/residents/${culture.id}/colony`));
    expect(colonies.find(({ residentId }: { residentId: string }) => residentId === culture.id).roomForHeads).toBe(
      facts.roomForHeads,
    );
  });

  it('can be harvested for ever without dying: 19 of 20 keep a safe number over three years', async () => {
    const asked = {
      profile: 'isopod-temperate',
      counts: { adult: 300, juvenile: 100 },
      temperatureC: 24,
      weeks: 4,
      roomForHeads: 500,
    };
    const { harvest } = await house.compute('colony', asked);
    expect(harvest).toMatchObject({ usableOn: '2026-03-14', keepBack: 10 });
    expect(harvest.sharePct).toBeGreaterThan(1);
    const { series } = await house.compute('colony', { ...asked, weeks: 156, harvestPerWeek: harvest.perWeek });
    expect(series.at(-1).stages.adult.p10).toBeGreaterThan(10);
  });

  it('begun with twelve is left to grow first, and says from when on it bears', async () => {
    const { colonies } = house.granted(await house.get('/api/colonies'));
    const [{ harvest }] = colonies;
    expect(harvest.usableOn > '2026-06-01').toBe(true);
    const { tubs, harvestPerTub } = await house.compute('tubs', {
      ...{ profile: 'isopod-temperate', needPerWeek: 20, temperatureC: 22, founders: 12 },
      // As large as the tub here, by the heads that it has room for.
      litresPerTub: colonies[0].roomForHeads / 90,
    });
    expect(tubs).toBe(Math.ceil(20 / harvestPerTub));
    expect(Math.abs(harvestPerTub / harvest.perWeek - 1)).toBeLessThan(0.05);
  });
});
