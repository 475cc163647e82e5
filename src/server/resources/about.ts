import { shippedBoxSizes, shippedHazards, shippedMixes, shippedSpecies } from '@/contract/shipped';
import { hemisphereOf, writeHemisphere } from '../house/air';
import type { Handlers } from '../http/mount';
import type { Deps } from './deps';

type Names = 'house' | 'changeHouse' | 'health' | 'species' | 'mixes' | 'boxSizes';

/** The program about itself: is it ready, where its house stands, and what data ships with it. */
export function aboutHandlers({ database, clock, version }: Deps): Pick<Handlers, Names> {
  return {
    health: async () => {
      await database.query('SELECT 1');
      return { ok: true, version, database: database.name, today: clock.today() };
    },
    house: async () => ({ hemisphere: await hemisphereOf(database) }),
    changeHouse: async ({ body }) => {
      await writeHemisphere(database, body.hemisphere);
      return body;
    },
    species: () => ({ species: [...shippedSpecies], hazards: shippedHazards }),
    mixes: () => ({ mixes: [...shippedMixes] }),
    boxSizes: () => ({ boxSizes: [...shippedBoxSizes] }),
  };
}
