import type { Animal } from '@/core/housing/fit';
import { boxOfSize, isMadeFor, type BoxSize } from '@/core/housing/ladder';
import { rankHomes, type RankedHome } from '@/core/housing/rank';
import type { CareProfile } from '@/core/profiles/profile';

/** So many sizes are put forward. Chosen here: they are seen at once on a phone */
const SIZES_OFFERED = 3;

/**
 * Usual sizes of box that serve an animal as they are sold, the best first: in the order of a shopping list (`boxesToBuy`) those that
 * serve after the next moult too, then those that serve now, then those to be watched; the smallest of each first.
 * @param temperatureC of the place where it is to stand; left out, nothing is said of warmth
 * @throws Refusal as `fit` does.
 */
export function sizesToGet(
  profile: CareProfile,
  animal: Animal,
  sizes: readonly BoxSize[],
  temperatureC?: number,
): RankedHome[] {
  const boxes = sizes.filter((size) => isMadeFor(size, profile)).map((size) => ({ ...boxOfSize(size), temperatureC }));
  const rank = ({ verdict, afterMoults: [next] }: RankedHome) =>
    verdict === 'watch' ? 2 : next?.verdict === 'fail' ? 1 : 0;
  return rankHomes(profile, animal, boxes)
    .filter(({ verdict }) => verdict !== 'fail')
    .sort((a, b) => rank(a) - rank(b))
    .slice(0, SIZES_OFFERED);
}
