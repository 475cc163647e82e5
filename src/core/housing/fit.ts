import {
  bodyOf,
  requireSchool,
  requireStage,
  type AnimalMeasures,
  type Body,
  type Length,
} from '@/core/profiles/animal';
import {
  defaultSchool,
  type CareProfile,
  type FitRule,
  type Ground,
  type Limit,
  type Quantity,
  type Stage,
  type Yardstick,
} from '@/core/profiles/profile';
import { floorLongSideMm, floorShortSideMm, type Container } from './container';
import { depthBand, type DepthBand, type DepthDemand } from './depthBand';
import { meshOverheadCount, openSidePairs, openSides, widestOpeningMm } from './openings';

export type Status = 'pass' | 'watch' | 'fail';

/** Why a check came out as it did: the rule, the numbers that went in, and whose practice it is. */
export interface Grounds extends Ground {
  rule: string;
  why: string;
  school?: string;
  /** Measures that the limits were worked out from, in mm. */
  inputs: Record<string, number>;
  /** Those of the inputs that were worked out from another measure and not taken. */
  estimated: string[];
}

export interface Check {
  rule: string;
  status: Status;
  title: string;
  actual: number;
  min: number | null;
  max: number | null;
  unit: 'mm' | 'count';
  grounds: Grounds;
}

export interface FitQuestion extends Animal {
  container: Container;
  substrateDepthMm: number;
}

export interface FitAnswer {
  verdict: Status;
  checks: Check[];
  substrateDepthMm: DepthBand;
  /** An opening must be narrower than this to hold the animal. mm; null where no rule limits it. */
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
 * Holds one home against the rules of a care profile for one animal.
 *
 * Lengths are inside lengths in mm. Measures not given are worked out by the proportions of the profile and marked as
 * estimated in the grounds. Checks come in the order of the profile's rules; the verdict is the worst of them. The
 * rules themselves, their limits and their sources are data (`data/profiles`).
 * @throws Refusal for a stage or school the profile does not have, or when no length was given.
 */
export function fit(profile: CareProfile, question: FitQuestion): FitAnswer {
  return fitter(profile, question)(question.container, question.substrateDepthMm);
}

/**
 * As `fit`, for many homes: what depends on the animal alone is worked out once.
 * @throws Refusal as `fit` does.
 */
export function fitter(
  profile: CareProfile,
  animal: Animal,
): (container: Container, substrateDepthMm: number) => FitAnswer {
  requireStage(profile, animal.stage);
  requireSchool(profile, animal.school);
  const body = bodyOf(profile, animal);
  const headCount = animal.headCount ?? 1;
  const rules = rulesInForce(profile, animal.stage, animal.school).map((rule) => prepare(rule, body));
  const hole = rules.find(({ rule }) => rule.quantity === 'widestOpeningMm');
  return (container, substrateDepthMm) => {
    const checks: Check[] = [];
    const demands: DepthDemand[] = [];
    let verdict: Status = 'pass';
    for (const { rule, limitsFor } of rules) {
      const limits = limitsFor(container);
      const each = check(rule, limits, quantityValue(rule.quantity, container, substrateDepthMm, headCount));
      checks.push(each);
      verdict = worse(verdict, each.status);
      const about = DEPTH_QUANTITIES[rule.quantity];
      if (about) demands.push({ rule: rule.id, about, min: limits.min, max: limits.max });
    }
    return {
      verdict,
      checks,
      substrateDepthMm: depthBand(demands, container.heightMm, substrateDepthMm),
      largestSafeOpeningMm: hole ? hole.limitsFor(container).max : null,
    };
  };
}

const DEPTH_QUANTITIES: { [Name in Quantity]?: DepthDemand['about'] } = {
  substrateDepthMm: 'depth',
  surfaceToLidMm: 'gap',
};

/** The rules that apply to a stage under a school; a rule that names no stage or school always applies. */
function rulesInForce(profile: CareProfile, stage: Stage, school: string | undefined): FitRule[] {
  const chosen = profile.schools.find((each) => each.id === school);
  const schoolOf = (topic: 'air' | 'feeding') => (chosen?.topic === topic ? chosen.id : defaultSchool(profile, topic));
  const inForce = [schoolOf('air'), schoolOf('feeding')];
  return profile.fit.filter(
    (rule) => (!rule.stages || rule.stages.includes(stage)) && (!rule.school || inForce.includes(rule.school)),
  );
}

/** A rule's limits in numbers, and the grounds they rest on. */
interface Limits {
  min: number | null;
  watchMin: number | null;
  max: number | null;
  watchMax: number | null;
  grounds: Grounds;
}

interface PreparedRule {
  rule: FitRule;
  limitsFor: (container: Container) => Limits;
}

const FLOOR_YARDSTICKS = new Set<Yardstick | undefined>(['floorLongSideMm', 'floorShortSideMm']);

/** A rule measured by the animal has the same limits in every home; one measured by the floor is worked out for each. */
function prepare(rule: FitRule, body: Body): PreparedRule {
  const { min, watchMin, max, watchMax } = rule;
  if ([min, watchMin, max, watchMax].some((limit) => FLOOR_YARDSTICKS.has(limit?.of))) {
    return { rule, limitsFor: (container) => limitsOf(rule, body, container) };
  }
  const fixed = limitsOf(rule, body, null);
  return { rule, limitsFor: () => fixed };
}

function limitsOf(rule: FitRule, body: Body, container: Container | null): Limits {
  const grounds: Grounds = { rule: rule.id, why: rule.why, basis: rule.basis, inputs: {}, estimated: [] };
  if (rule.source !== undefined) grounds.source = rule.source;
  if (rule.school !== undefined) grounds.school = rule.school;
  const value = (limit: Limit | undefined): number | null => {
    if (!limit) return null;
    if (!limit.of) return limit.plus ?? 0;
    const { mm, estimated } = yardstickLength(limit.of, body, container);
    if (estimated && !(limit.of in grounds.inputs)) grounds.estimated.push(limit.of);
    grounds.inputs[limit.of] = mm;
    return mm * (limit.times ?? 1) + (limit.plus ?? 0);
  };
  return {
    min: value(rule.min),
    watchMin: value(rule.watchMin),
    max: value(rule.max),
    watchMax: value(rule.watchMax),
    grounds,
  };
}

function yardstickLength(yardstick: Yardstick, body: Body, container: Container | null): Length {
  switch (yardstick) {
    case 'legSpanMm':
      return body.legSpan;
    case 'bodyLengthMm':
      return body.bodyLength;
    case 'carapaceWidthMm':
      return body.carapaceWidth;
    case 'floorLongSideMm':
      return { mm: container ? floorLongSideMm(container) : 0, estimated: false };
    case 'floorShortSideMm':
      return { mm: container ? floorShortSideMm(container) : 0, estimated: false };
  }
}

function check(rule: FitRule, { min, watchMin, max, watchMax, grounds }: Limits, actual: number): Check {
  const tooLow = min !== null && actual < min;
  const tooHigh = max !== null && (rule.maxExcluded ? actual >= max : actual > max);
  let status: Status = 'pass';
  if (tooLow) status = rule.softMin || (watchMin !== null && actual >= watchMin) ? 'watch' : 'fail';
  else if (tooHigh) status = rule.softMax || (watchMax !== null && actual <= watchMax) ? 'watch' : 'fail';
  const title = (tooLow ? rule.words.low : tooHigh ? rule.words.high : undefined) ?? rule.words.pass;
  return {
    rule: rule.id,
    status,
    title,
    actual,
    min,
    max,
    unit: rule.quantity.endsWith('Mm') ? 'mm' : 'count',
    grounds,
  };
}

function quantityValue(quantity: Quantity, container: Container, substrateDepthMm: number, headCount: number): number {
  switch (quantity) {
    case 'floorShortSideMm':
      return floorShortSideMm(container);
    case 'heightMm':
      return container.heightMm;
    case 'substrateDepthMm':
      return substrateDepthMm;
    case 'surfaceToLidMm':
      return container.heightMm - substrateDepthMm;
    case 'widestOpeningMm':
      return widestOpeningMm(container);
    case 'meshOverheadCount':
      return meshOverheadCount(container);
    case 'openSidePairs':
      return openSidePairs(container, substrateDepthMm);
    case 'openSides':
      return openSides(container, substrateDepthMm);
    case 'headCount':
      return headCount;
  }
}
