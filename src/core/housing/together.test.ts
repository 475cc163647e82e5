import fc from 'fast-check';
import { profileOf } from '@/contract/testing/profileOf';
import { company, type Lodger } from './company';
import { fit } from './fit';
import { companyWith, together, type Housemate } from './together';

const mate = (id: string, headCount?: number, isEggs = false): Housemate => ({
  ...{ profile: profileOf(id), headCount, isEggs },
});
const lodger = (id: string, scientificName: string, headCount?: number): Lodger => ({
  ...{ label: scientificName, scientificName, profile: profileOf(id), headCount },
});

describe('those who live together', () => {
  it('are counted with all of their kind, one by one where nobody counted, and without eggs', () => {
    expect(together(mate('communal-assassin-bug', 12), [mate('communal-assassin-bug', 10)]).headsTogether).toBe(22);
    expect(together(mate('stick-insect', 5), [mate('stick-insect')]).headsTogether).toBe(6);
    expect(together(mate('stick-insect'), []).headsTogether).toBeUndefined();
    expect(together(mate('stick-insect', 5), [mate('stick-insect', 60, true)]).headsTogether).toBe(5);
    expect(together(mate('stick-insect', 60, true), [mate('stick-insect', 5)]).headsTogether).toBe(60);
    expect(together(mate('stick-insect', 5), [mate('isopod-temperate', 40)]).headsTogether).toBe(5);
  });

  it('have cleaners as guests; among themselves, and beside eggs, these keep house', () => {
    expect(together(mate('springtail', 200), [mate('millipede-arid')]).isGuest).toBe(true);
    expect(together(mate('isopod-dwarf-tropical', 50), [mate('ground-tarantula')]).isGuest).toBe(true);
    expect(together(mate('springtail', 200), [mate('isopod-dwarf-tropical', 50)]).isGuest).toBe(false);
    expect(together(mate('springtail', 200), [mate('stick-insect', 60, true)]).isGuest).toBe(false);
    expect(together(mate('millipede-arid'), [mate('springtail', 200)]).isGuest).toBe(false);
    expect(together(mate('stick-insect', 60, true), [mate('stick-insect', 5)]).isGuest).toBe(false);
  });

  it('are as many for each of a kind, whoever is asked', () => {
    const heads = fc.array(fc.option(fc.integer({ min: 1, max: 500 }), { nil: undefined }), {
      minLength: 2,
      maxLength: 6,
    });
    fc.assert(
      fc.property(heads, (counts) => {
        const all = counts.map((count) => mate('land-snail', count));
        const told = all.map(
          (one) =>
            together(
              one,
              all.filter((each) => each !== one),
            ).headsTogether,
        );
        expect(new Set(told).size).toBe(1);
      }),
    );
  });

  it('fill a home as one group of so many does; a guest asks nothing of it', () => {
    const home = {
      container: { shape: 'box' as const, lengthMm: 300, widthMm: 300, heightMm: 300, lid: 'mesh' as const, vents: [] },
    };
    const bugs = { stage: 'adult' as const, bodyLengthMm: 38, substrateDepthMm: 40, ...home };
    const profile = profileOf('communal-assassin-bug');
    const checksOf = (heads: { headCount: number; headsTogether?: number }) =>
      fit(profile, { ...bugs, ...heads }).checks;
    expect(checksOf({ headCount: 12, headsTogether: 22 })).toEqual(checksOf({ headCount: 22 }));
    expect(fit(profile, { ...bugs, headCount: 900, isGuest: true })).toMatchObject({ verdict: 'pass', checks: [] });
  });
});

describe('who is put forward to whom', () => {
  const isopods = lodger('isopod-temperate', 'Porcellio laevis', 40);

  it.each([
    ['a group of its own kind', isopods, [lodger('isopod-temperate', 'Porcellio laevis', 20)], true],
    ['another species that it bears', isopods, [lodger('isopod-temperate', 'Porcellio scaber', 20)], false],
    ['cleaners of its climate', isopods, [lodger('springtail', 'Folsomia candida')], true],
    ['a host of its climate, to cleaners', lodger('springtail', 'Folsomia candida'), [isopods], true],
    // It wants 45 to 60 % and they 80 and more: there is no air for both.
    ['a hunter', isopods, [lodger('ground-tarantula', 'Grammostola pulchra')], false],
    ['nobody', isopods, [], true],
    ['eggs of others', isopods, [{ ...lodger('springtail', 'Carausius morosus', 30), isEggs: true }], false],
  ])('%s', (_, newcomer, tenants, isProposed) => {
    expect(companyWith(newcomer, tenants).isProposed).toBe(isProposed);
  });

  it('is no colony to another of its kind', () => {
    const colony = (label: string) => ({ ...lodger('ant-small-temperate', 'Lasius niger', 50), label });
    const { verdict, checks, isProposed } = companyWith(colony('a'), [colony('b')]);
    expect([verdict, isProposed]).toEqual(['fail', false]);
    expect(checks).toMatchObject([{ rule: 'other-colony', who: ['b', 'a'] }]);
    expect(companyWith(colony('a'), []).verdict).toBe('pass');
  });

  it('is told where no climate serves both', () => {
    const cold = {
      ...isopods.profile,
      climate: { ...isopods.profile.climate, temperatureC: { min: 5, max: 15, basis: 'from memory' as const } },
    };
    const answer = company([isopods, { ...isopods, scientificName: 'Oniscus sp.', profile: cold }]);
    expect(answer.checks).toContainEqual(
      expect.objectContaining({ rule: 'different-climate', unshared: ['temperatureC'] }),
    );
  });
});
