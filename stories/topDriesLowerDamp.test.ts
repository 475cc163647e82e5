import { emptyHouse, type House } from './house';

/**
 * A grown burrower lives over damp lower soil under a dry top: it is watered down the side at one end. Its young live on the
 * surface of damp soil and may not dry out there. A scorpion of dry country is watered like the burrower, a millipede from above.
 */
describe('the top dries, the lower layer stays damp', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const box = (lengthMm: number, widthMm: number, heightMm: number) => ({
    ...{ shape: 'box', lengthMm, widthMm, heightMm, lid: 'solid', walls: 'plastic', opens: 'top' },
    vents: ['left', 'right'].map((side) => ({
      ...{ side, shape: 'hole', count: 10, diameterMm: 3, centreHeightMm: heightMm - 30 },
    })),
  });
  const airOf = async (code: string) => house.granted(await house.get(`/api/homes/${house.boxId(code)}/air`)).watering;

  it('of a grown burrower: poured down the side, said the same on the round and on its air', async () => {
    await house.box('B1', box(400, 300, 330), { soilMm: 200 });
    const spider = await house.takeIn('Haplopelma sp.', 'B1', {
      ...{ profile: 'burrowing-tarantula', stage: 'adult', bodyLengthMm: 50 },
    });
    await house.write('damped', spider, {});
    const fresh = await airOf('B1');
    expect(fresh.way).toBe('down-side');
    expect(fresh.layers.damp.low).toBeGreaterThan(fresh.layers.damp.top);
    await house.days(21);
    const later = await airOf('B1');
    // What was poured below creeps up: the surface stays the driest.
    expect(later.layers.damp.low).toBeLessThan(fresh.layers.damp.low);
    expect(later.layers.damp.top).toBeLessThan(later.layers.damp.middle);
    expect(later.layers.damp.middle).toBeLessThan(later.layers.damp.low);
    await house.write('felt', spider, { wetness: 0.3 });
    const job = await house.job(spider, 'damp');
    expect(job).toMatchObject({ water: { way: 'down-side' } });
  });

  it('of a spiderling: its surface is what must not dry, all over', async () => {
    const vial = { shape: 'cylinder', diameterMm: 30, heightMm: 80, lid: 'solid', walls: 'plastic', opens: 'top' };
    const holes = [{ side: 'lid', shape: 'hole', count: 8, diameterMm: 1.5 }];
    await house.box('V1', { ...vial, vents: holes }, { soilMm: 30 });
    const young = await house.takeIn('Haplopelma sp.', 'V1', {
      ...{ profile: 'burrowing-tarantula', stage: 'spiderling', bodyLengthMm: 6 },
    });
    await house.write('damped', young, {});
    const { way, dueOn } = await airOf('V1');
    expect(way).toBe('throughout');
    await house.days((Date.parse(dueOn) - Date.parse(await house.today())) / 86_400_000);
    const due = await airOf('V1');
    // What it is judged by is its surface.
    expect(due.dampWetness).toBeCloseTo(due.layers.damp.top, 9);
    expect(due.dampWetness).toBeLessThan(due.layers.damp.low);
  });

  it('of others: a desert scorpion down the side, a tropical millipede from above', async () => {
    await house.box('D1', box(300, 200, 200), { soilMm: 80 });
    const scorpion = await house.takeIn('Hadrurus sp.', 'D1', {
      profile: 'desert-scorpion',
      stage: 'adult',
      bodyLengthMm: 90,
    });
    await house.write('damped', scorpion, {});
    expect((await airOf('D1')).way).toBe('down-side');
    await house.box('M1', box(400, 300, 250), { soilMm: 120 });
    const millipedes = await house.takeIn('Spirostreptus sp.', 'M1', {
      ...{ profile: 'millipede-tropical', stage: 'adult', bodyLengthMm: 120, headCount: 3 },
    });
    await house.write('damped', millipedes, {});
    const { way, layers } = await airOf('M1');
    expect(way).toBe('at-end');
    expect(layers.damp.top).toBeGreaterThan(layers.damp.low);
  });

  it('is forecast for any way of watering, with what stands on the bottom told', async () => {
    const asked = {
      container: box(300, 200, 200),
      substrate: {
        ...{ depthMm: 120, recipe: [{ material: 'coir', parts: 1 }] },
        ...{ wetness: { damp: 0.4, dry: 0.2 }, dampSharePct: 50 },
      },
      room: { temperatureC: 24, relativeHumidityPct: 45 },
      days: 14,
    };
    const after = async (way: string, waterMl: number) =>
      house.compute('moisture', { ...asked, pour: { way, waterMl } });
    const [side, onTop] = [await after('down-side', 200), await after('at-end', 200)];
    expect(side.series[0].layers.damp.low).toBeGreaterThan(onTop.series[0].layers.damp.low);
    expect(onTop.series[0].layers.damp.top).toBeGreaterThan(side.series[0].layers.damp.top);
    expect(side.standsMl).toBe(0);
    expect((await after('down-side', 5000)).standsMl).toBeGreaterThan(1000);
    const refused = await house.post('/api/compute/moisture', { ...asked, pour: { way: 'from-afar', waterMl: 10 } });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain('down-side');
  });
});
