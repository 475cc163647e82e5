import type { LeafDiet } from '@/core/profiles/profile';
import type { Day } from '@/core/measure/day';
import type { FeedingCaution, FeedingGround, Food, FoodOnOffer, Meal, PastMeal } from './food';
import { seasonOf, type Hemisphere } from '@/core/season/year';

export interface LeafQuestion {
  diet: LeafDiet;
  /** Of all of them. */
  massG: number;
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

/**
 * Cuttings in water: which plant, how many, and when they are changed. The days between follow the season between the
 * profile's two numbers, and are fewer for a plant that wilts sooner than the change of midsummer. No dishes when none
 * of its plants is in leaf and allowed.
 */
export function leafMeal({ diet, massG, instar, on, hemisphere, foods, meals }: LeafQuestion): Meal {
  const { winterShare, inLeaf } = seasonOf(on, hemisphere);
  const { summer, winter } = diet.renewDays;
  const seasonal = summer.value + (winter.value - summer.value) * winterShare;
  const plants = diet.plants.flatMap((id) => foods.find((food) => food.id === id) ?? []);
  const usable = plants.filter((plant) => inLeaf || plant.evergreen);
  // One that is used to a plant goes on with it; the young are shown two.
  const last = meals.at(-1)?.dishes.map((dish) => dish.food) ?? [];
  const used = usable.filter((plant) => last.includes(plant.id));
  const isYoung = (instar ?? Infinity) <= SHOW_ALL_UNTIL_INSTAR;
  const shown = isYoung ? usable.slice(0, 2) : (used.length > 0 ? used : usable).slice(0, 1);
  const [first] = shown;
  if (!first) {
    return { eats: 'leaves', everyDays: seasonal, dishes: [], cautions: ['none-in-leaf'], grounds: [] };
  }
  const lasts = Math.min(...shown.map((plant) => plant.shelfLifeDays)) * (seasonal / summer.value);
  const everyDays = Math.max(1, Math.floor(Math.min(seasonal, lasts)));
  const eatenG = massG * (diet.dailyPctOfMass.value / 100) * everyDays;
  const grounds: FeedingGround[] = [
    { rule: 'renewal', value: seasonal, unit: 'd', basis: summer.basis },
    { rule: 'lasts-in-water', value: lasts, unit: 'd', basis: first.basis },
    { rule: 'eaten', value: eatenG, unit: 'g', basis: diet.dailyPctOfMass.basis },
  ];
  return {
    eats: 'leaves',
    everyDays,
    dishes: shown.map((plant) => {
      const eachG = gramsPerCutting(plant);
      const count = Math.max(1, Math.ceil((eatenG * CUT_PER_EATEN) / shown.length / eachG));
      return { food: plant.id, count, massG: count * eachG };
    }),
    cautions: cautionsFor(shown, isYoung),
    grounds,
  };
}

/** Leaves on a cutting of a plant that nobody weighed. From memory */
const USUAL_GRAMS_PER_CUTTING = 12;

/** Leaves on one cutting of about 30 cm. g */
export const gramsPerCutting = (plant: Pick<Food, 'gramsPerCutting'>): number =>
  plant.gramsPerCutting?.value ?? USUAL_GRAMS_PER_CUTTING;

function cautionsFor(shown: readonly Food[], isYoung: boolean): FeedingCaution[] {
  return [
    'rinse-and-shake',
    'cover-the-jar',
    'search-the-old',
    ...(isYoung ? (['all-foods-early'] as const) : []),
    ...(isYoung && shown.some((plant) => plant.thorny) ? (['thorns'] as const) : []),
  ];
}
