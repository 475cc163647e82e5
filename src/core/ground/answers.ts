import { hatchForecast } from '@/core/broods/hatch';
import { meeting } from '@/core/broods/emergence';
import { forecastMoisture } from '@/core/climate/forecast';
import { questionOf, recipeIn, USUAL_ROOM, wishesOf, type AiredHome } from '@/core/climate/homeAir';
import { usualStages } from '@/core/colony/brood';
import type { PopulationKind } from '@/core/colony/kind';
import { usualCourse } from '@/core/colony/project';
import { feederPopulation } from '@/core/feeding/feederPopulation';
import { preyOf, type FeederKind } from '@/core/feeding/food';
import { mealOf } from '@/core/feeding/meal';
import { moultForecast } from '@/core/growth/forecast';
import { usualIntervalDays } from '@/core/growth/pace';
import { quietDaysAfterMoult } from '@/core/growth/quietDays';
import { stillness, type StillnessGuide } from '@/core/growth/stillness';
import { fit, type Animal } from '@/core/housing/fit';
import { boxOfSize, isMadeFor } from '@/core/housing/ladder';
import { rankHomes } from '@/core/housing/rank';
import { addDays, daysBetween } from '@/core/measure/day';
import { takenMeasure } from '@/core/profiles/animal';
import { careBook } from '@/core/profiles/careBook';
import { knownOf, type OfKind } from '@/core/profiles/holdsFor';
import type { CareProfile } from '@/core/profiles/profile';
import { warmthVerdict } from '@/core/profiles/warmth';
import { Refusal } from '@/core/refusal';
import { restPlan } from '@/core/season/rest';
import { buildHome } from '@/core/substrate/buildSheet';
import { materialTableOf } from '@/core/substrate/material';
import { diagnose } from '@/core/trouble/diagnose';
import { troubleTable } from '@/core/trouble/table';
import type { AnimalCase } from './cases';
import type { Knowledge } from './knowledge';

/** What a keeper asks, and the engines answer. */
export const KEEPER_QUESTIONS = [
  'home',
  'box-to-buy',
  'filling',
  'air',
  'warmth',
  'moult',
  'meal',
  'work',
  'rest',
  'brood',
  'numbers',
  'trouble',
  'stillness',
] as const;
export type KeeperQuestion = (typeof KEEPER_QUESTIONS)[number];

/** One answer: a number, a word (a verdict, which box), or null where there is none. */
export interface KeeperAnswer {
  question: KeeperQuestion;
  /** By which it is found again among the others of its question. */
  key: string;
  /** What exactly is answered: `at 22 C`. */
  about: string;
  value: number | string | null;
}

/** The day on which everything is asked. A year begins without rest or leaves: what depends on the season shows. */
const ON = '2026-01-15';
const ROOMS_C = [18, 22, 27] as const;
const AIR_DAYS = 21;
/** So much of its usual interval has gone by since it moulted. */
const SINCE_MOULT = 0.6;
const COLONY = { heads: 80, weeks: 12, temperatureC: 24, room: 2000 };
const EGGS = { count: 20, laidDaysAgo: 20, temperatureC: 23 };
/** A refrigerator, a cellar, a cool room. C */
const PLACES_C = [4, 9, 14] as const;
const BEFORE_WINTER = '2026-09-01';
const STILL_DAYS = [7, 30, 90] as const;

/** What is answered, with what; and by what it is found again, where several are about the same. */
type Told = readonly (readonly [about: string, value: number | string | null | undefined, key?: string])[];

/** What is refused counts as an answer of its own. */
function told(question: KeeperQuestion, tell: () => Told): KeeperAnswer[] {
  try {
    return tell().map(([about, value, key = about]) => ({ question, key, about, value: value ?? null }));
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return [{ question, key: 'refused', about: 'refused', value: error.message }];
  }
}

/** What is asked of somebody in a home. */
export const ASKED_OF_AN_ANIMAL = ['home', 'box-to-buy', 'filling', 'air', 'warmth', 'moult', 'meal', 'work'] as const;

/** The answers about somebody in a home, to those of these questions that are asked. */
export function answersAbout(one: AnimalCase, knowledge: Knowledge, asked: readonly KeeperQuestion[]): KeeperAnswer[] {
  const { home, stage, headCount, scientificName } = one;
  const profile = careBook(knowledge.profiles, knowledge.species).of({ profile: one.profile, scientificName, stage });
  const animal: Animal = { stage, headCount, [profile.measure.takes]: one.sizeMm };
  const ways: Record<(typeof ASKED_OF_AN_ANIMAL)[number], () => Told> = {
    home: () => homeAnswers(profile, animal, home),
    'box-to-buy': () => boxAnswers(profile, animal, knowledge),
    filling: () => fillingAnswers(profile, animal, one, knowledge),
    air: () => airAnswers(profile, one, knowledge),
    warmth: () => ROOMS_C.map((roomC) => [`at ${roomC} C`, warmthVerdict(profile.climate.temperatureC, roomC).status]),
    moult: () => moultAnswers(profile, animal),
    meal: () => mealAnswers(profile, animal, knowledge),
    work: () => workAnswers(profile, animal),
  };
  return ASKED_OF_AN_ANIMAL.filter((each) => asked.includes(each)).flatMap((each) => told(each, ways[each]));
}

/** What is asked of a kind, whatever the stage. */
export const ASKED_OF_A_KIND = ['rest', 'brood', 'numbers'] as const;

/** The answers about a kind, to those of these questions that are asked. */
export function answersAboutKind(who: OfKind, knowledge: Knowledge, asked: readonly KeeperQuestion[]): KeeperAnswer[] {
  const ways: Record<(typeof ASKED_OF_A_KIND)[number], () => Told> = {
    rest: () => restAnswers(who, knowledge),
    brood: () => broodAnswers(who, knowledge),
    numbers: () => {
      const kind = knownOf(knowledge.populations, who);
      return kind ? populationAnswers(kind) : [];
    },
  };
  return ASKED_OF_A_KIND.filter((each) => asked.includes(each)).flatMap((each) => told(each, ways[each]));
}

function homeAnswers(profile: CareProfile, animal: Animal, home: AiredHome): Told {
  const { checks, verdict, largestSafeOpeningMm } = fit(profile, { ...animal, ...home });
  return [
    ...checks.map(({ rule, quantity, status }) => {
      const { words } = profile.fit.find((each) => each.id === rule && each.quantity === quantity) ?? {};
      return [words?.pass ?? rule, status, rule] as const;
    }),
    ['verdict', verdict],
    ['largest safe opening', largestSafeOpeningMm],
  ];
}

function boxAnswers(profile: CareProfile, animal: Animal, { boxSizes }: Knowledge): Told {
  const sizes = boxSizes.filter((size) => isMadeFor(size, profile));
  const ranked = rankHomes(
    profile,
    animal,
    sizes.map((size) => ({ ...boxOfSize(size), asItStands: false })),
  );
  const [best] = ranked;
  const nameOf = (id: string) => sizes.find((size) => size.id === id)?.name ?? id;
  return [
    ['the best', best && nameOf(best.homeId)],
    ['depth', best?.depthMm],
    ['holes a side', best?.drill?.perSide],
    ['hole', best?.drill?.diameterMm],
    ...ranked.map(({ homeId, verdict }) => [nameOf(homeId), verdict, homeId] as const),
  ];
}

const recipeOf = (profile: CareProfile, { mixId }: AnimalCase, { mixes }: Knowledge) =>
  recipeIn({ mixId }, profile, mixes);

function fillingAnswers(profile: CareProfile, animal: Animal, one: AnimalCase, knowledge: Knowledge): Told {
  const { home } = one;
  if (home.nest) return [];
  const { filling, steps } = buildHome(
    profile,
    { ...animal, ...home, recipe: recipeOf(profile, one, knowledge), wetnessFrom: 0.1 },
    materialTableOf(knowledge.materials),
  );
  return [
    ['water', filling.waterMl],
    ['wet mass', filling.wetMassG],
    ['bricks', filling.bricks.reduce((sum, { count }) => sum + count, 0)],
    ['steps', steps.map(({ code }) => code).join()],
  ];
}

function airAnswers(profile: CareProfile, one: AnimalCase, knowledge: Knowledge): Told {
  if (one.home.nest) return [];
  const recipe = recipeOf(profile, one, knowledge);
  const table = materialTableOf(knowledge.materials);
  const question = questionOf(profile, one.stage, one.home, USUAL_ROOM, recipe, table, AIR_DAYS);
  const forecast = forecastMoisture(question, wishesOf(profile));
  return [
    ['stale', forecast.staleAir],
    ['humidity', forecast.steadyRelativeHumidityPct],
    ['in band', forecast.inBandPct],
    ['days to damp', forecast.daysToRedamp],
    ['water to damp', forecast.redampMl],
    ['dish', forecast.dishMlPerDay],
  ];
}

function moultAnswers(profile: CareProfile, animal: Animal): Told {
  const { mm } = takenMeasure(profile, animal);
  const usual = usualIntervalDays(profile, animal.stage, USUAL_ROOM.temperatureC) ?? 0;
  const last = addDays(ON, -Math.round(SINCE_MOULT * usual));
  const forecast = moultForecast({
    ...{ profile, stage: animal.stage, asOf: ON, temperatureC: USUAL_ROOM.temperatureC },
    ...{ moults: usual > 0 ? [{ on: last, sizeMm: mm }] : [], ahead: 2 },
  });
  const ahead = (day: string | undefined) => (day === undefined ? null : daysBetween(ON, day));
  return [
    ['days to the next', ahead(forecast.next?.median)],
    ['latest', ahead(forecast.next?.p90)],
    ['size after it', forecast.sizeMm[0]?.median],
    ['moults until grown', forecast.moultsToAdult?.median],
    ['near a moult', forecast.premoultPct],
    ['quiet days', quietDaysAfterMoult(profile, animal.stage, mm)],
  ];
}

function mealAnswers(profile: CareProfile, animal: Animal, { feeders, foods }: Knowledge): Told {
  const meal = mealOf({ profile, ...animal, on: ON, larder: { feeders: preyOf(feeders), foods } });
  if (!meal) return [];
  const sizes = feeders.flatMap(({ plural, classes }) =>
    classes.map((each) => ({ id: each.id, name: `${each.name} ${plural}` })),
  );
  const nameOf = (id: string) => [...sizes, ...foods].find((each) => each.id === id)?.name ?? id;
  const { feeding } = profile;
  const hunger = feeding?.bearsHunger?.find(({ stages }) => stages.includes(animal.stage))?.days.value;
  return [
    ['every', meal.everyDays],
    ['what', meal.dishes.map(({ food, count }) => [count, nameOf(food)].filter(Boolean).join(' ')).join(', ')],
    ['mass', meal.dishes.reduce((sum, { massG, volumeMl }) => sum + (massG ?? volumeMl ?? 0), 0)],
    ['largest prey', meal.maxLengthMm],
    ['how', meal.prepared],
    ['offered again', feeding?.offerAgainAfterDays.value],
    ['leftovers out', feeding?.leftoversAfterHours.value],
    ['settles', feeding?.settleDays.value],
    ['bears hunger', hunger],
  ];
}

/** How often each work comes, and all minutes of a year in which it is moved once and its soil is put right once. */
function workAnswers({ work, feeding, diet, homeWork }: CareProfile, { stage }: Animal): Told {
  const rows = work.filter(({ stages }) => stages.includes(stage));
  const meal = feeding?.meals.find(({ stages }) => stages.includes(stage));
  const yearly = rows.reduce((sum, { everyDays, minutes }) => sum + (365 * minutes) / everyDays, 0);
  const fed = meal ? (365 * (feeding?.minutes ?? 0)) / meal.everyDays : 0;
  const given = diet && 'everyDays' in diet ? (365 * diet.minutes) / diet.everyDays : 0;
  return [
    ...rows.map(({ work: name, everyDays, toleranceDays }) => [name, everyDays + toleranceDays] as const),
    ['feeding waits', meal?.toleranceDays ?? diet?.toleranceDays],
    ['minutes a year', yearly + fed + given + homeWork.moveMinutes + homeWork.soilMinutes],
  ];
}

function restAnswers(who: OfKind, { rests }: Knowledge): Told {
  const kind = knownOf(rests, who);
  if (!kind || kind.need === 'never') return [];
  return PLACES_C.flatMap((placeC) => {
    const plan = restPlan({ kind, hemisphere: 'north', asOf: BEFORE_WINTER, roomC: USUAL_ROOM.temperatureC, placeC });
    const days = (day: string) => daysBetween(BEFORE_WINTER, day);
    return [
      [`begins, ${placeC} C`, days(plan.beginsOn)],
      [`ends, ${placeC} C`, days(plan.endsOn)],
      [`coldest, ${placeC} C`, plan.restC],
      [`warnings, ${placeC} C`, plan.warnings.join()],
    ] as const;
  });
}

function broodAnswers(who: OfKind, { eggs, moths }: Knowledge): Told {
  const [egg, moth] = [knownOf(eggs, who), knownOf(moths, who)];
  const { count, laidDaysAgo, temperatureC } = EGGS;
  const laidFrom = addDays(ON, -laidDaysAgo);
  const hatch =
    egg &&
    hatchForecast({
      ...{ kind: egg, eggs: count, laidFrom, mating: 'mated', temperatureC, asOf: ON },
      warmSince: egg.coldWeeks ? laidFrom : undefined,
    });
  const meets =
    moth &&
    meeting({
      ...{ kind: moth, temperatureC, asOf: ON },
      cocoons: (['female', 'male'] as const).map((sex, index) => ({
        id: sex,
        sex,
        count: 2,
        on: addDays(ON, -5 * index),
      })),
    });
  return [
    ...(hatch
      ? ([
          ['hatches', daysBetween(ON, hatch.median)],
          ['last', daysBetween(ON, hatch.to)],
          ['how many', hatch.expected.median],
        ] as const)
      : []),
    ...(meets
      ? ([
          ['females out', meets.female && daysBetween(ON, meets.female.median)],
          ['males out', meets.male && daysBetween(ON, meets.male.median)],
          ['meet', meets.meetPct],
        ] as const)
      : []),
  ];
}

function populationAnswers(kind: PopulationKind): Told {
  const { heads, weeks, temperatureC, room } = COLONY;
  const queens = kind.laying.by === 'queen' ? 1 : 0;
  const counts = usualStages(kind, heads, queens, temperatureC, room);
  const { grown, total } = usualCourse({
    ...{ kind, counts, temperatureC, weeks },
    ...(queens > 0 && { queens }),
    roomForHeads: room,
  });
  return [
    ['grown', grown.at(-1)],
    ['all', total.at(-1)],
    ['grown halfway', grown[weeks / 2]],
  ];
}

/** What a culture of a feeder comes to. */
export const answersAboutFeeder = (kind: FeederKind): KeeperAnswer[] =>
  told('numbers', () => populationAnswers(feederPopulation(kind)));

/** The likeliest cause by each sign alone, of a kind of animal. */
export const answersAboutTrouble = ({ causes, boxSigns, troubles }: Knowledge, at: number): KeeperAnswer[] =>
  told('trouble', () => {
    const kind = troubles[at];
    if (!kind) return [];
    const table = troubleTable(kind, causes, boxSigns);
    return [...table.boxSigns, ...table.signs].flatMap(({ id, title }) => {
      const [first] = diagnose(table, { yes: [id], no: [] }).ranked;
      return [
        [`${title}: likeliest`, table.causes.find((cause) => cause.id === first?.id)?.title, id],
        [`${title}: chance, %`, first?.pct, `${id} %`],
      ] as const;
    });
  });

/** Dead or alive, by the days and by each finding. */
export const answersAboutStillness = (guide: StillnessGuide): KeeperAnswer[] =>
  told('stillness', () => [
    ...STILL_DAYS.map(
      (days) => [`${days} days, looked at again in`, stillness(guide, days, []).lookAgainInDays] as const,
    ),
    ...guide.findings.map(({ id, title }) => [title, stillness(guide, 10, [id]).verdict, id] as const),
    ...STILL_DAYS.map((days) => [`${days} days, dead by a chance of, %`, stillness(guide, days, []).deadPct] as const),
  ]);
