import { withoutAuthor } from '@/core/measure/nameParts';
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

interface SpeciesEntry {
  name: string;
  /** Old names lead to the same: a name is never changed, but it is understood. */
  synonyms?: readonly string[] | undefined;
  profile: string;
  overrides?: SpeciesOverrides | undefined;
}

/** Own profiles come after those that ship and never replace one of them. */
export function careBook(profiles: readonly CareProfile[], species: readonly SpeciesEntry[]): CareBook {
  const byId = new Map(profiles.map((profile) => [profile.id, profile]));
  const overrides = new Map(
    species.flatMap(({ profile, name, synonyms = [], overrides: own }) =>
      [name, ...synonyms].map((each) => [`${profile} ${each}`, own] as const),
    ),
  );
  const plain = new Map<string, string>();
  const withoutItsAuthor = (name: string): string => {
    const known = plain.get(name) ?? withoutAuthor(name);
    plain.set(name, known);
    return known;
  };
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
      const own = overrides.get(`${id} ${withoutItsAuthor(scientificName ?? '')}`);
      if (!own && !isEggs) return profile;
      const key = `${id} ${own ? scientificName : ''} ${isEggs ? 'egg' : ''}`;
      const known = merged.get(key);
      if (known) return known;
      const ofSpecies = withOverrides(profile, own);
      const made = isEggs ? asEggs(ofSpecies) : ofSpecies;
      merged.set(key, made);
      return made;
    },
  };
}
