import type { Day } from '@/core/measure/day';
import { takenMeasure, type AnimalMeasures } from '@/core/profiles/animal';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { schoolOn, type Schools } from '@/core/profiles/schools';
import { massSpread, usualMassG } from '@/core/profiles/weight';
import { isShort } from './chooseSize';
import { colonyMeal, type BroodToFeed } from './colonyFood';
import { whyNot, type FeedingCaution, type Larder, type Meal, type PastMeal } from './food';
import { greensMeal } from './greens';
import { leafMeal } from './leaves';
import { litterMeal } from './litter';
import { preyPlan, type Condition } from './prey';
import type { Hemisphere } from '@/core/season/year';

export interface MealQuestion extends AnimalMeasures {
  profile: CareProfile;
  stage: Stage;
  /** Of one, as it was weighed. */
  massG?: number | undefined;
  instar?: number | undefined;
  condition?: Condition | undefined;
  afterQuiet?: boolean | undefined;
  schools?: Schools | undefined;
  /** What this one is never given, with the reason. */
  forbidden?: Readonly<Record<string, string>> | undefined;
  on: Day;
  hemisphere?: Hemisphere | undefined;
  larder: Larder;
  /** What it was given lately, oldest first. */
  meals?: readonly PastMeal[] | undefined;
  /** Of a queen without workers: null where she does not seal herself in, and eats. */
  founding?: { isSealed: boolean } | null | undefined;
  /** Of ants: the brood that is fed, the garden, and a new nest. */
  brood?: BroodToFeed | undefined;
}

/**
 * What to give next to any kind, and how often; null for those that are not fed (eggs, pupae, moths that fly).
 * @throws Refusal as the parts do
 */
export function mealOf(question: MealQuestion): Meal | null {
  const { profile, larder, schools = {}, forbidden = {}, meals = [], on, instar } = question;
  const isAllowed = (food: { id: string }) => whyNot(food, profile, schools, forbidden) === undefined;
  const [foods, feeders] = [larder.foods.filter(isAllowed), larder.feeders.filter(isAllowed)];
  if (profile.feeding) return preyMeal(question, feeders);
  const { diet } = profile;
  if (!diet?.stages.includes(question.stage)) return null;
  const heads = Math.max(1, question.headCount ?? 1);
  const massG = () => heads * (question.massG ?? usualMassG(profile, takenMeasure(profile, question).mm) ?? 0);
  const ofMass = question.massG === undefined ? massSpread(profile, question) : 0;
  switch (diet.eats) {
    case 'leaves':
      return leafMeal({
        ...{ diet, massG: massG(), massSpread: ofMass, instar, on, foods, meals },
        hemisphere: question.hemisphere ?? 'north',
      });
    case 'litter':
      return litterMeal(
        diet,
        heads,
        schoolOn(profile, 'litter-food', schools['litter-food']) === 'prepared-food',
        foods,
        meals,
      );
    case 'greens':
      return greensMeal(diet, massG(), ofMass, foods, meals, on);
    case 'colony-food': {
      const isLive = schoolOn(profile, 'ant-prey', schools['ant-prey']) === 'live';
      const { headCount: workers = 0, brood = {}, founding } = question;
      const workerMm = takenMeasure(profile, question).mm;
      return colonyMeal({
        ...{ diet, workers, brood, workerMm, isLive, feeders, foods },
        usualWorkerMm: profile.measure.usualMm?.value ?? workerMm,
        spinsCocoons: profile.nest?.spinsCocoons === true,
        isSealedIn: founding === undefined ? workers === 0 : founding?.isSealed === true,
      });
    }
  }
}

function preyMeal(question: MealQuestion, feeders: Larder['feeders']): Meal {
  const { schools = {}, afterQuiet } = question;
  const plan = preyPlan({ ...question, school: schools.feeding, aim: schools.aim, feeders });
  const isMissing = plan.offers.some(({ feeder, count }) =>
    feeders.some((each) => each.id === feeder && isShort(each, count)),
  );
  const cautions: FeedingCaution[] = [
    ...(afterQuiet ? (['first-after-quiet'] as const) : []),
    ...(isMissing ? (['out-of-stock'] as const) : []),
  ];
  return {
    eats: 'prey',
    everyDays: plan.everyDays,
    dishes: plan.offers.map(({ feeder, count, lengthMm, massG }) => ({
      food: feeder,
      count,
      lengthMm,
      massG: count * massG,
    })),
    maxLengthMm: plan.maxLengthMm,
    cautions,
    grounds: plan.grounds,
  };
}
