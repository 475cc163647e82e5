import { shippedBoxSizes, shippedMixes, shippedSpecies } from '@/contract/shipped';
import type { Handlers } from '../http/mount';
import type { Deps } from './deps';

type Names = 'health' | 'species' | 'mixes' | 'boxSizes';

/** The program about itself: is it ready, and what data ships with it. */
export function aboutHandlers({ database, clock, version }: Deps): Pick<Handlers, Names> {
  return {
    health: async () => {
      await database.query('SELECT 1');
      return { ok: true, version, database: database.name, today: clock.today() };
    },
    species: () => ({ species: [...shippedSpecies] }),
    mixes: () => ({ mixes: [...shippedMixes] }),
    boxSizes: () => ({ boxSizes: [...shippedBoxSizes] }),
  };
}
