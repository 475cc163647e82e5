import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A millipede went down three weeks ago and has not been seen since. "Dead or moulting?" is the commonest fright; digging it up
 * kills it. Its soil is most of its food, and full of young: it is never taken out whole.
 */
describe('a millipede that has gone down', () => {
  let house: House;
  let one: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-02-01');
    await house.box('G1', 'deep-large', {
      soilMm: 220,
      litterDepthMm: 30,
      mixId: 'millipede-soil',
      furniture: [{ kind: 'hide', count: 2 }],
    });
    one = await house.takeIn('Archispirostreptus gigas', 'G1', {
      profile: 'millipede-tropical',
      stage: 'adult',
      bodyLengthMm: 190,
    });
    await house.days(1);
    await house.write('sign', one, { sign: 'buried' });
    await house.days(20);
  });

  it('is left alone, and its soil with it', async () => {
    expect((await house.leftAlone(one))?.code).toBe('premoult');
    const kinds = await house.kinds(one);
    for (const kind of ['refresh', 'turn', 'census', 'weigh', 'rehouse'] as const) expect(kinds).not.toContain(kind);
  });

  it('is looked for after a month or more with a finger, never with a shovel', async () => {
    for (let day = 0; day < 60 && !(await house.job(one, 'check-buried')); day += 1) await house.days(1);
    expect((await house.today()) > '2026-03-01').toBe(true);
    expect(await house.round(one)).toContain('Look for it: brush soil aside only, do not dig');
  });

  it('is taken to rest or moult after three weeks, and nobody digs', async () => {
    const { verdict, deadPct, notToDo } = await house.compute('stillness', {
      profile: 'millipede-tropical',
      daysStill: 21,
    });
    expect(verdict).toMatch(/^leave/);
    expect(deadPct).toBeLessThan(20);
    expect(notToDo.join(' ')).toMatch(/Do not lift or uncoil it/);
  });

  it('is dead by what a dead one shows, not by its stillness', async () => {
    const asked = (seen: string[]) =>
      house.compute('stillness', { profile: 'millipede-tropical', daysStill: 21, seen });
    const { deadPct } = await asked(['smells']);
    expect(deadPct).toBeGreaterThan((await asked([])).deadPct + 40);
  });

  it('keeps at least half of its old soil whenever it is renewed', async () => {
    const asked = { volumeL: 20, sharePct: 60, everyDays: 120, oldLeftPct: 10, startOn: '2026-02-01' };
    const { status, body } = await house.post('/api/compute/refresh-plan', asked);
    expect(status).toBe(422);
    expect(body.error.fields[0].message).toMatch(/never more than half/);
  });
});
