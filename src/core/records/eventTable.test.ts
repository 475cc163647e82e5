import fc from 'fast-check';
import { mappingOf } from './columns';
import { EVENT_COLUMNS, eventReader, type Nameable } from './eventTable';

const TODAY = '2026-03-14';
const known: Nameable[] = [
  { id: 'b3', names: ['B3', 'Bramble', 'Tliltocatl albopilosus'], takes: 'legSpanMm', isGroup: false },
  { id: 'd4', names: ['D4', 'The hedge', 'Carausius morosus'], takes: 'bodyLengthMm', isGroup: true },
  { id: 'a7', names: ['A7', 'Bracken', 'Tliltocatl albopilosus'], takes: 'legSpanMm', isGroup: false },
];
const read = (header: string[], ...body: string[][]) => {
  const mapping = mappingOf(header, EVENT_COLUMNS);
  return body.map(eventReader(known, { header, mapping, unit: 'mm', order: 'dmy', today: TODAY }));
};
const header = ['Date', 'Box', 'What', 'Size mm', 'Weight', 'Count', 'Instar', 'Note'];

describe('a pasted table', () => {
  it('is read line by line, whatever the columns are called and in which order', () => {
    expect(
      read(
        header,
        ['14.3.2026', 'b3', 'Moulted', '121,5', '', '', '', 'whole skin'],
        ['2026-03-10', 'the hedge', 'moult', '', '', '12', 'L4', ''],
        ['', 'Bracken', 'weighed', '', '6.2 g', '', '', ''],
      ).map((each) => each.row),
    ).toEqual([
      { kind: 'moulted', residentId: 'b3', on: TODAY, legSpanMm: 121.5, note: 'whole skin' },
      { kind: 'moulted', residentId: 'd4', on: '2026-03-10', count: 12, instar: 4 },
      { kind: 'measured', residentId: 'a7', on: TODAY, massG: 6.2 },
    ]);
    expect(read(['what', 'who'], ['fed', 'D4'])[0]?.row).toEqual({ kind: 'offered', residentId: 'd4', on: TODAY });
  });

  it.each([
    [['', 'B9', 'fed'], /“B9”/],
    [['', 'Tliltocatl albopilosus', 'fed'], /are 2/],
    [['', 'B3', 'danced'], /“danced” is not known/],
    [['March 2026', 'B3', 'fed'], /no day/],
    [['2026-02-30', 'B3', 'fed'], /no day/],
    [['2026-04-01', 'B3', 'fed'], /not come yet/],
    [['', 'B3', 'measured', 'big'], /no size/],
    [['', 'D4', 'died', '', '', '1.5'], /whole number/],
    [['', 'B3', 'measured'], /Nothing was measured/],
    [['', 'B3', 'note'], /column note/],
    [['', '', 'fed'], /Nobody is named/],
  ])('%j is not guessed at', (cells, message) => {
    const [line] = read(header, cells);
    expect(line?.problems?.[0]?.message).toMatch(message);
  });

  it('never throws, and answers for every line that holds something', () => {
    const cell = fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom('B3', 'fed', 'measured', '12', '14.3.2026'));
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 9 }), { maxLength: 8 }), (body) => {
        const lines = read(header, ...body);
        for (const each of lines) expect((each.row === undefined) !== (each.problems === undefined)).toBe(true);
      }),
    );
  });
});
