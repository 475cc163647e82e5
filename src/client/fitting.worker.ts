import { expose } from 'comlink';
import { statusOf } from '@/core/housing/fit';
import { boxesToBuy, type BoxSize, type Homeless, type ShoppingList } from '@/core/housing/ladder';
import { withUsualAir } from '@/core/climate/homeAir';
import { prepareHomes, rankPrepared, type CandidateHome } from '@/core/housing/rank';

/** Whom a home would serve without anything to watch, filled to its best depth. */
export interface Serves {
  homeId: string;
  residentIds: string[];
}

const work = {
  /** For every home, whom of the residents it would serve as it is. */
  whomEachServes(residents: Homeless[], homes: CandidateHome[]): Serves[] {
    const prepared = prepareHomes(homes.map((home) => withUsualAir({ ...home, asItStands: true })));
    const served = prepared.map(({ home }) => ({ homeId: home.id, residentIds: [] as string[] }));
    for (const resident of residents) {
      const { scores } = rankPrepared(resident.profile, resident, prepared);
      served.forEach((each, index) => {
        if (statusOf(scores[index] ?? Infinity) === 'pass') each.residentIds.push(resident.id);
      });
    }
    return served;
  },

  /** Whom the free homes take in, and what to buy for the rest. */
  shoppingList(homeless: Homeless[], free: CandidateHome[], sizes: BoxSize[]): ShoppingList {
    return boxesToBuy(homeless, free.map(withUsualAir), sizes);
  },
};
export type FittingWork = typeof work;

expose(work);
