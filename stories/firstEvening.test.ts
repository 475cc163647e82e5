import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * The first evening: nine animals come home, each into a box that was filled, damped and labelled an hour ago. What was done
 * today is not due today.
 */
describe('the first evening of a new house', () => {
  let house: House;
  let spider: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('S', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    for (let index = 1; index <= 9; index += 1)
      await house.box(`A${index}`, index < 6 ? 'flat-1' : 'culture', { soilMm: 50, litterDepthMm: 10 });
    for (let index = 1; index <= 5; index += 1) {
      spider = await house.takeIn('Grammostola pulchra', `A${index}`, {
        profile: 'ground-tarantula',
        stage: 'juvenile',
        legSpanMm: 40 + 5 * index,
      });
    }
    for (let index = 6; index <= 9; index += 1) {
      await house.takeIn('Porcellio laevis', `A${index}`, {
        profile: 'isopod-temperate',
        stage: 'adult',
        headCount: 12,
      });
    }
  });
  const seen = async () => (await house.stops()).flatMap(({ jobs }) => jobs);

  it('leaves who came an hour ago in peace: nothing is offered to spiders, nobody is weighed', async () => {
    const kinds = (await seen()).map(({ kind }) => kind);
    for (const kind of ['weigh', 'turn', 'leftovers', 'rehouse'] as const) expect(kinds).not.toContain(kind);
  });

  it('renews no soil and counts no heads of today', async () => {
    const kinds = (await seen()).map(({ kind }) => kind);
    for (const kind of ['feed', 'refresh', 'census'] as const) expect(kinds).not.toContain(kind);
  });

  it('brings no more than half an hour of work', async () => {
    const minutes = (await seen()).reduce((sum, job) => sum + job.minutes, 0);
    expect(minutes).toBeLessThanOrEqual(30);
  });

  it('asks for no label and no droppings on the day of building', async () => {
    const kinds = (await seen()).map(({ kind }) => kind);
    expect(kinds).not.toContain('label');
    expect(kinds).not.toContain('clean');
  });

  it('does not come all at once on the next day either', async () => {
    await house.days(1);
    const jobs = await seen();
    const kinds = jobs.map(({ kind }) => kind);
    for (const kind of ['refresh', 'census', 'clean', 'turn'] as const) expect(kinds).not.toContain(kind);
    expect(jobs.reduce((sum, job) => sum + job.minutes, 0)).toBeLessThanOrEqual(45);
  });

  it('is the same for a box that is moved into: it was made ready today', async () => {
    await house.box('B1', 'flat-2', { soilMm: 60 });
    await house.write('moved', spider, { homeId: house.boxId('B1') });
    const kinds = await house.kinds(spider);
    for (const kind of ['refresh', 'clean', 'water'] as const) expect(kinds).not.toContain(kind);
  });

  it('what was ticked before the move stays on the round as done', async () => {
    await house.days(30);
    const job = await house.job(spider, 'water');
    expect(job?.doneBy).toBeUndefined();
    const { id } = await house.write('watered', spider);
    await house.box('B2', 'flat-2', { soilMm: 60 });
    await house.write('moved', spider, { homeId: house.boxId('B2') });
    expect((await house.job(spider, 'water'))?.doneBy).toBe(id);
  });
});
