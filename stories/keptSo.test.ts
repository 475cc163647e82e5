import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A keeper knows better than a rule: the cage is a little low, and the animal has done well in it for years. What is kept so on
 * purpose, with its reason, is settled for this box: the round is silent about it, and every list says the same. Another box asks anew.
 */
describe('what is kept so on purpose', () => {
  let house: House;
  let one: Resident;
  const LOW = { lengthMm: 160, widthMm: 160, heightMm: 100, opens: 'front', walls: 'plastic' };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    for (const code of ['J1', 'J2'])
      await house.box(code, LOW, { soilMm: 20, furniture: [{ kind: 'perch', count: 3 }] });
    one = await house.takeIn('Phidippus regius', 'J1', { stage: 'adult', bodyLengthMm: 18 });
    await house.days(1);
  });
  const failing = async (code: string) =>
    ((await house.home(code)).state?.grounds ?? []).flatMap((ground) =>
      ground.about === 'fit' && ground.status === 'fail' ? [ground.rule] : [],
    );

  it('is said of a rule that finds something, and needs a reason', async () => {
    expect(await failing('J1')).toContain('height');
    const asked = {
      kind: 'kept-so',
      residentId: one.id,
      rule: 'height',
      why: 'Three years in it, hammock and moults without trouble.',
    };
    const wrong = await house.post('/api/entries', { ...asked, rule: 'hight' });
    expect(wrong.body.error.fields[0]).toMatchObject({ path: 'rule' });
    expect((await house.post('/api/entries', { ...asked, why: '' })).body.error.fields[0].path).toBe('why');
    const before = await failing('J1');
    house.granted(await house.post('/api/entries', asked), 201);
    expect(await failing('J1')).toEqual(before.filter((rule) => rule !== 'height'));
    expect((await house.resident(one)).keptSo).toEqual({ height: asked.why });
  });

  it('is settled for the round too: of what is left each is settled, and nothing is asked for', async () => {
    for (const rule of await failing('J1')) await house.write('kept-so', one, { rule, why: 'Known, and watched.' });
    expect((await house.home('J1')).state?.verdict).not.toBe('fail');
    const kinds = await house.kinds(one);
    for (const kind of ['mend', 'rehouse', 'soil'] as const) expect(kinds).not.toContain(kind);
    // Nor is it moved by a plan, or said to have outgrown what it is kept in.
    await house.box(
      'J3',
      { lengthMm: 200, widthMm: 200, heightMm: 250, opens: 'front', walls: 'plastic' },
      { soilMm: 20 },
    );
    const { moves } = house.granted(await house.post('/api/moves/plan', { days: 30, makeRoom: false }));
    expect(moves.map(({ resident }: { resident: string }) => resident)).not.toContain(one.id);
  });

  it('is asked anew in another box, and when it is taken back', async () => {
    await house.write('moved', one, { homeId: house.boxId('J2'), insist: true });
    expect((await house.resident(one)).keptSo).toEqual({});
    expect(await failing('J2')).toContain('height');
    const { id } = await house.write('kept-so', one, { rule: 'height', why: 'For a week.' });
    expect(await failing('J2')).not.toContain('height');
    house.granted(await house.post(`/api/entries/${id}/undo`, undefined));
    expect(await failing('J2')).toContain('height');
  });
});
