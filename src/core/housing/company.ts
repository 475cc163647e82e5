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
  'different-climate',
] as const;

export interface CompanyCheck {
  rule: (typeof COMPANY_RULES)[number];
  status: Status;
  title: string;
  why: string;
  /** Labels of those it is about. */
  who: string[];
  grounds: Ground;
}

export interface CompanyAnswer {
  verdict: Status;
  checks: CompanyCheck[];
}

/** Ends that differ by more than this in wetness (of 1) suit no two kinds at once; from memory. */
const WETNESS_APART = 0.25;

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
        title: 'Two colonies fight',
        why: `Colonies of ${name} kill each other: each has a nest of its own.`,
        who: same.map((lodger) => lodger.label),
        grounds: { basis: 'common practice' },
      });
    }
    if (rule.sameKind !== 'alone' || heads < 2) continue;
    checks.push({
      rule: 'alone',
      status: 'fail',
      title: 'Lives alone',
      why: `${name} is kept one to a box: together they eat each other.`,
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
      title: 'One eats the other',
      why: 'A hunter takes whatever is smaller, and what is larger takes it at its moult.',
      who,
      grounds: { basis: 'from memory' },
    });
  }
  if (a.youngLookLike !== undefined && a.youngLookLike === b.youngLookLike) {
    checks.push({
      rule: 'young-look-alike',
      status: 'watch',
      title: 'Young nobody can name',
      why: 'The young of these species look alike: kept together they leave a mixed stock that cannot be told apart, nor passed on under a name.',
      who,
      grounds: { basis: 'common practice' },
    });
  }
  const [damp, otherDamp] = [one.profile.making, other.profile.making];
  // Cleaners stay where it is damp enough for them.
  const isCleaned = a.role === 'cleaner' || b.role === 'cleaner';
  if (!isCleaned && Math.abs(damp.dampWetness - otherDamp.dampWetness) > WETNESS_APART) {
    checks.push({
      rule: 'different-damp',
      status: 'watch',
      title: 'They want another damp',
      why: `The damp end of one is kept at ${damp.dampWetness}, of the other at ${otherDamp.dampWetness} of all the soil can hold.`,
      who,
      grounds: { basis: 'from memory' },
    });
  }
  const [climate, otherClimate] = [one.profile.climate, other.profile.climate];
  const apart = (['temperatureC', 'humidityPct'] as const).filter(
    (name) => climate[name].min > otherClimate[name].max || otherClimate[name].min > climate[name].max,
  );
  if (apart.length > 0) {
    const said = apart.map((name) => (name === 'temperatureC' ? 'warmth' : 'humidity')).join(' and ');
    checks.push({
      rule: 'different-climate',
      status: 'watch',
      title: 'They want another climate',
      why: `There is no ${said} that serves both.`,
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
