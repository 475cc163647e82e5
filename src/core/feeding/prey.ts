import { bodyOf, requireStage, takenMeasure, type AnimalMeasures } from '@/core/profiles/animal';
import { spreadOf, together } from '@/core/numerics/spreads';
import type { Feeding, MealPlan } from '@/core/profiles/diet';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { schoolOn } from '@/core/profiles/schools';
import { massSpread, usualMassG } from '@/core/profiles/weight';
import { Refusal } from '@/core/refusal';
import { chooseSize } from './chooseSize';
import { within, type FeedingGround, type PreyOnOffer } from './food';

/** How an animal looks to its keeper. */
export const CONDITIONS = ['thin', 'trim', 'round'] as const;
export type Condition = (typeof CONDITIONS)[number];

export interface PreyQuestion extends AnimalMeasures {
  profile: CareProfile;
  stage: Stage;
  /** Of one animal, as it was weighed; else it is reckoned from its length. */
  massG?: number | undefined;
  /** Schools on the topics `feeding` and `aim`. */
  school?: string | undefined;
  aim?: string | undefined;
  condition?: Condition | undefined;
  /** The first meal after a moult or another rest. */
  afterQuiet?: boolean | undefined;
  feeders: readonly PreyOnOffer[];
}

export interface PreyPlan {
  /** Longer prey is not safe. mm */
  maxLengthMm: number;
  everyDays: number;
  /** What one animal should get at a meal; null for kinds whose ration nobody gave. g */
  mealG: number | null;
  /** For all heads together. */
  offers: { feeder: string; count: number; lengthMm: number; massG: number }[];
  grounds: FeedingGround[];
}

/** What the aim to grow an animal adds to its ration, as long as it grows. From memory */
const GROW_ON_TIMES = 1.4;
/** A thin animal gets more, a round one less. From memory */
const CONDITION_TIMES: Record<Condition, number> = { thin: 1.3, trim: 1, round: 0.5 };
/** The first meal after a moult: smaller prey, and less of it. From memory */
const FIRST_LENGTH_SHARE = 2 / 3;
const FIRST_MEAL_SHARE = 0.5;
/** Prey under this share of the longest safe one goes unnoticed. From memory */
const NOTICED_SHARE = 0.35;
/** So many pieces at once for one animal: more are not seen to be eaten, and bite at night. Common practice, no source */
const MOST_AT_ONCE = 3;
/** Large and rarely: one piece; the first after a moult is one small one; of a group each gets one. Common practice, no source */
const ONE = 1;
/** A meal for which even one prey is too much is given this much later at the most. Chosen here */
const LONGEST_WAIT_TIMES = 2;
/** Where so few are too little, the next meal comes earlier: so much at the most, and not more often than that. days, chosen here */
const SHORTEST_WAIT_TIMES = 0.5;
const MOST_OFTEN_DAYS = 3.5;
/** Shares of the longest safe prey that are liked: of several pieces, or of a single one. From memory */
const LIKED_LENGTH_SHARE = 0.75;
const LIKED_OF_ONE = 1;
const RARELY = 'large-and-rarely';
/** These starve on one piece now and then. From memory */
const SMALLEST: readonly Stage[] = ['spiderling', 'nymph'];
/** What missing the liked length by all of it counts against missing the ration by all of it. Chosen here */
const LENGTH_WEIGHT = 0.3;
/** It digs in before a hunter has seen it: anything else that does is better. Chosen here */
const DIGS_IN = 0.6;

/**
 * Which prey to offer, how many and how often: the weekly ration of its stage as a share of its own weight, split into
 * meals by the school, met with one size of prey that is safe.
 * The number is the one nearest to the ration, of three at the most (more of flies); of a group each gets one. Where one alone is already more, the next meal comes later,
 * and where three are not enough, earlier.
 * @throws Refusal when the kind is not offered prey, has no such stage, or was not measured
 */
export function preyPlan(question: PreyQuestion): PreyPlan {
  const { profile, stage, feeders, afterQuiet = false } = question;
  requireStage(profile, stage);
  const { feeding } = profile;
  const school = schoolOn(profile, 'feeding', question.school);
  const plan = feeding && mealPlanOf(feeding, stage, school);
  if (!feeding || !plan) {
    const message = feeding ? `No meals are known for the stage ${stage}.` : `${profile.name} is not offered prey.`;
    throw new Refusal([{ path: feeding ? 'stage' : 'profile', message }]);
  }
  const { mm: takenMm } = takenMeasure(profile, question);
  const body = bodyOf(profile, question).bodyLengthMm;
  const bodyMm = body?.mm ?? takenMm;
  const abdomenMm = bodyMm * feeding.abdomenLengthPerBodyLength.value;
  const safeMm = abdomenMm * feeding.preyLengthPerAbdomen.value;
  const maxLengthMm = safeMm * (afterQuiet ? FIRST_LENGTH_SHARE : 1);
  const grounds: FeedingGround[] = [
    { rule: 'abdomen-length', value: abdomenMm, unit: 'mm', ...basisOf(feeding.abdomenLengthPerBodyLength) },
    {
      ...{ rule: 'prey-length', value: maxLengthMm, unit: 'mm', ...basisOf(feeding.preyLengthPerAbdomen) },
      ...within(maxLengthMm, lengthSpread(profile, feeding, body?.estimated === true)),
    },
    { rule: 'interval', value: plan.everyDays, unit: 'd', ...basisOf(plan), school },
  ];
  const heads = Math.max(1, question.headCount ?? 1);
  const massG = question.massG ?? usualMassG(profile, takenMm);
  const ration = feeding.rations?.find((each) => each.stages.includes(stage));
  const safe = feeders.filter((each) => each.lengthMm <= maxLengthMm);
  const isOne = afterQuiet || school === RARELY;
  const mostPieces = ({ mostAtOnce }: PreyOnOffer) =>
    isOne ? ONE : ((feeding.takesMany ? mostAtOnce : undefined) ?? (heads > 1 ? ONE : MOST_AT_ONCE));
  if (massG === null || !ration) {
    const longest = [...safe].sort((a, b) => b.lengthMm - a.lengthMm)[0];
    const offers = longest ? [offerOf(longest, Math.min(mostPieces(longest), plan.preyCount) * heads)] : [];
    return { maxLengthMm, everyDays: plan.everyDays, mealG: null, offers, grounds };
  }
  const ofMass = question.massG === undefined ? massSpread(profile, question) : 0;
  const isGrowing = !profile.growth.grownStages.includes(stage) && takenMm < profile.growth.grownMm.value;
  const aim = schoolOn(profile, 'aim', question.aim);
  const aimTimes = aim === 'grow-on' && isGrowing ? GROW_ON_TIMES : 1;
  const conditionTimes = CONDITION_TIMES[question.condition ?? 'trim'];
  const weeklyG = ((massG * ration.weeklyPct) / 100) * aimTimes * conditionTimes;
  const mealG = weeklyG * (plan.everyDays / 7) * (afterQuiet ? FIRST_MEAL_SHARE : 1);
  grounds.push(
    {
      rule: 'weight',
      value: massG,
      unit: 'g',
      basis: question.massG === undefined ? 'from memory' : 'your own setting',
    },
    { rule: 'ration', value: ration.weeklyPct, unit: '% a week', ...basisOf(ration) },
    {
      ...{ rule: 'meal', value: mealG, unit: 'g', ...basisOf(ration) },
      ...within(mealG, together(ofMass, spreadOf({ range: ration.weeklyPctRange }))),
    },
    ...(aimTimes === 1
      ? []
      : [{ rule: 'aim', value: aimTimes, unit: 'x', basis: 'from memory' as const, school: aim }]),
    ...(conditionTimes === 1
      ? []
      : [{ rule: 'condition', value: conditionTimes, unit: 'x', basis: 'from memory' as const }]),
  );
  const noticed = safe.filter((each) => each.lengthMm >= NOTICED_SHARE * maxLengthMm);
  const liked = (school === RARELY || heads > 1 ? LIKED_OF_ONE : LIKED_LENGTH_SHARE) * maxLengthMm;
  const chosen = chooseSize(
    noticed.length > 0 ? noticed : safe,
    mealG,
    heads,
    mostPieces,
    ({ lengthMm, digsIn }) => LENGTH_WEIGHT * (Math.abs(liked - lengthMm) / maxLengthMm) + (digsIn ? DIGS_IN : 0),
  );
  if (!chosen) return { maxLengthMm, everyDays: plan.everyDays, mealG, offers: [], grounds };
  const { feeder, count } = chosen;
  if (feeder.pieces) {
    const { lengthMm, massG: eachG, basis } = feeder.pieces;
    grounds.push(
      { rule: 'prey-piece', value: feeder.lengthMm, unit: 'mm', between: lengthMm, basis },
      {
        ...{ rule: 'prey-weight', value: count * feeder.massG, unit: 'g', basis },
        between: { min: count * eachG.min, max: count * eachG.max },
      },
    );
  }
  const lasts = ((count * feeder.massG) / weeklyG) * 7;
  // One large meal is what that school wants, though not of the smallest; and the first after a moult is small on purpose.
  const isOnPurpose = afterQuiet || (school === RARELY && !SMALLEST.includes(stage));
  const isMost = count === mostPieces(feeder);
  const everyDays =
    isOnPurpose && lasts < plan.everyDays ? plan.everyDays : waitAfter(plan.everyDays, lasts, count, isMost);
  return { maxLengthMm, everyDays, mealG, offers: [offerOf(feeder, count * heads)], grounds };
}

/** How far the longest safe prey may be off: what was measured of the animal is sure, the shares of it are not. */
function lengthSpread({ proportions }: CareProfile, feeding: Feeding, isReckoned: boolean): number {
  return together(
    isReckoned && proportions.bodyLengthMm ? spreadOf(proportions.bodyLengthMm) : 0,
    spreadOf(feeding.abdomenLengthPerBodyLength),
    spreadOf(feeding.preyLengthPerAbdomen),
  );
}

/** When the next meal is due: as the school says, unless this one was too large or too small and no other number would do. */
function waitAfter(usualDays: number, lastsDays: number, count: number, isMost: boolean): number {
  const least = Math.min(usualDays, Math.max(MOST_OFTEN_DAYS, SHORTEST_WAIT_TIMES * usualDays));
  if (lastsDays > usualDays) return count === 1 ? Math.min(LONGEST_WAIT_TIMES * usualDays, lastsDays) : usualDays;
  return isMost ? Math.max(least, lastsDays) : usualDays;
}

const basisOf = ({ basis, source }: FeedingGround | MealPlan | { basis: FeedingGround['basis']; source?: string }) => ({
  basis,
  ...(source !== undefined && { source }),
});

const offerOf = ({ id, lengthMm, massG }: PreyOnOffer, count: number) => ({ feeder: id, count, lengthMm, massG });

/** The meal plan of a stage in a school. */
export function mealPlanOf(feeding: Feeding, stage: Stage, school: string | undefined): MealPlan | undefined {
  const ofStage = feeding.meals.filter((meal) => meal.stages.includes(stage));
  return ofStage.find((meal) => meal.school === school) ?? ofStage[0];
}
