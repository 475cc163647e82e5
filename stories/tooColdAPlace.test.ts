import { emptyHouse, type House } from './house';

/**
 * Whoever lives in a place that is too cold or too warm for it is seen to, though no probe hangs there: by what its room was set
 * to, and by a thermometer read by hand. (At rest it is meant to be cold: see the winter of large ants.)
 */
describe('a place that is too cold or too warm', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-10-20');
  });
  const nest = {
    chambers: [{ lengthMm: 120, widthMm: 80, heightMm: 60 }],
    tubeBoreMm: 20,
    outworld: { lengthMm: 300, widthMm: 200, heightMm: 150 },
  };
  const grounds = async (code: string) => (await house.home(code)).state?.grounds ?? [];
  const warmthOf = async (code: string) =>
    (await grounds(code)).filter((each) => each.about === 'alarm').map(({ status }) => status);
  const airAlarms = async (code: string) =>
    house
      .granted(await house.get(`/api/homes/${house.boxId(code)}/air`))
      .alarms.map(({ kind }: { kind: string }) => kind);

  it('fails leafcutters in a cellar of 15 C, on their home, on the round, on its air and in the choice of a box', async () => {
    await house.shelf('Cellar shelf', 'Cellar', { temperatureC: 15, relativeHumidityPct: 60 });
    await house.box('N1', { lengthMm: 300, widthMm: 200, heightMm: 150 }, { nest, shelf: 'Cellar shelf' });
    const ants = await house.takeIn('Atta sp.', 'N1', {
      ...{ profile: 'ant-leafcutter', stage: 'adult', headCount: 200, bodyLengthMm: 6, form: 'colony' },
    });
    expect((await house.home('N1')).state?.verdict).toBe('fail');
    expect(await warmthOf('N1')).toEqual(['fail']);
    expect(await airAlarms('N1')).toEqual(['too-cold']);
    expect(await house.job(ants, 'alarm')).toMatchObject({ cannotWait: true });
    const asked = { profile: 'ant-leafcutter', stage: 'adult', headCount: 200, bodyLengthMm: 6 };
    expect((await house.ranking(asked)).find(({ code }) => code === 'N1')?.verdict).toBe('fail');
  });

  it('watches, and calls nobody, where it is borne for a while', async () => {
    await house.shelf('Hall shelf', 'Hall', { temperatureC: 20, relativeHumidityPct: 50 });
    await house.box('N2', { lengthMm: 300, widthMm: 200, heightMm: 150 }, { nest, shelf: 'Hall shelf' });
    const ants = await house.takeIn('Atta sp.', 'N2', {
      ...{ profile: 'ant-leafcutter', stage: 'adult', headCount: 200, bodyLengthMm: 6, form: 'colony' },
    });
    expect(await warmthOf('N2')).toEqual(['watch']);
    expect(await house.job(ants, 'alarm')).toBeUndefined();
  });

  it('judges the warm and the cool side by hand, for three days', async () => {
    await house.shelf('Room shelf', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    await house.box('S1', 'culture', { soilMm: 60, shelf: 'Room shelf' });
    const isopods = await house.takeIn('Porcellio laevis', 'S1', {
      ...{ profile: 'isopod-temperate', stage: 'adult', headCount: 20 },
    });
    const read = (place: string, temperatureC: number) =>
      house.post(`/api/homes/${house.boxId('S1')}/readings`, { place, temperatureC });
    house.granted(await read('warm', 33), 201);
    house.granted(await read('cool', 12), 201);
    expect((await airAlarms('S1')).sort()).toEqual(['too-cold', 'too-warm']);
    expect((await house.home('S1')).state?.verdict).toBe('fail');
    expect(await house.job(isopods, 'alarm')).toBeDefined();
    await house.days(4);
    expect(await airAlarms('S1')).toEqual([]);
  });

  it('judges a nest and its outworld apart, each by where the hygrometer hung', async () => {
    const read = (code: string, place: string, relativeHumidityPct: number) =>
      house.post(`/api/homes/${house.boxId(code)}/readings`, { place, relativeHumidityPct, temperatureC: 23 });
    // 60 % is dry for the fungus, and right where they carry leaves.
    house.granted(await read('N2', 'outworld', 60), 201);
    expect(await airAlarms('N2')).toEqual([]);
    house.granted(await read('N2', 'nest', 60), 201);
    expect(await airAlarms('N2')).toEqual(['too-dry']);
    await house.days(1);
    house.granted(await read('N2', 'nest', 95), 201);
    expect(await airAlarms('N2')).toEqual([]);
    // Small ants: a damp nest, and dry ground outside.
    await house.box('N3', { lengthMm: 140, widthMm: 100, heightMm: 60 }, { nest, shelf: 'Room shelf' });
    await house.takeIn('Myrmica rubra', 'N3', {
      ...{ profile: 'ant-small-temperate', stage: 'adult', headCount: 50, bodyLengthMm: 4, form: 'colony' },
    });
    house.granted(await read('N3', 'nest', 85), 201);
    house.granted(await read('N3', 'outworld', 85), 201);
    expect(await airAlarms('N3')).toEqual(['too-damp']);
    // In a box there is no chamber: neither to read by hand in, nor to hang a probe in.
    const hung = { name: 'S1 chamber', kind: 'device', place: 'nest', homeId: house.boxId('S1') };
    for (const refused of [await read('S1', 'nest', 70), await house.post('/api/probes', hung)]) {
      expect(refused.status).toBe(422);
      expect(refused.body.error.fields).toMatchObject([{ path: 'place' }]);
    }
  });

  it('says nothing of a room that nobody measured', async () => {
    await house.shelf('Attic shelf', 'Attic');
    await house.box('U1', 'culture', { soilMm: 60, shelf: 'Attic shelf' });
    await house.takeIn('Porcellio scaber', 'U1', { profile: 'isopod-temperate', stage: 'adult', headCount: 20 });
    expect(await warmthOf('U1')).toEqual([]);
  });
});
