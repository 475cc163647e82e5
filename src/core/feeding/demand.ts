import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { grown, takenMeasure } from '@/core/profiles/animal';
import { intervalAt } from '@/core/growth/moulting';
import { quietDaysAfterMoult } from '@/core/growth/quietDays';
import type { BodyMeasure } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';
import { mealOf, type MealQuestion } from './meal';
import { amountOf, type Meal, type PastMeal } from './food';

/** One mouth of the house. */
export interface Eater extends Omit<MealQuestion, 'on' | 'larder'> {
  /** When it was last offered something; left out, it is fed at once. */
  lastMealOn?: Day | undefined;
  lastMoultOn?: Day | undefined;
  /** Nothing before that day: it is left alone. */
  quietUntil?: Day | undefined;
}

/** What the moults of one are expected by. */
export type Mouth = Pick<Eater, 'profile' | 'stage' | 'lastMoultOn' | 'headCount' | BodyMeasure>;

/** What is eaten in each week: pieces of feeders, grams of other food, millilitres of drink. */
export type Demand = Map<string, number[]>;

/** Of the time between two moults so much is spent refusing food before the second. From memory */
const FASTING_SHARE = 0.15;
/** Rotations and portions change from meal to meal: these are worked out anew each time. */
const CHANGES_EACH_TIME = new Set<Meal['eats']>(['greens', 'litter']);
/** A portion that is neither too much nor too little is gone on the second day. */
const GONE_AFTER_DAYS = 2;

/**
 * What the house will eat in the weeks from a day on: meal by meal, growing at the moults that are usual for the kind,
 * with the fasts before and after them left out. An expectation, not a bound: single animals moult earlier or later.
 * Those that cannot be fed from this larder add nothing.
 * @param weeks 1 to 52
 */
export function demandOf(eaters: readonly Eater[], larder: MealQuestion['larder'], from: Day, weeks: number): Demand {
  const demand: Demand = new Map();
  for (const eater of eaters) addDemand(demand, eater, larder, from, weeks);
  return demand;
}

function addDemand(demand: Demand, eater: Eater, larder: MealQuestion['larder'], from: Day, weeks: number): void {
  const until = addDays(from, 7 * weeks);
  const moults = expectedMoults(eater, from, until);
  const meals: PastMeal[] = [...(eater.meals ?? [])];
  const quietFor = eater.quietUntil === undefined ? 0 : Math.max(0, daysBetween(from, eater.quietUntil));
  let known = { moults: 0, meal: mealOn(eater, meals, larder, from) };
  // Days may be halves: the rhythm of the small ones is twice a week.
  const waits = eater.lastMealOn ? (known.meal?.everyDays ?? 0) - daysBetween(eater.lastMealOn, from) : 0;
  let offset = Math.max(0, quietFor, waits);
  while (offset < 7 * weeks) {
    const day = addDays(from, Math.floor(offset));
    const fast = moults.find((each) => day >= each.fastFrom && day < each.fedFrom);
    if (fast) {
      offset = daysBetween(from, fast.fedFrom);
      continue;
    }
    const past = moults.filter((each) => each.on <= day).length;
    if (known.moults !== past || (known.meal && CHANGES_EACH_TIME.has(known.meal.eats))) {
      known = { moults: past, meal: mealOn(afterMoults(eater, past), meals, larder, day) };
    }
    const { meal } = known;
    if (!meal) return;
    for (const dish of meal.dishes) {
      const weekly = demand.get(dish.food) ?? Array.from({ length: weeks }, () => 0);
      const week = Math.floor(offset / 7);
      weekly[week] = (weekly[week] ?? 0) + amountOf(dish);
      demand.set(dish.food, weekly);
    }
    meals.push({ on: day, dishes: meal.dishes, outcome: { kind: 'eaten', on: addDays(day, GONE_AFTER_DAYS) } });
    offset += meal.everyDays;
  }
}

/** One that has grown is no longer as heavy as it was weighed. */
function afterMoults(eater: Eater, moults: number): Eater {
  return moults === 0 ? eater : { ...grown(eater.profile, eater, moults), massG: undefined };
}

function mealOn(eater: Eater, meals: readonly PastMeal[], larder: MealQuestion['larder'], on: Day): Meal | null {
  try {
    return mealOf({ ...eater, meals, larder, on });
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

/** The moults that are usual up to a day, each with the fast about it. */
export function expectedMoults(eater: Mouth, from: Day, until: Day): { on: Day; fastFrom: Day; fedFrom: Day }[] {
  const { profile, stage, lastMoultOn } = eater;
  const days = intervalAt(profile, stage)?.days.value;
  // Groups do not moult as one; and of one that was never seen to moult nobody knows when it will.
  if (!days || !profile.feeding || lastMoultOn === undefined || (eater.headCount ?? 1) > 1) return [];
  const quiet = quietDaysAfterMoult(profile, stage, takenMeasure(profile, eater).mm);
  const moults = [];
  let on = addDays(lastMoultOn, Math.round(days));
  // One that is late is taken to be about to moult.
  if (on < from) on = addDays(from, Math.round(days * FASTING_SHARE));
  const fastDays = Math.round(days * FASTING_SHARE);
  // The fast before a moult may begin within these weeks though the moult comes after.
  for (; addDays(on, -fastDays) < until; on = addDays(on, Math.round(days))) {
    // Whoever is not left alone today eats today: what is expected closes no box before it is.
    const fastFrom = addDays(on, -fastDays);
    moults.push({ on, fastFrom: fastFrom > from ? fastFrom : addDays(from, 1), fedFrom: addDays(on, quiet) });
  }
  return moults;
}
