import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Camponotus vagus, of the south, rests from mid October to February at 10 to 15 C, never under 10 for hours on end. The house has a
 * cellar at 12 C and a refrigerator at 5 C: one of them is right, the other can kill. For Camponotus ligniperda, of the north, it
 * is the other way round.
 */
describe('the winter of large ants', () => {
  let house: House;
  let colony: Resident;
  const rooms: Record<string, string> = {};
  beforeAll(async () => {
    house = await emptyHouse('2026-10-01');
    await house.shelf('Ant bench', 'Boiler Room', { temperatureC: 25, relativeHumidityPct: 50 });
    await house.shelf('Floor', 'Cellar', { temperatureC: 12, relativeHumidityPct: 70 });
    await house.shelf('Door', 'Refrigerator', { temperatureC: 5, relativeHumidityPct: 60 });
    for (const { id, name } of house.granted(await house.get('/api/rooms')).rooms) rooms[name] = id;
    const nest = {
      chambers: [{ lengthMm: 90, widthMm: 60, heightMm: 15 }],
      tubeBoreMm: 14,
      outworld: { lengthMm: 200, widthMm: 150, heightMm: 120 },
    };
    await house.box('F1', { lengthMm: 200, widthMm: 150, heightMm: 60 }, { nest });
    const facts = {
      profile: 'ant-large-mediterranean',
      stage: 'adult',
      form: 'colony',
      headCount: 60,
      bodyLengthMm: 10,
    };
    colony = await house.takeIn('Camponotus vagus', 'F1', facts);
  });
  const planned = () => house.get(`/api/residents/${colony.id}/rest`);

  it('is needed, and begins in mid October', async () => {
    const { rests } = house.granted(await house.get('/api/rests'));
    expect(rests[0]).toMatchObject({ residentId: colony.id, need: 'must' });
    expect(rests[0].beginsOn).toBe('2026-10-15');
  });

  it('in the refrigerator is refused: it can fall below what they bear', async () => {
    const { status, body } = await house.post('/api/entries', {
      kind: 'rest-planned',
      residentId: colony.id,
      roomId: rooms.Refrigerator,
    });
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toMatch(/below|cold|bear/);
  });

  it('in the cellar goes down by steps and stays in the band', async () => {
    await house.write('rest-planned', colony, { roomId: rooms.Cellar });
    const { rest } = house.granted(await planned());
    const targets = rest.course.steps.map(({ targetC }: { targetC: number }) => targetC);
    expect(Math.min(...targets)).toBeGreaterThanOrEqual(10);
    expect(Math.min(...targets)).toBeLessThanOrEqual(15);
    for (let index = 1; index < targets.length; index += 1)
      expect(Math.abs(targets[index] - targets[index - 1])).toBeLessThanOrEqual(4.01);
  });

  it('asks on the round for each step, and lets nobody feed in the cold', async () => {
    for (let day = 0; day < 30; day += 1) {
      const rest = await house.job(colony, 'rest');
      if (rest?.rest) await house.write('rest-step', colony, { step: rest.rest.key, answers: `rest ${rest.rest.key}` });
      await house.days(1);
    }
    expect((await house.leftAlone(colony))?.code).toBe('resting');
    expect(await house.kinds(colony)).not.toContain('feed');
  });

  it('is meant to be cold: what a thermometer in the nest says is no alarm then', async () => {
    const reading = { place: 'nest', temperatureC: 12 };
    house.granted(await house.post(`/api/homes/${house.boxId('F1')}/readings`, reading), 201);
    const { alarms } = house.granted(await house.get(`/api/homes/${house.boxId('F1')}/air`));
    expect(alarms).toEqual([]);
    expect(await house.kinds(colony)).not.toContain('alarm');
  });

  it('of the north is colder and longer, in the refrigerator', async () => {
    const north = await emptyHouse('2026-09-20');
    await north.shelf('Ant bench', 'Boiler Room', { temperatureC: 24, relativeHumidityPct: 50 });
    await north.shelf('Door', 'Refrigerator', { temperatureC: 5, relativeHumidityPct: 60 });
    const chambers = [{ lengthMm: 90, widthMm: 60, heightMm: 15 }];
    await north.box('F1', { lengthMm: 200, widthMm: 150, heightMm: 60 }, { nest: { chambers } });
    const facts = { stage: 'adult', form: 'colony', headCount: 60, bodyLengthMm: 10 };
    const colonyOf = await north.takeIn('Camponotus ligniperda', 'F1', facts);
    const { rooms: places } = north.granted(await north.get('/api/rooms'));
    const cold = places.find(({ name }: { name: string }) => name === 'Refrigerator');
    await north.write('rest-planned', colonyOf, { roomId: cold.id });
    const { rest } = north.granted(await north.get(`/api/residents/${colonyOf.id}/rest`));
    expect(rest.warnings).toEqual([]);
    const targets = rest.course.steps.map(({ targetC }: { targetC: number }) => targetC);
    expect(Math.min(...targets)).toBe(5);
    expect(rest.course.endsOn > '2027-03-10').toBe(true);
    const { sources } = north.granted(await north.get('/api/handbook'));
    expect(
      sources.rests.some(({ species }: { species?: string[] }) => species?.includes('Camponotus ligniperda')),
    ).toBe(true);
  });
});
