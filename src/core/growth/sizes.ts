import { spreadOf } from '@/core/numerics/spreads';
import { usualRatio } from '@/core/profiles/animal';
import type { CareProfile, Stage } from '@/core/profiles/profile';

/**
 * Growth at a moult varies so much between animals, and from moult to moult of one; and so much the size at which an
 * animal grows no more. In logarithms, from memory
 */
export const GROWTH_SPREAD = { animal: 0.05, moult: 0.05, grown: 0.08 } as const;

export interface GrowthPace {
  /** Mean of the logarithm of the growth at a moult, its variance, and the spread from moult to moult. */
  mean: number;
  variance: number;
  spread: number;
}

/**
 * How much an animal grows at a moult: its profile's ratio (1.26 in length where nothing else is known), and what its
 * own sizes before and after say; grown ones that moult on grow little. Sizes that shrink are errors of measuring and count as no growth.
 * @param ratios its sizes over those one moult before
 * @source 1.26, the cube root of 2: Przibram, H. and Megusar, F. (1912); ratios by group: Dyar, H. G. (1890)
 */
export function learnGrowth(profile: CareProfile, ratios: readonly number[], stage?: Stage): GrowthPace {
  const prior = 1 / spreadOf(profile.growth.ratioPerMoult, GROWTH_SPREAD.animal) ** 2;
  const own = ratios.length / GROWTH_SPREAD.moult ** 2;
  const logs = ratios.reduce((sum, each) => sum + Math.log(Math.max(1, each)), 0);
  const usual = Math.log(usualRatio(profile, stage));
  return {
    mean: (usual * prior + (ratios.length > 0 ? logs / ratios.length : 0) * own) / (prior + own),
    variance: 1 / (prior + own),
    spread: GROWTH_SPREAD.moult,
  };
}

/** Dyar's rule: the mean ratio of successive sizes, by a straight line through their logarithms. */
export function dyarRatio(sizesMm: readonly number[]): number {
  const n = sizesMm.length;
  const logs = sizesMm.map((each) => Math.log(each));
  const centre = (n - 1) / 2;
  const mean = logs.reduce((sum, each) => sum + each, 0) / n;
  const slope =
    logs.reduce((sum, each, index) => sum + (index - centre) * (each - mean), 0) /
    logs.reduce((sum, _, index) => sum + (index - centre) ** 2, 0);
  return Math.exp(slope);
}
