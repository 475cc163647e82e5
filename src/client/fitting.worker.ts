import { expose } from 'comlink';
import { boxesToBuy, type Homeless, type ShoppingList, type BoxSize } from '@/core/housing/ladder';
import { prepareHomes, rankPrepared, type CandidateHome } from '@/core/housing/rank';
import { statusOf, type Status } from '@/core/housing/fit';

/** For each resident its best homes, by id, and how well the best serves. */
export interface BestHomes {
  residentId: string;
  homeIds: string[];
  verdict: Status | null;
}

const work = {
  /** Ranks every home for every resident; the best `count` of each. */
  rankAll(residents: Homeless[], homes: CandidateHome[], count: number): BestHomes[] {
    const prepared = prepareHomes(homes);
    return residents.map((resident) => {
      const { order, scores } = rankPrepared(resident.profile, resident, prepared);
      const best = Array.from(order.subarray(0, count));
      const first = best[0];
      return {
        residentId: resident.id,
        homeIds: best.map((index) => prepared[index]?.home.id ?? ''),
        verdict: first === undefined ? null : statusOf(scores[first] ?? 1000),
      };
    });
  },

  /** Whom the free homes take in, and what to buy for the rest. */
  shoppingList(homeless: Homeless[], free: CandidateHome[], sizes: BoxSize[]): ShoppingList {
    return boxesToBuy(homeless, free, sizes);
  },
};
export type FittingWork = typeof work;

expose(work);
