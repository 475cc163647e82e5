import type { Brood, Layer } from '@/contract/broods';
import type { EntryOf } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import type { EggKind } from '@/core/broods/eggs';
import type { HatchForecast } from '@/core/broods/hatch';
import { layersForecast } from '@/core/broods/layers';
import { rearedAfter, type Cohort } from '@/core/broods/reared';
import { surplusPlan } from '@/core/broods/surplus';
import type { Dish, Larder } from '@/core/feeding/food';
import { isInLeaf } from '@/core/feeding/leaves';
import { mealOf } from '@/core/feeding/meal';
import { innerVolumeL } from '@/core/housing/container';
import { roomForHeads } from '@/core/housing/fit';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { latest } from '@/core/plan/signs';
import type { CareProfile } from '@/core/profiles/profile';
import { usualMassG } from '@/core/profiles/weight';
import { guarded } from './guarded';
import type { Clock } from './clock';
import { groupBy } from '@/core/groupBy';
import { hatchingOf, type Hatching } from './hatching';
import { houseToday, type HouseToday, type Lodger } from './house/houseToday';
import { YEAR_DAYS } from './house/housePlan';
import { inTurn } from './house/inTurn';
import { larderOf } from './larder';
import { eggKindOf, populationOf } from './kinds';
import type { Queries } from './storage/database';
import { entriesOfKinds } from './storage/entries';

/** "What will I house if I keep them all": that long ahead. days */
const HALF_A_YEAR = 182;
/** Who hatches in a week does so in its middle on the mean. days */
const HALF_A_WEEK = 3;

/** All eggs of the house, with when they hatch and what becomes of them. */
export async function broodsOf(queries: Queries, clock: Clock): Promise<Brood[]> {
  const house = await houseToday(queries, clock.today(), clock.now());
  const eggs = house.lodgers.filter(({ resident }) => resident.form === 'eggs');
  const ids = eggs.map(({ resident }) => resident.id);
  const logs = groupBy(await entriesOfKinds(queries, ids, ['laid', 'surplus']), ({ residentId }) => residentId ?? '');
  const table = { larder: withoutNumbers(larderOf(house.shelf)), hemisphere: house.hemisphere };
  const broods = await inTurn(eggs, (lodger) => {
    const known = kept.get(lodger);
    if (known) return known;
    const { resident, home, on } = lodger;
    const log = logs.get(resident.id) ?? [];
    const { temperatureC } = house.facts.warmth(home);
    const brood = guarded(() =>
      broodOf({
        ...{ resident, home, table, log, temperatureC, today: on },
        profile: house.care.of({ ...resident, stage: undefined }),
        hatching: hatchingOf({
          ...{ resident, temperatureC, today: on, rest: house.rests.get(resident.id) },
          laid: log.findLast((entry) => entry.kind === 'laid'),
          spreadTimes: house.spread.hatch,
        }),
      }),
    );
    if (brood) kept.set(lodger, brood);
    return brood;
  });
  return broods.flatMap((brood) => brood ?? []);
}

/** What becomes of some eggs, as long as nothing about them changes. */
const kept = new WeakMap<Lodger, Brood>();

/** Half a year from now there may be as much of anything as is wanted. */
const withoutNumbers = ({ feeders, foods }: Larder): Larder => ({
  feeders: feeders.map((feeder) => ({ ...feeder, onHand: undefined })),
  foods: foods.map((food) => ({ ...food, onHand: undefined })),
});

interface BroodFacts {
  resident: Resident;
  home: Home;
  profile: CareProfile;
  log: readonly EntryOf<'laid' | 'surplus'>[];
  hatching: Hatching;
  temperatureC: number;
  today: Day;
  /** What can be fed to the young. */
  table: Pick<Parameters<typeof mealOf>[0], 'larder' | 'hemisphere'>;
}

function broodOf(facts: BroodFacts): Brood {
  const { resident, log, today, hatching, table, profile } = facts;
  const { kind, lookFrom: _, ...known } = hatching;
  const { forecast, eggs } = known;
  const wish = log.findLast((entry) => entry.kind === 'surplus');
  return {
    ...known,
    residentId: resident.id,
    feedOff: kind?.feedOff ?? null,
    freezing: kind?.freezing ?? null,
    surplus: wish && kind && forecast ? surplusPlan(kind, eggs, forecast.expected, wish.data) : null,
    inHalfAYear: kind && forecast ? keptAll(facts, kind, forecast) : null,
    bareUntil: forecast ? bareUntil(profile, forecast, table, today) : null,
  };
}

/** Those that eat leaves find none on the day on which most are likely to hatch: the first on which they do; null where they do. */
function bareUntil(
  { diet }: CareProfile,
  { median, weeks }: HatchForecast,
  { larder, hemisphere = 'north' }: BroodFacts['table'],
  today: Day,
): Day | null {
  if (diet?.eats !== 'leaves' || weeks.length === 0) return null;
  const plants = larder.foods.filter(({ id }) => diet.plants.includes(id));
  const isBare = (on: Day) => !plants.some((plant) => isInLeaf(plant, on, hemisphere));
  const on = median < today ? today : median;
  if (plants.length === 0 || !isBare(on)) return null;
  const days = Array.from({ length: YEAR_DAYS }, (_, day) => day).find((day) => !isBare(addDays(on, day)));
  return days === undefined ? null : addDays(on, days);
}

/** What it would take to keep them all: heads, boxes, litres, and food in a week. */
function keptAll(facts: BroodFacts, kind: EggKind, { weeks, expected }: HatchForecast): Brood['inHalfAYear'] {
  const { profile, temperatureC, today } = facts;
  const on = addDays(today, HALF_A_YEAR);
  const hatching = weeks.map((week) => ({
    count: expected.median * week.share,
    daysBefore: daysBetween(week.on, on) - HALF_A_WEEK,
  }));
  const { heads, sizeMm, stage, cohorts } = rearedAfter(profile, hatching, kind.weeklyDeathPct.value, temperatureC);
  const isAlone = profile.company.sameKind === 'alone';
  const needs = cohorts.map((each) => ({ ...each, ...roomOf(each, facts) }));
  const litres = needs.reduce<number | null>(
    (all, need) => (all === null || need.litres === null ? null : all + need.litres),
    0,
  );
  // Those that live alone are fed each by its size; the others together, by what all of them weigh.
  const meals = isAlone ? needs.map((each) => ({ times: each.heads, meal: mealFor(each, 1, facts, on) })) : [];
  if (!isAlone && heads > 0) meals.push({ times: 1, meal: mealFor(meanOf(cohorts, profile), heads, facts, on) });
  const sum = (of: (dish: Dish) => number) =>
    meals.reduce((all, { times, meal }) => {
      const dishes = (meal?.dishes ?? []).reduce((total, dish) => total + of(dish), 0);
      return all + (times * dishes * 7) / Math.max(1, meal?.everyDays ?? 1);
    }, 0);
  const eats = meals.find(({ meal }) => meal)?.meal?.eats;
  return {
    ...{ on, heads, sizeMm, stage, boxes: isAlone ? heads : null, litres: isAlone ? null : litres },
    foodGPerWeek: eats === undefined || eats === 'prey' ? null : sum(({ massG = 0 }) => massG),
    preyPerWeek: eats === 'prey' ? sum(({ count = 0 }) => count) : null,
  };
}

const measuresOf = (sizeMm: number | null, { measure }: CareProfile) =>
  sizeMm === null ? {} : { [measure.takes]: sizeMm };

/** The litres that those of one age take, in boxes like the one that the eggs are in, by the room that its rules give to each. */
function roomOf({ heads, sizeMm, stage }: Cohort, { profile, home, resident }: BroodFacts): { litres: number | null } {
  const room = sizeMm === null ? null : roomForHeads(profile, { ...measuresOf(sizeMm, profile), stage }, home);
  const perL = room === null ? populationOf(resident)?.headsPerL?.value : room / innerVolumeL(home.container);
  return { litres: perL === undefined ? null : heads / perL };
}

/** What some of one size are fed; `massG` of one, where they are not all alike. */
function mealFor(
  { sizeMm, stage, massG }: Pick<Cohort, 'sizeMm' | 'stage'> & { massG?: number | undefined },
  headCount: number,
  { profile, table }: BroodFacts,
  on: Day,
) {
  return mealOf({ ...measuresOf(sizeMm, profile), profile, stage, massG, on, headCount, ...table });
}

/** One that weighs what all of them weigh on the mean. */
function meanOf(cohorts: readonly Cohort[], profile: CareProfile) {
  const heads = cohorts.reduce((sum, each) => sum + each.heads, 0);
  const mean = (of: (each: Cohort) => number) => cohorts.reduce((sum, each) => sum + each.heads * of(each), 0) / heads;
  const [oldest] = cohorts;
  const sizeMm = oldest?.sizeMm === undefined || oldest.sizeMm === null ? null : mean((each) => each.sizeMm ?? 0);
  const massG = sizeMm === null ? undefined : mean((each) => usualMassG(profile, each.sizeMm ?? 0) ?? 0);
  return { sizeMm, stage: oldest?.stage ?? 'nymph', massG: massG === 0 ? undefined : massG };
}

/** Grown females of the house that lay, and what can be collected from them. */
export async function layersOf(queries: Queries, clock: Clock): Promise<Layer[]> {
  const house = await houseToday(queries, clock.today(), clock.now());
  const layers = await inTurn(house.lodgers, (lodger) => {
    const known = keptLayers.get(lodger);
    if (known !== undefined) return known;
    const layer = guarded(() => layerOf(house, lodger)) ?? null;
    keptLayers.set(lodger, layer);
    return layer;
  });
  return layers.flatMap((layer) => layer ?? []);
}

const keptLayers = new WeakMap<Lodger, Layer | null>();
/** Eggs are told so far ahead. weeks */
const LAYING_WEEKS = 26;

function layerOf(house: HouseToday, { resident, home, log, on }: Lodger): Layer | null {
  const { stage, form, sex } = resident;
  const kind = populationOf(resident);
  if (kind?.laying.by !== 'female' || !eggKindOf(resident) || form === 'eggs') return null;
  const share = kind.laying.femaleShare.value;
  const adults = form === 'single' ? 1 : (house.colonies.get(resident.id)?.counts[kind.adults] ?? 0);
  const isFemale = sex === 'female' ? 1 : sex === 'male' ? 0 : share;
  const females = (stage === kind.adults || form !== 'single' ? adults : 0) * isFemale;
  if (females < 0.5) return null;
  const { temperatureC } = house.facts.warmth(home);
  const grownSince = latest(log, ['moulted'], on)?.on;
  const asked = { kind, females, temperatureC, asOf: on, weeks: LAYING_WEEKS };
  return { residentId: resident.id, females, temperatureC, ...layersForecast({ ...asked, grownSince }) };
}
