import { checkScientificName } from './scientificName';

// Form after the International Code of Zoological Nomenclature, 4th ed., Art. 5 and 28.
describe('the form of a scientific name', () => {
  it.each([
    'Grammostola pulchra',
    'Tliltocatl albopilosus',
    'Hierodula membranacea intermedia',
    'Cubaris cf. murina',
    'Cubaris sp.',
    "Cubaris sp. 'harbour wall'",
  ])('accepts %s', (name) => {
    expect(checkScientificName(name)).toEqual({ ok: true, name });
  });

  it.each([
    ['grammostola Pulchra', 'Grammostola pulchra'],
    ['GRAMMOSTOLA PULCHRA', 'Grammostola pulchra'],
    ['Cubaris sp', 'Cubaris sp.'],
    ['cubaris SP. “harbour wall”', "Cubaris sp. 'harbour wall'"],
    ['Cubaris cf murina', 'Cubaris cf. murina'],
  ])('writes %s as %s', (typed, suggestion) => {
    expect(checkScientificName(typed)).toMatchObject({ ok: false, suggestion });
  });

  it.each([
    ['', /genus and the species/],
    ['Grammostola', /species is missing/],
    ['Gr4mmostola pulchra', /not a genus/],
    ['Grammostola pulchra var nova', /Too many words/],
    ["Grammostola pulchra 'north'", /goes with “sp.”/],
    ['Grammostola sp. north', /locality in quotes/],
    ['Grammostola cf.', /missing after/],
    ['Grammostola pul_chra', /small letters/],
  ])('refuses %p and says what would be right', (typed, problem) => {
    const check = checkScientificName(typed);
    expect(check).toMatchObject({ ok: false, problem: expect.stringMatching(problem) });
    expect(check).not.toHaveProperty('suggestion');
  });
});
