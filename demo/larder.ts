import type { EntryToKeep } from '@/contract/storedEntries';
import type { StockEntry } from '@/contract/store';
import type { Dish } from '@/core/feeding/food';
import { addDays, type Day } from '@/core/measure/day';
import type { CultureFacts } from '@/server/storage/store';
import type { DemoResident } from './residents';
import { idOf, writerOf } from './writing';

export type DemoStock = Omit<StockEntry, 'undoneAt'>;

interface FoodPlan {
  everyDays: number;
  lastDaysAgo: number;
  /** How many meals back are written down. */
  meals: number;
  dishes: (index: number) => Dish[];
  /** Days after which it was gone, or was taken out; none for leaves, which are searched. */
  outcome?: (index: number) => { kind: 'eaten' | 'refused'; afterDays: number };
}

const leaves = (plant: string, count: number, everyDays: number, lastDaysAgo: number): FoodPlan => ({
  ...{ everyDays, lastDaysAgo, meals: 12 },
  dishes: () => [{ food: plant, count, massG: 12 * count }],
});

/** Portions for those that eat litter, the latest first, with what became of each. */
const portions = (
  foods: string[],
  grams: number[],
  lastDaysAgo: number,
  outcomes: ('day' | 'two' | 'left')[],
): FoodPlan => ({
  ...{ everyDays: 7, lastDaysAgo, meals: grams.length },
  dishes: (index) => [{ food: foods[index % foods.length] ?? '', massG: grams[index] ?? 1 }],
  outcome: (index) => {
    const what = outcomes[index % outcomes.length];
    return { kind: what === 'left' ? 'refused' : 'eaten', afterDays: what === 'day' ? 1 : 2 };
  },
});

const colony = (sugarMl: number, prey: Dish | null, everyDays: number, lastDaysAgo: number): FoodPlan => ({
  ...{ everyDays, lastDaysAgo, meals: 20 },
  dishes: () => [...(sugarMl > 0 ? [{ food: 'sugar-water', volumeMl: sugarMl }] : []), ...(prey ? [prey] : [])],
  outcome: () => ({ kind: 'eaten', afterDays: 1 }),
});

const roach = (count: number): Dish => ({ food: 'dubia-roach-small', count, lengthMm: 8, massG: 0.03 * count });
const VEGETABLES = ['cucumber', 'carrot', 'courgette', 'dandelion', 'sweet-potato', 'romaine'];

/** Who is fed otherwise than with prey, by what they are called. */
const FOOD: Record<string, FoodPlan> = {
  'The hedge': leaves('ivy', 3, 9, 10),
  'The crew': leaves('bramble', 12, 9, 14),
  Foliage: leaves('bramble', 3, 6, 3),
  'The brood': { ...leaves('walnut', 10, 3, 1), meals: 6 },
  Swifts: portions(['carrot', 'fish-flakes', 'courgette'], [4.1, 3.3, 2.6, 2.1, 1.7], 8, ['day']),
  Pebbles: portions(['cucumber', 'mushroom'], [0.03, 0.05, 0.08], 5, ['left', 'left', 'two']),
  Noses: portions(['carrot', 'dried-shrimp'], [0.4, 0.4, 0.3, 0.4], 7, ['two', 'two', 'day']),
  Snow: portions(['fish-flakes'], [0.09, 0.09, 0.07], 6, ['two']),
  'Hawser and Cable': portions(['sweet-potato', 'cucumber'], [0.6, 0.5, 0.5], 9, ['two', 'day']),
  'The slow table': {
    ...{ everyDays: 1, lastDaysAgo: 11, meals: 30 },
    dishes: (index) => [
      { food: VEGETABLES[index % VEGETABLES.length] ?? '', massG: 4.2 },
      ...(index % 4 === 0 ? [{ food: index % 8 === 0 ? 'dried-shrimp' : 'fish-flakes', massG: 0.7 }] : []),
    ],
    outcome: () => ({ kind: 'eaten', afterDays: 1 }),
  },
  'Old Timber': colony(0.08, roach(3), 3, 3),
  Ember: colony(0.08, roach(2), 3, 8),
  Satin: colony(0.02, { food: 'fruit-fly-fly', count: 16, lengthMm: 2.5, massG: 0.016 }, 3, 54),
  'The kitchen': {
    ...colony(0, null, 1, 1),
    dishes: () => [{ food: 'bramble', massG: 1.9 }],
  },
};

/** Weighings of those that are weighed now and then, the latest first. */
const WEIGHINGS: Record<string, { daysAgo: number; massG: number }[]> = {
  Bramble: [
    { daysAgo: 61, massG: 16.2 },
    { daysAgo: 119, massG: 15.1 },
    { daysAgo: 171, massG: 14.6 },
  ],
  Indigo: [
    { daysAgo: 12, massG: 21.8 },
    { daysAgo: 80, massG: 20.1 },
    { daysAgo: 150, massG: 18.3 },
  ],
};

/** The meals of one that is not fed with prey, and its weighings. */
export function foodStory(resident: DemoResident & { id: string }, today: Day): EntryToKeep[] {
  const { called } = resident;
  const plan = FOOD[called];
  const write = writerOf(resident, today, 'Odalys Fenn');
  const meals = Array.from({ length: plan?.meals ?? 0 }, (_, index) => index).flatMap((index): EntryToKeep[] => {
    if (!plan) return [];
    const ago = plan.lastDaysAgo + index * plan.everyDays;
    const offered = write('offered', ago, 25, { dishes: plan.dishes(index) });
    const outcome = plan.outcome?.(index);
    if (!outcome) return [offered, write('searched', ago, 32, {})];
    return [offered, ...(outcome.afterDays < ago ? [write(outcome.kind, ago - outcome.afterDays, 8, {})] : [])];
  });
  const weighings = (WEIGHINGS[called] ?? []).map(({ daysAgo, massG }) => write('measured', daysAgo, 44, { massG }));
  return [...meals, ...weighings];
}

const COUNTED: [string, number][] = [
  ['field-cricket-pinhead', 220],
  ['field-cricket-micro', 120],
  ['field-cricket-small', 90],
  ['field-cricket-small-medium', 60],
  ['field-cricket-medium', 46],
  ['field-cricket-large', 28],
  ['dubia-roach-small', 70],
  ['dubia-roach-small-medium', 40],
  ['dubia-roach-medium', 26],
  ['dubia-roach-large', 12],
  ['fruit-fly-fly', 260],
];

const BOUGHT: { item: string; amount: number; daysAgo: number }[] = [
  { item: 'field-cricket-medium', amount: 40, daysAgo: 2 },
  { item: 'carrot', amount: 700, daysAgo: 9 },
  { item: 'cucumber', amount: 350, daysAgo: 5 },
  { item: 'romaine', amount: 250, daysAgo: 9 },
  { item: 'sweet-potato', amount: 500, daysAgo: 12 },
  { item: 'dried-shrimp', amount: 60, daysAgo: 80 },
  { item: 'fish-flakes', amount: 80, daysAgo: 120 },
  { item: 'sugar-water', amount: 120, daysAgo: 2 },
  { item: 'cuttlebone', amount: 90, daysAgo: 140 },
  { item: 'coir', amount: 60, daysAgo: 33 },
  { item: 'topsoil', amount: 40, daysAgo: 33 },
  { item: 'leaf-litter', amount: 25, daysAgo: 20 },
];

/** What the store holds, and the cultures of the house. */
export function storeStory(today: Day): { stock: DemoStock[]; cultures: CultureFacts[] } {
  const stock = (item: string, kind: StockEntry['kind'], amount: number, daysAgo: number): DemoStock => {
    const on = addDays(today, -daysAgo);
    const id = idOf(`stock ${item} ${kind} ${daysAgo}`);
    return { id, item, kind, amount, on, at: `${on}T17:40:00.000Z`, keeper: 'Imre Talsk', note: null };
  };
  const culture = (called: string, kind: string, breeders: number, harvested: string, daysAgo: number) => ({
    ...{ id: idOf(`culture ${called}`), called, kind, breeders, harvested },
    begunOn: addDays(today, -daysAgo),
  });
  return {
    stock: [
      ...COUNTED.map(([item, amount]) => stock(item, 'counted', amount, 6)),
      ...BOUGHT.map(({ item, amount, daysAgo }) => stock(item, 'bought', amount, daysAgo)),
      stock('field-cricket-large', 'died', 5, 3),
    ],
    cultures: [
      culture('The roach bin', 'dubia-roach', 24, 'dubia-roach-small-medium', 400),
      culture('Fly bottles', 'fruit-fly', 60, 'fruit-fly-fly', 210),
      culture('Tub of springtails', 'springtail', 800, 'springtail-grown', 300),
    ],
  };
}
