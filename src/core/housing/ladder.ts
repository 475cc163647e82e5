import { withUsualAir } from '@/core/climate/homeAir';
import { grown, takenMeasure } from '@/core/profiles/animal';
import type { CareProfile, Ground, Place } from '@/core/profiles/profile';
import type { Container } from './container';
import { statusOf, type Animal, type Status } from './fit';
import type { DrillPlan } from './drilling';
import type { Nest } from './nest';
import { prepareHomes, rankHomes, rankPrepared, type CandidateHome, type PreparedHome } from './rank';

/** A size of box that can be bought, by its inside lengths. */
export interface BoxSize extends Ground {
  id: string;
  name: string;
  /** The groups of kinds it is made for, and where in a home these live. */
  groups: string[];
  lives: Place[];
  container: Container;
  /** What is in it as it is sold. */
  nest?: Nest | undefined;
}

export interface LadderStep {
  size: BoxSize;
  verdict: Status;
  depthMm: number;
  /** The moults from now after which it comes into use and after which it no longer serves. */
  fromMoults: number;
  toMoults: number;
  /** The taken measure at both. mm */
  fromMm: number;
  toMm: number;
}

export interface Ladder {
  steps: LadderStep[];
  /** The measure at which no size of the list serves any more, mm; null when the ladder reaches the grown animal. */
  endsAtMm: number | null;
}

/** Nobody moults more often on the way up than this; the ladder stops there. */
const MOST_MOULTS = 24;

/**
 * The fewest sizes of box that take an animal from now to fully grown. At each step the size that serves for the most
 * moults to come is taken, among equals the smallest: for stretches of a line that greedy choice is the least number.
 * A size that fits without anything to watch goes before one that does not.
 * @throws Refusal as `fit` does.
 */
export function sizeLadder(profile: CareProfile, animal: Animal, sizes: BoxSize[]): Ladder {
  const boxes = prepareHomes(sizes.filter((size) => isMadeFor(size, profile)).map(boxOfSize));
  const sizeOf = new Map(sizes.map((size) => [size.id, size]));
  const life = sizesToCome(profile, animal);
  const served = life.map((each) => rankPrepared(profile, each, boxes));
  const serves = (box: number, step: number) => statusOf(served[step]?.scores[box] ?? Infinity);
  const steps: LadderStep[] = [];
  let step = 0;
  while (step < life.length) {
    const best = farthest(boxes, life.length, step, serves);
    const size = best && sizeOf.get(boxes[best.box]?.home.id ?? '');
    if (!best || !size) return { steps, endsAtMm: takenMeasure(profile, life[step] as Animal).mm };
    steps.push({
      size,
      verdict: serves(best.box, step),
      depthMm: served[step]?.depthsMm[best.box] ?? 0,
      fromMoults: step,
      toMoults: best.to,
      fromMm: takenMeasure(profile, life[step] as Animal).mm,
      toMm: takenMeasure(profile, life[best.to] as Animal).mm,
    });
    step = best.to + 1;
  }
  return { steps, endsAtMm: null };
}

/** The animal now and after each moult until it is grown; grown, it is of the last stage of its kind. */
function sizesToCome(profile: CareProfile, animal: Animal): Animal[] {
  const life = [animal];
  for (let moults = 1; moults <= MOST_MOULTS; moults += 1) {
    const next = grown(profile, animal, moults);
    if (takenMeasure(profile, next).mm <= takenMeasure(profile, life.at(-1) as Animal).mm) break;
    const isGrown = takenMeasure(profile, next).mm >= profile.growth.grownMm.value;
    life.push(isGrown ? { ...next, stage: profile.stages.at(-1) ?? next.stage } : next);
  }
  return life;
}

function farthest(
  boxes: PreparedHome[],
  count: number,
  step: number,
  serves: (box: number, step: number) => Status,
): { box: number; to: number } | null {
  for (const wanted of [['pass'], ['pass', 'watch']] as Status[][]) {
    let best: { box: number; to: number } | null = null;
    for (let box = 0; box < boxes.length; box += 1) {
      let to = step - 1;
      while (to + 1 < count && wanted.includes(serves(box, to + 1))) to += 1;
      if (to >= step && (!best || to > best.to)) best = { box, to };
    }
    if (best) return best;
  }
  return null;
}

/** A tall box filled to its lid would pass for a ground animal; nobody buys it for one. */
export const isMadeFor = (size: BoxSize, { group, lives }: CareProfile) =>
  size.groups.includes(group) && size.lives.includes(lives);

/** A size as it is bought: nothing in it but its nest, nothing drilled, and with the air that its openings give. */
export const boxOfSize = ({ id, container, nest }: BoxSize): CandidateHome =>
  withUsualAir({ ...{ id, code: id, container, nest, substrateDepthMm: 0 }, asItStands: true });

/** Somebody who needs another home. */
export interface Homeless extends Animal {
  id: string;
  profile: CareProfile;
}

export interface ShoppingList {
  /** Own free homes, one for each resident that one serves. */
  housed: { residentId: string; homeId: string; depthMm: number; verdict: Status; drill: DrillPlan | null }[];
  /** What to buy: as few different sizes as possible, and of those the smallest that serves each. */
  buy: { size: BoxSize; residentIds: string[] }[];
  /** No size of the list serves these. */
  unserved: string[];
}

/**
 * Houses as many as possible in own free homes (a largest matching, better homes first) and gives the smallest set of
 * sizes to buy for the rest, each to serve for one more moult where a size can.
 * @throws Refusal as `fit` does.
 */
export function boxesToBuy(homeless: Homeless[], free: CandidateHome[], sizes: BoxSize[]): ShoppingList {
  const own = prepareHomes(free);
  const ranked = homeless.map((each) => rankPrepared(each.profile, each, own));
  const options = ranked.map(({ order, scores }) => Array.from(order).filter((home) => (scores[home] ?? 1000) < 1000));
  const taken = largestMatching(options);
  const housed: ShoppingList['housed'] = [];
  const left: Homeless[] = [];
  homeless.forEach((each, index) => {
    const home = own[taken[index] ?? -1]?.home;
    if (!home) return void left.push(each);
    const [{ depthMm, verdict, drill } = NOT_RANKED] = rankHomes(each.profile, each, [home]);
    housed.push({ residentId: each.id, homeId: home.id, depthMm, verdict, drill });
  });
  return { housed, ...purchase(left, sizes) };
}

const NOT_RANKED = { depthMm: 0, verdict: 'fail' as const, drill: null };

/** Kuhn's augmenting paths: who gets which home, so that as many as possible get one. */
function largestMatching(options: number[][]): (number | undefined)[] {
  const holder = new Map<number, number>();
  const seek = (one: number, seen: Set<number>): boolean => {
    for (const home of options[one] ?? []) {
      if (seen.has(home)) continue;
      seen.add(home);
      const other = holder.get(home);
      if (other === undefined || seek(other, seen)) {
        holder.set(home, one);
        return true;
      }
    }
    return false;
  };
  options.forEach((_, one) => seek(one, new Set()));
  const result: (number | undefined)[] = options.map(() => undefined);
  for (const [home, one] of holder) result[one] = home;
  return result;
}

function purchase(left: Homeless[], sizes: BoxSize[]): Pick<ShoppingList, 'buy' | 'unserved'> {
  const boxes = prepareHomes(sizes.map(boxOfSize));
  const sizeOf = new Map(sizes.map((size) => [size.id, size]));
  const serving = left.map((each) => {
    const now = rankPrepared(each.profile, each, boxes);
    const next = rankPrepared(each.profile, grown(each.profile, each, 1), boxes);
    const ok = (scores: Float64Array, limit: number) =>
      boxes.flatMap(({ home }, box) => {
        const size = sizeOf.get(home.id);
        return (scores[box] ?? 1000) < limit && size && isMadeFor(size, each.profile) ? [box] : [];
      });
    const lasting = ok(now.scores, 1).filter((box) => (next.scores[box] ?? 1000) < 1000);
    // Where none serves as it is, those with the least to be watched.
    const watched = ok(now.scores, 1000);
    const least = Math.min(...watched.map((box) => now.scores[box] ?? Infinity));
    const leastWatched = watched.filter((box) => now.scores[box] === least);
    return [lasting, ok(now.scores, 1), leastWatched].find((list) => list.length > 0) ?? [];
  });
  const served = serving.filter((list) => list.length > 0);
  const chosen = smallestCover(served, boxes.length);
  const buy = new Map<number, string[]>();
  const unserved: string[] = [];
  left.forEach((each, index) => {
    const box = serving[index]?.find((candidate) => chosen.has(candidate));
    if (box === undefined) unserved.push(each.id);
    else buy.set(box, [...(buy.get(box) ?? []), each.id]);
  });
  return {
    buy: [...buy].flatMap(([box, residentIds]) => {
      const size = sizeOf.get(boxes[box]?.home.id ?? '');
      return size ? [{ size, residentIds }] : [];
    }),
    unserved,
  };
}

/** Sets of at most this many sizes are tried one by one; more are found size by size. */
const EXACT_UP_TO = 3;

/** As few boxes as possible so that each list holds one; smaller boxes (lower numbers) first among equals. */
function smallestCover(lists: number[][], count: number): Set<number> {
  if (lists.length === 0) return new Set();
  const covers = (set: number[]) => lists.every((list) => list.some((box) => set.includes(box)));
  for (let size = 1; size <= EXACT_UP_TO; size += 1) {
    for (const set of combinations(count, size)) if (covers(set)) return new Set(set);
  }
  const chosen = new Set<number>();
  for (let open = lists; open.length > 0;) {
    const gain = (box: number) => open.filter((list) => list.includes(box)).length;
    let best = 0;
    for (let box = 1; box < count; box += 1) if (gain(box) > gain(best)) best = box;
    chosen.add(best);
    open = open.filter((list) => !list.includes(best));
  }
  return chosen;
}

function* combinations(count: number, size: number, from = 0): Generator<number[]> {
  if (size === 0) return yield [];
  for (let first = from; first <= count - size; first += 1) {
    for (const rest of combinations(count, size - 1, first + 1)) yield [first, ...rest];
  }
}
