import { CROWDED_PCT, fullnessPct } from './fullness';
import { evenAt, evenSteps } from '@/core/numerics/evenDraws';
import { logNormalWithin, normalQuantile } from '@/core/numerics/normal';
import { numbersOf } from '@/core/numerics/quantiles';
import { spreadOf, together } from '@/core/numerics/spreads';
import { Refusal } from '@/core/refusal';
import { paceAt, paceSpread, requireCounts, stagesOf, type PopulationKind } from './kind';
import { eggsLaid, layingOf } from './laying';

export interface ColonyQuestion {
  kind: PopulationKind;
  /** How many of each stage there are; stages left out have none. */
  counts: Readonly<Record<string, number>>;
  /** Of kinds with queens. */
  queens?: number | undefined;
  /** One for all weeks, or one for each. C */
  temperatureC: number | readonly number[];
  weeks: number;
  /** Grown ones taken out in a week, once so many have been there. */
  harvestPerWeek?: number | undefined;
  harvestAtGrown?: number | undefined;
  /** As many as there is room for; for ever if left out. */
  roomForHeads?: number | undefined;
  /** How far the count may be off: standard deviation of its logarithm; 0 where every head was counted. */
  countSpread?: number | undefined;
  /** 1 to 4000; 500 if left out. */
  draws?: number | undefined;
}

export interface Band {
  p10: number;
  median: number;
  p90: number;
}

export interface ColonyWeek {
  week: number;
  temperatureC: number;
  isResting: boolean;
  /** By stage, grown ones last. */
  stages: Record<string, Band>;
  total: Band;
}

export interface ColonyForecast {
  series: ColonyWeek[];
  /** The first week in which more than four fifths of the room are taken, by the median; null while there is room. */
  crowdedWeek: number | null;
}

/** A stage moves on in so many steps at most: the more, the less it spreads. Chosen here */
const MOST_STEPS = 4;
/** In rest nothing ages as fast. From memory */
const RESTING_AGE = 0.2;

/** Rates of every draw against the usual, and what was counted against what there is. */
interface Rates {
  laying: Float64Array;
  pace: Float64Array;
  death: Float64Array;
  counts: Float64Array;
}

/** What stands still during a projection, worked out once. */
interface Plan {
  kind: PopulationKind;
  /** Per stage: the steps it moves on in, and the share of a step that a week at pace 1 is. */
  stages: { steps: number; share: number; dies: number }[];
  temperatures: readonly number[];
  /** Week by week: how fast it lives, and 1 where it rests. */
  paces: Float64Array;
  resting: Uint8Array;
  question: ColonyQuestion;
}

/**
 * Follows a colony or a culture week by week: eggs are laid by females or by a queen whose workers feed her brood, young
 * grow on by degree-days through steps of equal length, the grown die of age, some are taken out, and no more is bred
 * than there is room for. Nothing is laid in rest, and a queen alone lays her first batch and no more. Rates differ from colony to colony, and what was estimated may have
 * been more or less: each draw has its own, and the bands are the tenth and the ninetieth percentile of all.
 * @throws Refusal for a stage that the kind does not have, more queens than it bears, or temperatures that do not match
 */
export function projectColony(question: ColonyQuestion): ColonyForecast {
  const plan = planOf(question);
  const { kind, weeks, draws = 500, countSpread = 0 } = question;
  const names = stagesOf(kind);
  const series: ColonyWeek[] = [];
  follow(plan, ratesOf(plan, draws, countSpread), (week, heads, total) => {
    const temperatureC = plan.temperatures[Math.min(week, weeks - 1)] ?? 0;
    series.push({
      week,
      temperatureC,
      isResting: temperatureC < kind.warmth.restBelowC.value,
      stages: Object.fromEntries(names.map((name, stage) => [name, numbersOf(heads[stage] as Float64Array)])),
      total: numbersOf(total),
    });
  });
  const { roomForHeads } = question;
  const isCrowded = ({ stages, total }: ColonyWeek) =>
    fullnessPct(kind, stages[kind.adults]?.median ?? 0, total.median, roomForHeads ?? Infinity) > CROWDED_PCT;
  const crowded = roomForHeads === undefined ? -1 : series.findIndex(isCrowded);
  return { series, crowdedWeek: crowded < 0 ? null : crowded };
}

/** The course of the usual colony alone, without bands: the grown ones week by week, all heads, and how it stands last. */
export function usualCourse(question: ColonyQuestion): {
  grown: number[];
  total: number[];
  last: Record<string, number>;
} {
  const plan = planOf(question);
  const names = stagesOf(question.kind);
  const [grown, all]: [number[], number[]] = [[], []];
  let last: Record<string, number> = {};
  const one = Float64Array.of(1);
  follow(plan, { laying: one, pace: one, death: one, counts: one }, (week, heads, total) => {
    grown.push(heads.at(-1)?.[0] ?? 0);
    all.push(total[0] ?? 0);
    if (week === question.weeks) last = Object.fromEntries(names.map((name, stage) => [name, heads[stage]?.[0] ?? 0]));
  });
  return { grown, total: all, last };
}

/** The fewest grown ones that each course has within some weeks of its first harvest, in no order; without end where it has none. */
export function leastGrown(question: ColonyQuestion, withinWeeks: number): Float64Array {
  const { draws = 500, countSpread = 0, harvestAtGrown = 0 } = question;
  const least = new Float64Array(draws).fill(Infinity);
  const begun = new Float64Array(draws).fill(Infinity);
  const plan = planOf(question);
  follow(plan, ratesOf(plan, draws, countSpread), (week, heads) => {
    const grown = heads.at(-1) as Float64Array;
    for (let draw = 0; draw < draws; draw += 1) {
      if ((grown[draw] as number) >= harvestAtGrown && week < (begun[draw] as number)) begun[draw] = week;
      const since = week - (begun[draw] as number);
      if (since >= 0 && since <= withinWeeks) least[draw] = Math.min(least[draw] as number, grown[draw] as number);
    }
  });
  return least;
}

function planOf(question: ColonyQuestion): Plan {
  const { kind, counts, queens = 0, weeks, temperatureC } = question;
  requireCounts(kind, counts, queens, 'counts');
  const temperatures =
    typeof temperatureC === 'number' ? Array.from({ length: weeks }, () => temperatureC) : temperatureC;
  if (temperatures.length !== weeks) {
    const message = `Must be one number, or one for each of the ${weeks} weeks; got ${temperatures.length}.`;
    throw new Refusal([{ path: 'temperatureC', message }]);
  }
  const stages = kind.young.map(({ days, weeklyDeathPct }) => {
    const inWeeks = days.value / 7;
    const steps = Math.max(1, Math.min(MOST_STEPS, Math.floor(inWeeks)));
    // A step takes a week at least; so its share cannot be more than all.
    return { steps, share: steps / inWeeks, dies: weeklyDeathPct.value / 100 };
  });
  return {
    ...{ kind, stages, temperatures, question },
    paces: Float64Array.from(temperatures, (each) => paceAt(kind, each)),
    resting: Uint8Array.from(temperatures, (each) => (each < kind.warmth.restBelowC.value ? 1 : 0)),
  };
}

/** Laying, pace, death and what was counted are drawn apart. */
const STEPS = evenSteps(4);
/** Colonies differ in their pace by so much of what they differ in laying: warmth sets it for all. From memory */
const PACE_SPREAD_SHARE = 0.5;

/** How far the days that all young stages take together may be off, by the ranges that were told. In logarithms */
function youthSpread({ young }: PopulationKind): number {
  const allDays = young.reduce((sum, { days }) => sum + days.value, 0);
  return allDays > 0 ? together(...young.map(({ days }) => (days.value / allDays) * spreadOf(days))) : 0;
}

/** Rates of all draws: the same for every colony, so that the same question has the same answer. */
function ratesOf({ kind, temperatures }: Plan, draws: number, countSpread: number): Rates {
  const spread = kind.spread.value;
  // In the weeks of a rest nothing is bred, whatever its pace is.
  const lived = temperatures.filter((each) => each >= kind.warmth.restBelowC.value);
  const meanC = lived.reduce((sum, each) => sum + each, 0) / Math.max(1, lived.length);
  const of = (rate: number, times: number) =>
    Float64Array.from({ length: draws }, (_, draw) => Math.exp(times * normalQuantile(evenAt(draw, STEPS[rate] ?? 0))));
  return {
    laying: of(0, spread),
    pace: of(1, together(PACE_SPREAD_SHARE * spread, paceSpread(kind, meanC), youthSpread(kind))),
    death: of(2, spread),
    counts: of(3, countSpread),
  };
}

/**
 * All courses beside one another, week by week. `visit` is given for each stage the heads of every draw, grown ones last,
 * and their total; what it is given is used again. All that does not change from draw to draw is worked out before, and
 * what changes stays in numbers of its own: reading and writing lists is most of what this costs.
 */
function follow(
  { kind, stages, paces, resting, question }: Plan,
  rates: Rates,
  visit: (week: number, heads: readonly Float64Array[], total: Float64Array) => void,
): void {
  const { counts, queens = 0, weeks, roomForHeads = Infinity } = question;
  const { harvestPerWeek = 0, harvestAtGrown = 0 } = question;
  const laying = layingOf(kind.laying, queens);
  const draws = rates.laying.length;
  const many = stages.length;
  const steps = Int32Array.from(stages, (stage) => stage.steps);
  const shares = Float64Array.from(stages, (stage) => stage.share);
  const dies = Float64Array.from(stages, (stage) => stage.dies);
  const width = steps.reduce((sum, count) => sum + count, 0);
  const startOf = (count: number) => rates.counts.map((times) => count * times);
  const countOf = (stage: number) => counts[kind.young[stage]?.id ?? ''] ?? 0;
  const heads = [...stages.map((_, stage) => startOf(countOf(stage))), startOf(counts[kind.adults] ?? 0)];
  const adults = heads[many] as Float64Array;
  const total = Float64Array.from({ length: draws }, (_, draw) =>
    heads.reduce((sum, all) => sum + (all[draw] ?? 0), 0),
  );
  // All steps of all stages of one draw in one row, the youngest first.
  const rows = new Float64Array(draws * width);
  for (let draw = 0, at = 0; draw < draws; draw += 1) {
    stages.forEach(({ steps: parts }, stage) => {
      for (let part = 0; part < parts; part += 1, at += 1) rows[at] = (heads[stage]?.[draw] ?? 0) / parts;
    });
  }
  // Workers raised by a queen alone are small and live shorter: they are followed apart.
  const isFounding = kind.firstLifeDays !== undefined && (counts[kind.adults] ?? 0) < 1;
  const toLay = isFounding ? firstBatches(kind, queens, rates, heads.slice(0, many)) : rates.laying;
  const firstOnes = new Float64Array(isFounding ? draws : 0);
  const begun = new Uint8Array(draws);
  const age = 7 / kind.adultLifeDays.value;
  const firstAge = kind.firstLifeDays ? 7 / kind.firstLifeDays.value : 0;
  const firstBrood = queens * (kind.founding?.firstBatch.max ?? 0);
  visit(0, heads, total);
  for (let week = 0; week < weeks; week += 1) {
    const isResting = resting[week] === 1;
    const weekPace = paces[week] as number;
    const slower = isResting ? RESTING_AGE : 1;
    for (let draw = 0, at = 0; draw < draws; draw += 1) {
      const pace = weekPace * (rates.pace[draw] as number);
      const death = slower * (rates.death[draw] as number);
      const before = adults[draw] as number;
      const room = roomForHeads === Infinity ? 1 : 1 - (total[draw] as number) / roomForHeads;
      let arriving =
        isResting || room <= 0
          ? 0
          : Math.min(eggsLaid(laying, before, pace) * (rates.laying[draw] as number), roomForHeads) * room;
      if (isFounding && before < 1) {
        arriving = Math.min(arriving, toLay[draw] as number);
        toLay[draw] = (toLay[draw] as number) - arriving;
      }
      let all = 0;
      for (let stage = 0; stage < many; stage += 1) {
        const share = (shares[stage] as number) * pace;
        const moves = share < 1 ? share : 1;
        const dying = (dies[stage] as number) * death;
        const lives = dying < 1 ? 1 - dying : 0;
        let sum = 0;
        for (let left = steps[stage] as number; left > 0; left -= 1, at += 1) {
          const alive = (rows[at] as number) * lives;
          const leaving = alive * moves;
          const after = alive - leaving + arriving;
          // Numbers too small to matter are too small to reckon with: such doubles cost a hundred times as much.
          const rest = after < NOBODY ? 0 : after;
          rows[at] = rest;
          sum += rest;
          arriving = leaving < NOBODY ? 0 : leaving;
        }
        (heads[stage] as Float64Array)[draw] = sum;
        all += sum;
      }
      let small = isFounding ? (firstOnes[draw] as number) : 0;
      let old = (before - small) * (1 - Math.min(1, age * death));
      small *= 1 - Math.min(1, firstAge * death);
      // The first brood is what comes while fewer are there than a first batch can have.
      if (isFounding && before < firstBrood) small += arriving;
      else old += arriving;
      if (before >= harvestAtGrown) begun[draw] = 1;
      if (begun[draw] === 1) old -= Math.min(harvestPerWeek, old);
      if (isFounding) firstOnes[draw] = small;
      adults[draw] = old + small;
      total[draw] = all + old + small;
    }
    visit(week + 1, heads, total);
  }
}

/** Fewer heads than this are none. */
const NOBODY = 1e-9;
/**
 * Eggs that queens alone have still to lay: their first batch, less what is there of it. Who lays much lays a large batch.
 * @param young of each stage, draw by draw
 */
function firstBatches(
  { founding, spread }: PopulationKind,
  queens: number,
  { laying }: Rates,
  young: readonly Float64Array[],
): Float64Array {
  if (!founding) return laying.map(() => Infinity);
  const { centre, spread: ofBatch } = logNormalWithin(founding.firstBatch);
  return laying.map((rate, draw) => {
    const batch = queens * Math.exp(centre + (ofBatch / spread.value) * Math.log(rate));
    return Math.max(0, batch - young.reduce((sum, heads) => sum + (heads[draw] ?? 0), 0));
  });
}
