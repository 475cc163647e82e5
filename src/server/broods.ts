import type { Brood, MothFlight } from '@/contract/broods';
import type { EntryOf } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import type { EggKind } from '@/core/broods/eggs';
import type { Cocoon, Meeting, MeetQuestion } from '@/core/broods/emergence';
import { hatchForecast, type HatchForecast } from '@/core/broods/hatch';
import { rearedAfter } from '@/core/broods/reared';
import { surplusPlan } from '@/core/broods/surplus';
import type { Larder } from '@/core/feeding/food';
import { mealOf } from '@/core/feeding/meal';
import { innerVolumeL } from '@/core/housing/container';
import { roomForHeads } from '@/core/housing/fit';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';
import { apartOf } from './apart';
import type { Clock } from './clock';
import { groupBy } from '@/core/groupBy';
import { houseToday, type Lodger } from './house/houseToday';
import { inTurn } from './house/inTurn';
import { larderOf } from './larder';
import { remembering } from './remembering';
import { warmAgainOn } from './rests';
import { eggKindOf, mothKindOf, populationOf } from './kinds';
import type { Queries } from './storage/database';
import { entriesOfKinds } from './storage/entries';
import { inThread } from './threads/pool';

/** "What will I house if I keep them all": that long ahead. days */
const HALF_A_YEAR = 182;

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
    const rest = house.rests.get(resident.id);
    const brood = apartOf(() =>
      broodOf({
        ...{ resident, home, table, today: on },
        profile: house.care.of({ ...resident, stage: undefined }),
        log: logs.get(resident.id) ?? [],
        temperatureC: house.facts.warmth(home).temperatureC,
        warmSince: rest && warmAgainOn(rest),
        spreadTimes: house.spread.hatch,
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
  temperatureC: number;
  /** The day on which they were warm again after their rest. */
  warmSince: Day | undefined;
  today: Day;
  /** By how much the windows of hatching are widened. */
  spreadTimes: number;
  /** What can be fed to the young. */
  table: Pick<Parameters<typeof mealOf>[0], 'larder' | 'hemisphere'>;
}

function broodOf(facts: BroodFacts): Brood {
  const { resident, log, temperatureC, warmSince, today, spreadTimes } = facts;
  const kind = eggKindOf(resident);
  const laid = log.findLast((entry) => entry.kind === 'laid');
  const wish = log.findLast((entry) => entry.kind === 'surplus');
  const laidFrom = laid?.data.laidFrom ?? resident.bornOn ?? resident.takenInOn;
  const eggs = resident.headCount ?? 1;
  const coldWeeks = kind?.coldWeeks?.value ?? null;
  const known = {
    residentId: resident.id,
    eggs,
    laidFrom,
    laidTo: laid?.data.laidTo ?? laidFrom,
    mating: laid?.data.mating ?? ('unknown' as const),
    isGuessed: !laid,
    temperatureC,
    coldWeeks,
    warmSince: (coldWeeks === null ? undefined : warmSince) ?? null,
    feedOff: kind?.feedOff ?? null,
    freezing: kind?.freezing ?? null,
  };
  const without = (problem: string) => ({ ...known, forecast: null, surplus: null, inHalfAYear: null, problem });
  if (!kind) return without('Nobody gave the numbers of these eggs.');
  if (coldWeeks !== null && known.warmSince === null) {
    return without(
      `They hatch once they are warm again after about ${coldWeeks} weeks of cold: plan their winter rest.`,
    );
  }
  try {
    const forecast = hatchForecast({
      ...known,
      warmSince: known.warmSince ?? undefined,
      ...{ kind, asOf: today, spreadTimes },
    });
    return {
      ...known,
      forecast,
      problem: null,
      surplus: wish ? surplusPlan(kind, eggs, forecast.expected, wish.data) : null,
      inHalfAYear: keptAll(facts, kind, forecast),
    };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return without(error.fields.map(({ message }) => message).join(' '));
  }
}

/** What it would take to keep them all: heads, boxes, litres, and food in a week. */
function keptAll(
  { resident, home, profile, temperatureC, today, table }: BroodFacts,
  kind: EggKind,
  { weeks }: HatchForecast,
): Brood['inHalfAYear'] {
  const on = addDays(today, HALF_A_YEAR);
  const hatching = weeks.map((week) => ({ count: week.median, daysBefore: daysBetween(week.on, on) - 3 }));
  const { heads, sizeMm, stage } = rearedAfter(profile, hatching, kind.weeklyDeathPct.value, temperatureC);
  const whole = Math.round(heads);
  const isAlone = profile.company.sameKind === 'alone';
  const measures = sizeMm === null ? {} : { [profile.measure.takes]: sizeMm };
  // In boxes like the one that the eggs are in, by the room that its rules give to each.
  const room = sizeMm === null ? null : roomForHeads(profile, { ...measures, stage }, home);
  const perL = room === null ? populationOf(resident)?.headsPerL?.value : room / innerVolumeL(home.container);
  const litres = perL === undefined ? null : heads / perL;
  const meal =
    whole > 0 ? mealOf({ ...measures, profile, stage, on, headCount: isAlone ? undefined : whole, ...table }) : null;
  const perWeek = (meal ? 7 / Math.max(1, meal.everyDays) : 0) * (isAlone ? whole : 1);
  const isPrey = meal?.eats === 'prey';
  const sum = (of: (dish: { count?: number | undefined; massG?: number | undefined }) => number) =>
    (meal?.dishes ?? []).reduce((total, dish) => total + of(dish), 0) * perWeek;
  return {
    on,
    heads,
    sizeMm,
    stage,
    boxes: isAlone ? whole : null,
    litres: isAlone ? null : litres,
    foodGPerWeek: meal && !isPrey ? sum((dish) => dish.massG ?? 0) : null,
    preyPerWeek: isPrey ? sum((dish) => dish.count ?? 0) : null,
  };
}

/** Whether cocoons meet is followed through hundreds of courses: what was asked before is remembered. */
const meetings = remembering<Promise<Meeting>>(100);
const knownMeeting = (question: MeetQuestion) =>
  meetings(JSON.stringify(question), () => inThread('meeting', question));

/** Cocoons and moths of the house, species by species. */
export async function flightsOf(queries: Queries, clock: Clock): Promise<MothFlight[]> {
  const today = clock.today();
  const house = await houseToday(queries, today, clock.now());
  const moths = house.residents.filter(
    (resident) => mothKindOf(resident) && (resident.stage === 'pupa' || resident.stage === 'adult'),
  );
  const { warmth } = house.facts;
  const homes = new Map(house.homes.map((home) => [home.id, home]));
  const ids = moths.map((each) => each.id);
  const logs = groupBy(
    await entriesOfKinds(queries, ids, ['taken-in', 'moulted', 'measured']),
    ({ residentId }) => residentId ?? '',
  );
  const flights = [...groupBy(moths, (each) => each.scientificName)].map(async ([scientificName, group]) => {
    const [first] = group;
    const kind = first && mothKindOf(first);
    const home = first && homes.get(first.homeId);
    if (!first || !kind || !home) return [];
    const cocoons = group
      .filter((each) => each.stage === 'pupa')
      .map(({ id, sex, headCount = 1 }): Cocoon => ({
        id,
        sex,
        count: headCount,
        on: cocoonedOn(logs.get(id) ?? [], today),
      }));
    const out = group.filter((each) => each.stage === 'adult');
    const headsOf = (sex: Resident['sex']) =>
      out.filter((each) => each.sex === sex).reduce((sum, { headCount = 1 }) => sum + headCount, 0);
    const { temperatureC } = warmth(home);
    return [
      {
        profile: first.profile,
        scientificName,
        residentIds: ids.filter((id) => group.some((each) => each.id === id)),
        out: { female: headsOf('female'), male: headsOf('male') },
        meeting: cocoons.length > 0 ? await knownMeeting({ kind, cocoons, temperatureC, asOf: today }) : null,
        temperatureC,
        wakeC: kind.wakeC.value,
        pairC: kind.pairC.value,
      },
    ];
  });
  return (await Promise.all(flights)).flat();
}

/** The first day on which it was written down as a pupa. */
function cocoonedOn(log: readonly EntryOf<'taken-in' | 'moulted' | 'measured'>[], today: Day): Day {
  return log.find(({ data }) => data.stage === 'pupa')?.on ?? today;
}
