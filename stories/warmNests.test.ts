import type { ColonyFacts } from '@/contract/colony';
import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/** A nest is as warm as it is in the nest: brood grows by that, and not by the outworld, nor by the room alone. */
describe('the warmth of nests and tubs', () => {
  let house: House;
  const nest = {
    chambers: [{ lengthMm: 90, widthMm: 60, heightMm: 12 }],
    tubeBoreMm: 10,
    outworld: { lengthMm: 200, widthMm: 150, heightMm: 120 },
  };
  const facts = async (who: Resident): Promise<ColonyFacts> =>
    house.granted(await house.get(`/api/residents/${who.id}/colony`));
  const read = async (place: string, temperatureC: number) =>
    house.granted(await house.post(`/api/homes/${house.boxId('F1')}/readings`, { place, temperatureC }), 201);
  const colonyIn = async (more: object = {}) => {
    house = await emptyHouse('2026-05-01');
    await house.shelf('Ants', 'Room', { temperatureC: 20, relativeHumidityPct: 50 });
    await house.box('F1', { lengthMm: 200, widthMm: 150, heightMm: 60 }, { nest, ...more });
    const ants = { stage: 'adult', form: 'colony', headCount: 150, bodyLengthMm: 4 };
    return house.takeIn('Lasius niger', 'F1', ants);
  };

  it('is the nest’s own, whatever its outworld says', async () => {
    const colony = await colonyIn();
    expect((await facts(colony)).temperatureC).toBe(20);
    await house.probe('F1', 60, { temperatureC: 30, relativeHumidityPct: 40 }, 'outworld');
    expect((await facts(colony)).temperatureC).toBe(20);
    await house.probe('F1', 60, { temperatureC: 25, relativeHumidityPct: 70 }, 'nest');
    expect((await facts(colony)).temperatureC).toBeCloseTo(25, 0);
  });

  it('makes brood grow faster in a heated nest, in the state and in what is to come', async () => {
    const cool = await colonyIn();
    await house.days(60);
    const slow = await facts(cool);
    const warm = await colonyIn({ heat: { source: 'mat-on-side', warmingK: 5, hasThermostat: true } });
    await house.days(60);
    const fast = await facts(warm);
    expect(fast.temperatureC).toBe(25);
    expect(fast.counts.worker).toBeGreaterThan(1.05 * (slow.counts.worker ?? 0));
    expect(fast.temperaturesC[4]).toBe(25);
  });

  it('that is wrong is said on the home and on the round', async () => {
    const colony = await colonyIn();
    await read('nest', 34);
    const home = await house.home('F1');
    expect(JSON.stringify(home.state?.grounds ?? [])).toMatch(/warm/);
    expect(home.state?.verdict).not.toBe('pass');
    expect(await house.leftAlone(colony)).toBeNull();
  });
});

describe('the crowding of groups', () => {
  // Twenty nymphs of 18 mm were "111 % full, give some another box now" in a box that the rules of their kind found fitting.
  it('goes by the size of those that live there, and says what the fit of their box says', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('B1', 'culture-large', { soilMm: 60 });
    await house.box('B2', 'culture-large', { soilMm: 60 });
    const young = await house.takeIn('Platymeris biguttatus', 'B1', {
      ...{ stage: 'nymph', form: 'group', headCount: 20, bodyLengthMm: 18 },
    });
    const grown = await house.takeIn('Platymeris biguttatus', 'B2', {
      ...{ stage: 'adult', form: 'group', headCount: 20, bodyLengthMm: 36 },
    });
    const row = async (who: Resident) => {
      const { colonies } = house.granted(await house.get('/api/colonies'));
      return colonies.find(({ residentId }: { residentId: string }) => residentId === who.id);
    };
    expect((await row(young)).fullPct).toBeLessThan(80);
    expect((await row(grown)).fullPct).toBeGreaterThan(1.5 * (await row(young)).fullPct);
    for (const who of [young, grown]) {
      const { fullPct } = await row(who);
      const home = await house.home(who === young ? 'B1' : 'B2');
      const crowd = home.state?.grounds.find(({ about }: { about: string }) => about === 'fullness');
      expect(crowd === undefined || fullPct > 80).toBe(true);
    }
  });

  it('names the boxes at hand that would take some', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('K1', 'culture', { soilMm: 60, mixId: 'isopod-litter' });
    await house.box('K2', 'culture', { soilMm: 60, mixId: 'isopod-litter' });
    await house.box('V1', 'vial-small', { soilMm: 20 });
    const culture = await house.takeIn('Porcellio laevis', 'K1', {
      ...{ profile: 'isopod-temperate', stage: 'adult', form: 'group', headCount: 900 },
    });
    const { colonies } = house.granted(await house.get('/api/colonies'));
    const [row] = colonies;
    expect(row.residentId).toBe(culture.id);
    expect(row.splitInto.map(({ code }: { code: string }) => code)).toEqual(['K2']);
  });
});
