import type { ScoreBoard } from '@/contract/scores';
import { addDays, daysBetween } from '@/core/measure/day';
import { emptyHouse, type House } from './house';

/**
 * A keeper asks how far to trust what is forecast. Every window is kept as it was shown first; when the moult has come, the box has
 * dried, the eggs have hatched, it is seen whether it held. What was too sure of itself is less sure from then on, on every page.
 */
describe('the forecasts keep score of themselves', () => {
  const engine = (board: ScoreBoard, name: string) => {
    const found = board.engines.find((each) => each.engine === name);
    if (!found) throw new Error(`There is no score of ${name}.`);
    return found;
  };
  const scores = async (house: House): Promise<ScoreBoard> => house.granted(await house.get('/api/scores'));
  const moults = async (house: House) => engine(await scores(house), 'moult');
  const young = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60, on: '2025-01-10' };

  it('in an empty house of nothing', async () => {
    const board = await scores(await emptyHouse('2026-03-14'));
    for (const { windows, open, inForce, verdict } of board.engines) {
      expect({ windows, open, inForce, verdict }).toEqual({ windows: 0, open: 0, inForce: 1, verdict: 'too-few' });
    }
    expect(board.refusals.count).toBe(0);
  });

  it('of a spider: its past is replayed, its next moult awaited, found right, and open again when that is taken back', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('T1', 'flat-2', { soilMm: 60 });
    const spider = await house.takeIn('Grammostola pulchra', 'T1', young);
    for (const on of ['2025-02-10', '2025-06-01', '2025-09-20', '2026-01-05'])
      await house.write('moulted', spider, { on });
    expect(await moults(house)).toMatchObject({ windows: 3, replayed: 3, open: 1 });
    const { forecast } = await house.forecast(spider);
    await house.days(daysBetween('2026-03-14', forecast.next?.median ?? ''));
    // Seen again on every day, it stays the window that was shown first.
    expect(await moults(house)).toMatchObject({ windows: 3, open: 1 });
    const moult = await house.write('moulted', spider);
    const after = await moults(house);
    expect(after).toMatchObject({ windows: 4, replayed: 3, open: 1 });
    expect(after.held).toBe((await moults(house)).held);
    expect(after.byKind).toEqual([{ kind: 'ground-tarantula', windows: 4, held: after.held }]);
    house.granted(await house.post(`/api/entries/${moult.id}/undo`, {}));
    expect(await moults(house)).toMatchObject({ windows: 3, open: 1 });
  });

  it('not of a moult that was written down late, before anything was foreseen; and a window that passes has not held', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('T1', 'flat-2', { soilMm: 60 });
    const spider = await house.takeIn('Grammostola pulchra', 'T1', young);
    await house.write('moulted', spider, { on: '2026-01-05' });
    expect(await moults(house)).toMatchObject({ windows: 0, open: 1 });
    // It had moulted in February, only nobody had told.
    await house.write('moulted', spider, { on: '2026-02-20' });
    const late = await moults(house);
    expect([late.windows, late.held, late.open]).toEqual([0, 0, 1]);
    const { forecast } = await house.forecast(spider);
    await house.days(daysBetween('2026-03-14', forecast.next?.p90 ?? '') + 40);
    expect(await moults(house)).toMatchObject({ windows: 1, held: 0, open: 0 });
  });

  it('and are less sure from then on where they were too sure, on the page and in the list alike', async () => {
    const house = await emptyHouse('2026-03-14');
    // Their intervals are as unlike as no animal's of their kind: three weeks, then eight months.
    const whom: { id: string }[] = [];
    for (let at = 0; at < 9; at += 1) {
      await house.box(`E${at}`, 'flat-2', { soilMm: 60 });
      const one = await house.takeIn('Grammostola pulchra', `E${at}`, { ...young, on: '2023-01-01' });
      let on = addDays('2023-02-01', 9 * at);
      for (const days of [25, 240, 20, 260, 30]) {
        await house.write('moulted', one, { on });
        on = addDays(on, days);
      }
      whom.push(one);
    }
    const [one] = whom as [{ id: string }];
    const width = async () => {
      const { next } = (await house.forecast(one)).forecast;
      return daysBetween(next?.p10 ?? '', next?.p90 ?? '');
    };
    const before = await width();
    const board = await moults(house);
    expect(board.windows).toBeGreaterThanOrEqual(30);
    expect(board.verdict).toBe('too-narrow');
    expect(board.spreadTimes).toBeGreaterThan(1.1);
    expect((await moults(house)).inForce).toBeCloseTo(board.spreadTimes, 1);
    expect(await width()).toBeGreaterThan(before);
    const { residents } = house.granted(await house.get('/api/residents/moults'));
    for (const each of residents) expect(each.spreadTimes).toBe((await moults(house)).inForce);
  });

  it('of drying by a handful, of eggs by their hatching, of food by what was eaten and refused', async () => {
    const house = await emptyHouse('2026-01-01');
    await house.shelf('Shelf 1', 'The room', { temperatureC: 23, relativeHumidityPct: 50 });
    await house.box('T1', 'flat-2', { soilMm: 80 });
    const adult = { ...young, stage: 'adult', legSpanMm: 120 };
    const spider = await house.takeIn('Grammostola pulchra', 'T1', adult);
    await house.write('damped', spider, { waterMl: 400, neededMl: 400 });
    await house.days(6);
    const felt = await house.write('felt', spider, { wetness: 0.5 });
    const drying = async () => engine(await scores(house), 'drying');
    expect(await drying()).toMatchObject({ windows: 1, byKind: [{ kind: 'ground-tarantula', windows: 1 }] });
    // Taken back, it tells nothing.
    house.granted(await house.post(`/api/entries/${felt.id}/undo`, {}));
    expect((await drying()).windows).toBe(0);

    await house.box('S1', 'net-small');
    const eggs = await house.takeIn('Carausius morosus', 'S1', {
      ...{ profile: 'stick-insect', stage: 'egg', headCount: 30, on: '2026-01-07' },
    });
    await house.write('laid', eggs, { laidFrom: '2026-01-05', laidTo: '2026-01-07', mating: 'unmated' });
    expect(engine(await scores(house), 'hatch')).toMatchObject({ windows: 0, open: 1 });

    for (let meal = 0; meal < 6; meal += 1) {
      await house.days(14);
      await house.write('offered', spider, { dishes: [{ food: 'field-cricket-large', count: 1 }], insist: true });
      await house.write(meal === 4 ? 'refused' : 'eaten', spider);
    }
    const board = await scores(house);
    expect(board.refusals).toMatchObject({ count: 6, happened: 1 });
    // What would be eaten in four weeks was foreseen while nobody had been fed anything but by this house.
    expect(engine(board, 'need').windows + engine(board, 'need').open).toBeGreaterThan(0);
    await house.write('hatched', eggs, { headCount: 12 });
    expect(engine(await scores(house), 'hatch')).toMatchObject({ windows: 1, open: 0, replayed: 0 });
  });
});
