import { findByName, type KnownName } from '@/core/profiles/knownNames';
import { withoutAuthor } from '@/core/measure/nameParts';
import { Refusal } from '@/core/refusal';
import { asEggs } from './eggs';
import type { AnimalMeasures } from './animal';
import type { CareProfile } from './profile';
import { asMale, grownSizeOf, overridesOfGenus, unchanged, withOverrides, type SpeciesOverrides } from './species';

/** What has to be known of a resident to find how it is kept; its sex and its size tell how large it becomes. */
export interface Kept extends AnimalMeasures {
  profile: string;
  scientificName?: string | undefined;
  /** Eggs are kept otherwise than what comes out of them. */
  stage?: string | undefined;
  sex?: string | undefined;
  /** How large it becomes, where its keeper says so. mm */
  grownMm?: number | null | undefined;
  /** The plants it is given, where its keeper chose them. */
  plants?: readonly string[] | undefined;
}

/** All care profiles of the house: those that ship and the keepers' own, with what single species do otherwise. */
export interface CareBook {
  profiles: readonly CareProfile[];
  /** The profile as it holds for this resident. @throws Refusal at `profile` when there is none of that id. */
  of: (kept: Kept) => CareProfile;
  has: (id: string) => boolean;
  /** The kind that ships of a profile: that from which a copy was made; any other id is its own. */
  kindOf: (id: string) => string;
}

/** Old names lead to the same: a name is never changed, but it is understood. */
interface SpeciesEntry extends KnownName {
  profile: string;
  overrides?: SpeciesOverrides | undefined;
}

/** A keeper's own card, as far as it says how large the species becomes. */
export interface OwnSize {
  name: string;
  profile: string;
  grownMm: number;
}

/** The kind that ships of a profile. */
export const kindOf = ({ id, kind = id }: Pick<CareProfile, 'id' | 'kind'>): string => kind;

/**
 * Own profiles come after those that ship and never replace one of them.
 * @param cards what the keepers' own cards say of sizes
 */
export function careBook(
  profiles: readonly CareProfile[],
  species: readonly SpeciesEntry[],
  cards: readonly OwnSize[] = [],
): CareBook {
  const byId = new Map(profiles.map((profile) => [profile.id, profile]));
  const merged = new Map<string, CareProfile>();
  /** Made once: what is kept of a profile is kept by its object. */
  const keptAs = (key: string, make: () => CareProfile): CareProfile => {
    const known = merged.get(key) ?? make();
    merged.set(key, known);
    return known;
  };
  return {
    profiles,
    has: (id) => byId.has(id),
    kindOf: (id) => kindOf(byId.get(id) ?? { id }),
    of: (kept) => {
      const { profile: id, scientificName, stage } = kept;
      const profile = byId.get(id);
      if (!profile) {
        const message = `There is no care profile ${id}. Known are ${[...byId.keys()].join(', ')}.`;
        throw new Refusal([{ path: 'profile', message }]);
      }
      const isEggs = stage === 'egg';
      const origin = byId.get(kindOf(profile)) ?? profile;
      const named = scientificName === undefined ? undefined : findByName(species, scientificName);
      const card = scientificName === undefined ? undefined : findByName(cards, scientificName);
      // Of a species that nobody listed its genus tells.
      const isListed = named?.profile === origin.id;
      const asNamed = isListed ? named.name : withoutAuthor(scientificName ?? '');
      const isMale = kept.sex === 'male';
      const ofSpecies = keptAs(`${id} ${asNamed} ${isMale ? 'male' : ''}`, () => {
        const told = isListed ? named.overrides : overridesOfGenus(species, asNamed, origin.id);
        const size: SpeciesOverrides =
          card?.profile === id ? { grownMm: { value: card.grownMm, basis: 'your own setting' } } : {};
        const own = told || card ? withOverrides(profile, { ...unchanged(profile, origin, told), ...size }) : profile;
        return isMale ? asMale(own) : own;
      });
      const grownMm = grownSizeOf(ofSpecies, {
        ...{ stage, grownMm: kept.grownMm, sizeMm: kept[profile.measure.takes] },
        isCarriedOn: kept.sizeCarriedOn === true,
      });
      const isUsual = grownMm.value === ofSpecies.growth.grownMm.value;
      const plants = ofSpecies.diet && 'plants' in ofSpecies.diet ? kept.plants : undefined;
      if (isUsual && !isEggs && !plants) return ofSpecies;
      return keptAs(
        `${id} ${asNamed} ${isMale ? 'male' : ''} ${isEggs ? 'egg' : ''} ${grownMm.value} ${plants?.join() ?? ''}`,
        () => {
          const asLarge = isUsual ? ofSpecies : { ...ofSpecies, growth: { ...ofSpecies.growth, grownMm } };
          const chosen = plants ? withOverrides(asLarge, { plants: [...plants] }) : asLarge;
          return isEggs ? asEggs(chosen) : chosen;
        },
      );
    },
  };
}
