import type { Dish, FeederKind, FeedingCaution, FeedingGround, Food } from '@/core/feeding/food';
import { gramsPerCutting } from '@/core/feeding/cuttings';
import type { JobMeal } from '@/core/plan/work';
import type { LengthWords } from './lengths';
import { countWords } from './count';

/** Everything that can be fed, as its names are looked up. */
export interface Names {
  feeders: readonly FeederKind[];
  foods: readonly Food[];
}

/** The size of a feeder with its kind. */
export function feederOf({ feeders }: Pick<Names, 'feeders'>, item: string) {
  for (const kind of feeders) {
    const size = kind.classes.find((each) => each.id === item);
    if (size) return { kind, size };
  }
  return undefined;
}

/** "large field crickets", "carrot". */
export function itemName(names: Names, item: string, count = 2): string {
  const feeder = feederOf(names, item);
  if (!feeder) return names.foods.find((food) => food.id === item)?.name ?? item;
  const { kind, size } = feeder;
  const noun = count === 1 ? kind.name : kind.plural;
  // A kind that is offered in one size needs no word for it.
  return kind.classes.filter((each) => each.isFood).length === 1 ? noun : `${size.name} ${noun}`;
}

/** Weights to fill a spoon by: "4 g", "0.9 g", "40 mg". */
export function gramsWords(massG: number): string {
  if (massG >= 10) return `${Math.round(massG)} g`;
  if (massG >= 1) return `${massG.toFixed(1)} g`;
  return massG >= 0.1 ? `${massG.toFixed(2)} g` : `${Math.max(1, Math.round(massG * 1000))} mg`;
}

/** Under this nothing is weighed in a kitchen. g */
const WEIGHED_FROM_G = 0.3;
/** Parts of a piece as they are cut. */
const PARTS: readonly [number, string][] = [
  [0.35, 'a quarter'],
  [0.75, 'half a'],
  [1.5, 'a'],
];

/** Food as a kitchen measures it: "a pinch of egg", "half a slice of cucumber (2 g)", "3 leaves of romaine (36 g)". */
export function kitchenWords(food: Food | undefined, name: string, massG: number): string {
  if (massG < WEIGHED_FROM_G) return `a pinch of ${name}`;
  const grams = massG >= 1.5 ? `${Math.round(massG)} g` : `${massG.toFixed(1)} g`;
  if (!food?.piece) return `${grams} of ${name}`;
  const pieces = massG / food.piece.massG;
  const part = PARTS.find(([most]) => pieces < most)?.[1];
  const cut = part === undefined ? `${Math.round(pieces)} ${food.piece.plural}` : `${part} ${food.piece.name}`;
  return `${cut} of ${name} (${grams})`;
}

const dropsWords = (ml: number) => (ml >= 1 ? `${ml.toFixed(1)} mL` : ml >= 0.05 ? `${ml.toFixed(2)} mL` : 'a drop');

/** Leaves by weight as they are cut: "3 cuttings, 36 g". */
export function cuttingsWords(plant: Food, massG: number): string {
  const cuttings = Math.ceil(massG / gramsPerCutting(plant));
  return `${countWords(cuttings, 'cutting')}, ${gramsWords(massG)}`;
}

/** An amount in the unit of what it is of: "120", "40 g", "3 mL". */
export function amountWords(amount: number, unit: 'pieces' | 'g' | 'ml' | 'L'): string {
  switch (unit) {
    case 'pieces':
      return String(Math.round(amount));
    case 'g':
      return gramsWords(amount);
    case 'ml':
      return dropsWords(amount);
    case 'L':
      return `${amount < 10 ? amount.toFixed(1) : Math.round(amount)} L`;
  }
}

/** One dish: "2 large field crickets", "3 cuttings of bramble", "a slice of cucumber (5 g)". */
export function dishWords(names: Names, { food, count, massG, volumeMl, lengthMm }: Dish): string {
  const name = itemName(names, food, count);
  if (volumeMl !== undefined) return `${dropsWords(volumeMl)} of ${name}`;
  if (count !== undefined && lengthMm !== undefined) return `${count} ${name}`;
  if (count !== undefined) return `${countWords(count, 'cutting')} of ${name}`;
  if (massG === undefined) return name;
  return kitchenWords(
    names.foods.find(({ id }) => id === food),
    name,
    massG,
  );
}

/** Prey is offered in whole millimetres, rounded down: the limit is the largest that is safe. */
export function preyLimitMm(maxLengthMm: number): number {
  return maxLengthMm < 10 ? Math.floor(maxLengthMm * 2) / 2 : Math.floor(maxLengthMm);
}

/** A meal, short: what, how much, and for prey how large at the most. */
export function mealTitle(names: Names, meal: JobMeal, length: LengthWords): string {
  const limit = meal.maxLengthMm === undefined ? '' : `, up to ${length.long(preyLimitMm(meal.maxLengthMm))}`;
  if (meal.dishes.length === 0) {
    if (meal.eats === 'leaves') return 'Fresh leaves: none of its plants is in leaf';
    return meal.eats === 'prey' ? `Prey${limit}` : 'Food';
  }
  const dishes = meal.dishes.map((dish) => dishWords(names, dish)).join(', ');
  const fresh = meal.eats === 'leaves' ? 'Fresh: ' : '';
  return `${fresh}${dishes}${meal.prepared === 'pre-killed' ? ', pre-killed' : ''}${limit}`;
}

const CAUTION_WORDS: Record<FeedingCaution, string> = {
  'first-after-quiet': 'first meal after it was left alone: one small piece',
  'rinse-and-shake': 'rinse and shake',
  'cover-the-jar': 'cover the jar',
  'search-the-old': 'search the old',
  thorns: 'thorns hurt the young: cut the edges free',
  'all-foods-early': 'show the young all their plants',
  'out-when-left': 'what is left comes out',
  wash: 'wash it',
  'out-of-stock': 'none left in the store',
  founding: 'sealed in: no food until the first workers',
  'none-in-leaf': 'none of its plants is in leaf: frozen or potted ones, or another that is',
  'bare-soon': 'none of its plants will be in leaf soon: freeze or pot some now',
  'soft-leaves': 'too tough for hatchlings: soft tips only, or cut the edges',
  'seeds-stay': 'dry seeds; they store them, so nothing is taken out but what moulds',
  'whole-to-larvae': 'whole, near the nest: they lay it to the larvae and share nothing liquid',
  'grains-for-cocoons': 'a pinch of fine sand or fibre near the larvae: they spin against it',
  'twice-a-day': 'in two portions a day while the new nest fills',
  zip: 'a zip crushes: open it with fingers behind it, look before it closes',
};

export const cautionsWords = (cautions: readonly FeedingCaution[]) =>
  cautions.map((caution) => CAUTION_WORDS[caution]).join('; ');

const RULE_WORDS: Record<string, string> = {
  'abdomen-length': 'length of its abdomen',
  'prey-length': 'longest prey that is safe',
  interval: 'days between meals',
  weight: 'its weight',
  ration: 'ration, of its weight',
  meal: 'a meal by its ration',
  'prey-piece': 'a piece of that size',
  'prey-weight': 'what is offered weighs',
  aim: 'more, to grow on',
  condition: 'for how it looks',
  renewal: 'leaves are changed, by the season',
  'lasts-in-water': 'the plant lasts in water',
  eaten: 'eaten until then',
  cuttings: 'cuttings, twice what is eaten',
  'first-portion': 'portion without experience',
  'learned-portion': 'portion by what was left before',
  rest: 'without food after a portion',
  greens: 'greens for all',
  'protein-days': 'between days with protein',
  sugar: 'sugar for the workers',
  larvae: 'larvae to be fed',
  protein: 'insects for the larvae',
  seeds: 'seeds for the workers',
  garden: 'the fungus garden',
  leaves: 'leaves for the garden',
};

/** One number a meal was worked out with. */
export function feedingGroundWords({ rule, value, unit, between, basis, source }: FeedingGround): string {
  const short = (each: number) => (each >= 100 ? Math.round(each) : Number(each.toPrecision(2)));
  const number = between ? `${short(value)} (${short(between.min)} to ${short(between.max)})` : short(value);
  const from = source === undefined ? basis : `${basis}: ${source}`;
  return `${RULE_WORDS[rule] ?? rule}: ${number} ${unit === 'd' ? 'days' : unit} (${from})`.replace('  ', ' ');
}
