import { withoutAuthor } from '../measure/nameParts';
import { kindOfName, type KindKnown } from '@/core/profiles/kindOfName';
import { synonymsOf } from '@/core/handbook/nameLists';
import { findByName } from '@/core/profiles/knownNames';
import { nowNamed } from './synonyms';

/** Whose card a name opens. */
export interface CardAbout<Own, Known> {
  /** The name as it is called now, without its author. */
  name: string;
  /** The profile whose numbers it goes by; a name that nobody knows is taken for one's id. */
  profileId: string;
  /** It is the card of a kind, not of a species. */
  isKind: boolean;
  /** Nobody has written of the species: it goes by its genus. */
  isOfGenus: boolean;
  own: Own | undefined;
  known: Known | undefined;
}

type Named = KindKnown & { name: string; profile: string };

/**
 * Whose card a name opens: one's own card first, then that of a species that ships, of its genus, else of a kind by the id of its
 * profile.
 */
export function cardAbout<Own extends Named, Known extends Named>(
  asked: string,
  ownCards: readonly Own[],
  species: readonly Known[],
): CardAbout<Own, Known> {
  const all = [...ownCards, ...species];
  const now = nowNamed(asked, synonymsOf(all));
  const name = now.via.length > 0 ? now.name : withoutAuthor(asked);
  const own = ownCards.find((card) => card.name === name);
  const known = findByName(species, name);
  const told = kindOfName(all, name);
  const isOfGenus = !own && !known && told?.by === 'genus';
  const profileId = own?.profile ?? known?.profile ?? (isOfGenus ? told.profile : name);
  return { name, profileId, isKind: !own && !known && !isOfGenus, isOfGenus, own, known };
}
