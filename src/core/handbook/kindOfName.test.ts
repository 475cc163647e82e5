import { kindOfName } from '@/core/profiles/kindOfName';

const known = [
  { name: 'Porcellio laevis', profile: 'temperate', synonyms: ['Oniscus laevis'] },
  { name: 'Porcellio hoffmannseggii', profile: 'dry' },
  { name: 'Porcellio scaber', profile: 'temperate' },
  { name: 'Antheraea polyphemus', profile: 'cold' },
  { name: 'Antheraea pernyi', profile: 'tropical' },
  { name: 'Cyriopagopus lividus', profile: 'burrowing', synonyms: ['Haplopelma lividum'] },
];

describe('the kind that a name means', () => {
  it.each([
    ['Porcellio hoffmannseggii', { profile: 'dry', by: 'species' }],
    ['Porcellio laevis Latreille, 1804', { profile: 'temperate', by: 'species' }],
    ['Oniscus laevis', { profile: 'temperate', by: 'species' }],
    // Most of the genus; of two as common the first.
    ['Porcellio ornatus', { profile: 'temperate', by: 'genus' }],
    ["Porcellio sp. 'Sevilla'", { profile: 'temperate', by: 'genus' }],
    ['Antheraea yamamai', { profile: 'cold', by: 'genus' }],
    // By the genus it was in before, too.
    ['Haplopelma minax', { profile: 'burrowing', by: 'genus' }],
    ['Porcellionides pruinosus', null],
    ['Xystus', null],
    ['', null],
  ])('%s', (name, kind) => {
    expect(kindOfName(known, name)).toEqual(kind);
  });

  it('is that of a card of one’s own before what ships', () => {
    expect(kindOfName([{ name: 'Porcellio laevis', profile: 'own' }, ...known], 'Porcellio laevis')).toMatchObject({
      profile: 'own',
    });
  });
});
