import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A grown tarantula of 165 mm has moulted this morning, in a box that has become too small. Its fangs are white and soft: the
 * largest harden for two weeks. A better box stands free beside it, and the keeper is tempted.
 */
describe('a large tarantula that moulted today', () => {
  let house: House;
  let one: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.box('B1', 'flat-2', { soilMm: 70 });
    await house.box('B2', 'show', { soilMm: 120 });
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 150, on: '2025-09-01' };
    one = await house.takeIn('Chilobrachys natanicharum', 'B1', facts);
    await house.write('moulted', one, { legSpanMm: 165 });
  });

  it('is left alone, and the round says until when', async () => {
    expect(await house.leftAlone(one)).toMatchObject({ code: 'hardening' });
    expect(await house.kinds(one)).not.toContain('feed');
  });

  it('is not moved, mended, weighed or measured meanwhile', async () => {
    const kinds = await house.kinds(one);
    for (const kind of ['rehouse', 'move', 'mend', 'soil', 'weigh', 'measure', 'clean', 'refresh']) {
      expect(kinds).not.toContain(kind);
    }
  });

  it('is planned to move after it has hardened, not today', async () => {
    const { moves } = house.granted(await house.post('/api/moves/plan', { days: 60 }));
    const [move] = moves.filter(({ resident }: { resident: string }) => resident === one.id);
    expect(move.to).toBe(house.boxId('B2'));
    expect(move.on > (await house.today())).toBe(true);
  });

  it('is never to be opened by a sitter', async () => {
    const asked = { from: '2026-03-15', until: '2026-03-18', sitter: 'Wren' };
    const { absence } = house.granted(await house.post('/api/absences', asked), 201);
    const sheet = house.granted(await house.get(`/api/absences/${absence.id}/sheet`));
    expect(sheet.neverOpen.map(({ code }: { code: string }) => code)).toEqual(['B1']);
  });

  it('hardens by its size, for two weeks', async () => {
    const alone = await house.leftAlone(one);
    expect(alone?.code === 'hardening' && alone.feedFrom).toBe('2026-03-28');
  });

  it('is not moved by hand on the same evening, unless its keeper insists', async () => {
    const move = { kind: 'moved', residentId: one.id, homeId: house.boxId('B2') };
    const { status, body } = await house.post('/api/entries', move);
    expect([status, body.error.fields[0].path]).toEqual([409, 'insist']);
    expect(body.error.fields[0].message).toContain('2026-03-28');
    expect((await house.resident(one)).homeId).toBe(house.boxId('B1'));
    // It falls off a shelf: then it has to be moved all the same.
    house.granted(await house.post('/api/entries', { ...move, insist: true }), 201);
    expect((await house.resident(one)).homeId).toBe(house.boxId('B2'));
  });

  it('is shown with its steps, also for a box that was chosen by hand', async () => {
    const { steps, escape, move } = house.granted(
      await house.get(`/api/residents/${one.id}/handling?to=${house.boxId('B1')}`),
    );
    expect(steps.length).toBeGreaterThan(4);
    expect(escape.length).toBeGreaterThan(0);
    expect(move).toMatchObject({ id: null, toHomeId: house.boxId('B1'), on: await house.today() });
    expect((await house.get(`/api/residents/${one.id}/handling?to=${one.id}`)).status).toBe(422);
  });
});
