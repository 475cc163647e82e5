import { usualIntervalDays } from '@/core/growth/pace';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { hatchlingMm } from '@/core/profiles/eggs';

/** Those of one age. */
export interface Cohort {
  heads: number;
  /** The taken measure; null for kinds that are not measured. mm */
  sizeMm: number | null;
  stage: Stage;
}

export interface Reared {
  /** Whole heads that are alive then. */
  heads: number;
  /** Of the oldest. mm */
  sizeMm: number | null;
  stage: Stage;
  /** By age, the oldest first; their heads add up to all of them. */
  cohorts: Cohort[];
}

/** Less than half of an animal is none. */
const SOMEBODY = 0.5;

/**
 * What becomes of hatchlings that are all kept: how many are alive, and how large they are, after so many days. The oldest are those
 * of the week by which one has hatched, whole; what is only likely to have hatched before makes nobody larger.
 * @param hatching how many hatch, and how many days before
 * @param weeklyDeathPct while they are small
 */
export function rearedAfter(
  profile: CareProfile,
  hatching: readonly { count: number; daysBefore: number }[],
  weeklyDeathPct: number,
  temperatureC: number,
): Reared {
  const out = hatching
    .filter((each) => each.daysBefore >= 0 && each.count > 0)
    .sort((one, other) => other.daysBefore - one.daysBefore)
    .map(({ count, daysBefore }) => ({ heads: count * (1 - weeklyDeathPct / 100) ** (daysBefore / 7), daysBefore }));
  const cohorts: Cohort[] = [];
  let waiting = 0;
  for (const { heads, daysBefore } of out) {
    waiting += heads;
    if (cohorts.length === 0 && waiting < SOMEBODY) continue;
    cohorts.push({ heads: waiting, ...grownBy(profile, daysBefore, temperatureC) });
    waiting = 0;
  }
  const [oldest = grownBy(profile, 0, temperatureC)] = cohorts;
  const heads = Math.round(cohorts.reduce((sum, each) => sum + each.heads, 0));
  return { heads, sizeMm: oldest.sizeMm, stage: oldest.stage, cohorts };
}

/** Size and stage of a hatchling after so many days, by its usual moults. */
function grownBy(profile: CareProfile, days: number, temperatureC: number): Omit<Cohort, 'heads'> {
  const stages = profile.stages.filter((each) => each !== 'egg');
  const first = stages[0] ?? 'nymph';
  const hatchling = hatchlingMm(profile);
  if (hatchling === null) return { sizeMm: null, stage: first };
  const { ratioPerMoult, grownMm } = profile.growth;
  let [sizeMm, left, stage] = [hatchling, days, first];
  for (let moult = 0; moult < MOST_MOULTS && sizeMm < grownMm.value; moult += 1) {
    const interval = usualIntervalDays(profile, stage, temperatureC);
    if (interval === null || left < interval) break;
    left -= interval;
    sizeMm = Math.min(grownMm.value, sizeMm * ratioPerMoult.value);
    // Stages follow one another as the size does: the last is reached with the grown size.
    const grown = Math.log(sizeMm / hatchling) / Math.log(grownMm.value / hatchling);
    stage = stages[Math.min(stages.length - 1, Math.floor(grown * (stages.length - 1) + 1e-9))] ?? stage;
  }
  return { sizeMm, stage };
}

const MOST_MOULTS = 40;
