import fc from 'fast-check';
import { normalBelow, normalQuantile } from '@/core/numerics/normal';
import { TENTH_SD } from '@/core/numerics/tails';
import { refusalOf } from '@/core/testing/refusalOf';
import { chanceBelow, crpsOf, deviateOf, quantileOf, type Foreseen } from './foreseen';
import { refusalChance } from './refusal';
import { chanceScore, requireForeseen, wilson, windowScore, type Settled } from './summary';

const normal = (mean: number, sd: number): Foreseen => ({
  ...{ p10: mean - TENTH_SD * sd, p50: mean, p90: mean + TENTH_SD * sd },
});

/** Even chances between 0 and 1, the same every time. */
const chances = (count: number) => Array.from({ length: count }, (_, at) => (at * 0.6180339887498949 + 0.37) % 1);

describe('a forecast with a window', () => {
  // The closed form for a normal forecast: Gneiting, T. and Raftery, A. E. (2007), J. Am. Stat. Assoc. 102, equation 21.
  it('is scored as the closed form of a normal one says', () => {
    const density = (z: number) => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
    for (const sd of [1, 5, 20]) {
      for (const z of [-2.5, -1, -0.3, 0, 0.5, 1.4, 3]) {
        const exact = sd * (z * (2 * normalBelow(z) - 1) + 2 * density(z) - 1 / Math.sqrt(Math.PI));
        expect(crpsOf(normal(100, sd), 100 + z * sd) / exact).toBeCloseTo(1, 1);
        expect(Math.abs(crpsOf(normal(100, sd), 100 + z * sd) - exact)).toBeLessThan(0.02 * sd);
      }
    }
  });

  it('is scored the better the truer it is: by saying anything else than the truth nobody gains', () => {
    const came = chances(400).map((chance) => 50 + 10 * normalQuantile(chance));
    const mean = (foreseen: Foreseen) => came.reduce((sum, each) => sum + crpsOf(foreseen, each), 0) / came.length;
    const truth = mean(normal(50, 10));
    for (const other of [normal(46, 10), normal(55, 10), normal(50, 6), normal(50, 16)]) {
      expect(mean(other)).toBeGreaterThan(truth);
    }
  });

  it('has its tenths where it says, on both sides and in logarithms', () => {
    const window = fc
      .tuple(
        fc.double({ min: 2, max: 200, noNaN: true }),
        fc.double({ min: 1.1, max: 3, noNaN: true }),
        fc.double({ min: 1.1, max: 3, noNaN: true }),
        fc.boolean(),
      )
      .map(([p50, down, up, isLog]) => ({ p10: p50 / down, p50, p90: p50 * up, isLog }));
    fc.assert(
      fc.property(window, (foreseen) => {
        fc.pre(foreseen.p50 - foreseen.p10 > 1 && foreseen.p90 - foreseen.p50 > 1);
        expect(quantileOf(foreseen, 0.1) / foreseen.p10).toBeCloseTo(1, 3);
        expect(quantileOf(foreseen, 0.9) / foreseen.p90).toBeCloseTo(1, 3);
        expect(chanceBelow(foreseen, foreseen.p10)).toBeCloseTo(0.1, 3);
        expect(chanceBelow(foreseen, foreseen.p90)).toBeCloseTo(0.9, 3);
        expect(deviateOf(foreseen, foreseen.p50)).toBeCloseTo(0, 9);
      }),
    );
  });

  it('is refused where its numbers do not rise, or have no logarithm', () => {
    expect(refusalOf(() => requireForeseen([{ p10: 5, p50: 4, p90: 9 }])).fields[0]?.path).toBe('windows.0.p50');
    expect(
      refusalOf(() => requireForeseen([normal(9, 1), { p10: 0, p50: 4, p90: 9, isLog: true }])).fields[0]?.path,
    ).toBe('windows.1.p10');
  });
});

describe('many windows', () => {
  const made = (count: number, ofTruth: number): Settled[] =>
    chances(count).map((chance, at) => {
      const mean = 40 + (at % 7) * 10;
      return { foreseen: normal(mean, 8 * ofTruth), happened: mean + 8 * normalQuantile(chance), naive: mean + 12 };
    });

  it('hold as often as they say where they are right', () => {
    const score = windowScore(made(300, 1));
    expect(score.heldPct).toBeCloseTo(80, 0);
    expect(score.verdict).toBe('as-said');
    expect(score.spreadTimes).toBeCloseTo(1, 1);
    for (const { saidPct, camePct } of score.reliability) expect(Math.abs(saidPct - camePct)).toBeLessThan(3);
    expect(score.against?.error ?? NaN).toBeLessThan(score.against?.naiveError ?? NaN);
  });

  it('are told too narrow and too wide, and by how much; few of them tell nothing', () => {
    const narrow = windowScore(made(300, 0.5));
    expect(narrow.verdict).toBe('too-narrow');
    expect(narrow.heldPct).toBeLessThan(60);
    expect(narrow.spreadTimes).toBeGreaterThan(1.6);
    const wide = windowScore(made(300, 2));
    expect(wide.verdict).toBe('too-wide');
    expect(wide.spreadTimes).toBeLessThan(0.75);
    const few = windowScore(made(10, 0.5));
    expect([few.verdict, few.spreadTimes]).toEqual(['too-few', 1]);
    // What was corrected already is not corrected twice.
    const corrected = windowScore(made(300, 1).map((each) => ({ ...each, spreadTimes: 2 })));
    expect(corrected.heldPct).toBeCloseTo(80, 0);
    expect(corrected.spreadTimes).toBeGreaterThan(1.6);
  });

  it('have not held where they passed with nothing happening, which no mean error tells', () => {
    const passed = made(40, 1).map((each, at) => (at < 20 ? { ...each, happened: undefined } : each));
    const score = windowScore(passed);
    expect(score.windows).toBe(40);
    expect(score.held).toBeLessThanOrEqual(20);
    expect(score.against?.windows).toBe(20);
    expect(score.reliability.at(-1)?.camePct).toBeLessThan(60);
    expect(windowScore([])).toMatchObject({ heldPct: null, between: null, reliability: [], against: null });
  });

  // Newcombe, R. G. (1998), Stat. Med. 17, table I, method 3: 81 of 263, and 0 of 20, at 95 %.
  it.each([
    [81, 263, 25.53, 36.62],
    [0, 20, 0, 16.11],
  ])('of which %i of %i held lie between bounds that are published', (hits, of, low, high) => {
    const between = wilson(hits, of, 1.96);
    expect(between.low).toBeCloseTo(low, 1);
    expect(between.high).toBeCloseTo(high, 1);
  });
});

describe('chances', () => {
  // Brier, G. W. (1950): 0 for a forecast that was sure and right, 0.25 for one that always says one half, 1 for sure and wrong.
  it('are scored by Brier', () => {
    const told = (chance: number) =>
      [true, false, true, false].map((happened) => ({ chance: happened ? chance : 1 - chance, happened, naive: 0.5 }));
    const score = (chance: number) => chanceScore(told(chance)).against;
    expect(score(1)?.brier).toBeCloseTo(0, 9);
    expect(score(0)?.brier).toBeCloseTo(1, 9);
    expect(score(1)?.naiveBrier).toBeCloseTo(0.25, 9);
    const { reliability, count, happened } = chanceScore(told(0.9));
    expect([count, happened, reliability.length]).toEqual([4, 2, 2]);
    expect(chanceScore([])).toEqual({ count: 0, happened: 0, against: null, reliability: [] });
  });

  it('of a refusal rise towards the moult, follow what was seen, and are never sure', () => {
    const none = { offers: 0, refused: 0 };
    const moult: Foreseen = { p10: 70, p50: 100, p90: 140, isLog: true };
    const on = (days: number) => refusalChance(days, moult, 25, none);
    expect(on(5)).toBeLessThan(on(60));
    expect(on(60)).toBeLessThan(on(95));
    expect(on(95) / on(5)).toBeGreaterThan(2);
    expect(on(95) / on(5)).toBeLessThanOrEqual(3 + 1e-9);
    expect(refusalChance(5, undefined, 0, { offers: 200, refused: 100 })).toBeCloseTo(0.48, 2);
    fc.assert(
      fc.property(fc.nat(500), fc.nat(400), fc.nat(400), (days, offers, refused) => {
        const chance = refusalChance(days, moult, 25, { offers: offers + refused, refused });
        expect(chance).toBeGreaterThan(0);
        expect(chance).toBeLessThanOrEqual(0.95);
      }),
    );
  });
});
