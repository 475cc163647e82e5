import {
  bodyOf,
  requireSchool,
  requireStage,
  takenMeasure,
  type AnimalMeasures,
  type Body,
} from '@/core/profiles/animal';
import {
  BODY_MEASURES,
  defaultSchool,
  type CareProfile,
  type FitRule,
  type Ground,
  type Limit,
  type School,
  type Stage,
  type Yardstick,
} from '@/core/profiles/profile';
import { depthBand, type DepthBand, type DepthDemand } from './depthBand';
import { homeFacts, NEEDS, quantityValue, unitOf, type HomeFacts, type HomeState, type Unit } from './quantities';

export type Status = 'pass' | 'watch' | 'fail';

/** Why a check came out as it did: the rule, the numbers that went in, and whose practice it is. */
export interface Grounds extends Ground {
  rule: string;
  why: string;
  school?: string;
  /** Measures that the limits were worked out from: mm, mm2 or heads. */
  inputs: Record<string, number>;
  /** Those of the inputs that were worked out from another measure and not taken. */
  estimated: string[];
}

export interface Check {
  rule: string;
  quantity: FitRule['quantity'];
  status: Status;
  title: string;
  actual: number;
  min: number | null;
  max: number | null;
  unit: Unit;
  grounds: Grounds;
}

/** A rule that says nothing yet, and the field that would have to be filled in. */
export interface NotChecked {
  rule: string;
  title: string;
  needs: string;
}

export interface FitQuestion extends Animal, HomeState {}

export interface FitAnswer {
  verdict: Status;
  checks: Check[];
  notChecked: NotChecked[];
  substrateDepthMm: DepthBand;
  /** An opening must be narrower than this to hold the animal and its young. mm; null where no rule limits it. */
  largestSafeOpeningMm: number | null;
}

const SEVERITY: Record<Status, number> = { pass: 0, watch: 1, fail: 2 };

/** The worse of two verdicts. */
export function worse(a: Status, b: Status): Status {
  return SEVERITY[a] >= SEVERITY[b] ? a : b;
}

/** Orders verdicts from best to worst. */
export function compareStatus(a: Status, b: Status): number {
  return SEVERITY[a] - SEVERITY[b];
}

/** What is asked of every home alike: the animal, and the way of keeping. */
export interface Animal extends AnimalMeasures {
  stage: Stage;
  school?: string | undefined;
}

/**
 * Holds one home against the rules of a care profile for one animal, group or colony.
 *
 * Lengths are inside lengths in mm. Measures not given are worked out by the proportions of the profile and marked as
 * estimated in the grounds. Checks come in the order of the profile's rules; the verdict is the worst of them. Rules
 * about something nobody said (what the walls are, what is in the home) come back as not checked. The rules
 * themselves, their limits and their sources are data (`data/profiles`).
 * @throws Refusal for a stage or school the profile does not have, or when no length was given.
 */
export function fit(profile: CareProfile, question: FitQuestion): FitAnswer {
  return fitter(profile, question).answer(homeFacts(question), question.substrateDepthMm);
}

/** One animal's rules, ready to be held against many homes. */
export interface Fitter {
  /** Everything: checks, grounds, band. */
  answer: (home: HomeFacts, substrateDepthMm: number) => FitAnswer;
  /** The band alone, into `band` (min, max): what a ranking needs of it. */
  bandInto: (home: HomeFacts, band: [number, number]) => void;
  /** The verdict alone: failing rules x 1000 + watched rules. */
  score: (home: HomeFacts, substrateDepthMm: number) => number;
}

/**
 * As `fit`, for many homes: what depends on the animal alone is worked out once.
 * @throws Refusal as `fit` does.
 */
export function fitter(profile: CareProfile, animal: Animal): Fitter {
  requireStage(profile, animal.stage);
  requireSchool(profile, animal.school);
  const context: Context = {
    body: bodyOf(profile, animal),
    youngWidthMm: profile.young?.widthMm.value,
    headCount: animal.headCount,
    perHeadMl: perHeadMl(profile, animal),
  };
  const rules = rulesInForce(profile, animal).map((rule) => prepare(rule, context));
  return {
    answer: (home, depthMm) => answer(rules, context, home, depthMm),
    bandInto: (home, band) => {
      band[0] = 0;
      band[1] = home.heightMm;
      for (const rule of rules) {
        if (!rule.isAboutDepth) continue;
        const demand = depthDemand(rule, home);
        if (demand.min !== null && demand.min > band[0]) band[0] = demand.min;
        if (demand.max !== null && demand.max < band[1]) band[1] = demand.max;
      }
    },
    score: (home, depthMm) => {
      let sum = 0;
      for (const rule of rules) sum += SCORE[statusAt(rule, context, home, depthMm)];
      return sum;
    },
  };
}

interface Context {
  body: Body;
  youngWidthMm: number | undefined;
  headCount: number | undefined;
  perHeadMl: number | undefined;
}

/** Nest that a worker takes: it grows with the cube of her length. mL */
function perHeadMl(profile: CareProfile, animal: Animal): number | undefined {
  const usual = profile.measure.usualMm?.value;
  if (!profile.nest || usual === undefined) return undefined;
  return profile.nest.perHeadMl.value * (takenMeasure(profile, animal).mm / usual) ** 3;
}

/** The rules that apply to a stage, a school and a number of heads; a rule that names none of these always applies. */
function rulesInForce(profile: CareProfile, { stage, school, headCount = 1 }: Animal): FitRule[] {
  const chosen = profile.schools.find((each) => each.id === school);
  const schoolOf = (topic: School['topic']) => (chosen?.topic === topic ? chosen.id : defaultSchool(profile, topic));
  const inForce = [schoolOf('air'), schoolOf('feeding')];
  return profile.fit.filter(
    (rule) =>
      (!rule.stages || rule.stages.includes(stage)) &&
      (!rule.school || inForce.includes(rule.school)) &&
      headCount >= (rule.fromHeadCount ?? 0) &&
      headCount <= (rule.toHeadCount ?? Infinity),
  );
}

/** A limit as a number, or as a multiple of a side of the home. NaN where there is none. */
interface BoundLimit {
  value: number;
  side: 'floorLongSideMm' | 'floorShortSideMm' | null;
  times: number;
}

interface PreparedRule {
  rule: FitRule;
  min: BoundLimit;
  watchMin: BoundLimit;
  max: BoundLimit;
  watchMax: BoundLimit;
  bound: 'min' | 'max';
  isAboutDepth: boolean;
}

const DEPTH_QUANTITIES = new Set(['substrateDepthMm', 'surfaceToLidMm', 'perchDropMm']);

function prepare(rule: FitRule, context: Context): PreparedRule {
  return {
    rule,
    min: bind(rule.min, context),
    watchMin: bind(rule.watchMin, context),
    max: bind(rule.max, context),
    watchMax: bind(rule.watchMax, context),
    bound: rule.max ? 'max' : 'min',
    isAboutDepth: DEPTH_QUANTITIES.has(rule.quantity),
  };
}

function bind(limit: Limit | undefined, context: Context): BoundLimit {
  if (!limit) return { value: NaN, side: null, times: 1 };
  const { of, times = 1, plus = 0 } = limit;
  if (of === 'floorLongSideMm' || of === 'floorShortSideMm') return { value: plus, side: of, times };
  return { value: (of ? yardstick(of, context) : 0) * times + plus, side: null, times: 1 };
}

/** A yardstick of the animal; NaN where it means nothing for this kind, so that no limit comes of it. */
function yardstick(name: Yardstick, { body, youngWidthMm, headCount }: Context): number {
  switch (name) {
    case 'legSpanMm':
    case 'bodyLengthMm':
    case 'carapaceWidthMm':
      return body[name]?.mm ?? NaN;
    case 'bodyLengthSquaredMm2':
      return (body.bodyLengthMm?.mm ?? NaN) ** 2;
    case 'youngWidthMm':
      return youngWidthMm ?? NaN;
    case 'headCount':
      return headCount ?? 1;
    case 'floorLongSideMm':
    case 'floorShortSideMm':
      return NaN;
  }
}

const at = (limit: BoundLimit, home: HomeFacts) =>
  limit.side === null ? limit.value : limit.times * home[limit.side] + limit.value;

const SCORE: Record<Status, number> = { pass: 0, watch: 1, fail: 1000 };

/** Lengths computed on two ways may differ in their last binary digits: less than a nanometre is no failing. */
const EPSILON = 1e-9;

function statusAt(
  prepared: PreparedRule,
  { headCount, perHeadMl: perHead }: Context,
  home: HomeFacts,
  depthMm: number,
) {
  const { rule, bound } = prepared;
  const actual = quantityValue(rule.quantity, home, depthMm, headCount, perHead, bound);
  return statusOf(prepared, actual, home);
}

/** Comparisons with NaN are false: what is not known, or not limited, passes. */
function statusOf({ rule, min, watchMin, max, watchMax }: PreparedRule, actual: number, home: HomeFacts): Status {
  if (actual < at(min, home) - EPSILON) {
    return rule.softMin || actual >= at(watchMin, home) - EPSILON ? 'watch' : 'fail';
  }
  const most = at(max, home);
  if (rule.maxExcluded ? actual >= most : actual > most + EPSILON) {
    return rule.softMax || actual <= at(watchMax, home) + EPSILON ? 'watch' : 'fail';
  }
  return 'pass';
}

/** What a depth rule asks of the mean depth: a gap or a drop is turned round, a slope keeps its worst place safe. */
function depthDemand(prepared: PreparedRule, home: HomeFacts): DepthDemand {
  const { rule } = prepared;
  const min = nullable(at(prepared.min, home));
  const max = nullable(at(prepared.max, home));
  const less = (from: number, by: number | null) => (by === null ? null : from - by);
  switch (rule.quantity) {
    case 'surfaceToLidMm':
      return {
        rule: rule.id,
        min: less(home.heightMm + home.below, max),
        max: less(home.heightMm - home.above, min),
      };
    case 'perchDropMm':
      return { rule: rule.id, min: null, max: nullable(home.perchMm - home.above - (min ?? NaN)) };
    default:
      return {
        rule: rule.id,
        min: min === null ? null : min - home.above,
        max: max === null ? null : max - home.above,
      };
  }
}

const nullable = (value: number) => (Number.isNaN(value) ? null : value);

function answer(rules: PreparedRule[], context: Context, home: HomeFacts, depthMm: number): FitAnswer {
  const checks: Check[] = [];
  const notChecked: NotChecked[] = [];
  const demands: DepthDemand[] = [];
  let verdict: Status = 'pass';
  let largestSafeOpeningMm: number | null = null;
  for (const prepared of rules) {
    const { rule, bound } = prepared;
    const actual = quantityValue(rule.quantity, home, depthMm, context.headCount, context.perHeadMl, bound);
    if (prepared.isAboutDepth) demands.push(depthDemand(prepared, home));
    const min = nullable(at(prepared.min, home));
    const max = nullable(at(prepared.max, home));
    if (rule.quantity === 'widestOpeningMm' && max !== null) {
      largestSafeOpeningMm = Math.min(max, largestSafeOpeningMm ?? Infinity);
    }
    if (Number.isNaN(actual)) {
      notChecked.push({ rule: rule.id, title: rule.words.pass, needs: NEEDS[rule.quantity] ?? rule.quantity });
      continue;
    }
    const status = statusOf(prepared, actual, home);
    verdict = worse(verdict, status);
    checks.push({
      rule: rule.id,
      quantity: rule.quantity,
      status,
      title: titleOf(rule, status, min !== null && actual < min),
      actual,
      min,
      max,
      unit: unitOf(rule.quantity),
      grounds: groundsOf(rule, context, home),
    });
  }
  return {
    verdict,
    checks,
    notChecked,
    substrateDepthMm: depthBand(demands, home.heightMm, depthMm),
    largestSafeOpeningMm,
  };
}

function titleOf({ words }: FitRule, status: Status, isLow: boolean): string {
  if (status === 'pass') return words.pass;
  return (isLow ? words.low : words.high) ?? words.pass;
}

function groundsOf(rule: FitRule, context: Context, home: HomeFacts): Grounds {
  const grounds: Grounds = { rule: rule.id, why: rule.why, basis: rule.basis, inputs: {}, estimated: [] };
  if (rule.source !== undefined) grounds.source = rule.source;
  if (rule.school !== undefined) grounds.school = rule.school;
  for (const limit of [rule.min, rule.watchMin, rule.max, rule.watchMax]) {
    if (!limit?.of) continue;
    const name = limit.of === 'bodyLengthSquaredMm2' ? 'bodyLengthMm' : limit.of;
    const value = name === 'floorLongSideMm' || name === 'floorShortSideMm' ? home[name] : yardstick(name, context);
    grounds.inputs[name] = value;
    const measure = BODY_MEASURES.find((each) => each === name);
    if (measure && context.body[measure]?.estimated && !grounds.estimated.includes(name)) grounds.estimated.push(name);
  }
  return grounds;
}
