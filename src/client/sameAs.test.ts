import { sameAs } from './sameAs';

describe('a list that came anew', () => {
  const before = [
    { id: 'a', jobs: [1] },
    { id: 'b', jobs: [] },
  ];
  it('keeps what has not changed, takes what has, and drops what is gone', () => {
    const after = [
      { id: 'b', jobs: [2] },
      { id: 'a', jobs: [1] },
      { id: 'c', jobs: [] },
    ];
    const merged = sameAs(before, after, ({ id }) => id);
    expect(merged).toEqual(after);
    expect(merged[1]).toBe(before[0]);
    expect(merged[0]).toBe(after[0]);
    expect(sameAs(before, [], ({ id }) => id)).toEqual([]);
    expect(sameAs(before, JSON.parse(JSON.stringify(before)), ({ id }) => id)).toBe(before);
  });
});
