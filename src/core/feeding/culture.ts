import { Refusal } from '@/core/refusal';
import { dailySteps } from './feederStages';
import type { FeederKind } from './food';

export interface CulturePlan {
  /** Grown ones of both sexes that it takes. */
  breeders: number;
  /** How many of each size stand in the culture then. */
  counts: { item: string; count: number }[];
  hatchedPerWeek: number;
}

/** Young that one grown feeder adds to the smallest size in a day. */
function bornPerDay({ culture }: FeederKind): number {
  const { femaleShare, eggsPerFemalePerWeek, hatchSharePct } = culture;
  return (femaleShare.value * eggsPerFemalePerWeek.value * (hatchSharePct.value / 100)) / 7;
}

/**
 * How many breeders sustain a weekly harvest for ever: the steady state in which what hatches, grows on and replaces the
 * grown ones that die just leaves the harvest over. The balance is followed from size to size: each is linear in the
 * number of breeders, and the last gives it.
 * @source Lefkovitch, L. P. (1965), The study of population growth in organisms grouped by stages, Biometrics 21, 1-18
 * @param weekly how many of each size are taken in a week, by id; none but sizes of this kind
 * @throws Refusal for another kind's size, or when a culture of this kind dies out by itself
 */
export function breedersFor(kind: FeederKind, weekly: Readonly<Record<string, number>>): CulturePlan {
  const unknown = Object.keys(weekly).filter((item) => !kind.classes.some((each) => each.id === item));
  if (unknown.length > 0) {
    const known = kind.classes.map((each) => each.id).join(', ');
    throw new Refusal([{ path: `weekly.${unknown[0]}`, message: `Must be a size of ${kind.name}: ${known}.` }]);
  }
  const steps = dailySteps(kind);
  const taken = kind.classes.map((each) => (weekly[each.id] ?? 0) / 7);
  // What comes into a size in a day: `perBreeder` times the breeders, and `fixed`, which the harvest before it took.
  let perBreeder = bornPerDay(kind);
  let fixed = 0;
  const sizes: { perBreeder: number; fixed: number }[] = [];
  for (const [index, { stays, grows }] of steps.entries()) {
    const size = { perBreeder: perBreeder / (1 - stays), fixed: (fixed - (taken[index] ?? 0)) / (1 - stays) };
    sizes.push(size);
    perBreeder = size.perBreeder * grows;
    fixed = size.fixed * grows;
  }
  const grown = sizes.at(-1);
  if (!grown || grown.perBreeder <= 1) {
    throw new Refusal([{ path: 'kind', message: `A culture of ${kind.name} dies out by its own numbers.` }]);
  }
  const breeders = -grown.fixed / (grown.perBreeder - 1);
  return {
    breeders,
    counts: kind.classes.map(({ id }, index) => {
      const size = sizes[index] ?? { perBreeder: 0, fixed: 0 };
      return { item: id, count: size.perBreeder * breeders + size.fixed };
    }),
    hatchedPerWeek: breeders * bornPerDay(kind) * 7,
  };
}

/**
 * How many of one size a culture yields in a week for ever.
 * @param breeders grown ones of both sexes, 0 or more
 */
export function yieldPerWeek(kind: FeederKind, item: string, breeders: number): number {
  return breeders / breedersFor(kind, { [item]: 1 }).breeders;
}
