import { useMemo } from 'react';
import type { OwnCard } from '@/contract/handbook';
import type { Species } from '@/contract/species';
import { nameIndex, type NameIndex } from '@/core/handbook/search';
import { nowNamed, type NowNamed } from '@/core/handbook/synonyms';
import { Refusal } from '@/core/refusal';
import { useHandbook } from './handbook';
import { useHouse } from './house';

const NO_CARDS: OwnCard[] = [];
const ownCards = (own: readonly OwnCard[] | undefined) => own ?? NO_CARDS;

/** Finds species by any of their names; one's own cards among them. */
export function useNameIndex(): NameIndex {
  const species = useHouse((house) => house.species);
  const own = ownCards(useHandbook((handbook) => handbook.book?.ownCards));
  return useMemo(() => {
    const mine = own.map(({ name, commonName, synonyms }) => ({
      id: name,
      names: [name, commonName ?? '', ...synonyms],
    }));
    const known = species
      .filter(({ name }) => !own.some((card) => card.name === name))
      .map(({ name, commonName, synonyms = [] }) => ({ id: name, names: [name, commonName, ...synonyms] }));
    return nameIndex([...mine, ...known]);
  }, [species, own]);
}

/** What a name is called now; null where it is called so still. The name itself is never changed by it. */
export function useNowNamed(scientificName: string): NowNamed | null {
  const species = useHouse((house) => house.species);
  const own = ownCards(useHandbook((handbook) => handbook.book?.ownCards));
  return useMemo(() => renamed(scientificName, species, own), [scientificName, species, own]);
}

function renamed(name: string, species: readonly Species[], own: readonly OwnCard[]): NowNamed | null {
  const synonyms = [...species, ...own].flatMap((each) =>
    (each.synonyms ?? []).map((old) => ({ name: old, nowNamed: each.name })),
  );
  try {
    const now = nowNamed(name, synonyms);
    return now.via.length > 0 ? now : null;
  } catch (error) {
    // A circle is told where the card is written; here the name stays as it is.
    if (error instanceof Refusal) return null;
    throw error;
  }
}
