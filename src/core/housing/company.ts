import type { CareProfile, Ground } from '@/core/profiles/profile';
import { worse, type Status } from './fit';

/** One resident of a shared home: an animal, or a group of one species. */
export interface Lodger {
  /** What it is called in the answer. */
  label: string;
  scientificName: string;
  profile: CareProfile;
  headCount?: number | undefined;
  /** Eggs harm nobody and are nobody's cleaners. */
  isEggs?: boolean | undefined;
}

export const COMPANY_RULES = [
  'alone',
  'eaten',
  'other-colony',
  'young-look-alike',
  'different-damp',
  'different-dry',
  'different-climate',
] as const;

export type CompanyCheck = {
  status: Status;
  /** Labels of those it is about. */
  who: string[];
  grounds: Ground;
} & (
  | { rule: 'alone' | 'other-colony'; species: string }
  | { rule: 'eaten' | 'young-look-alike' }
  /** At which each keeps the damp end, or the dry one, of 1. */
  | { rule: 'different-damp' | 'different-dry'; wetness: [number, number] }
  | { rule: 'different-climate'; unshared: UnsharedClimate[] }
);
/** Of what there is no value that serves both. */
export type UnsharedClimate = 'temperatureC' | 'humidityPct';

export interface CompanyAnswer {
  verdict: Status;
  checks: CompanyCheck[];
}

/** Damp ends that differ by more than this in wetness (of 1) suit no two kinds well; from memory. */
const WETNESS_APART = 0.25;
/** Nor do dry ends, one for a desert and one for a forest, at all; from memory. */
const DRY_APART = 0.35;

/**
 * May these live together? Checks are given only for what speaks against it; none means that nothing does.
 * Kinds that live alone, hunters with what they would eat, two colonies of ants, species whose young nobody could tell apart,
 * and kinds that want another wetness or another climate. Cleaners (springtails, dwarf isopods) go with anybody.
 */
export function company(lodgers: Lodger[]): CompanyAnswer {
  const checks: CompanyCheck[] = [];
  for (const [name, same] of grouped(lodgers, (lodger) => lodger.scientificName)) {
    const heads = same.reduce((sum, lodger) => sum + (lodger.headCount ?? 1), 0);
    const { company: rule, silhouette } = (same[0] as Lodger).profile;
    if (silhouette === 'ant' && same.length > 1) {
      checks.push({
        rule: 'other-colony',
        status: 'fail',
        species: name,
        who: same.map((lodger) => lodger.label),
        grounds: { basis: 'common practice' },
      });
    }
    if (rule.sameKind !== 'alone' || heads < 2) continue;
    checks.push({
      rule: 'alone',
      status: 'fail',
      species: name,
      who: same.map((lodger) => lodger.label),
      grounds: groundOf(rule),
    });
  }
  for (const [index, one] of lodgers.entries()) {
    for (const other of lodgers.slice(index + 1)) {
      if (one.scientificName !== other.scientificName) checks.push(...pairChecks(one, other));
    }
  }
  return { verdict: checks.reduce<Status>((verdict, check) => worse(verdict, check.status), 'pass'), checks };
}

function pairChecks(one: Lodger, other: Lodger): CompanyCheck[] {
  const [a, b] = [one.profile.company, other.profile.company];
  const who = [one.label, other.label];
  const checks: CompanyCheck[] = [];
  if (a.role !== 'cleaner' && b.role !== 'cleaner' && (a.role === 'predator' || b.role === 'predator')) {
    checks.push({
      rule: 'eaten',
      status: 'fail',
      who,
      grounds: { basis: 'from memory' },
    });
  }
  if (a.youngLookLike !== undefined && a.youngLookLike === b.youngLookLike) {
    checks.push({
      rule: 'young-look-alike',
      status: 'watch',
      who,
      grounds: { basis: 'common practice' },
    });
  }
  const [damp, otherDamp] = [one.profile.making, other.profile.making];
  // Cleaners stay where it is damp enough for them.
  const isCleaned = a.role === 'cleaner' || b.role === 'cleaner';
  const ends = [
    { rule: 'different-damp', status: 'watch', end: 'dampWetness', most: WETNESS_APART },
    { rule: 'different-dry', status: 'fail', end: 'dryWetness', most: DRY_APART },
  ] as const;
  for (const { rule, status, end, most } of isCleaned ? [] : ends) {
    const wetness: [number, number] = [damp[end], otherDamp[end]];
    if (Math.abs(wetness[0] - wetness[1]) <= most) continue;
    checks.push({ rule, status, wetness, who, grounds: { basis: 'from memory' } });
  }
  const [climate, otherClimate] = [one.profile.climate, other.profile.climate];
  const apart = (['temperatureC', 'humidityPct'] satisfies UnsharedClimate[]).filter(
    (name) => climate[name].min > otherClimate[name].max || otherClimate[name].min > climate[name].max,
  );
  if (apart.length > 0) {
    checks.push({
      rule: 'different-climate',
      // Cleaners that die of it harm nobody; of two that are kept for themselves one does.
      status: isCleaned ? 'watch' : 'fail',
      unshared: apart,
      who,
      grounds: { basis: 'from memory' },
    });
  }
  return checks;
}

const groundOf = ({ basis, source }: Ground): Ground => ({ basis, ...(source !== undefined && { source }) });

function grouped<Item>(items: Item[], key: (item: Item) => string): Map<string, Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) groups.set(key(item), [...(groups.get(key(item)) ?? []), item]);
  return groups;
}
