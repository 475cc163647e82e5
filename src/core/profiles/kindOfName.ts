import { withoutAuthor } from '@/core/measure/nameParts';
import { findByName, type KnownName } from '@/core/profiles/knownNames';

/** A species, or a card of one's own, by its names, and the care profile it is kept by. */
export interface KindKnown extends KnownName {
  profile: string;
}

/** The care profile that a name alone tells of. */
export interface KindOfName {
  profile: string;
  /** `species`: this one is listed. `genus`: others of its genus are. */
  by: 'species' | 'genus';
}

/**
 * The care profile of an animal after its name was changed: that which the new name tells. The one it is kept by stays where the
 * old name told the same kind, or nobody knows the new one: a slip is mended, and no more.
 */
export function kindAfter(
  known: readonly KindKnown[],
  { scientificName, profile }: { scientificName: string; profile: string },
  name: string,
): string {
  const now = kindOfName(known, name)?.profile;
  return now === undefined || now === kindOfName(known, scientificName)?.profile ? profile : now;
}

/**
 * What people call an animal after its name was changed: its own species' word goes with the species, a word that its keeper
 * chose stays.
 * @returns null where it has none
 */
export function commonNameAfter(
  known: readonly KindKnown[],
  { scientificName, commonName }: { scientificName: string; commonName: string | null },
  name: string,
): string | null {
  const isOfSpecies =
    commonName !== null && commonName === findByName(known, withoutAuthor(scientificName))?.commonName;
  return isOfSpecies ? (findByName(known, withoutAuthor(name))?.commonName ?? null) : commonName;
}

/**
 * What kind of animal a name means: that of the species, by any of its names; of a species that nobody listed, the kind of its
 * genus. Where a genus has several kinds, that of most of its species, and of two as common the one listed first.
 * @param known cards of one's own before those that ship: of two of one name the first counts
 * @returns null where neither the species nor its genus is known
 */
export function kindOfName(known: readonly KindKnown[], typed: string): KindOfName | null {
  const name = withoutAuthor(typed);
  const species = findByName(known, name);
  if (species) return { profile: species.profile, by: 'species' };
  const genus = `${name.split(' ')[0] ?? ''} `;
  const times = new Map<string, number>();
  for (const { name: one, synonyms = [], profile } of known) {
    if ([one, ...synonyms].some((each) => each.startsWith(genus))) times.set(profile, (times.get(profile) ?? 0) + 1);
  }
  const [most] = [...times].sort(([, a], [, b]) => b - a);
  return most ? { profile: most[0], by: 'genus' } : null;
}
