import { chanceScore, requireForeseen, windowScore } from '@/core/scores/summary';
import type { Handlers } from '../http/mount';
import { keepScore } from '../scores/keeping';
import { supplyPlanOf } from '../supply';
import type { Deps } from './deps';
import { supplierOf } from './store';

/** How often forecasts came true: the engine over HTTP, and those of this house. */
export function scoreHandlers({ database, clock }: Deps): Pick<Handlers, 'scores' | 'score'> {
  return {
    scores: () => keepScore(scoreKeeper({ database, clock })),

    score: ({ body: { windows, chances } }) => {
      requireForeseen(windows);
      const settled = windows.map(({ happened, naive, spreadTimes, ...foreseen }) => ({
        ...{ foreseen, happened, naive, spreadTimes },
      }));
      return { windows: windowScore(settled), chances: chanceScore(chances) };
    },
  };
}

export const scoreKeeper = ({ database, clock }: Pick<Deps, 'database' | 'clock'>) => ({
  ...{ database, clock },
  supply: async () => supplyPlanOf(database, await supplierOf(database), clock.today(), clock.now()),
});
