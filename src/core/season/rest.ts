import type { HoldsFor } from '@/core/profiles/holdsFor';
import { addDays, daysBetween, latestDay, type Day } from '@/core/measure/day';
import type { BandFact, Fact, Ground, Stage } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';
import type { Hemisphere } from './year';
import type { RestAct } from './restActs';

interface OfProfiles extends Ground, HoldsFor {
  why: string;
}

/** A kind that is kept cool in winter. */
export interface RestingKind extends OfProfiles {
  need: 'must' | 'may';
  /** What it is kept within while it rests. */
  bandC: BandFact;
  /** Never below, not for hours. */
  floorC: Fact;
  /** Month and day on which it usually begins in the north, `MM-DD`; in the south half a year apart. */
  beginsOn: string;
  weeks: Fact;
  /** Cooled and warmed by so many degrees at a time, and left so many days at each. */
  degreesPerStep: Fact;
  daysPerStep: Fact;
  /** Only these stages are cooled; left out, all. */
  stages?: Stage[];
  /** Eggs and cocoons: there is nothing to feed, and nothing to empty. */
  isUnfed?: boolean;
  /** A queen that is sealed in: she is carried to the cold and back, and neither fed nor counted. */
  isUnopened?: boolean;
  /** Looked at, not disturbed, once in so many days. */
  checkEveryDays: Fact;
}

/** The winter of a kind: a rest, or none. */
export type RestKind = RestingKind | (OfProfiles & { need: 'never' });

export interface RestStep {
  on: Day;
  /** What its place is to have from then on. */
  targetC: number;
  what: RestAct;
}

export const REST_WARNINGS = [
  'not-needed',
  'late',
  'very-late',
  'place-too-warm',
  'place-too-cold',
  'place-below-floor',
  'room-is-cool-enough',
] as const;
export type RestWarning = (typeof REST_WARNINGS)[number];

export interface RestPlan {
  steps: RestStep[];
  warnings: RestWarning[];
  /** The coldest it is brought to. C */
  restC: number;
  beginsOn: Day;
  endsOn: Day;
  /** Between which keepers of its kind end it, by the weeks that they give it; the day itself where nobody told them. */
  endsBetween: { from: Day; to: Day };
}

export interface RestQuestion {
  kind: RestKind;
  hemisphere: Hemisphere;
  asOf: Day;
  /** The day on which it is to begin; left out, the day of its season, or today where that has gone by. */
  startOn?: Day | undefined;
  roomC: number;
  /** What the place can hold. */
  placeC: number;
}

/** @throws Refusal at `profile` for kinds that are not cooled down */
export function requireResting(kind: RestKind): RestingKind {
  if (kind.need !== 'never') return kind;
  throw new Refusal([{ path: 'profile', message: `It is not cooled down. ${kind.why}` }]);
}

/** Fed well for so long before the last food, and empty before it is cooled. days, from memory */
const FED_DAYS = 14;
export const EMPTY_DAYS = 4;
/** Begun up to so much after its day a rest is merely late. days, chosen here */
const LATE_DAYS = 21;
/** The shortest rest that is worth the cooling. days, from memory */
export const SHORTEST_DAYS = 42;
/** From one season to the same of the other half of the world. days */
const HALF_A_YEAR = 182;

/**
 * A rest by steps with their days: fed well, emptied, cooled down by a few degrees at a time, held, looked at, warmed up
 * again, fed. Nothing of it lies before the day on which it is planned. Begun late it ends when it would have ended; with too little time left for the steps the next season is
 * meant. It is never brought below its floor: a place that is colder is warned of, and the steps stop at what the kind
 * bears.
 * @throws Refusal at `profile` for kinds that are not cooled down, at `startOn` for a rest that would be over too soon
 */
export function restPlan({ kind: any, hemisphere, asOf, startOn, roomC, placeC }: RestQuestion): RestPlan {
  const kind = requireResting(any);
  const { bandC, floorC } = kind;
  const restC = Math.min(roomC, Math.max(placeC, bandC.min, floorC.value));
  const [down, up] = [stairs(roomC, restC, kind.degreesPerStep.value), stairs(restC, roomC, kind.degreesPerStep.value)];
  const [stepDays, checkDays] = [Math.round(kind.daysPerStep.value), Math.round(kind.checkEveryDays.value)];
  // Down, at least one look, and up again.
  const shortest = Math.max(SHORTEST_DAYS, (down.length + up.length) * stepDays + checkDays);
  const isFed = !kind.isUnfed && !kind.isUnopened;
  // A day that was chosen belongs to the season it is nearest to; else it is the one that is on, or comes next.
  const season = startOn
    ? nearest(startOn, seasonsAbout(startOn, kind, hemisphere))
    : restSeason(kind, hemisphere, isFed ? addDays(asOf, EMPTY_DAYS) : asOf, shortest);
  const { ends } = season;
  const wanted = startOn ?? (season.begins > asOf ? season.begins : asOf);
  // Nothing is done before today: it is fed and emptied first, and where that leaves too little of the season, emptied only.
  const after = (days: number) => (isFed && wanted < addDays(asOf, days) ? addDays(asOf, days) : wanted);
  const fed = after(startOn === undefined ? FED_DAYS + EMPTY_DAYS : EMPTY_DAYS);
  const begins = daysBetween(fed, ends) < shortest ? after(EMPTY_DAYS) : fed;
  const lastFood = addDays(begins, -EMPTY_DAYS);
  const feedWell = latestDay(asOf, addDays(lastFood, -FED_DAYS));
  if (daysBetween(begins, ends) < shortest) {
    const message = `Begun on ${begins} it would be over on ${ends}: less than the ${shortest} days it takes. Wait for the next cool season.`;
    throw new Refusal([{ path: 'startOn', message }]);
  }
  const cold = addDays(begins, down.length * stepDays);
  const warmer = addDays(ends, -up.length * stepDays);
  const step = (what: RestAct, on: Day, targetC: number): RestStep => ({ on, targetC, what });
  const looks = Math.ceil(daysBetween(cold, warmer) / checkDays) - 1;
  return {
    steps: [
      ...(isFed && feedWell < lastFood ? [step('feed-well', feedWell, roomC)] : []),
      ...(isFed
        ? [step('last-food', lastFood, roomC), step('clear-food', addDays(begins, 1 - EMPTY_DAYS), roomC)]
        : []),
      ...(kind.isUnopened ? [] : [step('count', begins, roomC)]),
      ...down.map((targetC, index) => step('cool', addDays(begins, index * stepDays), targetC)),
      step('hold', cold, restC),
      ...Array.from({ length: kind.isUnopened ? 0 : looks }, (_, index) =>
        step('check', addDays(cold, (index + 1) * checkDays), restC),
      ),
      ...up.map((targetC, index) => step('warm', addDays(warmer, index * stepDays), targetC)),
      ...(kind.isUnopened ? [] : [step('count', ends, roomC)]),
      ...(isFed ? [step('first-food', addDays(ends, 1), roomC)] : []),
    ],
    warnings: warningsOf(kind, daysBetween(season.begins, wanted), roomC, placeC),
    restC,
    beginsOn: begins,
    endsOn: ends,
    endsBetween: endsBetween(kind, ends, addDays(begins, shortest)),
  };
}

/** @param earliest its steps take so long at least */
function endsBetween({ weeks: { value, range } }: RestingKind, ends: Day, earliest: Day): RestPlan['endsBetween'] {
  const dayAt = (weeks: number) => addDays(ends, Math.round(7 * (weeks - value)));
  return { from: latestDay(earliest, dayAt(range?.min ?? value)), to: dayAt(range?.max ?? value) };
}

function warningsOf({ need, floorC, bandC }: RestingKind, late: number, roomC: number, placeC: number): RestWarning[] {
  const warnings: RestWarning[] = [];
  if (need === 'may') warnings.push('not-needed');
  if (late > LATE_DAYS) warnings.push('very-late');
  else if (late > 0) warnings.push('late');
  if (placeC < floorC.value) warnings.push('place-below-floor');
  else if (placeC < bandC.min) warnings.push('place-too-cold');
  if (placeC > bandC.max) warnings.push('place-too-warm');
  if (roomC <= bandC.max) warnings.push('room-is-cool-enough');
  return warnings;
}

/** From one temperature to another, by so many degrees at a time; none where they are the same. */
function stairs(fromC: number, toC: number, byC: number): number[] {
  const count = Math.ceil(Math.abs(toC - fromC) / byC - 1e-9);
  return Array.from({ length: count }, (_, index) => fromC + ((toC - fromC) * (index + 1)) / count);
}

interface Season {
  begins: Day;
  ends: Day;
}

/**
 * The season of rest of a kind that is on, or comes next.
 * @param shortest with fewer days than this left of it the next one is meant
 */
export function restSeason(
  kind: RestingKind,
  hemisphere: Hemisphere,
  asOf: Day,
  shortest: number = SHORTEST_DAYS,
): Season {
  const seasons = seasonsAbout(asOf, kind, hemisphere);
  return seasons.find(({ ends }) => daysBetween(asOf, ends) >= shortest) ?? (seasons.at(-1) as Season);
}

/** The rests of the years about a day, in their order. */
function seasonsAbout(day: Day, { beginsOn, weeks }: RestingKind, hemisphere: Hemisphere): Season[] {
  const year = Number(day.slice(0, 4));
  return [year - 1, year, year + 1].map((each) => {
    const north = `${each}-${beginsOn}`;
    const begins = hemisphere === 'north' ? north : addDays(north, -HALF_A_YEAR);
    return { begins, ends: addDays(begins, Math.round(7 * weeks.value)) };
  });
}

function nearest(day: Day, seasons: readonly Season[]): Season {
  const distance = ({ begins }: Season) => Math.abs(daysBetween(day, begins));
  return seasons.reduce((best, each) => (distance(each) < distance(best) ? each : best));
}
