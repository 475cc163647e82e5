import { houseToday } from '../house/houseToday';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import { breedersFor } from '@/core/feeding/culture';
import { preyOf, type Meal } from '@/core/feeding/food';
import { feedingHistory } from '@/core/feeding/history';
import { mealOf } from '@/core/feeding/meal';
import { orderPlan } from '@/core/feeding/orders';
import { preyPlan } from '@/core/feeding/prey';
import { addDays, type Day } from '@/core/measure/day';
import { mindedAt, nextMeal } from '@/core/plan/feedingJobs';
import { takenMeasure, type AnimalMeasures } from '@/core/profiles/animal';
import type { CareProfile } from '@/core/profiles/profile';
import { usualMassG } from '@/core/profiles/weight';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { foodsOf, plantOf } from '../foods';
import { notFound, Problem } from '../http/problem';
import { requireFeeder } from '../larder';
import { pastMeals } from '../meals';
import type { Queries } from '../storage/database';
import { mealEntriesOf, weighingsOfResident } from '../storage/entries';
import { deleteOwnPlant, writeOwnPlant } from '../storage/plants';
import { findEver, type Ever } from '../storage/residents';
import type { Deps } from './deps';

type Names =
  'larder' | 'addPlant' | 'removePlant' | 'prey' | 'meal' | 'feederCulture' | 'feederOrders' | 'feedingHistory';

/** So many weeks are drawn. */
const HISTORY_WEEKS = 26;
const MOST_ENTRIES = 2000;

/** What is fed: the engines over HTTP, and how one resident was fed. */
export function feedingHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    larder: async () => ({ feeders: [...shippedFeeders], foods: await foodsOf(database) }),

    addPlant: async ({ body }) => {
      const plant = plantOf(body);
      const known = shippedFoods.find(({ name }) => name.toLowerCase() === plant.name.toLowerCase());
      if (known)
        throw new Problem('conflict', `${known.name} is there already.`, [
          { path: 'name', message: 'Known: choose it from the list.' },
        ]);
      await writeOwnPlant(database, plant);
      return { plant };
    },

    removePlant: async ({ params }) => {
      if (!(await deleteOwnPlant(database, params.plantId))) throw notFound('plant of this house with that id');
      return { removed: params.plantId };
    },

    prey: async ({ body }) => preyPlan({ ...body, profile: (await careOf(database)).of(body) }),

    meal: async ({ body }) => {
      const { feeders = preyOf(shippedFeeders), ...question } = body;
      const profile = (await careOf(database)).of(body);
      return { meal: mealOf({ ...question, profile, larder: { feeders, foods: await foodsOf(database) } }) };
    },

    feederCulture: ({ body }) => breedersFor(requireFeeder(body.kind), body.weekly),

    feederOrders: ({ body }) => orderPlan(body),

    feedingHistory: async ({ params }) => {
      const resident = await findEver(database, params.id);
      if (!resident) throw notFound('resident with that id');
      const today = clock.today();
      const profile = (await careOf(database)).of(resident);
      const tomorrow = addDays(today, 1);
      const meals = pastMeals(await mealEntriesOf(database, [resident.id], tomorrow, MOST_ENTRIES));
      const weighings = (await weighingsOfResident(database, resident.id)).map(({ on, massG, ...measures }) => ({
        ...{ on, massG },
        usualG: usualOf(profile, measures),
      }));
      const history = feedingHistory(meals, weighings, { since: resident.takenInOn, today, weeks: HISTORY_WEEKS });
      const next = resident.leftOn === null ? await nextOf(database, resident, today, clock.now()) : null;
      return { ...history, next };
    },
  };
}

function usualOf(profile: CareProfile, measures: AnimalMeasures): number | null {
  const { takes } = profile.measure;
  return measures[takes] === undefined ? null : usualMassG(profile, takenMeasure(profile, measures).mm);
}

async function nextOf(queries: Queries, { id }: Ever, today: Day, now: string): Promise<Meal | null> {
  const { lodgers } = await houseToday(queries, today, now);
  const lodger = lodgers.find(({ resident }) => resident.id === id);
  const meal = lodger ? nextMeal(lodger.today, today) : null;
  return lodger && meal ? { ...meal, cautions: mindedAt(lodger.today, meal) } : null;
}
