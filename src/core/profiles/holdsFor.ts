import { withoutAuthor } from '@/core/measure/nameParts';

/** Numbers that hold for some kinds; where species are named, for those of them alone. */
export interface HoldsFor {
  /** Ids of the care profiles that it holds for. */
  profiles: string[];
  /** Names of species, or of whole genera: `Messor`. Left out, it holds for all that nothing else is told of. */
  species?: string[] | undefined;
}

/** Of whom something is asked: the kind that ships, and the name as its keeper wrote it. */
export interface OfKind {
  kind: string;
  scientificName?: string | undefined;
}

/**
 * What is known of one: by its species, else by its genus, else by its kind.
 * @returns undefined where nobody gave the numbers of its kind
 */
export function knownOf<Row extends HoldsFor>(
  rows: readonly Row[],
  { kind, scientificName = '' }: OfKind,
): Row | undefined {
  const [genus = '', epithet = ''] = withoutAuthor(scientificName).split(' ');
  const ofKind = rows.filter(({ profiles }) => profiles.includes(kind));
  const named = (name: string) => ofKind.find(({ species }) => species?.includes(name));
  return named(`${genus} ${epithet}`) ?? named(genus) ?? ofKind.find(({ species }) => species === undefined);
}
