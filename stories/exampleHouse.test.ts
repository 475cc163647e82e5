import { emptyHouse, type House } from './house';

/** A new keeper looks into a house that is full before beginning the own one, and throws it away with all that was tried in it. */
describe('an example to look into', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const example = async () => house.granted(await house.get('/api/shelves')).isExample;

  it('is laid into an empty house, and is one of many boxes', async () => {
    expect(await example()).toBe(false);
    house.granted(await house.put('/api/house/example', undefined));
    expect(await example()).toBe(true);
    expect((await house.homes()).length).toBeGreaterThan(30);
    expect((await house.stops()).length).toBeGreaterThan(5);
    expect((await house.put('/api/house/example', undefined)).status).toBe(409);
  });

  it('is thrown away, and nothing of it is left', async () => {
    house.granted(await house.remove('/api/house/example'));
    expect([await example(), await house.homes(), await house.stops()]).toEqual([false, [], []]);
  });

  it('takes nothing away from a house of one’s own', async () => {
    await house.box('A1', 'flat-1', { soilMm: 40 });
    expect((await house.remove('/api/house/example')).status).toBe(409);
    expect((await house.put('/api/house/example', undefined)).status).toBe(409);
    expect(await house.homes()).toHaveLength(1);
  });
});
