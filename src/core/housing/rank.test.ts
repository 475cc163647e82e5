import fc from 'fast-check';
import { profileOf } from '@/contract/testing/profileOf';
import type { Container } from './container';
import { grown } from '@/core/profiles/animal';
import { compareStatus, fit, statusOf } from './fit';
import { prepareHomes, rankHomes, rankPrepared, type CandidateHome } from './rank';

const GROUND = profileOf('ground-tarantula');
const vents: Container['vents'] = [
  { side: 'left', shape: 'hole', count: 4, diameterMm: 3 },
  { side: 'right', shape: 'hole', count: 4, diameterMm: 3 },
];
const home = (code: string, size: [number, number, number], substrateDepthMm = 0): CandidateHome => ({
  id: code,
  code,
  container: { shape: 'box', lengthMm: size[0], widthMm: size[1], heightMm: size[2], lid: 'solid', vents },
  substrateDepthMm,
});

describe('ranking own tubs', () => {
  it('puts the smallest that serves first and says how to fill it', () => {
    const homes = [home('B11', [500, 300, 300]), home('B10', [240, 200, 120]), home('B9', [390, 290, 150], 60)];
    const ranking = rankHomes(GROUND, { stage: 'adult', legSpanMm: 118 }, homes);
    expect(ranking.map(({ code, depthMm, fit }) => [code, depthMm, fit.verdict])).toEqual([
      ['B9', 60, 'pass'],
      ['B11', 123, 'pass'],
      ['B10', 59, 'fail'],
    ]);
    // 500 x 300 x 123 mm of soil is 18.45 L.
    expect(ranking[1]?.soilToAddL).toBeCloseTo(18.45, 9);
  });

  it('does not depend on the order of the tubs, and never puts a worse verdict first', () => {
    const side = fc.integer({ min: 40, max: 600 });
    const homes = fc
      .array(fc.tuple(side, side, side), { minLength: 2, maxLength: 12 })
      .map((sizes) => sizes.map((size, index) => home(`T${index}`, size)));
    fc.assert(
      fc.property(
        homes.chain((list) => fc.tuple(fc.constant(list), fc.shuffledSubarray(list, { minLength: list.length }))),
        ([list, shuffled]) => {
          const animal = { stage: 'adult' as const, legSpanMm: 90 };
          const ranking = rankHomes(GROUND, animal, list);
          expect(rankHomes(GROUND, animal, shuffled)).toEqual(ranking);
          const verdicts = ranking.map((each) => each.fit.verdict);
          expect([...verdicts].sort(compareStatus)).toEqual(verdicts);
        },
      ),
    );
  });

  it('fills a home so that it serves after the next moult as well, wherever one depth serves both', () => {
    const deep = (lengthMm: number, heightMm: number) => home('T', [lengthMm, lengthMm, heightMm]);
    let both = 0;
    fc.assert(
      fc.property(
        ...[fc.integer({ min: 25, max: 45 }), fc.integer({ min: 15, max: 40 }), fc.integer({ min: 15, max: 150 })],
        (long, high, legSpanMm) => {
          const [lengthMm, heightMm] = [(long / 10) * legSpanMm, Math.round((high / 10) * legSpanMm)];
          const animal = { stage: 'juvenile' as const, legSpanMm };
          const next = grown(GROUND, animal, 1);
          const tub = deep(lengthMm, heightMm);
          const depths = Array.from({ length: heightMm - 1 }, (_, index) => index + 1);
          const serves = (each: typeof animal, substrateDepthMm: number) =>
            fit(GROUND, { ...each, ...tub, substrateDepthMm }).verdict === 'pass';
          if (!depths.some((depth) => serves(animal, depth) && serves(next, depth))) return;
          both += 1;
          const [ranked] = rankHomes(GROUND, animal, [tub]);
          expect(serves(next, ranked?.depthMm ?? 0)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
    expect(both).toBeGreaterThan(5);
  });

  it('says how each home serves after the next two moults', () => {
    const young = { stage: 'juvenile' as const, legSpanMm: 80 };
    const [first] = rankHomes(GROUND, young, [home('B10', [240, 170, 120], 40)]);
    // 80, 100 and 125 mm of leg span on a floor of 170 mm: 2 x, 1.7 x, and 1.36 x.
    expect(first?.fit.verdict).toBe('pass');
    expect(first?.afterMoults.map((each) => each.verdict)).toEqual(['fail', 'fail']);
    const [large] = rankHomes(GROUND, young, [home('B11', [500, 300, 200], 100)]);
    expect(large?.afterMoults.map((each) => each.verdict)).toEqual(['pass', 'pass']);
    const [grown] = rankHomes(GROUND, { stage: 'adult', legSpanMm: 150 }, [home('B11', [500, 300, 200], 100)]);
    expect(grown?.afterMoults.map((each) => each.verdict)).toEqual(['pass', 'pass']);
  });

  it('ranks by numbers alone as it does with every ground written out', () => {
    const side = fc.integer({ min: 40, max: 600 });
    // Also where some rules are settled: those find nothing, either way.
    const settled = fc
      .subarray(GROUND.fit.map(({ id }) => id))
      .map((ids) => Object.fromEntries(ids.map((id) => [id, 'kept so'])));
    const homes = fc
      .array(fc.tuple(fc.tuple(side, side, side), settled), { minLength: 1, maxLength: 12 })
      .map((list) => list.map(([size, rules], index) => ({ ...home(`T${index}`, size), settled: rules })));
    fc.assert(
      fc.property(homes, fc.double({ min: 10, max: 200, noNaN: true }), (list, legSpanMm) => {
        const animal = { stage: 'adult' as const, legSpanMm };
        const prepared = prepareHomes(list);
        const { order, scores, depthsMm } = rankPrepared(GROUND, animal, prepared);
        const plain = rankHomes(GROUND, animal, list);
        expect(Array.from(order, (index) => prepared[index]?.home.id)).toEqual(plain.map((each) => each.homeId));
        expect(Array.from(order, (index) => statusOf(scores[index] ?? NaN))).toEqual(
          plain.map((each) => each.fit.verdict),
        );
        expect(Array.from(order, (index) => depthsMm[index])).toEqual(plain.map((each) => each.depthMm));
      }),
    );
  });
});
