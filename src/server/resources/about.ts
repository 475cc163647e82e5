import { shippedBoxSizes, shippedHazards, shippedMixes, shippedSpecies } from '@/contract/shipped';
import { hemisphereOf, writeHemisphere } from '../house/air';
import type { Handlers } from '../http/mount';
import type { Deps } from './deps';

type Names = 'house' | 'changeHouse' | 'health' | 'species' | 'mixes' | 'boxSizes';

/** A database that answered somebody so lately is not asked again: what asks waits for a long list that is written. ms, chosen here */
const AT_WORK_MS = 1000;

/** The program about itself: is it ready, where its house stands, and what data ships with it. */
export function aboutHandlers({ database, clock, version }: Deps): Pick<Handlers, Names> {
  return {
    health: async () => {
      const quietMs = performance.now() - (database.answeredAt?.() ?? -Infinity);
      if (quietMs > AT_WORK_MS) await database.query('SELECT 1');
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
