import { bearing, type KnownName } from '@/core/handbook/knownNames';
import { Refusal } from '@/core/refusal';
import { asEggs } from './eggs';
import type { CareProfile } from './profile';
import { withOverrides, type SpeciesOverrides } from './species';

/** What has to be known of a resident to find how it is kept. */
export interface Kept {
  profile: string;
  scientificName?: string | undefined;
  /** Eggs are kept otherwise than what comes out of them. */
  stage?: string | undefined;
}

/** All care profiles of the house: those that ship and the keepers' own, with what single species do otherwise. */
export interface CareBook {
  profiles: readonly CareProfile[];
  /** The profile as it holds for this resident. @throws Refusal at `profile` when there is none of that id. */
  of: (kept: Kept) => CareProfile;
  has: (id: string) => boolean;
}

/** Old names lead to the same: a name is never changed, but it is understood. */
interface SpeciesEntry extends KnownName {
  profile: string;
  overrides?: SpeciesOverrides | undefined;
}

/** Own profiles come after those that ship and never replace one of them. */
export function careBook(profiles: readonly CareProfile[], species: readonly SpeciesEntry[]): CareBook {
  const byId = new Map(profiles.map((profile) => [profile.id, profile]));
  const merged = new Map<string, CareProfile>();
  return {
    profiles,
    has: (id) => byId.has(id),
    of: ({ profile: id, scientificName, stage }) => {
      const profile = byId.get(id);
      if (!profile) {
        const message = `There is no care profile ${id}. Known are ${[...byId.keys()].join(', ')}.`;
        throw new Refusal([{ path: 'profile', message }]);
      }
      const isEggs = stage === 'egg';
      const named = scientificName === undefined ? undefined : bearing(species, scientificName);
      const own = named?.profile === id ? named.overrides : undefined;
      if (!own && !isEggs) return profile;
      const key = `${id} ${own ? named?.name : ''} ${isEggs ? 'egg' : ''}`;
      const known = merged.get(key);
      if (known) return known;
      const ofSpecies = withOverrides(profile, own);
      const made = isEggs ? asEggs(ofSpecies) : ofSpecies;
      merged.set(key, made);
      return made;
    },
  };
}
