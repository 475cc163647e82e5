import type { LeafDiet } from '@/core/profiles/diet';
import { spreadOf, together } from '@/core/numerics/spreads';
import { addDays, type Day } from '@/core/measure/day';
import { gramsPerCutting } from './cuttings';
import {
  within,
  type FeedingCaution,
  type FeedingGround,
  type Food,
  type FoodOnOffer,
  type Meal,
  type PastMeal,
} from './food';
import { isWithinYear, seasonOf, type Hemisphere } from '@/core/season/year';

export interface LeafQuestion {
  diet: LeafDiet;
  /** Of all of them, and how far that may be off, in logarithms. */
  massG: number;
  massSpread?: number | undefined;
  /** In their first instars they are shown all their foods. */
  instar?: number | undefined;
  on: Day;
  hemisphere: Hemisphere;
  /** Those that are allowed. */
  foods: readonly FoodOnOffer[];
  meals: readonly PastMeal[];
}

/** What is cut for them against what they eat: stalks, what dries, and choice. From memory */
const CUT_PER_EATEN = 2;
/** Up to this instar all foods are shown, or they refuse them later. Common practice */
const SHOW_ALL_UNTIL_INSTAR = 2;

/** These are found all winter, and taken by most that eat leaves. Common practice, no source */
const COMMON: readonly string[] = ['bramble', 'ivy'];
/** So many plants at once at the most: more in one jar are not told apart. Chosen here */
const MOST_PLANTS = 3;
/** So long before its plants are bare a keeper is told: potting and freezing take their time. days, chosen here */
const TOLD_AHEAD_DAYS = 42;

/** Whether a plant bears leaves on a day. */
export function isInLeaf(plant: Pick<Food, 'evergreen' | 'inLeaf'>, on: Day, hemisphere: Hemisphere): boolean {
  if (plant.evergreen) return true;
  return plant.inLeaf ? isWithinYear(on, plant.inLeaf, hemisphere) : seasonOf(on, hemisphere).inLeaf;
}

/** The first day, of those that are told ahead, on which none of some plants bears leaves; undefined where one does on all of them. */
function bareFrom(plants: readonly Food[], on: Day, hemisphere: Hemisphere): Day | undefined {
  const isBare = (days: number) => !plants.some((plant) => isInLeaf(plant, addDays(on, days), hemisphere));
  if (isBare(0)) return on;
  if (!isBare(TOLD_AHEAD_DAYS)) return undefined;
  const days = Array.from({ length: TOLD_AHEAD_DAYS }, (_, day) => day + 1).find(isBare);
  return days === undefined ? undefined : addDays(on, days);
}

/**
 * Cuttings in water: which plants, how many, and when they are changed. The days between follow the season between the
 * profile's two numbers, and are fewer for a plant that wilts sooner than the change of midsummer. No dishes when none
 * of its plants is in leaf and allowed; some weeks before that day it is told, with what might be given instead.
 */
export function leafMeal({ diet, massG, massSpread = 0, instar, on, hemisphere, foods, meals }: LeafQuestion): Meal {
  const { winterShare } = seasonOf(on, hemisphere);
  const { summer, winter } = diet.renewDays;
  const seasonal = summer.value + (winter.value - summer.value) * winterShare;
  const plants = diet.plants.flatMap((id) => foods.find((food) => food.id === id) ?? []);
  const isYoung = (instar ?? Infinity) <= SHOW_ALL_UNTIL_INSTAR;
  const usable = plants.filter((plant) => isInLeaf(plant, on, hemisphere));
  // One that is used to some plants goes on with them; the young are shown two.
  const last = meals.at(-1)?.dishes.map((dish) => dish.food) ?? [];
  const used = usable.filter((plant) => last.includes(plant.id)).slice(0, MOST_PLANTS);
  const shown = isYoung ? forYoung(usable) : used.length > 0 ? used : usable.slice(0, 1);
  const bare = bareFrom(plants, on, hemisphere);
  const ahead = bare !== undefined && {
    bareFrom: bare,
    insteadOf: foods
      .filter((food) => food.kind === 'leaf' && food.evergreen && COMMON.includes(food.id))
      .map(({ id }) => id),
  };
  const [first] = shown;
  if (!first) {
    return { eats: 'leaves', everyDays: seasonal, dishes: [], cautions: ['none-in-leaf'], ...ahead, grounds: [] };
  }
  const soonest = shown.reduce((a, b) => (b.shelfLifeDays < a.shelfLifeDays ? b : a), first);
  const lasts = soonest.shelfLifeDays * (seasonal / summer.value);
  const everyDays = Math.max(1, Math.floor(Math.min(seasonal, lasts)));
  const eatenG = massG * (diet.dailyPctOfMass.value / 100) * everyDays;
  const dishes = shown.map((plant) => {
    const eachG = gramsPerCutting(plant);
    const count = Math.max(1, Math.ceil((eatenG * CUT_PER_EATEN) / shown.length / eachG));
    return { food: plant.id, count, massG: count * eachG };
  });
  const cuttings = dishes.reduce((sum, { count }) => sum + count, 0);
  const eatenSpread = together(massSpread, spreadOf(diet.dailyPctOfMass));
  const grounds: FeedingGround[] = [
    {
      ...{ rule: 'renewal', value: seasonal, unit: 'd', basis: summer.basis },
      ...within(seasonal, spreadOf(summer) * (1 - winterShare) + spreadOf(winter) * winterShare),
    },
    {
      ...{ rule: 'lasts-in-water', value: lasts, unit: 'd', basis: soonest.basis },
      ...within(lasts, spreadOf({ range: soonest.shelfLifeDaysRange })),
    },
    {
      ...{ rule: 'eaten', value: eatenG, unit: 'g', basis: diet.dailyPctOfMass.basis },
      ...within(eatenG, eatenSpread),
    },
    {
      ...{ rule: 'cuttings', value: cuttings, unit: '', basis: first.gramsPerCutting?.basis ?? 'from memory' },
      ...within(cuttings, together(eatenSpread, spreadOf(first.gramsPerCutting ?? {}))),
    },
  ];
  return {
    eats: 'leaves',
    everyDays,
    dishes,
    ...ahead,
    cautions: [...cautionsFor(shown, isYoung), ...(ahead ? (['bare-soon'] as const) : [])],
    grounds,
  };
}

/** The young get to know what they will live on, and something soft to bite into. */
function forYoung([first, ...others]: FoodOnOffer[]): FoodOnOffer[] {
  if (!first) return [];
  const soft = others.find(({ tough }) => !tough) ?? others[0];
  return soft ? [first, soft] : [first];
}

function cautionsFor(shown: readonly Food[], isYoung: boolean): FeedingCaution[] {
  return [
    'rinse-and-shake',
    'cover-the-jar',
    'search-the-old',
    ...(isYoung ? (['all-foods-early'] as const) : []),
    ...(isYoung && shown.some((plant) => plant.tough) ? (['soft-leaves'] as const) : []),
    ...(isYoung && shown.some((plant) => plant.thorny) ? (['thorns'] as const) : []),
  ];
}
