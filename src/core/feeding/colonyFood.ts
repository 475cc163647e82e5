import type { ColonyDiet } from '@/core/profiles/diet';
import type { Fact } from '@/core/profiles/profile';
import { chooseSize } from './chooseSize';
import type { Dish, FeedingCaution, FeedingGround, FoodOnOffer, Meal, PreyOnOffer } from './food';

/** A founding queen that goes out to feed eats as much as so many workers. From memory */
const QUEEN_EATS_AS = 3;
/** And raises so many larvae at once. From memory */
const QUEEN_RAISES = 5;
/** Prey for a colony is cut or small: longer than so many workers nobody lays in whole. From memory */
const LONGEST_IN_WORKERS = 4;
/** A garden that has room again is fed every day, twice, for so long after a move. days, common practice */
export const FILLS_DAYS = 28;

/** What a colony feeds, as far as that is known. */
export interface BroodToFeed {
  larvae?: number | undefined;
  /** Of leafcutters: how large their garden is. mL */
  fungusMl?: number | undefined;
  /** Days since they were moved into another nest. */
  movedDaysAgo?: number | undefined;
}

export interface ColonyMealQuestion {
  diet: ColonyDiet;
  /** 0 or more */
  workers: number;
  brood: BroodToFeed;
  /** Body length of a worker, and what is usual for the kind. */
  workerMm: number;
  usualWorkerMm: number;
  spinsCocoons: boolean;
  /** By the school of its keepers. */
  isLive: boolean;
  feeders: readonly PreyOnOffer[];
  foods: readonly FoodOnOffer[];
  /** She has no workers, and gets nothing. */
  isSealedIn: boolean;
}

/**
 * Sugar by the workers and insects by the larvae, little and fresh; seeds for harvesters, leaves for leafcutters by the size of their
 * garden. A queen that has sealed herself in gets nothing until her first workers.
 */
export function colonyMeal(question: ColonyMealQuestion): Meal {
  const { diet, workers, brood, isSealedIn, spinsCocoons, isLive, feeders, foods } = question;
  const fills = diet.leafMgPerFungusMlPerDay !== undefined && (brood.movedDaysAgo ?? Infinity) <= FILLS_DAYS;
  const everyDays = fills ? 1 : diet.everyDays;
  const mouths = isSealedIn ? 0 : Math.max(QUEEN_EATS_AS, workers);
  const larvae = isSealedIn ? 0 : (brood.larvae ?? Math.max(QUEEN_RAISES, workers * diet.larvaePerWorker.value));
  // What a worker is made of goes by its volume.
  const times = (question.workerMm / question.usualWorkerMm) ** 3;
  const fungusMl = isSealedIn ? 0 : (brood.fungusMl ?? workers * (diet.fungusMlPerWorker?.value ?? 0));
  const needed = (of: number, each: Fact | undefined) => (of * (each?.value ?? 0) * everyDays) / 1000;
  const sugarMl = needed(mouths, diet.sugarUlPerWorkerPerDay);
  const proteinG = times * needed(larvae, diet.proteinMgPerLarvaPerDay);
  const seedsG = needed(mouths, diet.seedsMgPerWorkerPerDay);
  const leavesG = needed(fungusMl, diet.leafMgPerFungusMlPerDay);
  const sugar = foods.find((food) => food.kind === 'sugar');
  const seeds = foods.find((food) => diet.seeds?.includes(food.id));
  const plant = foods.find((food) => diet.plants.includes(food.id));
  const prey = proteinG > 0 ? preyFor(proteinG, question.workerMm, feeders) : undefined;
  const dishes: Dish[] = [
    ...(seedsG > 0 && seeds ? [{ food: seeds.id, massG: seedsG }] : []),
    ...(sugarMl > 0 && sugar ? [{ food: sugar.id, volumeMl: sugarMl }] : []),
    ...(prey ? [prey] : []),
    ...(leavesG > 0 && plant ? [{ food: plant.id, massG: leavesG }] : []),
  ];
  const cautions: FeedingCaution[] = isSealedIn
    ? ['founding']
    : [
        ...(fills ? (['twice-a-day'] as const) : []),
        ...(prey && diet.wholePrey ? (['whole-to-larvae'] as const) : []),
        ...(seedsG > 0 ? (['seeds-stay'] as const) : []),
        ...(['out-when-left', 'wash'] as const),
        ...(spinsCocoons && larvae > 0 ? (['grains-for-cocoons'] as const) : []),
      ];
  const ground = (rule: string, value: number, unit: string, fact: Fact | undefined): FeedingGround[] =>
    fact && fact.value > 0 ? [{ rule, value, unit, basis: fact.basis }] : [];
  return {
    eats: 'colony-food',
    everyDays,
    dishes,
    ...(prey && { prepared: isLive && workers >= diet.liveFromWorkers.value ? 'live' : 'pre-killed' }),
    cautions,
    grounds: [
      ...ground('sugar', sugarMl, 'ml', diet.sugarUlPerWorkerPerDay),
      ...ground('larvae', Math.round(larvae), '', diet.proteinMgPerLarvaPerDay),
      ...ground('protein', proteinG, 'g', diet.proteinMgPerLarvaPerDay),
      ...ground('seeds', seedsG, 'g', diet.seedsMgPerWorkerPerDay),
      ...ground('garden', fungusMl, 'ml', diet.leafMgPerFungusMlPerDay),
      ...ground('leaves', leavesG, 'g', diet.leafMgPerFungusMlPerDay),
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
