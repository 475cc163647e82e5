import { bodyOf, requireSchool, requireStage, takenMeasure, type AnimalMeasures } from '@/core/profiles/animal';
import { BODY_MEASURES, type CareProfile, type FitRule, type Ground, type Stage } from '@/core/profiles/profile';
import { defaultSchool, type School } from '@/core/profiles/schools';
import type { Together } from './together';
import { nestVolumeMl } from './nest';
import { at, bind, narrowTimes, prepare, yardstick, type Context, type PreparedRule } from './preparedRule';
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
  /** Kept so on purpose: what was found counts no longer. */
  keptSo?: { found: Status; why: string };
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
export interface Animal extends AnimalMeasures, Partial<Together> {
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
  const body = bodyOf(profile, animal);
  const context: Context = {
    body,
    narrowTimes: narrowTimes(profile, body),
    youngWidthMm: profile.young?.widthMm.value,
    headCount: headsOf(animal),
    perHeadMl: perHeadMl(profile, animal),
  };
  const rules = rulesInForce(profile, animal).map((rule) => prepare(rule, context));
  const aboutDepth = rules.filter((rule) => rule.isAboutDepth);
  return {
    answer: (home, depthMm) => answer(rules, context, home, depthMm),
    bandInto: (home, band) => {
      band[0] = 0;
      band[1] = highestMeanMm(home);
      for (let index = 0; index < aboutDepth.length; index += 1) {
        const rule = aboutDepth[index] as PreparedRule;
        if (whySettled(home, rule) !== undefined) continue;
        const [least, most] = [leastDepth(rule, home), mostDepth(rule, home)];
        if (least > band[0]) band[0] = least;
        if (most < band[1]) band[1] = most;
      }
    },
    score: (home, depthMm) => {
      let sum = 0;
      for (let index = 0; index < rules.length; index += 1) {
        const rule = rules[index] as PreparedRule;
        if (whySettled(home, rule) === undefined) sum += scoreAt(rule, context, home, depthMm);
      }
      return sum;
    },
  };
}

/** Why what a rule finds is settled in a home; undefined where it counts. */
const whySettled = ({ settled }: HomeFacts, { rule }: PreparedRule): string | undefined => settled?.[rule.id];

/** Nest that a worker takes, with her share of brood: it grows with the cube of her length; undefined for kinds without a nest. mL */
export function perHeadMl(profile: CareProfile, animal: Animal): number | undefined {
  const usual = profile.measure.usualMm?.value;
  if (!profile.nest || usual === undefined) return undefined;
  return profile.nest.perHeadMl.value * (takenMeasure(profile, animal).mm / usual) ** 3;
}

/**
 * Grown heads of a kind that a home has room for: of ants by the chambers of their nest, of others by the floor that the rules
 * of their kind give to each; null where neither is said. The fit of a home with so many passes, and with more is watched.
 * @throws Refusal as `fit` does.
 */
export function roomForHeads(profile: CareProfile, animal: Animal, home: HomeState): number | null {
  const each = perHeadMl(profile, animal);
  if (each !== undefined) return home.nest ? nestVolumeMl(home.nest) / each : null;
  // Two at least: the rule is about those that live together.
  const together = { ...animal, headsTogether: Infinity, isGuest: false };
  const crowd = rulesInForce(profile, together).find(({ quantity, min }) => quantity === 'floorAreaPerHeadMm2' && min);
  if (!crowd) return null;
  const context = {
    body: bodyOf(profile, animal),
    narrowTimes: {},
    youngWidthMm: undefined,
    headCount: undefined,
    perHeadMl: undefined,
  };
  const facts = homeFacts(home);
  return facts.floorAreaMm2 / at(bind(crowd.min, context), facts);
}

/** With those of its kind that live with it. */
const headsOf = ({ headsTogether, headCount }: Animal) => headsTogether ?? headCount;

/** The rules that apply to a stage, a school and a number of heads; a rule that names none of these always applies. */
function rulesInForce(profile: CareProfile, animal: Animal): FitRule[] {
  // A cleaner among others sets nothing for their home.
  if (animal.isGuest) return [];
  const { stage, school } = animal;
  const headCount = headsOf(animal) ?? 1;
  const chosen = profile.schools.find((each) => each.id === school);
  const schoolOf = (topic: School['topic']) => (chosen?.topic === topic ? chosen.id : defaultSchool(profile, topic));
  const inForce = [schoolOf('air'), schoolOf('feeding')];
  const rules = profile.nest ? profile.fit : [...profile.fit, NO_NEST];
  return rules.filter(
    (rule) =>
      (!rule.stages || rule.stages.includes(stage)) &&
      (!rule.school || inForce.includes(rule.school)) &&
      headCount >= (rule.fromHeadCount ?? 0) &&
      headCount <= (rule.toHeadCount ?? Infinity),
  );
}

/** For all that do not live in nests. Where there is none, it is not spoken of. */
const NO_NEST: FitRule = {
  ...{ id: 'no-nest', quantity: 'nestCount', max: { plus: 0 }, basis: 'common practice' },
  words: { pass: 'No chambers of an ant nest', high: 'It is an ant nest' },
  why: 'Chambers, tubes and the small outworld of an ant nest are made for ants: others find no floor, no soil and no air in it. Take the nest out of the box, and out of its record, and it is a tub again.',
};

/** Lengths computed on two ways may differ in their last binary digits: less than a nanometre is no failing. */
const EPSILON = 1e-9;

/** So far over the soil, and over litter and hides that are heaped on it, nobody reaches who cannot climb; from memory. mm */
const REACH_MM = 30;

/** Whether every opening as wide as a limit lies well above the soil, in smooth walls. */
const isOutOfReach = ({ smoothWays, above }: HomeFacts, depthMm: number, mostMm: number): boolean =>
  smoothWays !== null &&
  smoothWays.every(({ widthMm, fromMm }) => widthMm < mostMm || fromMm >= depthMm + above + REACH_MM);

/** What a rule adds to the score of a home: nothing, 1 to be watched, 1000 failing. */
function scoreAt(prepared: PreparedRule, context: Context, home: HomeFacts, depthMm: number): number {
  const { fixedAt } = prepared;
  const actual =
    fixedAt >= 0
      ? (home.fixed[fixedAt] as number)
      : quantityValue(prepared.quantity, home, depthMm, context.headCount, context.perHeadMl, prepared.bound);
  // Comparisons with NaN are false: what is not known, or not limited, passes.
  if (actual < at(prepared.min, home) - EPSILON) {
    return prepared.softMin || actual >= at(prepared.watchMin, home) - EPSILON ? 1 : 1000;
  }
  const most = at(prepared.max, home);
  if (prepared.maxExcluded ? actual >= most : actual > most + EPSILON) {
    const isSoft = prepared.softMax || (prepared.softOutOfReach && isOutOfReach(home, depthMm, most));
    return isSoft || actual <= at(prepared.watchMax, home) + EPSILON ? 1 : 1000;
  }
  return 0;
}

/** The least mean depth that a depth rule asks for: a gap is turned round, a slope keeps its lowest place safe. NaN: any. */
function leastDepth({ quantity, min, max }: PreparedRule, home: HomeFacts): number {
  if (quantity === 'surfaceToLidMm') return home.heightMm + home.below - at(max, home);
  return quantity === 'perchDropMm' || quantity === 'heightMm' ? NaN : at(min, home) - home.above;
}

/** The greatest mean depth that a depth rule leaves: over a slope its highest place counts. NaN: any. */
function mostDepth({ quantity, min, max }: PreparedRule, home: HomeFacts): number {
  if (quantity === 'surfaceToLidMm' || quantity === 'heightMm') return home.heightMm - home.above - at(min, home);
  return quantity === 'perchDropMm' ? home.perchMm - home.above - at(min, home) : at(max, home) - home.above;
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
    const why = whySettled(home, prepared);
    if (prepared.isAboutDepth && why === undefined) {
      const [least, most] = [leastDepth(prepared, home), mostDepth(prepared, home)];
      demands.push({ rule: rule.id, min: nullable(least), max: nullable(most) });
    }
    const min = nullable(at(prepared.min, home));
    const max = nullable(at(prepared.max, home));
    if (rule.quantity === 'widestOpeningMm' && max !== null) {
      largestSafeOpeningMm = Math.min(max, largestSafeOpeningMm ?? Infinity);
    }
    if (Number.isNaN(actual)) {
      notChecked.push({ rule: rule.id, title: rule.words.pass, needs: NEEDS[rule.quantity] ?? rule.quantity });
      continue;
    }
    const found = statusOf(scoreAt(prepared, context, home, depthMm));
    const isSettled = why !== undefined && found !== 'pass';
    const status = isSettled ? 'pass' : found;
    if (rule === NO_NEST && found === 'pass') continue;
    verdict = worse(verdict, status);
    checks.push({
      rule: rule.id,
      quantity: rule.quantity,
      status,
      title: titleOf(rule, found, min !== null && actual < min),
      actual,
      min,
      max,
      unit: unitOf(rule.quantity),
      grounds: groundsOf(rule, context, home),
      ...(isSettled && { keptSo: { found, why } }),
    });
  }
  // Soil over the sill of a door falls out: how high that is can only be said.
  if (home.isSillUnsaid && rules.some(({ isAboutDepth }) => isAboutDepth)) {
    notChecked.push({ rule: 'sill', title: 'Soil stays under its door', needs: 'container.sillMm' });
  }
  return {
    verdict,
    checks,
    notChecked,
    substrateDepthMm: depthBand(demands, highestMeanMm(home), depthMm),
    largestSafeOpeningMm,
  };
}

/** The mean depth at which the deepest place of the soil reaches the lid, or the sill of the door; never under nothing. mm */
const highestMeanMm = ({ heightMm, soilLimitMm, above }: HomeFacts) =>
  soilLimitMm < heightMm ? Math.max(0, soilLimitMm - above) : heightMm;

/** The verdict that a score stands for. */
export const statusOf = (score: number): Status => (score >= 1000 ? 'fail' : score > 0 ? 'watch' : 'pass');

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
