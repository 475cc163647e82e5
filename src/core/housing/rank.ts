import { grown } from '@/core/profiles/animal';
import { warmthVerdict } from '@/core/profiles/warmth';
import type { CareProfile } from '@/core/profiles/profile';
import { innerVolumeL, isGlass } from './container';
import { nearestWithin } from './depthBand';
import { drillPlan, ventsOf, type DrillPlan } from './drilling';
import { fitter, statusOf, worse, type Animal, type FitAnswer, type Fitter, type Status } from './fit';
import { homeFacts, type HomeFacts, type HomeState } from './quantities';
import { fillVolumeL, flat, withMeanDepth } from './soil';

/** One home of the keeper's own. `code` is what it is called on the shelf. */
export interface CandidateHome extends HomeState {
  id: string;
  code: string;
  /** How warm it is there on average, by its probe or its room; left out where nobody knows. C */
  temperatureC?: number | undefined;
  /** Its air as it is filled now: by its forecast where that is known, else by its openings; left out where nobody asks. An hour */
  airChangesPerHour?: number | undefined;
  /** Somebody lives in it, or it is bought as it is: no hole is drilled in it, and its air is to be watched at worst, as its home says. */
  asItStands?: boolean | undefined;
  /** Heads of the animal's kind that live there already, which it would join. */
  headsOfKind?: number | undefined;
  /** Others live there among whom it would be a cleaner. */
  isHost?: boolean | undefined;
}

/** How the warmth of a home suits a kind. */
export interface Warmth {
  temperatureC: number;
  minC: number;
  maxC: number;
  status: Status;
}

/** The warmth of a home against the band of a kind; null where nobody knows it. */
export function warmthFor({ climate: { temperatureC: band } }: CareProfile, home: CandidateHome): Warmth | null {
  const { temperatureC } = home;
  if (temperatureC === undefined) return null;
  return { temperatureC, minC: band.min, maxC: band.max, status: warmthVerdict(band, temperatureC).status };
}

/** The air of a home against what a kind needs: too little is mended by more holes, in glass by none: nobody moves into that. */
export interface AirOfRanked {
  airChangesPerHour: number;
  minPerHour: number;
  status: Status;
}

/**
 * Its air once it is filled to a depth: the same flow changes less air over more soil. Null where nobody asks, for nests, which
 * have theirs by their outworld, and for cleaners, who ask for nothing.
 */
function airFor({ climate, nest }: CareProfile, { home, volumeL }: PreparedHome, depthMm: number): AirOfRanked | null {
  if (home.airChangesPerHour === undefined || nest || home.isHost) return null;
  const { container, substrateDepthMm, soil = flat(substrateDepthMm) } = home;
  const freeL = volumeL - fillVolumeL(container, soil);
  const leftL = freeL - soilToAddL(home, depthMm);
  const airChangesPerHour = leftL > 0 ? (home.airChangesPerHour * freeL) / leftL : home.airChangesPerHour;
  const minPerHour = climate.airChangesPerHour.value;
  const isHopeless = isGlass(home.container) && !home.asItStands;
  const status = airChangesPerHour >= minPerHour ? 'pass' : isHopeless ? 'fail' : 'watch';
  return { airChangesPerHour, minPerHour, status };
}

/** As it came from the shop: walls that can be drilled, and are not. Nests are aired through tube and outworld. */
const isUndrilled = ({ container, nest, asItStands = false }: CandidateHome): boolean =>
  !asItStands &&
  !nest &&
  !isGlass(container) &&
  container.walls !== 'mesh' &&
  container.opens !== 'zip' &&
  container.vents.every(({ side }) => side === 'lid' || side === 'floor');

export interface RankedHome {
  homeId: string;
  code: string;
  /** The depth the verdict was reached with: the present one where it serves, else the recommended one. mm */
  depthMm: number;
  /** Soil to add (or to take out, when negative) to get there. L */
  soilToAddL: number;
  /** Of a box that is not drilled yet: as it fits once it is, by `drill`. */
  fit: FitAnswer;
  drill: DrillPlan | null;
  warmth: Warmth | null;
  air: AirOfRanked | null;
  /** The worst of the fit, the warmth and the air. */
  verdict: Status;
  /** The verdict after each of the next two moults, filled to the depth that is best then. */
  afterMoults: { moults: number; verdict: Status; depthMm: number }[];
}

/** A home read once, to be held against many animals. */
export interface PreparedHome {
  home: CandidateHome;
  facts: HomeFacts;
  volumeL: number;
  /** What it would be once it is drilled for a kind; empty where it is drilled, or never is. */
  drilled: Map<string, HomeFacts> | null;
}

/** Holes that hold whoever may be asked about, for the ranking of many; the answer for one names the true ones. mm */
const HOLDS_ANYBODY_MM = 0.3;

/** A home as it is judged for a kind: one that is not drilled yet, as it would be. */
function factsFor(profile: CareProfile, { home, facts, drilled }: PreparedHome): HomeFacts {
  if (!drilled) return facts;
  const known = drilled.get(profile.id);
  if (known) return known;
  const plan = drillPlan(profile, home.container, home.substrateDepthMm, HOLDS_ANYBODY_MM);
  const made = plan.perSide === 0 ? facts : homeFacts(withVents(home, plan));
  drilled.set(profile.id, made);
  return made;
}

const withVents = (home: CandidateHome, plan: DrillPlan): CandidateHome => ({
  ...home,
  container: { ...home.container, vents: [...home.container.vents, ...ventsOf(plan)] },
});

/** B9 before B10. */
const CODES = new Intl.Collator('en', { numeric: true });

/** Reads homes once, in the order in which equal ones are named: the smaller first, then by code. */
export function prepareHomes(homes: CandidateHome[]): PreparedHome[] {
  return homes
    .map((home) => ({
      ...{ home, facts: homeFacts(home), volumeL: innerVolumeL(home.container) },
      drilled: isUndrilled(home) ? new Map<string, HomeFacts>() : null,
    }))
    .sort(
      (a, b) => a.volumeL - b.volumeL || CODES.compare(a.home.code, b.home.code) || (a.home.id < b.home.id ? -1 : 1),
    );
}

/**
 * The depth at which a home serves best: its present one where it serves, else the nearest that does; where one serves after the
 * next moult as well, such a one, so that no animal is moved onto soil that it outgrows at once. mm
 * @param next its rules after the next moult; null where it does not grow
 */
function bestDepthMm(
  fit: Fitter,
  next: Fitter | null,
  { home }: PreparedHome,
  facts: HomeFacts,
  band: [number, number],
): number {
  fit.bandInto(facts, band);
  const [min, max] = band;
  if (min > max) return home.substrateDepthMm;
  const best = nearestWithin(min, max, home.substrateDepthMm);
  // What it lives in is not changed before it has to be.
  if (!next || best === home.substrateDepthMm) return best;
  next.bandInto(facts, band);
  const [least, most] = [Math.max(min, band[0]), Math.min(max, band[1])];
  return least > most ? best : nearestWithin(least, most, home.substrateDepthMm);
}

export interface Ranked {
  /** Places in the list of prepared homes, best first. */
  order: Uint32Array;
  /** By place in the list of prepared homes. */
  scores: Float64Array;
  depthsMm: Float64Array;
}

/**
 * The order of prepared homes for one animal: verdict, fewer failing and fewer watched rules, those first that need no drill, then
 * the order they were prepared in. Numbers only: the way to rank hundreds of residents at once.
 */
export function rankPrepared(profile: CareProfile, animal: Animal, homes: PreparedHome[]): Ranked {
  const fitIn = fitters(profile, animal);
  const nextIn = afterNextMoult(profile, animal);
  const band: [number, number] = [0, 0];
  const scores = new Float64Array(homes.length);
  const depthsMm = new Float64Array(homes.length);
  // Score and place in one number: sorted as numbers, without a comparison function.
  const keys = new Float64Array(homes.length);
  for (let index = 0; index < homes.length; index += 1) {
    const home = homes[index] as PreparedHome;
    const fit = fitIn(home.home);
    const facts = factsFor(profile, home);
    const depth = bestDepthMm(fit, nextIn?.(home.home) ?? null, home, facts, band);
    const isWork = facts !== home.facts;
    const air = isWork ? 'pass' : (airFor(profile, home, depth)?.status ?? 'pass');
    const score = fit.score(facts, depth) + SCORES[warmthFor(profile, home.home)?.status ?? 'pass'] + SCORES[air];
    scores[index] = score;
    depthsMm[index] = depth;
    keys[index] = (2 * score + Number(isWork)) * homes.length + index;
  }
  keys.sort();
  const order = new Uint32Array(homes.length);
  for (let place = 0; place < homes.length; place += 1) order[place] = (keys[place] ?? 0) % homes.length;
  return { order, scores, depthsMm };
}

/** As the rules of the fit count. */
const SCORES: Record<Status, number> = { pass: 0, watch: 1, fail: 1000 };

/** One animal's rules in each home: among those that it would join there, or as a cleaner of others. */
function fitters(profile: CareProfile, animal: Animal): (home: CandidateHome) => Fitter {
  const known = new Map<string, Fitter>();
  return ({ headsOfKind = 0, isHost = false }) => {
    const key = `${headsOfKind} ${isHost}`;
    const headsTogether = headsOfKind > 0 ? headsOfKind + (animal.headCount ?? 1) : animal.headCount;
    const made = known.get(key) ?? fitter(profile, { ...animal, headsTogether, isGuest: isHost });
    known.set(key, made);
    return made;
  };
}

/** Its rules after the next moult; null where it does not grow. */
function afterNextMoult(profile: CareProfile, animal: Animal): ((home: CandidateHome) => Fitter) | null {
  const next = grown(profile, animal, 1);
  return next === animal ? null : fitters(profile, next);
}

/**
 * Orders homes by how well they serve one animal, each filled to its best depth, and drilled where it is not yet: verdict first, with
 * the warmth of its place and its air, then fewer failing and fewer watched rules, then the smaller home (less soil, and prey that is found), then the code. The order does
 * not depend on the order of `homes`. Each home also says how it will serve after the next two moults.
 * @param openings the school on openings that its keepers follow; the kind's own if left out
 * @throws Refusal as `fit` does.
 */
export function rankHomes(
  profile: CareProfile,
  animal: Animal,
  homes: CandidateHome[],
  openings?: string,
): RankedHome[] {
  const prepared = prepareHomes(homes);
  const { order, depthsMm } = rankPrepared(profile, animal, prepared);
  const now = fitters(profile, animal);
  const later = [1, 2].map((moults) => ({ moults, fitIn: fitters(profile, grown(profile, animal, moults)) }));
  const band: [number, number] = [0, 0];
  return Array.from(order, (index) => {
    const candidate = prepared[index] as PreparedHome;
    const depthMm = depthsMm[index] ?? 0;
    const { home } = candidate;
    const drill = drillFor(profile, candidate, now(home), depthMm, openings);
    const facts = drill ? homeFacts(withVents(home, drill)) : candidate.facts;
    const answer = now(home).answer(facts, depthMm);
    const warmth = warmthFor(profile, home);
    const air = drill ? null : airFor(profile, candidate, depthMm);
    return {
      homeId: home.id,
      code: home.code,
      depthMm,
      soilToAddL: soilToAddL(home, depthMm),
      ...{ fit: answer, drill, warmth, air },
      verdict: [answer.verdict, warmth?.status ?? 'pass', air?.status ?? 'pass'].reduce(worse),
      afterMoults: later.map(({ moults, fitIn }) => {
        const fit = fitIn(home);
        const depth = bestDepthMm(fit, null, candidate, facts, band);
        return { moults, verdict: statusOf(fit.score(facts, depth)), depthMm: depth };
      }),
    };
  });
}

/** What to drill before it serves; null where it is drilled, never is, or its kind wants no openings. */
function drillFor(
  profile: CareProfile,
  { home, facts, drilled }: PreparedHome,
  fit: Fitter,
  depthMm: number,
  openings: string | undefined,
): DrillPlan | null {
  if (!drilled) return null;
  const { largestSafeOpeningMm } = fit.answer(facts, depthMm);
  const plan = drillPlan(profile, home.container, depthMm, largestSafeOpeningMm, openings);
  return plan.perSide === 0 ? null : plan;
}

/** Soil between the present filling of a home and another depth; the shape of its surface stays. L */
export function soilToAddL({ container, substrateDepthMm, soil = flat(substrateDepthMm) }: HomeState, depthMm: number) {
  if (depthMm === substrateDepthMm) return 0;
  return fillVolumeL(container, withMeanDepth(soil, depthMm)) - fillVolumeL(container, soil);
}
