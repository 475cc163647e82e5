import type { NewEntry } from '@/contract/entries';
import type { Entry } from '@/contract/storedEntries';
import type { Home } from '@/contract/records';
import { shippedFeeders } from '@/contract/shipped';
import { whyNot, type Dish, type Food } from '@/core/feeding/food';
import { addDays, dayOfMoment, type Day } from '@/core/measure/day';
import { quietTime } from '@/core/plan/quiet';
import type { LeaveAlone, LogEntry, MoultOutlook } from '@/core/plan/work';
import { noticedDays, noticedSigns } from '@/core/plan/signs';
import type { CareBook } from '@/core/profiles/careBook';
import type { CareProfile } from '@/core/profiles/profile';
import { colonyStateOf, foundingOf } from './house/colonies';
import { growthFactsOf, rememberedForecast, subjectOf, type GrowthFacts } from './house/growthFacts';
import { foodsOf } from './foods';
import { invalid, Problem } from './http/problem';
import { logsOf } from './logs';
import type { Queries } from './storage/database';
import { entriesForRound } from './storage/entries';
import { findHome } from './storage/homes';
import type { Ever } from './storage/residents';
import { restsUnderWay } from './rests';
import { residentOn } from './today';

type Offer = Extract<NewEntry, { kind: 'offered' }>;

type FoodsById = ReadonlyMap<string, Food>;

const classById = new Map(shippedFeeders.flatMap((kind) => kind.classes.map((each) => [each.id, each] as const)));

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
  const foods = new Map((await foodsOf(queries)).map((food) => [food.id, food]));
  const dishes = offer.dishes?.map((dish, index) => knownDish(foods, dish, index));
  dishes?.forEach((dish, index) => requireAllowed(foods, dish, index, profile, resident));
  // What is brought in of days gone by has happened: nobody can be asked any more.
  const isPast = offer.insist === true && on < dayOfMoment(new Date(now));
  const quiet = isPast ? null : await quietOn(queries, care, resident, on, now);
  requireMeant(quiet, offer, 'offer food');
  return { ...(dishes && { dishes }), ...(quiet && { inQuiet: 1 }) };
}

/** @throws Problem for a move of one that is left alone today, unless it is insisted on; of a day gone by it has happened */
export async function requireMayMove(
  queries: Queries,
  care: CareBook,
  move: { insist?: boolean | undefined },
  resident: Ever,
  on: string,
  now: string,
): Promise<Entry['data']> {
  if (on < dayOfMoment(new Date(now))) return {};
  const quiet = await quietOn(queries, care, resident, on, now);
  requireMeant(quiet, move, 'move it');
  return quiet ? { inQuiet: 1 } : {};
}

function requireMeant(quiet: LeaveAlone | null, { insist }: { insist?: boolean | undefined }, what: string): void {
  if (!quiet || insist) return;
  throw new Problem('conflict', `It is left alone now. To ${what} all the same, say so once more.`, [
    { path: 'insist', message: `${whyQuiet(quiet)} Send insist: true to ${what} all the same.` },
  ]);
}

function whyQuiet(quiet: LeaveAlone): string {
  switch (quiet.code) {
    case 'hardening':
      return `Its new skin hardens until ${quiet.feedFrom}.`;
    case 'premoult':
      return quiet.premoultPct === null
        ? `It showed that it wants to be left alone (${quiet.signs.join(', ')}).`
        : `It is about to moult (${quiet.signs.join(', ')}).`;
    case 'founding':
      return 'She is sealed in with her first brood: opened, she may eat it.';
    case 'resting':
      return `It is in its winter rest until about ${quiet.endsOn}: food in it would rot.`;
  }
}

/** A dish with what is known of its feeder. @throws Problem when there is no such food, or nothing is said of how much */
function knownDish(foods: FoodsById, dish: Dish, index: number): Dish {
  const path = `dishes.${index}.food`;
  const size = classById.get(dish.food);
  if (!size && !foods.has(dish.food)) throw invalid(path, `There is no food ${dish.food}. See /api/larder.`);
  if (!size) return dish;
  if (dish.count === undefined) throw invalid(`dishes.${index}.count`, 'Must be how many were offered.');
  const { lengthMm = size.lengthMm, massG = size.massG * dish.count } = dish;
  return { ...dish, lengthMm, massG };
}

function requireAllowed(foods: FoodsById, { food }: Dish, index: number, profile: CareProfile, resident: Ever): void {
  const why = whyNot(foods.get(food) ?? { id: food }, profile, resident.schools, resident.forbidden);
  if (why !== undefined) throw invalid(`dishes.${index}.food`, `${foods.get(food)?.name ?? food}: ${why}`);
}

/** Why one is left alone on a day; null where it is not. */
async function quietOn(queries: Queries, care: CareBook, resident: Ever, on: string, now: string) {
  const log = logsOf(await entriesForRound(queries, on, [resident.id])).get(resident.id) ?? [];
  // Only where something was noticed is the moult forecast worth its time.
  const isNoticed = noticedSigns(log, on).length > 0;
  const isColony = resident.form === 'colony';
  const home = isNoticed ? await findHome(queries, resident.homeId) : undefined;
  const facts = home && (await growthFactsOf(queries, resident, on, now));
  const outlooks = home && facts && isNoticed ? moultOutlooks(care, facts, resident, home, log, on) : undefined;
  const state = isColony ? await colonyStateOf(queries, resident, on, now) : undefined;
  const rest = (await restsUnderWay(queries, [resident], on, now)).get(resident.id);
  return quietTime({ ...residentOn(care, resident, log, on), outlooks, rest, founding: foundingOf(state) }, on);
}

/** Whether a moult was close, and when, as it stood on each day on which something was noticed; none for those that moult no more. */
export function moultOutlooks(
  care: CareBook,
  facts: GrowthFacts,
  resident: Parameters<typeof subjectOf>[2],
  home: Home,
  log: readonly LogEntry[],
  on: string,
): MoultOutlook[] {
  const profile = care.of(resident);
  const again = profile.feeding?.offerAgainAfterDays.value ?? 0;
  const noticed = noticedDays(log, on);
  const days = noticed.length > 0 ? [...new Set([...noticed, on])] : [];
  return days.flatMap((asOf) => {
    const subject = subjectOf(facts, care, resident, home, log, asOf);
    if (subject.signs.length === 0) return [];
    const forecast = (day: Day) => rememberedForecast(facts, profile, subject, day, 1);
    const { next, premoultPct, grounds } = forecast(asOf);
    if (!next) return [];
    const byNextOfferPct = Math.max(premoultPct, forecast(addDays(asOf, Math.ceil(again))).premoultPct);
    const { closeDays } = grounds;
    return [{ asOf, premoultPct, byNextOfferPct, medianOn: next.median, closeDays, signs: subject.signs }];
  });
}
