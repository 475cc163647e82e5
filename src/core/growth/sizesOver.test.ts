import { grownBetween, sizeOn } from './sizesOver';

const SIZES = [
  { on: '2025-06-01', mm: 60 },
  { on: '2024-06-01', mm: 40 },
];

describe('sizes over time', () => {
  it('hold from the day they were measured until the next', () => {
    expect(['2024-05-31', '2024-06-01', '2025-05-31', '2025-06-01'].map((on) => sizeOn(SIZES, on))).toEqual([
      ...[undefined, 40, 40, 60],
    ]);
  });

  it('are compared, the earlier first, whichever was named first', () => {
    const grown = { days: 365, moreMm: 20, times: 1.5 };
    expect(grownBetween(SIZES, '2024-06-01', '2025-06-01')).toEqual(grown);
    expect(grownBetween(SIZES, '2025-06-01', '2024-06-01')).toEqual(grown);
    expect(grownBetween(SIZES, '2024-01-01', '2025-06-01')).toBeNull();
  });
});
