import { lifeBefore, type Written } from './lifeBefore';

const entry = (kind: string, on: string, data: Written['data'] = {}): Written => ({
  ...{ id: `${kind} ${on}`, kind, on, keeper: null, note: null, data },
});
const retold = (entries: Written[]) =>
  lifeBefore(entries, { residentId: 'r', arrived: '2026-03-14', idOf: (id) => `new ${id}` });

describe('a life told again in another house', () => {
  it('is what is about the animal itself, not about its box, its plans and its work', () => {
    const kinds = [
      'moulted',
      'cleaned',
      'moved',
      'soil-set',
      'rest-planned',
      'sexed',
      'passed-on',
      'labelled',
      'noted',
    ];
    expect(retold(kinds.map((kind) => entry(kind, '2026-01-01'))).map(({ kind }) => kind)).toEqual([
      ...['moulted', 'sexed', 'noted'],
    ]);
  });

  it('has the size it came with there as a measure of that day, and nothing later than its arrival here', () => {
    const told = retold([
      entry('taken-in', '2025-01-01', { stage: 'juvenile', legSpanMm: 30 }),
      entry('taken-in', '2025-01-02', { stage: 'juvenile' }),
      entry('moulted', '2026-03-15', { legSpanMm: 40 }),
    ]);
    expect(told).toEqual([{ kind: 'measured', residentId: 'r', on: '2025-01-01', legSpanMm: 30 }]);
  });

  it('keeps a meal and what came of it together, and leaves out what that house noted of itself', () => {
    const offered = entry('offered', '2026-01-01', { preyCount: 2, inQuiet: 1, answers: 'feed 2026-01-01', mended: 1 });
    const eaten = entry('eaten', '2026-01-02', { answers: `meal ${offered.id}` });
    expect(retold([offered, eaten])).toEqual([
      { id: `new ${offered.id}`, kind: 'offered', residentId: 'r', on: '2026-01-01', preyCount: 2 },
      { id: `new ${eaten.id}`, kind: 'eaten', residentId: 'r', on: '2026-01-02', answers: `meal new ${offered.id}` },
    ]);
  });
});
