import type { AbsenceFacts, SitterSheet } from '@/contract/plan';
import { shippedFeeders } from '@/contract/shipped';
import { absencePlan, type Task, type Visit } from '@/core/plan/absence';
import { feedingRhythm, mindedAt } from '@/core/plan/feedingJobs';
import type { Day } from '@/core/measure/day';
import type { Dish, FeedingCaution, Food } from '@/core/feeding/food';
import { groupBy } from '@/core/groupBy';
import { isDangerous } from './dangers';
import { houseToday, type HouseToday, type Lodger } from './house/houseToday';
import type { Queries } from './storage/database';
import { listShelves } from './storage/shelves';

const namesOf = (foods: readonly Food[]): ReadonlyMap<string, string> =>
  new Map([
    ...shippedFeeders.flatMap((kind) => kind.classes.map((each) => [each.id, `${kind.name}, ${each.name}`] as const)),
    ...foods.map((food) => [food.id, food.name] as const),
  ]);

type SheetStop = SitterSheet['visits'][number]['stops'][number];

/** The sheet of an absence as the house stands now: worked out anew each time it is opened. */
export async function sheetOf(queries: Queries, absence: AbsenceFacts, today: Day, now: string): Promise<SitterSheet> {
  const house = await houseToday(queries, today, now);
  const from = absence.from < today ? today : absence.from;
  const plan = absencePlan({
    ...{ today, from, until: absence.until },
    residents: house.lodgers.map(({ resident, today: state }) => ({
      ...{ id: resident.id, today: state, isDangerous: isDangerous(resident) },
    })),
  });
  const lodgers = new Map(house.lodgers.map((lodger) => [lodger.resident.id, lodger]));
  const names = namesOf(house.shelf.foods);
  const shelves = new Map((await listShelves(queries)).map((shelf) => [shelf.id, shelf]));
  const stopOf = (residentId: string, tasks: readonly Task[]): SheetStop[] => {
    const lodger = lodgers.get(residentId);
    const shelf = lodger && shelves.get(lodger.home.shelfId);
    if (!lodger || !shelf) return [];
    const { resident, home, today: state } = lodger;
    const kinds = [...new Set(tasks.map(({ kind }) => kind))];
    const isDamped = kinds.includes('damp') && state.watering;
    return [
      {
        ...{ residentId, code: home.code, shelf: shelf.name, room: shelf.room, kinds },
        ...{ scientificName: resident.scientificName, called: resident.called },
        dishes: kinds.includes('feed') ? dishesOf(lodger, today).map((dish) => dishLine(names, dish)) : [],
        cautions: kinds.includes('feed') ? cautionsOf(lodger, today) : [],
        waterMl: isDamped ? Math.round(state.watering?.waterMl ?? 0) : null,
      },
    ];
  };
  const place = new Map([...lodgers.keys()].map((id, index) => [id, index]));
  const visitsOf = (visits: readonly Visit[]) =>
    visits.map(({ on, tasks }) => ({
      on,
      // In shelf order, as the walk goes.
      stops: [...groupBy(tasks, (task) => task.residentId)]
        .sort(([a], [b]) => (place.get(a) ?? 0) - (place.get(b) ?? 0))
        .flatMap(([residentId, of]) => stopOf(residentId, of)),
    }));
  const whoOf = (residentId: string) => {
    const lodger = lodgers.get(residentId);
    return lodger ? [{ code: lodger.home.code, scientificName: lodger.resident.scientificName }] : [];
  };
  return {
    ...{ from, until: absence.until, sitter: absence.sitter, call: absence.call, waits: plan.waits },
    before: visitsOf(plan.before),
    visits: visitsOf(plan.visits),
    neverOpen: plan.neverOpen.flatMap(({ residentId, why, until }) =>
      whoOf(residentId).map((who) => ({ ...who, why, until })),
    ),
    needsKeeper: plan.needsKeeper.flatMap(whoOf),
    stock: stockFor(house, plan.visits, lodgers, today),
  };
}

function dishesOf({ today: state }: Lodger, today: Day): readonly Dish[] {
  return feedingRhythm(state, today)?.meal.dishes ?? [];
}

/** Whoever comes for an absence stands before the same box: where a zip opens, what is in the jar. */
function cautionsOf({ today: state }: Lodger, today: Day): FeedingCaution[] {
  const next = feedingRhythm(state, today);
  return next ? mindedAt(state, next.meal) : [];
}

const dishLine = (names: ReadonlyMap<string, string>, { food, count, massG, volumeMl }: Dish) => ({
  name: names.get(food) ?? food,
  count: count ?? null,
  massG: count === undefined && massG !== undefined ? massG : null,
  drinkMl: volumeMl ?? null,
});

/** What the visits take out of the store, and what lies there. */
function stockFor(
  { shelf }: HouseToday,
  visits: readonly Visit[],
  lodgers: ReadonlyMap<string, Lodger>,
  today: Day,
): SitterSheet['stock'] {
  const needed = new Map<string, { amount: number; unit: 'pieces' | 'g' | 'mL' }>();
  for (const { kind, residentId } of visits.flatMap(({ tasks }) => tasks)) {
    const lodger = kind === 'feed' ? lodgers.get(residentId) : undefined;
    if (!lodger) continue;
    for (const { food, count, massG, volumeMl } of dishesOf(lodger, today)) {
      const [amount, unit] =
        count !== undefined
          ? [count, 'pieces' as const]
          : volumeMl !== undefined
            ? [volumeMl, 'mL' as const]
            : [massG ?? 0, 'g' as const];
      needed.set(food, { amount: (needed.get(food)?.amount ?? 0) + amount, unit });
    }
  }
  const onHand = new Map(shelf.lines.map((line) => [line.item, line.onHand]));
  const names = namesOf(shelf.foods);
  return [...needed].map(([food, { amount, unit }]) => ({
    ...{ name: names.get(food) ?? food, needed: Math.ceil(amount), unit },
    have: onHand.get(food) ?? null,
  }));
}
