import { shippedFeeders } from '@/contract/shipped';
import type { SupplyPlan } from '@/contract/store';
import { breedersFor, yieldPerWeek } from '@/core/feeding/culture';
import { demandOf, type Demand, type Eater } from '@/core/feeding/demand';
import { feederSupply, foodShortfall, supplyLine, type PriceList } from '@/core/feeding/supply';
import { groupBy } from '@/core/groupBy';
import type { Day } from '@/core/measure/day';
import { latest } from '@/core/plan/signs';
import { Refusal } from '@/core/refusal';
import type { Supplier } from './devices/supplier';
import { houseToday, type HouseToday, type Lodger } from './house/houseToday';
import { inTurn } from './house/inTurn';
import { answersTheSame, askedOf, onHandOf, type StoreAsked } from './house/storeAsked';
import { larderOf, type Shelf } from './larder';
import type { Queries } from './storage/database';
import { listCultures } from './storage/store';

const WEEKS = 12;

/** What the house will eat in the weeks to come, what stock and cultures leave short, and what to order when. */
export async function supplyPlanOf(queries: Queries, supplier: Supplier, today: Day, now: string): Promise<SupplyPlan> {
  const house = await houseToday(queries, today, now);
  const { shelf } = house;
  const demand = await demandOfHouse(house);
  const prices = groupBy((await supplier.priceList()).lines, ({ item }) => item);
  const lines = [
    ...(await feederLines(queries, demand, shelf.feeders, prices, today)),
    ...foodLines(shelf, demand, prices, today),
  ];
  const totalCost = lines.reduce((sum, line) => sum + line.totalCost, 0);
  return { from: today, weeks: WEEKS, supplier: supplier.name, lines, totalCost };
}

/** What one will eat, and what was asked of the store for it: it stands while the store would answer the same. */
const eaten = new WeakMap<Lodger, { demand: Demand; asked: StoreAsked; onHand: ReadonlyMap<string, number> }>();

/** What everybody will eat. */
async function demandOfHouse({ on, lodgers, shelf }: HouseToday): Promise<Demand> {
  const larder = larderOf(shelf);
  const onHand = onHandOf(larder);
  const all = await inTurn(lodgers, (lodger) => {
    const eater = eaterOf(lodger, on);
    if (!eater) return undefined;
    const known = eaten.get(lodger);
    if (known && answersTheSame(known.asked, known.onHand, onHand)) return known.demand;
    const { larder: asking, asked } = askedOf(larder);
    const demand = demandOf([eater], asking, on, WEEKS);
    eaten.set(lodger, { demand, asked, onHand });
    return demand;
  });
  const sum: Demand = new Map();
  for (const demand of all) {
    for (const [item, weeks] of demand ?? []) {
      const before = sum.get(item) ?? none();
      sum.set(
        item,
        before.map((each, week) => each + (weeks[week] ?? 0)),
      );
    }
  }
  return sum;
}

/** One that is fed, with the last meal, the last moult and how long it is left alone. */
function eaterOf({ today, log, due: { leaveAlone } }: Lodger, on: Day): Eater | undefined {
  if ((!today.profile.feeding && !today.profile.diet) || today.isGuest) return undefined;
  return {
    ...today,
    lastMealOn: latest(log, ['offered'], on)?.on,
    lastMoultOn: latest(log, ['moulted'], on)?.on,
    quietUntil: leaveAlone?.code === 'hardening' ? leaveAlone.feedFrom : (leaveAlone?.endsOn ?? undefined),
  };
}

type Lines = SupplyPlan['lines'];
const none = () => Array.from({ length: WEEKS }, () => 0);
const isNeeded = (weeks: readonly number[]) => weeks.some((each) => each > 0);

async function feederLines(
  queries: Queries,
  demand: ReadonlyMap<string, number[]>,
  stock: ReadonlyMap<string, number[]>,
  prices: PriceList,
  today: Day,
): Promise<Lines> {
  const cultures = await listCultures(queries);
  return shippedFeeders.flatMap((kind) => {
    const needed = kind.classes.map(({ id }) => demand.get(id) ?? none());
    const cultured = kind.classes.map(({ id }) =>
      cultures
        .filter((each) => each.kind === kind.id && each.harvested === id)
        .reduce((sum, each) => sum + yieldPerWeek(kind, id, each.breeders), 0),
    );
    const counts = stock.get(kind.id) ?? kind.classes.map(() => 0);
    return feederSupply(kind, counts, needed, cultured, prices, today)
      .filter((line) => isNeeded(line.demand))
      .map((line) => {
        const weekly = line.demand.reduce((sum, each) => sum + each, 0) / WEEKS;
        const breeders = breedersOrNull(() => breedersFor(kind, { [line.item]: weekly }).breeders);
        return { ...line, unit: 'pieces' as const, breeders };
      });
  });
}

function breedersOrNull(work: () => number): number | null {
  try {
    return Math.ceil(work());
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

/** Less than this of the smallest pack in a week comes off what a kitchen has. Chosen here */
const KITCHEN_SHARE = 0.5;

function foodLines(
  { foods, lots }: Shelf,
  demand: ReadonlyMap<string, number[]>,
  prices: PriceList,
  today: Day,
): Lines {
  return foods.flatMap((food) => {
    const own = demand.get(food.id);
    if (!own || !isNeeded(own)) return [];
    const weekly = own.reduce((sum, each) => sum + each, 0) / WEEKS;
    const smallest = Math.min(...(prices.get(food.id) ?? []).map(({ packSize }) => packSize));
    const isFromKitchen = food.kind === 'vegetable' && weekly < KITCHEN_SHARE * smallest;
    const unit = food.kind === 'sugar' ? ('ml' as const) : ('g' as const);
    const supply = supplyLine(
      {
        item: food.id,
        demand: own,
        short: foodShortfall(own, lots.get(food.id) ?? [], today),
        weeklyLossPct: 0,
        shelfLifeWeeks: Math.max(1, Math.floor(food.shelfLifeDays / 7)),
        prices: isFromKitchen ? [] : (prices.get(food.id) ?? []),
      },
      today,
    );
    return [{ ...supply, unit, breeders: null, ...(isFromKitchen && { isFromKitchen }) }];
  });
}
