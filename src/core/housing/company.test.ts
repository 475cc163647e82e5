import { profileOf } from '@/contract/testing/profileOf';
import { company, type Lodger } from './company';

const lodger = (profile: string, scientificName: string, headCount?: number): Lodger => ({
  label: scientificName,
  scientificName,
  profile: profileOf(profile),
  headCount,
});
const rules = (...lodgers: Lodger[]) => company(lodgers).checks.map((each) => each.rule);
const giant = lodger('millipede-tropical', 'Archispirostreptus gigas', 2);

describe('company', () => {
  it('is none for those that live alone, and good for groups', () => {
    const spider = lodger('ground-tarantula', 'Grammostola pulchra');
    expect(company([spider]).verdict).toBe('pass');
    expect(company([spider, { ...spider, label: 'another' }])).toMatchObject({
      verdict: 'fail',
      checks: [{ rule: 'alone' }],
    });
    expect(company([lodger('stick-insect', 'Carausius morosus', 14)]).checks).toEqual([]);
  });

  it('of a hunter and its food is none; cleaners go with anybody', () => {
    const scorpion = lodger('forest-scorpion', 'Heterometrus silenus');
    expect(rules(scorpion, lodger('isopod-temperate', 'Porcellio laevis', 20))).toContain('eaten');
    expect(rules(scorpion, lodger('springtail', 'Folsomia candida', 200))).not.toContain('eaten');
    expect(rules(scorpion, lodger('isopod-dwarf-tropical', 'Cubaris murina', 20))).not.toContain('eaten');
  });

  // Common practice: mixed groups whose young look alike give young nobody can name.
  it('is warned of where the young could not be told apart', () => {
    const other = lodger('millipede-tropical', 'Telodeinopus aoutii', 4);
    expect(company([giant, other])).toMatchObject({ verdict: 'watch', checks: [{ rule: 'young-look-alike' }] });
    expect(rules(giant, lodger('land-snail', 'Cornu aspersum', 3))).not.toContain('young-look-alike');
    expect(rules(giant, giant)).toEqual([]);
  });

  it('is warned of where one wants it wetter', () => {
    expect(rules(lodger('stick-insect', 'Carausius morosus', 4), giant)).toContain('different-damp');
  });
});
