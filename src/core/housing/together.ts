import type { CareProfile } from '@/core/profiles/profile';
import { company, type CompanyAnswer, type Lodger } from './company';

/** Somebody who lives in a home, as those who live there with it count. */
export interface Housemate {
  profile: CareProfile;
  headCount?: number | undefined;
  /** Eggs are kept for themselves, whoever lies beside them. */
  isEggs: boolean;
}

/** What living with others changes for one of them. */
export interface Together {
  /** Heads of its kind in the home, those of other groups with its own. */
  headsTogether: number | undefined;
  /** A cleaner put in with others: it lives as they live, and sets nothing for the home. */
  isGuest: boolean;
}

/**
 * How one counts beside those it lives with: the heads of all groups of a kind in a box add up, and cleaners (springtails,
 * dwarf isopods) among others ask for nothing. Common practice, no source.
 * @param others who lives there too, without it
 */
export function together(one: Housemate, others: readonly Housemate[]): Together {
  const kin = one.isEggs ? [] : others.filter((each) => each.profile.id === one.profile.id && !each.isEggs);
  return {
    headsTogether:
      kin.length === 0 ? one.headCount : [one, ...kin].reduce((sum, each) => sum + (each.headCount ?? 1), 0),
    isGuest: isCleaner(one) && others.some((each) => !each.isEggs && !isCleaner(each)),
  };
}

const isCleaner = ({ profile, isEggs }: Housemate) => !isEggs && profile.company.role === 'cleaner';

/**
 * Whether a home where others live is put forward to a newcomer: a group of its own kind takes it in, and cleaners go with
 * anybody of their climate. What is merely borne (two species together, another climate) a keeper may choose, and is never told to.
 */
export function isProposed(newcomer: Lodger, tenants: readonly Lodger[], answer: CompanyAnswer): boolean {
  if (answer.verdict === 'fail') return false;
  return tenants.every(
    (each) =>
      each.scientificName === newcomer.scientificName ||
      (answer.verdict === 'pass' && (isCleanerKind(each) || isCleanerKind(newcomer))),
  );
}

const isCleanerKind = ({ profile, isEggs }: Lodger) => profile.company.role === 'cleaner' && isEggs !== true;

/** Both at once: what speaks against it, and whether it is put forward. */
export function companyWith(newcomer: Lodger, tenants: readonly Lodger[]): CompanyAnswer & { isProposed: boolean } {
  const answer = company([...tenants, newcomer]);
  return { ...answer, isProposed: isProposed(newcomer, tenants, answer) };
}
