import fc from 'fast-check';
import { shippedStillness } from '@/contract/shipped';
import { stillness, type StillnessGuide } from './stillness';

const guideOf = (silhouette: string) => {
  const guide = shippedStillness.find((each) => each.silhouettes.some((name) => name === silhouette));
  if (!guide) throw new Error(`No guide for ${silhouette}.`);
  return guide;
};

describe('dead or moulting', () => {
  const anyGuide = fc.constantFrom(...shippedStillness);
  const findingsOf = (guide: StillnessGuide) => fc.subarray(guide.findings.map(({ id }) => id));

  it('grows likelier with every day, and is never called dead by the days alone', () => {
    fc.assert(
      fc.property(
        anyGuide,
        fc.integer({ min: 0, max: 1500 }),
        fc.integer({ min: 1, max: 300 }),
        (guide, days, more) => {
          const now = stillness(guide, days, []);
          const then = stillness(guide, days + more, []);
          expect(then.deadPct).toBeGreaterThanOrEqual(now.deadPct - 1e-9);
          expect(then.verdict).not.toBe('dead');
          expect(now.lookAgainInDays).toBeGreaterThanOrEqual(1);
        },
      ),
    );
  });

  it('believes its eyes: what lives moves, what is dead smells; the order is of no matter', () => {
    fc.assert(
      fc.property(
        anyGuide.chain((guide) => fc.tuple(fc.constant(guide), findingsOf(guide))),
        fc.integer({ min: 0, max: 200 }),
        ([guide, seen], days) => {
          const answer = stillness(guide, days, seen);
          expect(stillness(guide, days, [...seen].reverse())).toMatchObject({ deadPct: answer.deadPct });
          if (!seen.includes('smells')) {
            expect(stillness(guide, days, [...seen, 'smells']).deadPct).toBeGreaterThan(answer.deadPct);
          }
        },
      ),
    );
    const tarantula = guideOf('tarantula');
    expect(stillness(tarantula, 60, ['moved']).verdict).toBe('leave');
    expect(stillness(tarantula, 60, ['curled', 'smells']).verdict).toBe('dead');
    expect(stillness(tarantula, 2, ['on-back']).deadPct).toBeLessThan(0.1);
  });

  // Common practice, no source: millipedes lie underground a month or more, and that is the commonest fright.
  it('calms who fears for a buried millipede of a month, and not for one of a year', () => {
    const millipede = guideOf('millipede');
    expect(stillness(millipede, 30, []).verdict).toBe('leave');
    expect(stillness(millipede, 365, []).deadPct).toBeGreaterThan(60);
    expect(stillness(millipede, 35, [], 90).deadPct).toBeLessThan(stillness(millipede, 35, [], 5).deadPct);
  });

  it('reckons odds as Bayes does: the odds by the days times what was seen', () => {
    const scorpion = guideOf('scorpion');
    const odds = (pct: number) => pct / (100 - pct);
    const plain = stillness(scorpion, 40, []);
    const limp = stillness(scorpion, 40, ['limp']);
    const times = scorpion.findings.find(({ id }) => id === 'limp')?.times ?? NaN;
    expect(odds(limp.deadPct) / odds(plain.deadPct)).toBeCloseTo(times, 6);
    expect(limp.byDaysPct).toBeCloseTo(plain.deadPct, 9);
  });
});
