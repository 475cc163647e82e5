import type { FeedingCaution, Larder, Meal } from '@/core/feeding/food';
import { portionDueOn } from '@/core/feeding/litter';
import { mealOf } from '@/core/feeding/meal';
import { mealPlanOf } from '@/core/feeding/prey';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { Fact } from '@/core/profiles/profile';
import { schoolOn } from '@/core/profiles/schools';
import { jobOf, LOOK_MINUTES, type Rhythm } from './jobParts';
import { quietOver } from './quiet';
import { inOrder, latest } from './signs';
import type { Job, LogEntry, ResidentToday } from './work';

/** The work about food: what was given is looked after, old leaves are searched, and the next meal is given. */
export function feedingJobs(resident: ResidentToday, today: Day, isQuiet: boolean): Job[] {
  return [
    ...(isQuiet ? preyOut(resident, today) : leftovers(resident, today)),
    ...searching(resident, today),
    ...feeding(resident, today),
  ];
}

/** Prey is taken out of a quiet animal's box at once, also what was offered today: it bites a soft one. */
function preyOut({ profile, log }: ResidentToday, today: Day): Job[] {
  return profile.feeding ? lookAfterOffer(log, today, today, 'prey-out', 0) : [];
}

function leftovers(resident: ResidentToday, today: Day): Job[] {
  const hours = hoursUntilLeftovers(resident);
  if (hours === null) return [];
  const afterDays = Math.ceil(hours / 24);
  const jobs = lookAfterOffer(resident.log, addDays(today, -afterDays), today, 'leftovers', afterDays);
  const { diet } = resident.profile;
  const stays = diet?.eats === 'colony-food' ? (diet.seeds ?? []) : [];
  const dishes = resident.meals?.at(-1)?.dishes ?? [];
  const given = dishes.filter(({ food }) => !stays.includes(food));
  // What is stored in the nest is not left over.
  if (dishes.length > 0 && given.length === 0) return [];
  const eats = resident.profile.feeding ? 'prey' : resident.profile.diet?.eats;
  return jobs.map((job) => (eats ? { ...job, meal: { eats, dishes: given, cautions: [] } } : job));
}

/** After so many hours what was not eaten comes out; null for those whose food stays. */
function hoursUntilLeftovers({ profile, schools = {} }: Omit<ResidentToday, 'home'>): number | null {
  const { feeding, diet } = profile;
  if (feeding) return feeding.leftoversAfterHours.value;
  switch (diet?.eats) {
    case 'litter': {
      const isPrepared = schoolOn(profile, 'litter-food', schools['litter-food']) === 'prepared-food';
      return (isPrepared ? diet.preparedHours : diet.freshHours).value;
    }
    case 'greens':
    case 'colony-food':
      return FRESH_HOURS;
    default:
      return null;
  }
}

/** Looking what became of prey or of fresh food. Chosen here */
export const LEFTOVERS_MINUTES = 1;

/** Fresh food comes out after a day. Common practice */
const FRESH_HOURS = 24;

/** Old leaves are searched for young and eggs before they are thrown away, whenever fresh ones went in. */
function searching({ profile, log }: ResidentToday, today: Day): Job[] {
  const changed = profile.diet?.eats === 'leaves' ? latest(log, ['offered'], today) : undefined;
  if (!changed) return [];
  const searched = latest(log, ['searched'], today);
  const isDone = searched !== undefined && inOrder(searched, changed) > 0;
  if (isDone && searched.on < today) return [];
  return [
    {
      kind: 'search',
      dueOn: changed.on,
      until: changed.on,
      cannotWait: true,
      minutes: LOOK_MINUTES,
      reason: { code: 'offered', on: changed.on, at: changed.at, entryId: changed.id },
      ...(isDone && { doneBy: searched.id }),
    },
  ];
}

/** Looking what became of the last prey offered up to a day; none when that was answered before today. */
function lookAfterOffer(
  log: LogEntry[],
  offeredUntil: Day,
  today: Day,
  kind: 'prey-out' | 'leftovers',
  afterDays: number,
): Job[] {
  const offer = latest(log, ['offered'], offeredUntil);
  if (!offer) return [];
  const outcome = latest(log, ['eaten', 'refused'], today);
  const answered = outcome !== undefined && inOrder(outcome, offer) > 0;
  if (answered && outcome.on < today) return [];
  return [
    {
      kind,
      dueOn: addDays(offer.on, afterDays),
      until: addDays(offer.on, afterDays),
      cannotWait: true,
      minutes: LEFTOVERS_MINUTES,
      reason: { code: 'offered', on: offer.on, at: offer.at, entryId: offer.id },
      ...(answered && { doneBy: outcome.id }),
    },
  ];
}

/** When the next meal is due, and what it is to be; null for those that are not fed. What is given today counts later. */
export function feedingRhythm(
  resident: Omit<ResidentToday, 'home'>,
  today: Day,
): { rhythm: Rhythm; meal: Meal; leftoversAfterDays: number | null } | null {
  const { profile, log, meals = [] } = resident;
  const { feeding: hunts, diet } = profile;
  const work = hunts ?? diet;
  const meal = work && nextMeal(resident, today);
  // A queen that has sealed herself in gets nothing until her first workers.
  if (!work || !meal || resident.founding?.isSealed || resident.isGuest) return null;
  const yesterday = addDays(today, -1);
  const offer = latest(log, ['offered'], yesterday);
  const outcome = latest(log, ['eaten', 'refused'], yesterday);
  const refused = hunts && offer && outcome?.kind === 'refused' && outcome.on >= offer.on;
  const move = latest(log, ['taken-in', 'moved'], today);
  const atHomeOn = move && addDays(move.on, hunts?.settleDays.value ?? 0);
  const settled = laterOf(atHomeOn, quietOver(resident, today)?.endsOn);
  const usualDays = Math.floor(Math.max(1, meal.everyDays));
  const interval = refused ? Math.max(usualDays, Math.floor(hunts.offerAgainAfterDays.value)) : usualDays;
  const portionOn = diet?.eats === 'litter' ? portionDueOn(diet, meals, meal.everyDays) : null;
  // Those that live on the litter of their box find food in it when they come.
  const first = diet?.eats === 'litter' && move ? addDays(move.on, usualDays) : (settled ?? today);
  const byRhythm = portionOn ?? (offer ? addDays(offer.on, interval) : first);
  const dueOn = settled && settled > byRhythm ? settled : byRhythm;
  const rhythm: Rhythm = {
    kind: 'feed',
    dueOn,
    everyDays: usualDays,
    toleranceDays: Math.max(
      toleranceDays(resident),
      refused ? longerDays(hunts.offerAgainAfterDays) : 0,
      hunts && dueOn === atHomeOn ? longerDays(hunts.settleDays) : 0,
    ),
    minutes: work.minutes,
    doneWith: ['offered'],
    reason: offer
      ? { code: refused ? 'after-refusal' : 'since-last', days: daysBetween(offer.on, today), on: offer.on }
      : { code: 'never', since: move?.on ?? today },
  };
  const hours = hoursUntilLeftovers(resident);
  return { rhythm, meal, leftoversAfterDays: hours === null ? null : Math.ceil(hours / 24) };
}

/** Others wait so much longer, and do well: nobody is late before. */
const longerDays = ({ value, range }: Fact) => (range ? Math.floor(range.max) - Math.floor(value) : 0);

const laterOf = (a: Day | undefined, b: Day | undefined) => (a === undefined || (b !== undefined && b > a) ? b : a);

function feeding(resident: ResidentToday, today: Day): Job[] {
  const next = feedingRhythm(resident, today);
  if (!next) return [];
  const { eats, maxLengthMm, prepared } = next.meal;
  const cautions = mindedAt(resident, next.meal);
  // What was given stays in the list, though the store would propose another thing by now.
  const given = latest(resident.log, ['offered'], today);
  const dishes = [...(given?.on === today && given.dishes ? given.dishes : next.meal.dishes)];
  return jobOf(next.rhythm, resident.log, today).map((job) => ({
    ...job,
    meal: { eats, dishes, maxLengthMm, prepared, cautions },
  }));
}

/** What to mind when a meal goes in: what the food wants, and the door of its home. */
export const mindedAt = ({ home }: Pick<ResidentToday, 'home'>, { cautions, dishes }: Meal): FeedingCaution[] =>
  home.container.opens === 'zip' && dishes.length > 0 ? [...cautions, 'zip'] : cautions;

/** Prey that nobody has counted or measured is still proposed by its length. */
const EMPTY_LARDER: Larder = { feeders: [], foods: [] };

/** What it is to get next; null for those that are not fed. */
export function nextMeal(resident: Omit<ResidentToday, 'home'>, today: Day): Meal | null {
  const { log, profile } = resident;
  const moult = profile.feeding && latest(log, ['moulted'], today);
  // What was eaten today does not make today's meal another.
  const ate = latest(log, ['eaten'], addDays(today, -1));
  const hasMoulted = moult !== undefined && (!ate || inOrder(moult, ate) > 0);
  // Where no moult came either, something small tells whether it eats, and harms nobody who is about to.
  const afterQuiet = hasMoulted || (profile.feeding !== undefined && quietOver(resident, today) !== null);
  const moved = latest(log, ['moved'], today);
  const brood = { ...resident.brood, ...(moved && { movedDaysAgo: daysBetween(moved.on, today) }) };
  return mealOf({ ...resident, brood, larder: resident.larder ?? EMPTY_LARDER, afterQuiet, on: today });
}

function toleranceDays({ profile, stage, schools = {} }: Omit<ResidentToday, 'home'>): number {
  const { feeding: hunts, diet } = profile;
  const plan = hunts && mealPlanOf(hunts, stage, schoolOn(profile, 'feeding', schools.feeding));
  return plan?.toleranceDays ?? diet?.toleranceDays ?? 0;
}
