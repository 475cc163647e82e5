import fc from 'fast-check';
import { shippedBoxSizes } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { grown } from '@/core/profiles/animal';
import type { Container } from './container';
import { fit } from './fit';
import { boxesToBuy, sizeLadder, type BoxSize, type Homeless } from './ladder';
import type { CandidateHome } from './rank';

const sizes = [...shippedBoxSizes];
const GROUND = profileOf('ground-tarantula');
const spiderling = { stage: 'spiderling' as const, legSpanMm: 14 };

describe('the ladder of sizes', () => {
  // Common practice, no source: vials to 5 cm leg span, flat boxes of about 17 x 13 x 10, 24 x 20 x 12 and
  // 39 x 29 x 15 cm after them.
  it('of a ground tarantula goes from vials over flat boxes', () => {
    const curly = profileOf('ground-tarantula', 'Tliltocatl albopilosus');
    const { steps, endsAtMm } = sizeLadder(curly, spiderling, sizes);
    expect(steps.map((step) => step.size.id)).toEqual(['vial-small', 'vial-tall', 'flat-2', 'flat-3']);
    expect(endsAtMm).toBeNull();
    expect(steps.every((step) => step.verdict !== 'fail')).toBe(true);
  });

  // Common practice, no source: a show box of 40 to 55 L at last, for those that grow larger still.
  it('ends in a show box for larger ones', () => {
    expect(sizeLadder(GROUND, spiderling, sizes).steps.at(-1)?.size.id).toBe('show');
  });

  it('leaves no moult out and takes none twice', () => {
    const { steps } = sizeLadder(GROUND, spiderling, sizes);
    steps.forEach((step, index) => {
      expect(step.fromMoults).toBe(index === 0 ? 0 : (steps[index - 1]?.toMoults ?? NaN) + 1);
      expect(step.toMoults).toBeGreaterThanOrEqual(step.fromMoults);
    });
  });

  it('says where it ends when no size serves', () => {
    const vials = sizes.filter((size) => size.id.startsWith('vial'));
    const { endsAtMm } = sizeLadder(GROUND, spiderling, vials);
    expect(endsAtMm).toBeGreaterThan(30);
    expect(endsAtMm).toBeLessThan(60);
  });

  it('uses no more sizes than any set of sizes that serves without anything to watch', () => {
    const animal = { stage: 'juvenile' as const, legSpanMm: 60 };
    const flat = sizes.filter((size) => /^(flat|show)/.test(size.id));
    const { steps } = sizeLadder(GROUND, animal, flat);
    const lives = Array.from({ length: 6 }, (_, moults) => grown(GROUND, animal, moults));
    const passes = (size: BoxSize, moults: number) => {
      const question = { ...(lives[moults] as typeof animal), container: size.container };
      const depth = fit(GROUND, { ...question, substrateDepthMm: 0 }).substrateDepthMm.recommended;
      return depth !== null && fit(GROUND, { ...question, substrateDepthMm: depth }).verdict === 'pass';
    };
    const last = steps.at(-1)?.toMoults ?? 0;
    const subsets = Array.from({ length: 2 ** flat.length }, (_, bits) => flat.filter((_size, at) => bits & (1 << at)));
    const serving = subsets.filter((subset) =>
      Array.from({ length: last + 1 }, (_, moults) => moults).every((moults) =>
        subset.some((size) => passes(size, moults)),
      ),
    );
    const fewest = Math.min(...serving.map((subset) => subset.length));
    expect(steps.length).toBe(fewest);
  });
});

const tub = (id: string, sideMm: number): CandidateHome => ({
  id,
  code: id,
  container: {
    shape: 'box',
    lengthMm: sideMm,
    widthMm: sideMm,
    heightMm: 120,
    lid: 'solid',
    vents: [
      { side: 'left', shape: 'hole', count: 4, diameterMm: 2 },
      { side: 'right', shape: 'hole', count: 4, diameterMm: 2 },
    ],
  } satisfies Container,
  substrateDepthMm: 30,
});
const animal = (id: string, legSpanMm: number): Homeless => ({ id, profile: GROUND, stage: 'juvenile', legSpanMm });

describe('boxes to buy', () => {
  it('are not needed where the free homes serve, even when the first choice has to give way', () => {
    // The small one fits both tubs, the large one only the large tub.
    const { housed, buy } = boxesToBuy(
      [animal('small', 50), animal('large', 80)],
      [tub('M', 120), tub('L', 170)],
      sizes,
    );
    expect(Object.fromEntries(housed.map((each) => [each.residentId, each.homeId]))).toEqual({
      small: 'M',
      large: 'L',
    });
    expect(buy).toEqual([]);
  });

  it('are of as few sizes as possible', () => {
    const needs = [animal('a', 60), animal('b', 62), animal('c', 64), animal('d', 110)];
    const { buy, unserved } = boxesToBuy(needs, [], sizes);
    expect(buy.flatMap((each) => each.residentIds).sort()).toEqual(['a', 'b', 'c', 'd']);
    expect(buy.length).toBeLessThanOrEqual(2);
    expect(unserved).toEqual([]);
  });

  it('serve now and after the next moult, and are asked to last no longer', () => {
    // Where a size serves for exactly one moult more, and a larger one for longer, the smaller is bought.
    const lasts = (size: BoxSize, one: Homeless) => {
      const at = (moults: number) => {
        const question = { ...grown(GROUND, one, moults), container: size.container };
        const depth = fit(GROUND, { ...question, substrateDepthMm: 0 }).substrateDepthMm.recommended;
        return depth === null ? 'fail' : fit(GROUND, { ...question, substrateDepthMm: depth }).verdict;
      };
      return [0, 1, 2].map(at);
    };
    const flat = sizes.filter((size) => /^flat|^show/.test(size.id));
    const found = Array.from({ length: 60 }, (_, index) => animal('x', 40 + index)).find((one) =>
      flat.some((size) => {
        const [now, next, later] = lasts(size, one);
        return now === 'pass' && next !== 'fail' && later === 'fail';
      }),
    );
    if (!found) throw new Error('No animal of the kind that this test is about.');
    const [bought] = boxesToBuy([found], [], flat).buy;
    const [now, next, later] = lasts(bought?.size as BoxSize, found);
    expect([now, next === 'fail', later]).toEqual(['pass', false, 'fail']);
  });

  it('say whom no size serves', () => {
    expect(boxesToBuy([animal('giant', 390)], [], sizes).unserved).toEqual(['giant']);
  });

  it('house as many as any other way would', () => {
    const spans = fc.array(fc.integer({ min: 30, max: 110 }), { minLength: 1, maxLength: 5 });
    const sides = fc.array(fc.integer({ min: 70, max: 260 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(spans, sides, (legSpans, tubSides) => {
        const homeless = legSpans.map((span, index) => animal(`r${index}`, span));
        const free = tubSides.map((side, index) => tub(`T${index}`, side));
        const serves = (one: Homeless, home: CandidateHome) => {
          const depth = fit(GROUND, { ...one, ...home }).substrateDepthMm.recommended;
          return depth !== null && fit(GROUND, { ...one, ...home, substrateDepthMm: depth }).verdict !== 'fail';
        };
        const most = (index: number, used: Set<string>): number => {
          const one = homeless[index];
          if (!one) return 0;
          const without = most(index + 1, used);
          const ways = free
            .filter((home) => !used.has(home.id) && serves(one, home))
            .map((home) => 1 + most(index + 1, new Set([...used, home.id])));
          return Math.max(without, ...ways);
        };
        expect(boxesToBuy(homeless, free, sizes).housed).toHaveLength(most(0, new Set()));
      }),
      { numRuns: 40 },
    );
  });
});
