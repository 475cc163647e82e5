import type { Day } from '@/core/measure/day';
import { rangeAbout, type Range } from '@/core/numerics/spreads';
import type { Basis, CareProfile, Fact, Ground } from '@/core/profiles/profile';
import { schoolsInForce, type Schools } from '@/core/profiles/schools';

/** One size in which a feeder is kept, bought and offered. */
export interface FeederClass extends Ground {
  id: string;
  name: string;
  lengthMm: number;
  /** Between which nearly all that are sold under its name are long, and weigh: up to the sizes beside it. */
  lengthMmRange?: Range;
  massG: number;
  massGRange?: Range;
  /** Days until it has grown into the next size; of the last one, how long it lives. */
  daysInClass: number;
  weeklyLossPct: number;
  /** False for stages that nobody is fed with. */
  isFood: boolean;
}

/** A kind of feeder, its sizes in the order in which it grows through them. */
export interface FeederKind {
  id: string;
  name: string;
  plural: string;
  scientificName: string;
  /** So many at once for one mouth: small ones that neither bite nor stay unseen. */
  mostAtOnce?: Fact;
  /** Loose on soil it is gone before it is seen. */
  digsIn?: boolean;
  classes: FeederClass[];
  moisturePct: Fact;
  /** Of the fresh animal. */
  energyKJPerG?: Fact;
  culture: {
    femaleShare: Fact;
    eggsPerFemalePerWeek: Fact;
    hatchSharePct: Fact;
  };
}

export const FOOD_KINDS = ['vegetable', 'protein', 'prepared', 'leaf', 'sugar', 'seed', 'calcium'] as const;
export type FoodKind = (typeof FOOD_KINDS)[number];

/** Anything eaten that is not a living feeder. */
export interface Food extends Ground {
  id: string;
  name: string;
  kind: FoodKind;
  /** Kept as is usual for it; a cutting, in water at midsummer. */
  shelfLifeDays: number;
  /** Between which cuttings of it differ. */
  shelfLifeDaysRange?: Range;
  /** Headings of profiles (`CareProfile.group`) that never get it. */
  neverFor?: { groups: string[]; why: string }[];
  /** Given to these only by those who follow a school. */
  onlyWith?: { groups: string[]; school: string; why: string };
  evergreen?: boolean;
  /** Of plants that shed their leaves: from which day of the year to which they bear them, in the north. MM-DD */
  inLeaf?: { from: string; to: string };
  /** Its grown leaves are too tough for hatchlings. */
  tough?: boolean;
  thorny?: boolean;
  /** Of plants: the leaves on one cutting of about 30 cm. */
  gramsPerCutting?: Fact;
  /** As it is cut in a kitchen. From memory */
  piece?: { name: string; plural: string; massG: number };
}

/** A feeder of one size, as it is chosen from. */
export interface PreyOnOffer {
  id: string;
  lengthMm: number;
  massG: number;
  /** Of its kind: as many at once as that for one mouth, and whether it digs in. */
  mostAtOnce?: number | undefined;
  digsIn?: boolean | undefined;
  /** How its pieces differ, and what that rests on. */
  pieces?: { lengthMm: Range; massG: Range; basis: Basis } | undefined;
  /** So many are in the house; left out where nobody counts. */
  onHand?: number | undefined;
  /** A culture of the house yields it. */
  isBred?: boolean | undefined;
  /** Asked in the place of `onHand` by a house that remembers what was asked of its store. */
  isFewerThan?: ((count: number) => boolean) | undefined;
}

export interface FoodOnOffer extends Food {
  /** g */
  onHand?: number | undefined;
}

/** All that can be fed in a house. */
export interface Larder {
  feeders: readonly PreyOnOffer[];
  foods: readonly FoodOnOffer[];
}

/** One thing of a meal: a feeder by its number, another food by its weight, a drink by its volume. */
export interface Dish {
  /** Id of a feeder of one size, or of a food. */
  food: string;
  count?: number | undefined;
  /** Of one. */
  lengthMm?: number | undefined;
  /** Of the whole dish. */
  massG?: number | undefined;
  volumeMl?: number | undefined;
}

/** How what was not eaten was found. */
export const LEFT_AS = ['some', 'mouldy'] as const;
export type LeftAs = (typeof LEFT_AS)[number];

/** Nobody gives less than what fingers hold. g, chosen here */
export const PINCH_G = 0.1;

/** A meal that was given, and what became of it. */
export interface PastMeal {
  on: string;
  dishes: readonly Dish[];
  /** Null while nobody has looked. */
  outcome: { kind: 'eaten' | 'refused'; on: string; left?: LeftAs | undefined } | null;
}

/** A number that a meal was worked out with. */
export interface FeedingGround extends Ground {
  rule: string;
  value: number;
  unit: string;
  /** Eight of ten lie between these, as far as the ranges of what it is reckoned from tell. */
  between?: Range | undefined;
  school?: string | undefined;
}

/** Between which eight of ten lie about a number of a ground; nothing where no range was told. */
export const within = (value: number, spread: number): Pick<FeedingGround, 'between'> =>
  spread > 0 ? { between: rangeAbout(value, spread) } : {};

/** How much a dish takes out of the store: pieces of feeders, mL of drinks, g of all other food. */
export const amountOf = ({ volumeMl, lengthMm, count, massG }: Dish): number =>
  volumeMl ?? (lengthMm === undefined ? (massG ?? 0) : (count ?? 0));

/** What to mind when a meal is given. */
export const FEEDING_CAUTIONS = [
  'first-after-quiet',
  'rinse-and-shake',
  'cover-the-jar',
  'search-the-old',
  'thorns',
  'all-foods-early',
  'out-when-left',
  'wash',
  'out-of-stock',
  'founding',
  'none-in-leaf',
  'bare-soon',
  'soft-leaves',
  'zip',
  'seeds-stay',
  'whole-to-larvae',
  'grains-for-cocoons',
  'twice-a-day',
] as const;
export type FeedingCaution = (typeof FEEDING_CAUTIONS)[number];

/** What to give, and how often. */
export interface Meal {
  eats: 'prey' | 'leaves' | 'litter' | 'greens' | 'colony-food';
  everyDays: number;
  dishes: Dish[];
  /** Of prey: the largest that is safe. */
  maxLengthMm?: number | undefined;
  prepared?: 'live' | 'pre-killed' | undefined;
  /** Of leaves: from that day on none of its plants bears any, and what it might be got used to instead. */
  bareFrom?: Day | undefined;
  insteadOf?: string[] | undefined;
  cautions: FeedingCaution[];
  grounds: FeedingGround[];
}

/** Feeders that somebody can be fed with, size by size. */
export function preyOf(kinds: readonly FeederKind[]): (PreyOnOffer & { kindId: string })[] {
  return kinds.flatMap((kind) =>
    kind.classes
      .filter((each) => each.isFood)
      .map(({ id, lengthMm, lengthMmRange, massG, massGRange, basis }) => ({
        ...{ id, lengthMm, massG, kindId: kind.id },
        ...(lengthMmRange && massGRange && { pieces: { lengthMm: lengthMmRange, massG: massGRange, basis } }),
        ...(kind.mostAtOnce && { mostAtOnce: kind.mostAtOnce.value }),
        ...(kind.digsIn && { digsIn: true }),
      })),
  );
}

/** Why a kind is not given a food, in the schools that were chosen for it; undefined where nothing speaks against it. */
export function whyNotFor(
  food: Pick<Food, 'neverFor' | 'onlyWith'>,
  profile: CareProfile,
  schools: Schools,
): string | undefined {
  const { group } = profile;
  const never = food.neverFor?.find((each) => each.groups.includes(group));
  if (never) return never.why;
  const { onlyWith } = food;
  if (!onlyWith?.groups.includes(group)) return undefined;
  return schoolsInForce(profile, schools).includes(onlyWith.school) ? undefined : onlyWith.why;
}

/** Why one is not given a food: by its keepers' own list, with their reason, or because none of its kind is. */
export function whyNot(
  food: Pick<Food, 'id' | 'neverFor' | 'onlyWith'>,
  profile: CareProfile,
  schools: Schools,
  forbidden: Readonly<Record<string, string>>,
): string | undefined {
  const own = forbidden[food.id];
  if (own === undefined) return whyNotFor(food, profile, schools);
  return own === '' ? 'It is on its list of forbidden food.' : own;
}
