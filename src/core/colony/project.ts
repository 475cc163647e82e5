import { evenAt, evenSteps } from '@/core/growth/evenDraws';
import { normalQuantile } from '@/core/growth/normal';
import { numbersOf } from '@/core/growth/quantiles';
import { Refusal } from '@/core/refusal';
import { paceAt, requireCounts, stagesOf, type PopulationKind } from './kind';
import { eggsLaid } from './laying';

export interface ColonyQuestion {
  kind: PopulationKind;
  /** How many of each stage there are; stages left out have none. */
  counts: Readonly<Record<string, number>>;
  /** Of kinds with queens. */
  queens?: number | undefined;
  /** One for all weeks, or one for each. C */
  temperatureC: number | readonly number[];
  weeks: number;
  /** Grown ones taken out in a week. */
  harvestPerWeek?: number | undefined;
  /** As many as there is room for; for ever if left out. */
  roomForHeads?: number | undefined;
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
  /** The week in which a colony without workers has its first; null where it has, or will have none. */
  firstWorkersWeek: Band | null;
  /** The first week in which more than four fifths of the room are taken, by the median; null while there is room. */
  crowdedWeek: number | null;
}

/** From so much of its room on a colony is crowded. Common practice, no source: before it is full */
export const CROWDED_SHARE = 0.8;
/** A stage moves on in so many steps at most: the more, the less it spreads. Chosen here */
const MOST_STEPS = 4;
/** In rest nothing ages as fast. From memory */
const RESTING_AGE = 0.2;

/** Rates of one draw against the usual. */
interface Rates {
  laying: number;
  pace: number;
  death: number;
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
 * than there is room for. Nothing is laid in rest. Rates differ from colony to colony: each draw has its own, and the
 * bands are the tenth and the ninetieth percentile of all.
 * @throws Refusal for a stage that the kind does not have, more queens than it bears, or temperatures that do not match
 */
export function projectColony(question: ColonyQuestion): ColonyForecast {
  const plan = planOf(question);
  const { kind, weeks, draws = 500 } = question;
  const names = stagesOf(kind);
  // Week by week the values of all draws beside one another, as they are ordered afterwards.
  const courses = names.map(() => new Float64Array((weeks + 1) * draws));
  const totals = new Float64Array((weeks + 1) * draws);
  const firsts = new Float64Array(draws).fill(Infinity);
  for (let draw = 0; draw < draws; draw += 1) {
    follow(plan, ratesOf(draw, kind.spread.value), (week, heads, grown) => {
      const at = week * draws + draw;
      let total = 0;
      for (let stage = 0; stage < heads.length; stage += 1) {
        const count = heads[stage] as number;
        (courses[stage] as Float64Array)[at] = count;
        total += count;
      }
      totals[at] = total;
      if (grown >= 1 && week < (firsts[draw] as number)) firsts[draw] = week;
    });
  }
  const bandIn = (course: Float64Array, week: number) => numbersOf(course.subarray(week * draws, (week + 1) * draws));
  const series = Array.from({ length: weeks + 1 }, (_, week): ColonyWeek => {
    const temperatureC = plan.temperatures[Math.min(week, weeks - 1)] ?? 0;
    return {
      week,
      temperatureC,
      isResting: temperatureC < kind.warmth.restBelowC.value,
      stages: Object.fromEntries(names.map((name, stage) => [name, bandIn(courses[stage] as Float64Array, week)])),
      total: bandIn(totals, week),
    };
  });
  const { roomForHeads } = question;
  const crowded =
    roomForHeads === undefined ? -1 : series.findIndex(({ total }) => total.median > CROWDED_SHARE * roomForHeads);
  const isFounding = kind.adults === 'worker' && (question.counts.worker ?? 0) < 1;
  const first = isFounding ? numbersOf(firsts) : null;
  return {
    series,
    firstWorkersWeek: first && Number.isFinite(first.median) ? first : null,
    crowdedWeek: crowded < 0 ? null : crowded,
  };
}

/** The course of the usual colony alone, without bands: the grown ones week by week, and all heads. */
export function usualCourse(question: ColonyQuestion): { grown: number[]; total: number[] } {
  const plan = planOf(question);
  const [grown, total]: [number[], number[]] = [[], []];
  follow(plan, { laying: 1, pace: 1, death: 1 }, (_week, heads, adults) => {
    grown.push(adults);
    total.push(heads.reduce((sum, count) => sum + count, 0));
  });
  return { grown, total };
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

/** Laying, pace and death are drawn apart. */
const STEPS = evenSteps(3);
/** Colonies differ in their pace by so much of what they differ in laying: warmth sets it for all. From memory */
const PACE_SPREAD_SHARE = 0.5;

/** Rates of a draw: the same for every colony, so that the same question has the same answer. */
function ratesOf(draw: number, spread: number): Rates {
  const at = (rate: number, times: number) => Math.exp(times * spread * normalQuantile(evenAt(draw, STEPS[rate] ?? 0)));
  return { laying: at(0, 1), pace: at(1, PACE_SPREAD_SHARE), death: at(2, 1) };
}

/**
 * One course. `visit` is given the heads of each stage, grown ones last; what it is given is used again.
 * All that does not change from week to week is worked out before: this is run for every draw of every colony.
 */
function follow(
  { kind, stages, paces, resting, question }: Plan,
  rates: Rates,
  visit: (week: number, heads: Float64Array, grown: number) => void,
): void {
  const { counts, queens = 0, weeks, harvestPerWeek = 0, roomForHeads = Infinity } = question;
  const { laying } = kind;
  const many = stages.length;
  const steps = stages.map((stage) => stage.steps);
  // All steps of all stages in one row, the youngest first.
  const row = new Float64Array(steps.reduce((sum, count) => sum + count, 0));
  const heads = new Float64Array(many + 1);
  let place = 0;
  for (let stage = 0; stage < many; stage += 1) {
    const count = counts[kind.young[stage]?.id ?? ''] ?? 0;
    heads[stage] = count;
    const last = place + (steps[stage] as number);
    for (; place < last; place += 1) row[place] = count / (steps[stage] as number);
  }
  let grown = counts[kind.adults] ?? 0;
  // Workers raised by a queen alone are small and live shorter: they are followed apart.
  let firstOnes = 0;
  const isFounding = kind.firstLifeDays !== undefined && grown < 1;
  const agesInAWeek = (7 * rates.death) / kind.adultLifeDays.value;
  const firstAge = kind.firstLifeDays ? (7 * rates.death) / kind.firstLifeDays.value : 0;
  let total = grown;
  for (let stage = 0; stage < many; stage += 1) total += heads[stage] as number;
  heads[many] = grown;
  visit(0, heads, grown);
  for (let week = 0; week < weeks; week += 1) {
    const isResting = resting[week] === 1;
    const pace = (paces[week] as number) * rates.pace;
    const slower = isResting ? RESTING_AGE : 1;
    const adults = grown + firstOnes;
    const room = roomForHeads === Infinity ? 1 : Math.max(0, 1 - total / roomForHeads);
    let arriving = isResting || room === 0 ? 0 : eggsLaid(laying, adults, queens, pace) * rates.laying * room;
    total = 0;
    place = 0;
    for (let stage = 0; stage < many; stage += 1) {
      const { share, dies } = stages[stage] as Plan['stages'][number];
      const moves = Math.min(1, share * pace);
      const lives = 1 - Math.min(1, dies * rates.death * slower);
      const last = place + (steps[stage] as number);
      let sum = 0;
      for (; place < last; place += 1) {
        const before = (row[place] as number) * lives;
        const leaving = before * moves;
        const rest = before - leaving + arriving;
        // Numbers too small to matter are too small to reckon with: such doubles cost a hundred times as much.
        const after = rest < NOBODY ? 0 : rest;
        row[place] = after;
        sum += after;
        arriving = leaving < NOBODY ? 0 : leaving;
      }
      heads[stage] = sum;
      total += sum;
    }
    grown *= 1 - Math.min(1, agesInAWeek * slower);
    firstOnes *= 1 - Math.min(1, firstAge * slower);
    // The first brood is what comes while fewer than a handful are there.
    if (isFounding && adults < FIRST_BROOD) firstOnes += arriving;
    else grown += arriving;
    grown -= Math.min(harvestPerWeek, grown);
    heads[many] = grown + firstOnes;
    total += grown + firstOnes;
    visit(week + 1, heads, grown + firstOnes);
  }
}

/** Fewer heads than this are none. */
const NOBODY = 1e-9;
/** Workers that a queen raises by herself. From memory */
const FIRST_BROOD = 15;
