import fc from 'fast-check';
import type { Refusal } from '../refusal';
import { boxAddress, boxOfCode } from './boxCode';
import { drawLabel, SMALLEST_LABEL_MM, SMALLEST_TYPE_MM, type LabelWords, type WidthOf } from './drawLabel';
import { labelPlaces, type LabelSheet } from './stock';

/** Every letter half an em wide. */
const half: WidthOf = (text) => text.length / 2;
const GRID: LabelSheet = {
  ...{ form: 'sheet', paper: { widthMm: 210, heightMm: 297 }, columns: 3, rows: 8 },
  ...{ widthMm: 70, heightMm: 37, leftMm: 0, topMm: 0.5, acrossMm: 70, downMm: 37 },
};

const word = fc.stringMatching(/^[a-z]{1,14}$/);
const words = (most: number) => fc.array(word, { minLength: 1, maxLength: most }).map((all) => all.join(' '));
const said: fc.Arbitrary<LabelWords> = fc.record(
  {
    code: fc.stringMatching(/^[A-Z]\d{1,3}$/),
    called: words(3),
    name: fc.array(fc.record({ text: words(2), isSlanted: fc.boolean() }), { maxLength: 3 }),
    commonName: words(4),
    life: words(4),
    hazards: fc.array(words(2), { maxLength: 4 }),
    permit: words(3),
    others: words(6),
  },
  { requiredKeys: ['code', 'name', 'hazards'] },
);
const size = fc.record({
  widthMm: fc.double({ min: SMALLEST_LABEL_MM.widthMm, max: 200, noNaN: true }),
  heightMm: fc.double({ min: SMALLEST_LABEL_MM.heightMm, max: 120, noNaN: true }),
});

describe('a label', () => {
  it('holds everything within its edges, clear of the code, in type that can be read', () => {
    fc.assert(
      fc.property(said, size, (each, { widthMm, heightMm }) => {
        const { texts, code, warning } = drawLabel(each, { widthMm, heightMm }, half);
        expect(code.yMm).toBeGreaterThanOrEqual(0);
        expect(code.xMm + code.sizeMm).toBeLessThanOrEqual(widthMm);
        expect(code.sizeMm).toBeGreaterThanOrEqual(12);
        for (const { text, font, sizeMm, xMm, yMm } of texts) {
          expect(sizeMm).toBeGreaterThanOrEqual(SMALLEST_TYPE_MM - 1e-9);
          expect(xMm).toBeGreaterThan(0);
          expect(xMm + half(text, font) * sizeMm).toBeLessThanOrEqual(code.xMm - 1 + 1e-6);
          expect(yMm - 0.8 * sizeMm).toBeGreaterThan(0);
          expect(yMm + 0.2 * sizeMm).toBeLessThan(heightMm);
        }
        expect(warning === null).toBe(each.hazards.length === 0);
      }),
    );
  });

  it('never leaves out the box, the name or the dangers, and tells what it leaves out', () => {
    fc.assert(
      fc.property(said, size, (each, place) => {
        const { texts, leftOut } = drawLabel(each, place, half);
        const read = texts.map(({ text }) => text.trim()).join(' ');
        expect(read.startsWith(each.code)).toBe(true);
        const isCut = read.includes('…');
        const all = [each.hazards.join(', '), each.name.map(({ text }) => text).join(' ')];
        if (!isCut) for (const needed of all) expect(read).toContain(needed);
        for (const part of ['others', 'commonName', 'permit', 'life'] as const) {
          const isTold = each[part] !== undefined && !leftOut.includes(part);
          if (!isCut && isTold) expect(read).toContain(each[part]);
        }
        // Cut short only where nothing else could give way any more.
        if (isCut) expect(leftOut).toEqual(['others', 'commonName', 'permit', 'life'].filter((part) => part in each));
      }),
    );
  });

  it('is set in larger type where there is more room', () => {
    const each: LabelWords = {
      code: 'B3',
      name: [{ text: 'Grammostola pulchra', isSlanted: true }],
      hazards: ['barbed hairs'],
    };
    const typeOf = (place: { widthMm: number; heightMm: number }) =>
      drawLabel(each, place, half).texts.find(({ font }) => font === 'name')?.sizeMm ?? 0;
    expect(typeOf({ widthMm: 38.1, heightMm: 21.2 })).toBeLessThan(typeOf({ widthMm: 62, heightMm: 35 }));
    expect(drawLabel(each, { widthMm: 62, heightMm: 35 }, half).leftOut).toEqual([]);
  });
});

describe('a sheet of labels', () => {
  it('is filled row by row, from the first label that is still there', () => {
    expect(labelPlaces(GRID, 3, 23)).toEqual([
      { page: 0, xMm: 70, yMm: 259.5 },
      { page: 0, xMm: 140, yMm: 259.5 },
      { page: 1, xMm: 0, yMm: 0.5 },
    ]);
    expect(labelPlaces({ form: 'tape', widthMm: 62, heightMm: 35 }, 2)).toEqual([
      { page: 0, xMm: 0, yMm: 0 },
      { page: 1, xMm: 0, yMm: 0 },
    ]);
  });

  it('has no two labels one over the other, and none beyond its paper', () => {
    const sheets = fc.record({
      columns: fc.integer({ min: 1, max: 6 }),
      rows: fc.integer({ min: 1, max: 15 }),
      gapMm: fc.integer({ min: 0, max: 4 }),
    });
    fc.assert(
      fc.property(sheets, fc.integer({ min: 1, max: 200 }), ({ columns, rows, gapMm }, count) => {
        const widthMm = (210 - gapMm * (columns - 1)) / columns;
        const heightMm = (297 - gapMm * (rows - 1)) / rows;
        const sheet = {
          ...GRID,
          columns,
          rows,
          widthMm,
          heightMm,
          topMm: 0,
          acrossMm: widthMm + gapMm,
          downMm: heightMm + gapMm,
        };
        const places = labelPlaces(sheet, count);
        for (const { xMm, yMm } of places) {
          expect(xMm + widthMm).toBeLessThanOrEqual(210.001);
          expect(yMm + heightMm).toBeLessThanOrEqual(297.001);
        }
        const taken = new Set(places.map(({ page, xMm, yMm }) => `${page} ${xMm.toFixed(3)} ${yMm.toFixed(3)}`));
        expect(taken.size).toBe(count);
      }),
    );
  });

  it('whose grid cannot be is refused, naming the measure', () => {
    const problems = (change: Partial<LabelSheet>, startAt = 1) => {
      try {
        labelPlaces({ ...GRID, ...change }, 1, startAt);
        return [];
      } catch (error) {
        return (error as Refusal).fields.map(({ path }) => path);
      }
    };
    expect(problems({})).toEqual([]);
    expect(problems({ columns: 4 })).toEqual(['stock.columns']);
    expect(problems({ rows: 9 })).toEqual(['stock.rows']);
    expect(problems({ acrossMm: 60 })).toEqual(['stock.acrossMm']);
    expect(problems({ downMm: 30 })).toEqual(['stock.downMm']);
    expect(problems({}, 25)).toEqual(['startAt']);
  });
});

describe('the code on a box', () => {
  it('leads back to it under whichever address it was printed, and no other code does', () => {
    fc.assert(
      fc.property(fc.uuid(), fc.webAuthority(), (id, host) => {
        expect(boxOfCode(boxAddress(`http://${host}`, id))).toBe(id);
        expect(boxOfCode(`https://${host}/homes/${id}`)).toBe(id);
      }),
    );
    for (const other of ['', 'B3', 'http://burrow.local/b/123', 'http://burrow.local/residents/1', 'WIFI:S:net;;'])
      expect(boxOfCode(other)).toBeNull();
  });
});
