import { useMemo } from 'react';
import { kindOfName, type KindKnown, type KindOfName } from '@/core/profiles/kindOfName';
import { namedOf, synonymsOf } from '@/core/handbook/nameLists';
import { nameIndex, type NameIndex } from '@/core/handbook/search';
import { nowNamed, type NowNamed } from '@/core/handbook/synonyms';
import { useHandbook } from './handbook';
import { useHouse } from './house';

/** One's own cards, as far as they were fetched, before the species that ship. */
export function useKnownNames(): KindKnown[] {
  const species = useHouse((house) => house.species);
  const own = useHandbook((handbook) => handbook.book?.ownCards);
  return useMemo(() => [...(own ?? []), ...species], [own, species]);
}

/** Finds species by any of their names. */
export function useNameIndex(): NameIndex {
  const known = useKnownNames();
  return useMemo(() => nameIndex(namedOf(known)), [known]);
}

/** What a name is called now; null where it is called so still. The name itself is never changed by it. */
export function useNowNamed(scientificName: string): NowNamed | null {
  const known = useKnownNames();
  return useMemo(() => {
    const now = nowNamed(scientificName, synonymsOf(known));
    return now.via.length > 0 ? now : null;
  }, [scientificName, known]);
}

/** What kind of animal a name means, as far as it tells. */
export function useKindOfName(scientificName: string): KindOfName | null {
  const known = useKnownNames();
  return useMemo(() => kindOfName(known, scientificName), [scientificName, known]);
}
