import type { ColonyDiet } from '@/core/profiles/profile';
import { chooseSize } from './chooseSize';
import type { Dish, FeedingCaution, FoodOnOffer, Meal, PreyOnOffer } from './food';

/** A founding queen that goes out to feed eats as much as so many workers. From memory */
const QUEEN_EATS_AS = 3;
/** Prey for a colony is cut or small: longer than so many workers nobody lays in whole. From memory */
const LONGEST_IN_WORKERS = 4;

/**
 * Sugar for the workers and insects for the brood, little and fresh; a queen that has sealed herself in gets nothing
 * until her first workers. Leafcutters are given leaves.
 * @param workers 0 or more
 * @param workerMm body length of a worker
 * @param isSealedIn she has no workers, and gets nothing
 */
export function colonyMeal(
  diet: ColonyDiet,
  workers: number,
  workerMm: number,
  isLive: boolean,
  feeders: readonly PreyOnOffer[],
  foods: readonly FoodOnOffer[],
  isSealedIn = workers === 0,
): Meal {
  const { everyDays } = diet;
  const mouths = isSealedIn ? 0 : Math.max(QUEEN_EATS_AS, workers);
  const sugarMl = (mouths * diet.sugarUlPerWorkerPerDay.value * everyDays) / 1000;
  const proteinG = (mouths * diet.proteinMgPerWorkerPerDay.value * everyDays) / 1000;
  const leavesG = mouths * (diet.leafGPerWorkerPerDay?.value ?? 0) * everyDays;
  const cautions: FeedingCaution[] = isSealedIn ? ['founding'] : ['out-when-left', 'wash'];
  const sugar = foods.find((food) => food.kind === 'sugar');
  const plant = foods.find((food) => diet.plants.includes(food.id));
  const prey = proteinG > 0 ? preyFor(proteinG, workerMm, feeders) : undefined;
  const dishes: Dish[] = [
    ...(sugarMl > 0 && sugar ? [{ food: sugar.id, volumeMl: sugarMl }] : []),
    ...(prey ? [prey] : []),
    ...(leavesG > 0 && plant ? [{ food: plant.id, massG: leavesG }] : []),
  ];
  return {
    eats: 'colony-food',
    everyDays,
    dishes,
    ...(prey && { prepared: isLive && workers >= diet.liveFromWorkers.value ? 'live' : 'pre-killed' }),
    cautions,
    grounds: [
      { rule: 'sugar', value: sugarMl, unit: 'ml', basis: diet.sugarUlPerWorkerPerDay.basis },
      { rule: 'protein', value: proteinG, unit: 'g', basis: diet.proteinMgPerWorkerPerDay.basis },
    ],
  };
}

/** Insects for the brood, of the size that meets its need best. */
function preyFor(proteinG: number, workerMm: number, feeders: readonly PreyOnOffer[]): Dish | undefined {
  const usable = feeders.filter((each) => each.lengthMm <= LONGEST_IN_WORKERS * workerMm);
  const chosen = chooseSize(
    usable,
    proteinG,
    1,
    () => Infinity,
    () => 0,
  );
  if (!chosen) return undefined;
  const { feeder, count } = chosen;
  return { food: feeder.id, count, lengthMm: feeder.lengthMm, massG: count * feeder.massG };
}
