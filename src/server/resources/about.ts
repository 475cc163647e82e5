import { profiles } from '@/contract/profiles';
import { knownSpecies } from '@/contract/species';
import type { Handlers } from '../http/mount';
import type { Deps } from './deps';

/** The program about itself: is it ready, and what data ships with it. */
export function aboutHandlers({ database, clock, version }: Deps): Pick<Handlers, 'health' | 'profiles' | 'species'> {
  return {
    health: async () => {
      await database.query('SELECT 1');
      return { ok: true, version, database: database.name, today: clock.today() };
    },
    profiles: () => ({ profiles: [...profiles] }),
    species: () => ({ species: [...knownSpecies] }),
  };
}
