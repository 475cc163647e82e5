import fc from 'fast-check';
import { slantedName } from './slantedName';

describe('a name in italics', () => {
  // Forms as in the names of the species that ship; that "sp.", "cf.", the cross and the author stand upright is common practice.
  it.each([
    ['Grammostola pulchra', '*Grammostola pulchra*'],
    ["Cubaris sp. 'Ridge'", "*Cubaris* sp. 'Ridge'"],
    ['Hierodula cf. membranacea', '*Hierodula* cf. *membranacea*'],
    ['Actias luna × Actias selene', '*Actias luna* × *Actias selene*'],
    ['Caribena versicolor (Walckenaer, 1837)', '*Caribena versicolor* (Walckenaer, 1837)'],
    ['Camponotus (Camponotus) ligniperda', '*Camponotus (Camponotus) ligniperda*'],
  ])('%s', (name, wanted) => {
    const read = slantedName(name).map(({ text, isSlanted }) => (isSlanted ? `*${text}*` : text));
    expect(read.join(' ')).toBe(wanted);
  });

  it('is the name again, put together', () => {
    fc.assert(
      fc.property(fc.array(fc.stringMatching(/^[A-Za-z.]{1,8}$/), { minLength: 1, maxLength: 5 }), (words) => {
        expect(
          slantedName(words.join(' '))
            .map(({ text }) => text)
            .join(' '),
        ).toBe(words.join(' '));
      }),
    );
  });
});
