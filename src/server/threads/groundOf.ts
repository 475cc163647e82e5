import { shippedKnowledge } from '@/contract/shipped';
import type { Ground, WeighedNumber } from '@/contract/ground';
import { readWeights } from '../weights';
import { KEEPER_QUESTIONS } from '@/core/ground/answers';
import { BASES } from '@/core/profiles/profile';
import { weighedNumbers } from '../groundRows';

/** Made when first asked for, and kept as long as the thread lives. */
let kept: { numbers: WeighedNumber[]; summary: Ground['summary'] } | undefined;

/**
 * What the numbers that ship rest on, heaviest first.
 * @param find words that are all to stand in what a number is called or says; all numbers if left out
 */
export function groundOf(most: number, find?: string): Ground {
  kept ??= allNumbers();
  const asked = find?.toLowerCase().split(' ') ?? [];
  const found = kept.numbers.filter(({ id, of, sentence }) => {
    const told = `${id} ${of} ${sentence}`.toLowerCase();
    return asked.every((word) => told.includes(word));
  });
  return { numbers: found.slice(0, most), found: found.length, summary: kept.summary };
}

function allNumbers() {
  const numbers = weighedNumbers(shippedKnowledge, readWeights());
  const weightOf = (rows: readonly WeighedNumber[]) => rows.reduce((sum, { weight }) => sum + weight, 0);
  const all = weightOf(numbers);
  const pctOf = (weight: number) => (100 * weight) / all;
  const byBasis = BASES.flatMap((basis) =>
    [true, false].flatMap((hasSpread) => {
      const like = numbers.filter((each) => each.basis === basis && (each.spread !== undefined) === hasSpread);
      return like.length > 0 ? [{ basis, hasSpread, numbers: like.length, weightPct: pctOf(weightOf(like)) }] : [];
    }),
  );
  const byQuestion = KEEPER_QUESTIONS.map((question) => ({
    question,
    weightPct: pctOf(numbers.reduce((sum, each) => sum + (each.byQuestion[question] ?? 0), 0)),
  }));
  let [halfIn, carried] = [0, 0];
  while (carried < all / 2 && halfIn < numbers.length) carried += numbers[halfIn++]?.weight ?? 0;
  return {
    numbers,
    summary: { numbers: numbers.length, byBasis, byQuestion, halfIn, heaviest: numbers[0]?.weight ?? 0 },
  };
}
