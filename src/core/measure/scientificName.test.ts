import { withoutAuthor } from './nameParts';
import { checkScientificName } from './scientificName';

// Form after the International Code of Zoological Nomenclature, 4th ed.; articles and their examples from memory.
describe('the form of a scientific name', () => {
  it.each([
    'Grammostola pulchra',
    'Tliltocatl albopilosus',
    'Hierodula membranacea intermedia',
    'Cubaris cf. murina',
    'Cubaris sp.',
    "Cubaris sp. 'harbour wall'",
    "Cubaris murina 'north quay'",
    'Cubaris sp. aff. murina',
    'Cubaris aff. murina',
    // Art. 6.1: the name of a subgenus stands in brackets between genus and species.
    'Aus (Bus) cus',
    // Art. 51.2 and 51.3: the author follows, in brackets when the species was first put in another genus.
    'Taenia diminuta Rudolphi, 1819',
    'Hymenolepis diminuta (Rudolphi, 1819)',
    'Caribena versicolor (Walckenaer, 1837)',
    'Goniocidaris florigera (A. Agassiz, 1879)',
    'Poecilotheria regalis Pocock, 1899',
    'Aus bus Müller & de la Cruz, 2004',
    'Aus bus cus Linnaeus',
    // Art. 32.5.2.4.3: a hyphen stands only after a single Latin letter.
    'Polygonia c-album',
    'Poecilotheria regalis × metallica',
    'Aus bus × Cus dus',
  ])('accepts %s', (name) => {
    expect(checkScientificName(name)).toEqual({ ok: true, name });
  });

  it.each([
    ['grammostola Pulchra', 'Grammostola pulchra'],
    ['GRAMMOSTOLA PULCHRA', 'Grammostola pulchra'],
    ['Cubaris sp', 'Cubaris sp.'],
    ['cubaris SP. “harbour wall”', "Cubaris sp. 'harbour wall'"],
    ['Cubaris cf murina', 'Cubaris cf. murina'],
    ['aus bus x cus', 'Aus bus × cus'],
    ['aus (bus) cus', 'Aus (Bus) cus'],
    // Art. 32.5.2.1: marks on letters are left out.
    ['Aus núñezi', 'Aus nunezi'],
    ['caribena versicolor (Walckenaer, 1837)', 'Caribena versicolor (Walckenaer, 1837)'],
  ])('writes %s as %s', (typed, suggestion) => {
    expect(checkScientificName(typed)).toMatchObject({ ok: false, suggestion });
  });

  it.each([
    ['', /genus and the species/],
    ['Grammostola', /species is missing/],
    ['Gr4mmostola pulchra', /not a genus/],
    ['Grammostola pulchra var nova', /Too many words/],
    // Art. 11.8.1 and 11.9.1: a name has two letters at least.
    ['Aus b', /two at least/],
    ['Aus bus-cus', /small letters/],
    ['Aus bus Somebody, in a book', /not an author/],
    ['Aus sp. (Koch, 1842)', /no author/],
    ['Aus × bus', /both parents/],
    ['Grammostola sp. north', /locality in quotes/],
    ['Grammostola cf.', /missing after/],
    ['Grammostola pul_chra', /small letters/],
  ])('refuses %p and says what would be right', (typed, problem) => {
    const check = checkScientificName(typed);
    expect(check).toMatchObject({ ok: false, problem: expect.stringMatching(problem) });
    expect(check).not.toHaveProperty('suggestion');
  });

  it('is read at once, however many capitals stand in a row', () => {
    // A pattern that tries every way to cut them into surnames would take years.
    expect(checkScientificName(`Aus bus ${'AB'.repeat(30)}!`)).toMatchObject({ ok: false });
    expect(checkScientificName(`Aus bus ${'A. '.repeat(20)}de la la de!`)).toMatchObject({ ok: false });
  });

  it('holds with its author, and says the same species without', () => {
    expect(withoutAuthor('Caribena versicolor (Walckenaer, 1837)')).toBe('Caribena versicolor');
    expect(withoutAuthor('Poecilotheria regalis Pocock, 1899')).toBe('Poecilotheria regalis');
    expect(withoutAuthor("Cubaris sp. 'harbour wall'")).toBe("Cubaris sp. 'harbour wall'");
    expect(withoutAuthor('Aus (Bus) cus')).toBe('Aus (Bus) cus');
  });
});
