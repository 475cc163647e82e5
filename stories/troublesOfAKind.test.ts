import { emptyHouse, type House } from './house';

/**
 * What is wrong, and what to do, is told in the terms of the animal that it is about; and who may live together is decided by the dry
 * ground as well as by the damp.
 */
describe('troubles and company by kind', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const trouble = (profile: string, yes: string[] = []) => house.compute('trouble', { profile, yes });
  const table = async (name: string, profile: string, code: string, facts: object) => {
    await house.box(code, 'flat-2', { soilMm: 60 });
    const who = await house.takeIn(name, code, { profile, stage: 'adult', ...facts });
    return house.granted(await house.get(`/api/residents/${who.id}/trouble`));
  };

  it('speak of what each kind eats and does: no prey for isopods, no retreat for snails, no soil for stick insects', async () => {
    const kinds: [string, string, string, object, RegExp][] = [
      ['Porcellio laevis', 'isopod-temperate', 'I1', { headCount: 40 }, /prey|abdomen|web|Prey/],
      ['Cornu aspersum', 'land-snail', 'I2', { bodyLengthMm: 32 }, /small prey|abdomen|web|falls: the box low/],
      ['Carausius morosus', 'stick-insect', 'I3', { bodyLengthMm: 80 }, /prey|roundness|dish is empty|web/],
      ['Archispirostreptus gigas', 'millipede-tropical', 'I4', { bodyLengthMm: 200 }, /small prey|roundness|web/],
    ];
    for (const [name, profile, code, facts, never] of kinds) {
      const told = await table(name, profile, code, facts);
      const hungry =
        JSON.stringify(told).match(/"id":"(hungry|premoult|unsettled|overfed)".*?"leaveAlone":\[.*?\]/g) ?? [];
      expect(hungry.length).toBeGreaterThan(0);
      for (const cause of hungry) expect([profile, cause.match(never)?.[0]]).toEqual([profile, undefined]);
    }
  });

  it('ask for the low perch and the footing where nymphs die at the moult', async () => {
    for (const profile of ['stick-insect', 'mantis']) {
      const open = await trouble(profile, ['died-moulting']);
      expect(open.ranked.slice(0, 3).map(({ id }: { id: string }) => id)).toContain('footing');
      expect(open.next.slice(0, 4).map(({ sign }: { sign: string }) => sign)).toEqual(
        expect.arrayContaining(['perch-low', 'perch-smooth']),
      );
      const found = await trouble(profile, ['died-moulting', 'perch-low', 'perch-smooth']);
      expect(found.ranked[0].id).toBe('footing');
    }
  });

  it('know gnats alone', async () => {
    for (const profile of ['isopod-temperate', 'millipede-tropical', 'land-snail']) {
      const { ranked } = await trouble(profile, ['gnats']);
      expect([profile, ranked[0].id]).toEqual([profile, 'gnats']);
    }
    expect((await trouble('isopod-temperate', ['gnats', 'mould-seen', 'many-die'])).ranked[0].id).not.toBe('gnats');
  });

  it('keep those of the desert from those of the forest, and let cleaners be', async () => {
    const lodger = (scientificName: string, profile: string, headCount = 20) => ({
      ...{ label: scientificName, scientificName, profile, headCount },
    });
    const verdict = async (...lodgers: object[]) => {
      const { verdict: told, checks } = await house.compute('company', { lodgers });
      return [told, checks.map(({ rule }: { rule: string }) => rule)];
    };
    const arid = lodger('Orthoporus ornatus', 'millipede-arid');
    const tropical = lodger('Archispirostreptus gigas', 'millipede-tropical');
    expect(await verdict(arid, tropical)).toEqual(['fail', expect.arrayContaining(['different-dry'])]);
    const snail = lodger('Cornu aspersum', 'land-snail');
    const dry = lodger('Porcellio hoffmannseggii', 'isopod-dry-vented');
    expect(await verdict(snail, dry)).toEqual(['fail', expect.arrayContaining(['different-dry'])]);
    const springtails = lodger('Folsomia candida', 'springtail');
    expect(await verdict(tropical, springtails)).toEqual(['pass', []]);
    expect((await verdict(arid, springtails))[0]).not.toBe('fail');
  });

  it('stay a culture when a length is noted, and keep their old soil', async () => {
    await house.box('C1', 'flat-2', { soilMm: 60, litterDepthMm: 20 });
    const facts = { profile: 'isopod-temperate', stage: 'adult', headCount: 60, on: '2025-03-01' };
    const culture = await house.takeIn('Porcellio scaber', 'C1', facts);
    await house.write('measured', culture, { bodyLengthMm: 14 });
    expect(await house.resident(culture)).toMatchObject({ form: 'group', headCount: 60 });
    expect((await house.get(`/api/residents/${culture.id}/colony`)).status).toBe(200);
    expect(await house.kinds(culture)).toContain('refresh');
    expect((await house.round(culture)).join()).toMatch(/Refresh half of the soil, keep the other/);
  });
});
