import { worse, type Animal } from '@/core/housing/fit';
import { boxOfSize, isMadeFor, type BoxSize } from '@/core/housing/ladder';
import { rankHomes, type RankedHome } from '@/core/housing/rank';
import type { CareProfile } from '@/core/profiles/profile';

/** So many sizes are put forward. Chosen here: they are seen at once on a phone */
const SIZES_OFFERED = 3;

/**
 * Usual sizes of box that serve an animal as they are sold, the best first: in the order of a shopping list (`boxesToBuy`) those that
 * serve after the next moult too, then those that serve now, then those to be watched; the smallest of each first. The warmth of the
 * place is told with each, and keeps none back: it is mended by another shelf.
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
  const asBox = ({ fit, air }: RankedHome) => worse(fit.verdict, air?.status ?? 'pass');
  const rank = (box: RankedHome) => (asBox(box) === 'watch' ? 2 : box.afterMoults[0]?.verdict === 'fail' ? 1 : 0);
  return rankHomes(profile, animal, boxes)
    .filter((box) => asBox(box) !== 'fail')
    .sort((a, b) => rank(a) - rank(b))
    .slice(0, SIZES_OFFERED);
}
