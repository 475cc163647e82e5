import { bodyOf, requireSchool, requireStage, type AnimalMeasures, type Body } from '@/core/profiles/animal';
import {
  defaultSchool,
  type CareProfile,
  type FitRule,
  type Ground,
  type Limit,
  type Stage,
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

export interface FitQuestion extends AnimalMeasures {
  stage: Stage;
  container: Container;
  substrateDepthMm: number;
  school?: string | undefined;
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

/**
 * Holds one home against the rules of a care profile for one animal.
 *
 * Lengths are inside lengths in mm. Measures not given are worked out by the proportions of the profile and marked as
 * estimated in the grounds. Checks come in the order of the profile's rules; the verdict is the worst of them. The
 * rules themselves, their limits and their sources are data (`data/profiles`).
 * @throws Refusal for a stage or school the profile does not have, or when no length was given.
 */
export function fit(profile: CareProfile, question: FitQuestion): FitAnswer {
  requireStage(profile, question.stage);
  requireSchool(profile, question.school);
  const body = bodyOf(profile, question);
  const rules = rulesInForce(profile, question.stage, question.school);
  const checks = rules.map((rule) => check(rule, question, body));
  const hole = rules.find((rule) => rule.quantity === 'widestOpeningMm')?.max;
  return {
    verdict: checks.map((each) => each.status).reduce(worse, 'pass'),
    checks,
    substrateDepthMm: depthBand(
      rules.flatMap((rule) => depthDemand(rule, question.container, body)),
      question.container.heightMm,
      question.substrateDepthMm,
    ),
    largestSafeOpeningMm: limitValue(hole, question.container, body),
  };
}

/** The rules that apply to a stage under a school; a rule that names no stage or school always applies. */
function rulesInForce(profile: CareProfile, stage: Stage, school: string | undefined): FitRule[] {
  const chosen = profile.schools.find((each) => each.id === school);
  const schoolOf = (topic: 'air' | 'feeding') => (chosen?.topic === topic ? chosen.id : defaultSchool(profile, topic));
  const inForce = [schoolOf('air'), schoolOf('feeding')];
  return profile.fit.filter(
    (rule) => (!rule.stages || rule.stages.includes(stage)) && (!rule.school || inForce.includes(rule.school)),
  );
}

/** What a rule asks of the soil, in a list of its own; nothing where the rule is about something else. */
function depthDemand(rule: FitRule, container: Container, body: Body): DepthDemand[] {
  const about = { substrateDepthMm: 'depth', surfaceToLidMm: 'gap' } as const;
  if (rule.quantity !== 'substrateDepthMm' && rule.quantity !== 'surfaceToLidMm') return [];
  const min = limitValue(rule.min, container, body);
  const max = limitValue(rule.max, container, body);
  return [{ rule: rule.id, about: about[rule.quantity], min, max }];
}

function check(rule: FitRule, question: FitQuestion, body: Body): Check {
  const { container } = question;
  const value = (limit: Limit | undefined) => limitValue(limit, container, body);
  const actual = quantityValue(rule, question);
  const min = value(rule.min);
  const max = value(rule.max);
  const tooLow = min !== null && actual < min;
  const tooHigh = max !== null && (rule.maxExcluded ? actual >= max : actual > max);
  return {
    rule: rule.id,
    status: tooLow
      ? severity(rule.softMin, actual >= (value(rule.watchMin) ?? min))
      : tooHigh
        ? severity(rule.softMax, actual <= (value(rule.watchMax) ?? max) && !(rule.maxExcluded && !rule.watchMax))
        : 'pass',
    title: (tooLow ? rule.words.low : tooHigh ? rule.words.high : undefined) ?? rule.words.pass,
    actual,
    min,
    max,
    unit: rule.quantity.endsWith('Mm') ? 'mm' : 'count',
    grounds: groundsOf(rule, container, body),
  };
}

function severity(soft: boolean | undefined, withinWatch: boolean): Status {
  return soft || withinWatch ? 'watch' : 'fail';
}

function quantityValue(rule: FitRule, question: FitQuestion): number {
  const { container, substrateDepthMm } = question;
  switch (rule.quantity) {
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
      return question.headCount ?? 1;
  }
}

function yardsticks(container: Container, body: Body): Record<string, { mm: number; estimated: boolean }> {
  return {
    legSpanMm: body.legSpan,
    bodyLengthMm: body.bodyLength,
    carapaceWidthMm: body.carapaceWidth,
    floorLongSideMm: { mm: floorLongSideMm(container), estimated: false },
    floorShortSideMm: { mm: floorShortSideMm(container), estimated: false },
  };
}

function limitValue(limit: Limit | undefined, container: Container, body: Body): number | null {
  if (!limit) return null;
  const yardstick = limit.of ? (yardsticks(container, body)[limit.of]?.mm ?? 0) : 0;
  return yardstick * (limit.times ?? 1) + (limit.plus ?? 0);
}

function groundsOf(rule: FitRule, container: Container, body: Body): Grounds {
  const used = [rule.min, rule.watchMin, rule.max, rule.watchMax].flatMap((limit) => limit?.of ?? []);
  const known = yardsticks(container, body);
  const inputs = Object.fromEntries([...new Set(used)].map((name) => [name, known[name]?.mm ?? 0]));
  return {
    rule: rule.id,
    why: rule.why,
    basis: rule.basis,
    ...(rule.source !== undefined && { source: rule.source }),
    ...(rule.school !== undefined && { school: rule.school }),
    inputs,
    estimated: Object.keys(inputs).filter((name) => known[name]?.estimated),
  };
}
