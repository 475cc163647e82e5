import type { Resident } from '@/contract/records';
import type { JobKind } from '@/core/plan/jobs';
import { emptyHouse, type House } from './house';

/**
 * A queen has sealed herself in behind cotton in a test tube. She lives off her wing muscles until the first workers come, and
 * eats her brood when she is disturbed. Nobody opens that tube: for no food, no cotton, no counting, and no label.
 */
describe('a queen that founds alone', () => {
  let house: House;
  let queen: Resident;
  const TUBE = { shape: 'cylinder', diameterMm: 16, heightMm: 150, lid: 'solid', vents: [] };
  const OPENS: JobKind[] = [
    'water',
    'barrier',
    'rubbish',
    'census',
    'feed',
    'label',
    'mend',
    'clean',
    'rehouse',
    'leftovers',
  ];
  beforeAll(async () => {
    house = await emptyHouse('2026-05-20');
    await house.shelf('Ants', 'Room', { temperatureC: 25, relativeHumidityPct: 50 });
    await house.box('F5', TUBE, { nest: { chambers: [{ lengthMm: 60, widthMm: 16, heightMm: 16 }] } });
    const facts = { profile: 'ant-large-mediterranean', stage: 'adult', sex: 'female' };
    queen = await house.takeIn('Camponotus ligniperda', 'F5', facts);
  });

  it('gets no food', async () => {
    const { food } = await house.compute('founding', {
      profile: 'ant-large-mediterranean',
      beganOn: '2026-05-20',
      temperatureC: 25,
    });
    expect(food).toBe('none');
    expect(await house.kinds(queen)).not.toContain('feed');
  });

  it('has her first workers after seven to sixteen weeks in the warm', async () => {
    const { firstWorkers } = await house.compute('founding', {
      profile: 'ant-large-mediterranean',
      beganOn: '2026-05-20',
      temperatureC: 25,
    });
    expect(firstWorkers.p10 >= '2026-06-10').toBe(true);
    expect(firstWorkers.p90 <= '2026-10-20').toBe(true);
  });

  it('is not opened by the round in sixty days', async () => {
    const seen = new Set<JobKind>();
    for (let day = 0; day < 60; day += 3) {
      for (const kind of await house.kinds(queen)) seen.add(kind);
      await house.days(3);
    }
    for (const kind of OPENS) expect(seen).not.toContain(kind);
  });

  it('is not opened by a sitter', async () => {
    const from = await house.today();
    const until = new Date(Date.parse(from) + 30 * 864e5).toISOString().slice(0, 10);
    const { absence } = house.granted(await house.post('/api/absences', { from, until, sitter: 'Wren' }), 201);
    const sheet = house.granted(await house.get(`/api/absences/${absence.id}/sheet`));
    expect(sheet.visits.flatMap(({ stops }: { stops: object[] }) => stops)).toEqual([]);
  });

  it('is left alone as well where her keeper wrote one head, and until a worker is counted', async () => {
    await house.box('F6', TUBE, { nest: { chambers: [{ lengthMm: 60, widthMm: 16, heightMm: 16 }] } });
    const facts = { profile: 'ant-small-temperate', stage: 'adult', sex: 'female', headCount: 1 };
    const other = await house.takeIn('Lasius niger', 'F6', facts);
    expect(await house.leftAlone(other)).toMatchObject({ code: 'founding' });
    expect(await house.kinds(other)).toEqual([]);
    await house.write('measured', other, { stages: { worker: 3 } });
    expect(await house.leftAlone(other)).toBeNull();
    await house.days(10);
    expect(await house.kinds(other)).toContain('feed');
  });

  it('is nobody yet on a day before she came', async () => {
    const { stops, unworkable } = house.granted(await house.get('/api/round?on=2026-05-01'));
    expect([stops, unworkable]).toEqual([[], []]);
  });

  it('is fed where her kind goes out to hunt', async () => {
    await house.box('F7', TUBE, { nest: { chambers: [{ lengthMm: 60, widthMm: 16, heightMm: 16 }] } });
    const facts = { profile: 'ant-primitive-hunter', stage: 'adult', sex: 'female' };
    const hunter = await house.takeIn('Harpegnathos venator', 'F7', facts);
    await house.days(10);
    expect(await house.leftAlone(hunter)).toBeNull();
    expect((await house.job(hunter, 'feed'))?.meal?.dishes.length).toBeGreaterThan(0);
  });

  it('is carried to her winter rest and back, and no step of it opens her tube', async () => {
    const winter = await emptyHouse('2026-10-20');
    await winter.shelf('Ants', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    await winter.shelf('Floor', 'Cellar', { temperatureC: 8, relativeHumidityPct: 70 });
    await winter.box('F5', TUBE, { nest: { chambers: [{ lengthMm: 60, widthMm: 16, heightMm: 16 }] } });
    const { rooms } = winter.granted(await winter.get('/api/rooms'));
    const late = await winter.takeIn('Lasius niger', 'F5', { stage: 'adult', sex: 'female' });
    const cellar = rooms.find(({ name }: { name: string }) => name === 'Cellar');
    await winter.write('rest-planned', late, { roomId: cellar.id });
    const acts = new Set<string>();
    for (let day = 0; day < 180; day += 3) {
      for (const job of await winter.jobs(late)) {
        acts.add(job.rest?.what ?? job.kind);
        const { rest } = job;
        if (rest) await winter.write('rest-step', late, { step: rest.key, answers: `rest ${rest.restId} ${rest.key}` });
      }
      await winter.days(3);
    }
    expect([...acts].filter((act) => !['cool', 'warm', 'look', 'alarm'].includes(act))).toEqual([]);
    expect(acts).toContain('cool');
  });
});
