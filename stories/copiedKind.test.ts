import { profileOf } from '@/contract/testing/profileOf';
import { emptyHouse, type House } from './house';

/**
 * A keeper copies a kind and changes a number of it. Everything else that is known of the kind goes on being known: how its eggs
 * hatch, its winter, how it multiplies, how it is moved and what it can do to its keeper.
 */
describe('a copy of a kind', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  async function copied(kind: string, change: object = {}): Promise<string> {
    const { id } = profileOf(kind);
    const body = { ...profileOf(kind), id: `${id}-own`, kind: id, name: `${id}, ours`, ...change };
    return house.granted(await house.post('/api/profiles', body), 201).profile.id;
  }

  it('hatches its eggs', async () => {
    const profile = await copied('mantis');
    await house.box('E1', 'net-small');
    const eggs = await house.takeIn('Hierodula membranacea', 'E1', { profile, stage: 'egg', headCount: 60 });
    const { broods } = house.granted(await house.get('/api/broods'));
    expect(broods.map(({ residentId }: { residentId: string }) => residentId)).toContain(eggs.id);
    const asked = { eggs: 60, laidFrom: '2026-03-01', laidTo: '2026-03-01', temperatureC: 25, mating: 'mated' };
    const ofKind = await house.compute('hatch', { ...asked, profile: 'mantis' });
    expect(await house.compute('hatch', { ...asked, profile })).toEqual(ofKind);
  });

  it('is counted as a culture, and rests in winter', async () => {
    const profile = await copied('isopod-dry-vented');
    await house.box('I1', 'flat-2', { soilMm: 60 });
    const culture = await house.takeIn('Porcellio hoffmannseggii', 'I1', { profile, stage: 'adult', headCount: 40 });
    const colony = house.granted(await house.get(`/api/residents/${culture.id}/colony`));
    expect(colony.kind?.profiles).toContain('isopod-dry-vented');
    const rest = house.granted(await house.get(`/api/residents/${culture.id}/rest`));
    expect(rest.kind?.profiles).toContain('isopod-dry-vented');
  });

  it('is as dangerous, and moved with the same care; a copy of a copy too', async () => {
    const first = await copied('tree-tarantula');
    const again = { ...profileOf('tree-tarantula'), id: 'tree-again', kind: first, name: 'Again' };
    const { profile } = house.granted(await house.post('/api/profiles', again), 201);
    expect(profile.kind).toBe('tree-tarantula');
    const handling = async (box: string, kind: string) => {
      await house.box(box, 'tall-2', { soilMm: 40 });
      const facts = { profile: kind, stage: 'adult', legSpanMm: 120 };
      const who = await house.takeIn('Nusquamia arborea', box, facts);
      return house.granted(await house.get(`/api/residents/${who.id}/handling`));
    };
    const [own, shipped] = [await handling('P1', 'tree-again'), await handling('P2', 'tree-tarantula')];
    expect(own.steps ?? own.sheet?.steps).toEqual(shipped.steps ?? shipped.sheet?.steps);
    expect(JSON.stringify(own)).toContain('serious-venom');
    const wrong = await house.post('/api/profiles', { ...again, id: 'odd', kind: 'dragon' });
    expect([wrong.status, JSON.stringify(wrong.body)]).toEqual([422, expect.stringContaining('"kind"')]);
  });

  it('keeps what its keeper changed before what a species does otherwise, and the rest of that', async () => {
    const { growth } = profileOf('ground-tarantula');
    const own = { ...growth, grownMm: { value: 133, basis: 'your own setting' } };
    const smaller = await copied('ground-tarantula', { growth: own });
    const sizeOf = async (box: string, profile: string) => {
      await house.box(box, 'flat-2', { soilMm: 80 });
      const who = await house.takeIn('Lasiodora parahybana', box, { profile, stage: 'juvenile', legSpanMm: 60 });
      const { residents } = house.granted(await house.get('/api/residents/moults'));
      return residents.find(({ id }: { id: string }) => id === who.id).grownMm;
    };
    expect(await sizeOf('L1', 'ground-tarantula')).toBe(220);
    expect(await sizeOf('L2', smaller)).toBe(133);
    const { making } = profileOf('ground-tarantula');
    const damp = { ...profileOf('ground-tarantula'), id: 'damper', kind: 'ground-tarantula', name: 'Damper' };
    house.granted(await house.post('/api/profiles', { ...damp, making: { ...making, dampSharePct: 50 } }), 201);
    expect(await sizeOf('L3', 'damper')).toBe(220);
  });
});
