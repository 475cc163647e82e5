import type { Brood, MothFlight } from '@/contract/broods';
import type { Entry, Resident } from '@/contract/records';
import { shippedEggs, shippedMoths } from '@/contract/shipped';
import { MATINGS, type EggKind, type Mating } from '@/core/broods/eggs';
import { meeting, type Cocoon, type MothKind } from '@/core/broods/emergence';
import { hatchForecast, type HatchForecast } from '@/core/broods/hatch';
import { rearedAfter } from '@/core/broods/reared';
import { surplusPlan, type SurplusWish } from '@/core/broods/surplus';
import { mealOf } from '@/core/feeding/meal';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';
import { careOf } from './care';
import type { Clock } from './clock';
import { groupBy } from './groupBy';
import { hemisphereOf, warmthIn } from './house';
import { larderOf, shelfOf } from './larder';
import { populationOf } from './populations';
import type { Queries } from './storage/database';
import { entriesOfKinds } from './storage/entries';
import { listHomes } from './storage/homes';
import { listResidents } from './storage/residents';

export const eggKindOf = (profileId: string): EggKind | undefined =>
  shippedEggs.find((each) => each.profiles.includes(profileId));
export const mothKindOf = (profileId: string): MothKind | undefined =>
  shippedMoths.find((each) => each.profiles.includes(profileId));

/** "What will I house if I keep them all": that long ahead. days */
const HALF_A_YEAR = 182;

/** All eggs of the house, with when they hatch and what becomes of them. */
export async function broodsOf(queries: Queries, clock: Clock): Promise<Brood[]> {
  const [today, now] = [clock.today(), clock.now()];
  const eggs = (await listResidents(queries)).filter((resident) => resident.form === 'eggs');
  const care = await careOf(queries);
  const warmth = await warmthIn(queries, now);
  const homes = new Map((await listHomes(queries)).map((home) => [home.id, home]));
  const larder = larderOf(await shelfOf(queries, today));
  const hemisphere = await hemisphereOf(queries);
  const ids = eggs.map((each) => each.id);
  const logs = groupBy(await entriesOfKinds(queries, ids, ['laid', 'surplus']), ({ residentId }) => residentId ?? '');
  return eggs.flatMap((resident) => {
    const home = homes.get(resident.homeId);
    if (!home) return [];
    const log = logs.get(resident.id) ?? [];
    const profile = care.of({ ...resident, stage: undefined });
    const table = { larder, hemisphere };
    return [broodOf(resident, profile, log, warmth(home).temperatureC, today, table)];
  });
}

type Table = Pick<Parameters<typeof mealOf>[0], 'larder' | 'hemisphere'>;

function broodOf(
  resident: Resident,
  profile: CareProfile,
  log: readonly Entry[],
  temperatureC: number,
  today: Day,
  table: Table,
): Brood {
  const kind = eggKindOf(resident.profile);
  const laid = log.findLast((entry) => entry.kind === 'laid');
  const wish = log.findLast((entry) => entry.kind === 'surplus');
  const laidFrom = laid ? String(laid.data.laidFrom) : (resident.bornOn ?? resident.takenInOn);
  const eggs = resident.headCount ?? 1;
  const known = {
    residentId: resident.id,
    eggs,
    laidFrom,
    laidTo: laid?.data.laidTo === undefined ? laidFrom : String(laid.data.laidTo),
    mating: MATINGS.find((each) => each === laid?.data.mating) ?? ('unknown' as Mating),
    isGuessed: !laid,
    temperatureC,
    coldWeeks: kind?.coldWeeks?.value ?? null,
    feedOff: kind?.feedOff ?? null,
    freezing: kind?.freezing ?? null,
  };
  const nothing = { ...known, forecast: null, surplus: null, inHalfAYear: null };
  if (!kind) return { ...nothing, problem: 'Nobody gave the numbers of these eggs.' };
  try {
    const forecast = hatchForecast({ ...known, kind, asOf: today });
    return {
      ...known,
      forecast,
      problem: null,
      surplus: wish ? surplusPlan(kind, eggs, forecast.expected, wishIn(wish)) : null,
      inHalfAYear: keptAll(resident, profile, kind, forecast, temperatureC, today, table),
    };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { ...nothing, problem: error.fields.map(({ message }) => message).join(' ') };
  }
}

export const wishIn = ({ data }: Pick<Entry, 'data'>): SurplusWish => ({
  keep: Number(data.keep),
  passOn: Number(data.passOn),
  feedOff: Number(data.feedOff),
});

/** What it would take to keep them all: heads, boxes, litres, and food in a week. */
function keptAll(
  resident: Resident,
  profile: CareProfile,
  kind: EggKind,
  { weeks }: HatchForecast,
  temperatureC: number,
  today: Day,
  table: Table,
): Brood['inHalfAYear'] {
  const on = addDays(today, HALF_A_YEAR);
  const hatching = weeks.map((week) => ({ count: week.median, daysBefore: daysBetween(week.on, on) - 3 }));
  const { heads, sizeMm, stage } = rearedAfter(profile, hatching, kind.weeklyDeathPct.value, temperatureC);
  const whole = Math.round(heads);
  const perL = populationOf(resident.profile)?.headsPerL?.value;
  const litres = perL === undefined ? null : heads / perL;
  const isAlone = profile.company.sameKind === 'alone';
  const measures = sizeMm === null ? {} : { [profile.measure.takes]: sizeMm };
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

/** Cocoons and moths of the house, species by species. */
export async function flightsOf(queries: Queries, clock: Clock): Promise<MothFlight[]> {
  const today = clock.today();
  const moths = (await listResidents(queries)).filter(
    (resident) => mothKindOf(resident.profile) && (resident.stage === 'pupa' || resident.stage === 'adult'),
  );
  const warmth = await warmthIn(queries, clock.now());
  const homes = new Map((await listHomes(queries)).map((home) => [home.id, home]));
  const ids = moths.map((each) => each.id);
  const logs = groupBy(
    await entriesOfKinds(queries, ids, ['taken-in', 'moulted', 'measured']),
    ({ residentId }) => residentId ?? '',
  );
  return [...groupBy(moths, (each) => each.scientificName)].flatMap(([scientificName, group]) => {
    const [first] = group;
    const kind = first && mothKindOf(first.profile);
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
        meeting: cocoons.length > 0 ? meeting({ kind, cocoons, temperatureC, asOf: today }) : null,
        temperatureC,
        wakeC: kind.wakeC.value,
        pairC: kind.pairC.value,
      },
    ];
  });
}

/** The first day on which it was written down as a pupa. */
function cocoonedOn(log: readonly Entry[], today: Day): Day {
  return log.find(({ data }) => data.stage === 'pupa')?.on ?? today;
}
