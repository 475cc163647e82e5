import type { EggKind } from '@/core/broods/eggs';
import type { MothKind } from '@/core/broods/emergence';
import type { PopulationKind } from '@/core/colony/kind';
import type { Range } from '@/core/numerics/spreads';
import { kindOf } from '@/core/profiles/careBook';
import { knownOf } from '@/core/profiles/holdsFor';
import type { CareProfile, Fact, FitRule, Ground, RegularWork, Stage } from '@/core/profiles/profile';
import { defaultSchool, type School } from '@/core/profiles/schools';
import type { RestKind } from '@/core/season/rest';

/** The parts of a card, in the order of the work. */
export const CARD_PARTS = ['home', 'soil', 'air', 'warmth', 'food', 'moult', 'breeding', 'rest', 'danger'] as const;
export type CardPart = (typeof CARD_PARTS)[number];

/** The calculators that use the numbers of a card. */
export type Calculator = 'boxes' | 'build' | 'air' | 'feeding' | 'growth' | 'broods' | 'colonies' | 'rest' | 'round';

export type CardKey =
  | 'rule'
  | 'grown'
  | 'growth-at-moult'
  | 'damp-share'
  | 'wetness'
  | 'litter'
  | 'humidity'
  | 'damped-under'
  | 'air-changes'
  | 'open-share'
  | 'temperature'
  | 'bears-outside'
  | 'meals'
  | 'ration'
  | 'prey-length'
  | 'leftovers'
  | 'offer-again'
  | 'leaves-summer'
  | 'leaves-winter'
  | 'portions'
  | 'sugar'
  | 'protein'
  | 'seeds'
  | 'garden-leaves'
  | 'moult-interval'
  | 'quiet'
  | 'eggs-mated'
  | 'eggs-unmated'
  | 'cocoon'
  | 'moth-life'
  | 'grown-life'
  | 'rest-band'
  | 'rest-floor'
  | 'rest-weeks'
  | 'work';

export type CardUnit =
  'mm' | '%' | 'C' | 'h' | 'days' | 'weeks' | 'times' | 'of full' | '/h' | 'per worker' | 'per larva' | 'mg/mL';

/** One number, or band, of a card: what it rests on, whose school it is, and what reckons with it. */
export interface CardLine extends Ground {
  part: CardPart;
  key: CardKey;
  min?: number;
  max?: number;
  unit: CardUnit;
  /** Eight of ten lie between these, where somebody said so. */
  range?: Range;
  /** A rule of the home, in its own words and limits. */
  rule?: FitRule;
  stages?: readonly Stage[];
  /** Which regular work. */
  work?: RegularWork['work'];
  /** Of so many prey, of a meal. */
  count?: number;
  /** The school that it holds in, and whether that is the usual one. */
  school?: { name: string; isUsual: boolean };
  tool: Calculator;
}

/** What is known of a kind beside its care profile. */
export interface CardSources {
  rests: readonly RestKind[];
  eggs: readonly EggKind[];
  moths: readonly MothKind[];
  populations: readonly PopulationKind[];
}

/**
 * The care card of a kind or a species: every number that the program reckons with for it, in the order of the work,
 * each with its ground, its school and the calculator that uses it.
 * @param profile as it holds for the species (`withOverrides`)
 * @param scientificName of a species, whose eggs, winter and numbers may be others than those of its kind
 */
export function careCard(profile: CareProfile, sources: CardSources, scientificName?: string): CardLine[] {
  return [
    ...homeLines(profile),
    ...soilLines(profile),
    ...airLines(profile),
    ...warmthLines(profile),
    ...foodLines(profile),
    ...moultLines(profile),
    ...breedingLines(profile, sources, scientificName),
    ...restLines(profile, sources, scientificName),
    ...workLines(profile),
  ];
}

/** The part of a card that a piece of regular work belongs to. */
const WORK_PART: Record<RegularWork['work'], CardPart> = {
  water: 'air',
  mist: 'air',
  calcium: 'food',
  clutch: 'breeding',
  barrier: 'home',
  rubbish: 'home',
  clean: 'soil',
  turn: 'soil',
  refresh: 'soil',
  weigh: 'food',
  census: 'breeding',
};

const workLines = (profile: CareProfile): CardLine[] =>
  profile.work.map(({ work, stages, everyDays, school, ...rest }): CardLine => ({
    ...band(WORK_PART[work], 'work', 'days', 'round', { min: everyDays, max: everyDays, ...ground(rest) }),
    ...{ stages, work },
    ...schoolOf(profile, school),
  }));

const ground = ({ basis, source }: Ground): Ground => ({ basis, ...(source !== undefined && { source }) });

const fact = (
  part: CardPart,
  key: CardKey,
  unit: CardUnit,
  tool: Calculator,
  { value, range, ...rest }: Fact,
): CardLine => ({
  ...{ part, key, unit, tool, min: value, max: value },
  ...ground(rest),
  ...(range && { range }),
});

const band = (
  part: CardPart,
  key: CardKey,
  unit: CardUnit,
  tool: Calculator,
  { min, max, ...rest }: Ground & { min: number; max: number },
): CardLine => ({ part, key, unit, tool, min, max, ...ground(rest) });

/** The school of a number by its id; nothing where it holds in all. */
function schoolOf(profile: CareProfile, id: string | undefined): Pick<CardLine, 'school'> {
  const school = profile.schools.find((each) => each.id === id);
  return school ? { school: { name: school.name, isUsual: isUsual(profile, school) } } : {};
}

const isUsual = (profile: CareProfile, school: School) => defaultSchool(profile, school.topic) === school.id;

function homeLines(profile: CareProfile): CardLine[] {
  return [
    fact('home', 'grown', 'mm', 'boxes', profile.growth.grownMm),
    ...profile.fit.map((rule): CardLine => {
      const about = rule.quantity === 'substrateDepthMm' || rule.quantity === 'litterDepthMm' ? 'soil' : 'home';
      const isAir = ['ventSharePct', 'openSides', 'openSidePairs'].includes(rule.quantity);
      return {
        ...{ part: isAir ? 'air' : about, key: 'rule', unit: 'mm', tool: 'boxes', rule },
        ...ground(rule),
        ...(rule.stages && { stages: rule.stages }),
        ...schoolOf(profile, rule.school),
      };
    }),
  ];
}

function soilLines({ making }: CareProfile): CardLine[] {
  const { dampWetness, dryWetness, dampSharePct, litterMm } = making;
  return [
    band('soil', 'wetness', 'of full', 'build', { min: dryWetness, max: dampWetness, ...ground(making) }),
    band('soil', 'damp-share', '%', 'build', { min: dampSharePct, max: dampSharePct, ...ground(making) }),
    ...(litterMm > 0
      ? [band('soil', 'litter', 'mm', 'build', { min: litterMm, max: litterMm, ...ground(making) })]
      : []),
  ];
}

function airLines({ climate, making }: CareProfile): CardLine[] {
  const { openSharePct } = making.vents;
  return [
    band('air', 'humidity', '%', 'air', climate.humidityPct),
    ...(climate.damping === 'soil' ? [fact('air', 'damped-under', 'of full', 'air', climate.dampWetnessMin)] : []),
    fact('air', 'air-changes', '/h', 'air', climate.airChangesPerHour),
    band('air', 'open-share', '%', 'build', { min: openSharePct, max: openSharePct, ...ground(making) }),
  ];
}

const warmthLines = ({ climate }: CareProfile): CardLine[] => [
  band('warmth', 'temperature', 'C', 'air', climate.temperatureC),
  fact('warmth', 'bears-outside', 'h', 'air', climate.bearsHours),
];

function foodLines(profile: CareProfile): CardLine[] {
  const { feeding, diet } = profile;
  return [
    ...(feeding?.meals ?? []).map((meal): CardLine => ({
      ...band('food', 'meals', 'days', 'feeding', { min: meal.everyDays, max: meal.everyDays, ...ground(meal) }),
      ...{ stages: meal.stages, count: meal.preyCount },
      ...schoolOf(profile, meal.school),
    })),
    ...(feeding?.rations ?? []).map((ration): CardLine => ({
      ...band('food', 'ration', '%', 'feeding', { min: ration.weeklyPct, max: ration.weeklyPct, ...ground(ration) }),
      stages: ration.stages,
    })),
    ...(feeding
      ? [
          fact('food', 'prey-length', 'times', 'feeding', feeding.preyLengthPerAbdomen),
          fact('food', 'leftovers', 'h', 'feeding', feeding.leftoversAfterHours),
          fact('food', 'offer-again', 'days', 'feeding', feeding.offerAgainAfterDays),
        ]
      : []),
    ...(diet?.eats === 'leaves'
      ? [
          fact('food', 'leaves-summer', 'days', 'feeding', diet.renewDays.summer),
          fact('food', 'leaves-winter', 'days', 'feeding', diet.renewDays.winter),
        ]
      : []),
    ...(diet?.eats === 'litter' ? [fact('food', 'portions', '%', 'feeding', diet.weeklyPctOfMass)] : []),
    ...(diet?.eats === 'greens' ? [fact('food', 'portions', '%', 'feeding', diet.dailyPctOfMass)] : []),
    ...(diet?.eats === 'colony-food'
      ? [
          fact('food', 'sugar', 'per worker', 'feeding', diet.sugarUlPerWorkerPerDay),
          fact('food', 'protein', 'per larva', 'feeding', diet.proteinMgPerLarvaPerDay),
          ...(diet.seedsMgPerWorkerPerDay
            ? [fact('food', 'seeds', 'per worker', 'feeding', diet.seedsMgPerWorkerPerDay)]
            : []),
          ...(diet.leafMgPerFungusMlPerDay
            ? [fact('food', 'garden-leaves', 'mg/mL', 'feeding', diet.leafMgPerFungusMlPerDay)]
            : []),
        ]
      : []),
  ];
}

function moultLines({ growth, quietAfterMoult }: CareProfile): CardLine[] {
  return [
    ...(growth.intervals ?? []).map(({ stages, days }): CardLine => ({
      ...fact('moult', 'moult-interval', 'days', 'growth', days),
      stages,
    })),
    ...(growth.intervals ? [fact('moult', 'growth-at-moult', 'times', 'growth', growth.ratioPerMoult)] : []),
    ...quietAfterMoult.map((quiet): CardLine => ({
      ...band('moult', 'quiet', 'days', 'growth', { min: quiet.days, max: quiet.days, ...ground(quiet) }),
      stages: quiet.stages,
    })),
  ];
}

function breedingLines(
  profile: CareProfile,
  { eggs, moths, populations }: CardSources,
  scientificName?: string,
): CardLine[] {
  const who = { kind: kindOf(profile), scientificName };
  const [egg, moth, population] = [knownOf(eggs, who), knownOf(moths, who), knownOf(populations, who)];
  return [
    ...(egg ? [band('breeding', 'eggs-mated', 'days', 'broods', egg.matedDays)] : []),
    ...(egg?.unmatedDays ? [band('breeding', 'eggs-unmated', 'days', 'broods', egg.unmatedDays)] : []),
    ...(moth ? [band('breeding', 'cocoon', 'days', 'broods', moth.cocoonDays)] : []),
    ...(moth ? [band('breeding', 'moth-life', 'days', 'broods', moth.adultDays)] : []),
    ...(population ? [fact('breeding', 'grown-life', 'days', 'colonies', population.adultLifeDays)] : []),
  ];
}

function restLines(profile: CareProfile, { rests }: CardSources, scientificName?: string): CardLine[] {
  const rest = knownOf(rests, { kind: kindOf(profile), scientificName });
  if (!rest || rest.need === 'never') return [];
  return [
    band('rest', 'rest-band', 'C', 'rest', rest.bandC),
    fact('rest', 'rest-floor', 'C', 'rest', rest.floorC),
    fact('rest', 'rest-weeks', 'weeks', 'rest', rest.weeks),
  ];
}
