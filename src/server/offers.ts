import type { Entry, NewEntry } from '@/contract/entries';
import type { Home } from '@/contract/records';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import { whyNot, type Dish } from '@/core/feeding/food';
import { dayOfMoment } from '@/core/measure/day';
import { quietTime } from '@/core/plan/quiet';
import type { LeaveAlone, LogEntry, MoultOutlook } from '@/core/plan/work';
import { noticedSigns } from '@/core/plan/signs';
import type { CareBook } from '@/core/profiles/careBook';
import type { CareProfile } from '@/core/profiles/profile';
import { growthFactsOf, rememberedForecast, subjectOf, type GrowthFacts } from './growthFacts';
import { invalid, Problem } from './http/problem';
import { logsOf } from './logs';
import type { Queries } from './storage/database';
import { entriesForRound } from './storage/entries';
import { findHome } from './storage/homes';
import type { Ever } from './storage/residents';
import { restsUnderWay } from './rests';
import { residentOn } from './today';

type Offer = Extract<NewEntry, { kind: 'offered' }>;

const classById = new Map(shippedFeeders.flatMap((kind) => kind.classes.map((each) => [each.id, each] as const)));
const foodById = new Map(shippedFoods.map((food) => [food.id, food]));

/**
 * Refuses food that this one is not given, and an offer to one that is left alone unless it is insisted on (of a day gone
 * by: without asking what held then). Answers what goes with the entry: the dishes with their lengths and weights, and a
 * mark where it was insisted on.
 */
export async function requireOffer(
  queries: Queries,
  care: CareBook,
  offer: Offer,
  resident: Ever,
  on: string,
  now: string,
): Promise<Entry['data']> {
  const profile = care.of(resident);
  const dishes = offer.dishes?.map((dish, index) => knownDish(dish, index));
  dishes?.forEach((dish, index) => requireAllowed(dish, index, profile, resident));
  // What is brought in of days gone by has happened: nobody can be asked any more.
  const isPast = offer.insist === true && on < dayOfMoment(new Date(now));
  const quiet = isPast ? null : await quietOn(queries, care, resident, on, now);
  if (quiet && !offer.insist) {
    throw new Problem('conflict', 'It is left alone now. To offer food all the same, say so once more.', [
      { path: 'insist', message: quietWords(quiet) },
    ]);
  }
  return { ...(dishes && { dishes }), ...(quiet && { inQuiet: 1 }) };
}

const quietWords = (quiet: LeaveAlone) => `${whyQuiet(quiet)} Send insist: true to offer food all the same.`;

function whyQuiet(quiet: LeaveAlone): string {
  switch (quiet.code) {
    case 'hardening':
      return `Its new skin hardens until ${quiet.feedFrom}.`;
    case 'premoult':
      return `It is about to moult (${quiet.signs.join(', ')}).`;
    case 'resting':
      return `It is in its winter rest until about ${quiet.endsOn}: food in it would rot.`;
  }
}

/** A dish with what is known of its feeder. @throws Problem when there is no such food, or nothing is said of how much */
function knownDish(dish: Dish, index: number): Dish {
  const path = `dishes.${index}.food`;
  const size = classById.get(dish.food);
  if (!size && !foodById.has(dish.food)) throw invalid(path, `There is no food ${dish.food}. See /api/larder.`);
  if (!size) return dish;
  if (dish.count === undefined) throw invalid(`dishes.${index}.count`, 'Must be how many were offered.');
  const { lengthMm = size.lengthMm, massG = size.massG * dish.count } = dish;
  return { ...dish, lengthMm, massG };
}

function requireAllowed({ food }: Dish, index: number, profile: CareProfile, resident: Ever): void {
  const why = whyNot(foodById.get(food) ?? { id: food }, profile, resident.schools, resident.forbidden);
  if (why !== undefined) throw invalid(`dishes.${index}.food`, `${foodById.get(food)?.name ?? food}: ${why}`);
}

/** Why one is left alone on a day; null where it is not. */
async function quietOn(queries: Queries, care: CareBook, resident: Ever, on: string, now: string) {
  const log = logsOf(await entriesForRound(queries, on, resident.id)).get(resident.id) ?? [];
  // Only where something was noticed is the moult forecast worth its time.
  const home = noticedSigns(log, on).length > 0 ? await findHome(queries, resident.homeId) : undefined;
  const moult = home && moultOutlook(care, await growthFactsOf(queries, resident, on, now), resident, home, log, on);
  const rest = (await restsUnderWay(queries, [resident], on, now)).get(resident.id);
  return quietTime({ ...residentOn(care, resident, log, on), moult, rest }, on);
}

/** Whether a moult is close, and when; undefined where no sign was seen, and for those that moult no more. */
export function moultOutlook(
  care: CareBook,
  facts: GrowthFacts,
  resident: Parameters<typeof subjectOf>[2],
  home: Home,
  log: readonly LogEntry[],
  on: string,
): MoultOutlook | undefined {
  const subject = subjectOf(facts, care, resident, home, log, on);
  if (subject.signs.length === 0) return undefined;
  const { next, premoultPct, grounds } = rememberedForecast(facts, care.of(resident), subject, on, 1);
  const { closeDays } = grounds;
  return next ? { premoultPct, medianOn: next.median, closeDays, signs: subject.signs } : undefined;
}
