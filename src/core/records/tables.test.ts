import { format } from 'date-fns/format';
import fc from 'fast-check';
import { shippedProfiles, shippedSpecies } from '@/contract/shipped';
import { kindOfName } from '@/core/profiles/kindOfName';
import { addDays } from '@/core/measure/day';
import { careBook } from '@/core/profiles/careBook';
import { BOX_COLUMNS, readBox } from './boxTable';
import { headsInCell, mappingOf, titleOf } from './columns';
import { EVENT_COLUMNS } from './eventTable';
import { orderIn, tableKindOf } from './readTable';
import { readResident, RESIDENT_COLUMNS } from './residentTable';
import type { CellProblem } from './readRow';
import { isAmbiguous, orderOf, typedDay } from './typedDay';

const TODAY = '2026-03-14';
const told = ({ problems = [] }: { problems?: CellProblem[] | undefined }) =>
  problems.map(({ column, message }) => `${column}: ${message}`).join(' ');

describe('a day as keepers write it', () => {
  // Against date-fns 4, whose patterns follow Unicode TR 35.
  const days = fc.integer({ min: 0, max: 20_000 }).map((offset) => addDays('1970-01-01', offset));
  it.each([
    ['yyyy-MM-dd', 'dmy'],
    ['d.M.yyyy', 'mdy'],
    ['dd/MM/yyyy', 'dmy'],
    ['M/d/yyyy', 'mdy'],
    ['d MMMM yyyy', 'dmy'],
    ['d MMM yyyy', 'mdy'],
    ['MMMM d, yyyy', 'dmy'],
    ['do MMMM yyyy', 'dmy'],
    ["yyyy-MM-dd'T'HH:mm", 'dmy'],
  ] as const)('in the way %s, in the order %s', (pattern, order) => {
    fc.assert(
      fc.property(days, (day) => {
        expect(typedDay(format(new Date(`${day}T12:00:00`), pattern), order, TODAY)).toEqual({
          on: day,
          isAbout: false,
        });
      }),
    );
  });

  it.each([
    ['March 2024', '2024-03-15', true],
    ['2024-03', '2024-03-15', true],
    ['about 2024', '2024-07-01', true],
    ['6 weeks ago', '2026-01-31', true],
    ['2 days ago', '2026-03-12', false],
    ['a month ago', '2026-02-12', true],
    ['yesterday', '2026-03-13', false],
    ['25/12/2025', '2025-12-25', false],
    ['3/14/26', '2026-03-14', false],
    ['14.3.26', '2026-03-14', false],
    ['1.2.27', '2027-02-01', false],
    ['1.2.98', '1998-02-01', false],
  ])('%s is %s', (text, on, isAbout) => expect(typedDay(text, 'mdy', TODAY)).toEqual({ on, isAbout }));

  it.each(['', '2026-02-30', '31.4.2026', '1900-01-01', '0', '12/25', 'soon', 'Smarch 2024', '2024-13', '40000'])(
    '%j is none',
    (text) => expect(typedDay(text, 'dmy', TODAY)).toBeNull(),
  );

  it('tells its order where one can be read one way only', () => {
    expect(orderOf(['3/4/2025', '13/4/2025'])).toBe('dmy');
    expect(orderOf(['3/4/2025', '3/14/2025'])).toBe('mdy');
    expect(orderOf(['13/4/2025', '3/14/2025', '2025-01-01'])).toBeNull();
    expect([isAmbiguous(['3/4/2025']), isAmbiguous(['3/3/2025', '13/4/2025', '3.4.2025'])]).toEqual([true, false]);
  });
});

describe('a table', () => {
  it('is of the kind whose columns it has', () => {
    expect(tableKindOf(['Code', 'Length', 'Width', 'Height', 'Shelf'])).toBe('boxes');
    expect(tableKindOf(['Species', 'Box', 'Sex', 'Last molt'])).toBe('residents');
    expect(tableKindOf(['Date', 'Box', 'What', 'Note'])).toBe('events');
  });

  it('has its days in one order, which is asked for where none of them tells', () => {
    const header = ['Date', 'Box', 'What'];
    const mapping = mappingOf(header, EVENT_COLUMNS);
    const order = (...days: string[]) => orderIn({ header, body: days.map((day) => [day, 'B1', 'fed']) }, mapping);
    expect([
      order('3/4/2025'),
      order('3/4/2025', '3/14/2025'),
      order('2025-01-01'),
      order('13/1/2025', '1/13/2025'),
    ]).toEqual([...[null, 'mdy', 'dmy', 'dmy']]);
  });
});

describe('columns', () => {
  it('are known by their titles, with the unit behind them', () => {
    expect(titleOf('Leg span (cm)')).toEqual({ words: 'leg span', unit: 'cm' });
    expect(titleOf('length_in')).toEqual({ words: 'length', unit: 'in' });
    expect(titleOf('mm')).toEqual({ words: 'mm', unit: 'mm' });
    expect(titleOf('Weight, g')).toEqual({ words: 'weight', unit: undefined });
    expect(mappingOf(['Name', 'Species', 'Tub', 'Date acquired', 'Last molt'], RESIDENT_COLUMNS)).toEqual({
      ...{ called: 0, scientificName: 1, box: 2, on: 3, lastMoultOn: 4 },
    });
    expect(mappingOf(['Name', 'Room', 'Inside size'], BOX_COLUMNS)).toEqual({ code: 0, room: 1, size: 2 });
  });

  it('are each taken once', () => {
    const title = fc.constantFrom('Name', 'Box', 'Species', 'Date', 'Size (mm)', 'Length', '', 'Notes', 'name');
    fc.assert(
      fc.property(fc.array(title, { maxLength: 12 }), (header) => {
        const places = Object.values(mappingOf(header, RESIDENT_COLUMNS));
        expect(new Set(places).size).toBe(places.length);
      }),
    );
  });

  it('tell heads, and whether they were guessed', () => {
    expect(headsInCell('~200')).toEqual({ heads: 200, isAbout: true });
    expect(headsInCell('1,200')).toEqual({ heads: 1200, isAbout: false });
    expect(headsInCell('50+')).toEqual({ heads: 50, isAbout: true });
    expect(['', '0', '1.5', 'many', '-3'].map(headsInCell)).toEqual([null, null, null, null, null]);
  });
});

describe('a table of residents', () => {
  const care = careBook(shippedProfiles, shippedSpecies);
  const kindOf = (scientificName: string) => {
    const kind = kindOfName(shippedSpecies, scientificName);
    if (!kind) return null;
    const { stages, measure } = care.of({ profile: kind.profile, scientificName });
    return { stages, takes: measure.takes };
  };
  const header = ['Species', 'Box', 'Name', 'Stage', 'Sex', 'Leg span (cm)', 'Count', 'Acquired', 'Last molt'];
  const mapping = mappingOf(header, RESIDENT_COLUMNS);
  const read = (...row: string[]) =>
    readResident(row, { header, mapping, unit: 'mm', order: 'dmy', today: TODAY, kindOf });

  it('is read in the units over its columns, and says what was taken for what', () => {
    expect(read('brachypelma hamorii', 'B1', 'Ember', '', 'F', '7,5', '', 'March 2024', '1.2.2026')).toEqual({
      row: {
        ...{ scientificName: 'Brachypelma hamorii', box: 'B1', called: 'Ember', stage: 'juvenile', sex: 'female' },
        ...{ legSpanMm: 75, on: '2024-03-15', lastMoultOn: '2026-02-01' },
      },
      notes: [
        ...['“brachypelma hamorii” is written Brachypelma hamorii', '“March 2024” is taken as 2024-03-15'],
        'no stage is told: taken as juvenile',
      ],
    });
    expect(read('Porcellio laevis', 'C1', '', 'adult', '', '', '~200', '', '').row).toMatchObject({
      ...{ stage: 'adult', headCount: 200, headsAbout: true },
    });
    expect(read('Mantis religiosa', 'M1', '', 'sling', '', '1', '', '', '').row).toMatchObject({
      stage: 'nymph',
      bodyLengthMm: 10,
    });
  });

  it.each([
    [['Brachypelma hamorii / Grammostola pulchra', 'B1'], /scientificName/],
    [['Brachypelma hamorii, Grammostola pulchra', 'B1'], /scientificName/],
    [['🕷️', 'B1'], /scientificName/],
    [['Giant orange tiger', 'B1'], /scientificName/],
    [['', 'B1'], /scientificName/],
    [['Ctenophora major', 'B1'], /scientificName: Nobody here knows/],
    [['Brachypelma hamorii', ''], /box:/],
    [['Brachypelma hamorii', 'B1', '', 'tadpole'], /stage: “tadpole”/],
    [['Brachypelma hamorii', 'B1', '', '', '', 'big'], /size:/],
    [['Brachypelma hamorii', 'B1', '', '', '', '', 'lots'], /heads:/],
    [['Brachypelma hamorii', 'B1', '', '', '', '', '', '1900-01-01'], /on: “1900-01-01” is no day/],
    [['Brachypelma hamorii', 'B1', '', '', '', '', '', '2027-01-01'], /on: 2027-01-01 has not come/],
  ])('%j is told at its field', (row, message) => expect(told(read(...row))).toMatch(message));

  it.each([
    'Brachypelma hamorii Tesmoingt, 1997',
    "Brachypelma sp. 'Oaxaca'",
    'Brachypelma hamorii × Brachypelma smithi',
  ])('takes the name %s', (name) => expect(read(name, 'B1').row?.scientificName).toBe(name));
});

describe('a table of boxes', () => {
  const read = (header: string[], ...row: string[]) =>
    readBox(row, { header, mapping: mappingOf(header, BOX_COLUMNS), unit: 'mm', room: 'Cellar', shelf: 'Top' });

  it('is read by lengths in their columns, by a size in one, or as a round one', () => {
    const box = { lid: 'solid', vents: [] };
    expect(read(['Code', 'Length cm', 'Width cm', 'Height cm', 'Soil (mm)'], 'T1', '30', '20', '15', '40').row).toEqual(
      {
        ...{ code: 'T1', room: 'Cellar', shelf: 'Top', substrateDepthMm: 40 },
        container: { shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 150, ...box },
      },
    );
    expect(
      read(['Box', 'Size', 'Room', 'Shelf', 'Opens', 'Walls'], 'G1', '12 x 12 x 18 in', 'Attic', 'A', 'front', 'glass')
        .row,
    ).toEqual({
      ...{ code: 'G1', room: 'Attic', shelf: 'A', substrateDepthMm: 0 },
      container: {
        shape: 'box',
        lengthMm: 304.8,
        widthMm: 304.8,
        heightMm: 457.2,
        ...box,
        opens: 'front',
        walls: 'glass',
      },
    });
    expect(read(['Code', 'Diameter', 'Height'], 'J1', '6 cm', '80').row?.container).toEqual({
      ...{ shape: 'cylinder', diameterMm: 60, heightMm: 80, ...box },
    });
  });

  it.each([
    [['Code', 'Length', 'Width'], ['T1', '30', '20'], /length, width and height/],
    [['Code', 'Size'], ['T1', 'large'], /size: Write it as/],
    [['Code', 'Size', 'Walls'], ['T1', '3x3x3', 'jelly'], /walls: “jelly”/],
    [['Size'], ['3x3x3'], /code:/],
  ])('%j with %j is told at its field', (header, row, message) => expect(told(read(header, ...row))).toMatch(message));
});
