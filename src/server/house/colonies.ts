import type { ColonyFacts } from '@/contract/colony';
import type { EntryOf } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import { colonyState, type ColonyLog, type ColonyState, type Count, type HomeBefore } from '@/core/house/colonyState';
import type { Day } from '@/core/measure/day';
import type { Founding, ResidentToday } from '@/core/plan/work';
import type { PopulationKind } from '@/core/colony/kind';
import { restSeason, type RestingKind, type RestStep } from '@/core/season/rest';
import type { Hemisphere } from '@/core/season/year';
import { guarded } from '../guarded';
import { careOf } from '../care';
import { hemisphereOf, warmthIn } from './air';
import { populationOf, restKindFor } from '../kinds';
import { planOrNone, restsOf, type StandingRest } from '../rests';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import { findHome } from '../storage/homes';
import type { Shared } from './shared';
import { HEADS_AND_BROOD, type HeadKind, type Records } from './records';

/** Whether one is counted: a colony, a culture, a group. */
export const isCountedForm = ({ form }: Pick<Resident, 'form'>): boolean => form === 'group' || form === 'colony';

/** How one that is counted stands on a day; undefined for others, and where that cannot be worked out. */
export async function colonyStateOf(
  queries: Queries,
  resident: Resident,
  today: Day,
  now: string,
): Promise<ColonyState | undefined> {
  const home = isCountedForm(resident) ? await findHome(queries, resident.homeId) : undefined;
  if (!home || resident.takenInOn > today) return undefined;
  const scene = {
    ...{ on: today, care: await careOf(queries), hemisphere: await hemisphereOf(queries) },
    warmth: await warmthIn(queries, now),
  };
  const rest = (await restsOf(queries, [resident], today)).get(resident.id);
  const entries = await entriesOfKinds(queries, [resident.id], HEADS_AND_BROOD);
  return guarded(() => countedState(scene, { resident, home, heads: entries, rest }));
}

/** A colony as it is sent to the page, which follows it on by itself. */
export function colonyFacts(resident: Resident, state: ColonyState, asOf: Day): ColonyFacts {
  return {
    ...state,
    residentId: resident.id,
    asOf,
    kind: populationOf(resident) ?? null,
    rest: restKindFor(resident) ?? null,
  };
}

/** Of a colony: the founding queen, whether she has sealed herself in, and until when; null for all others. */
export const foundingOf = (state: ColonyState | undefined): Founding | null => {
  if (!state?.founding) return null;
  const { beganOn, isSealed, firstWorkers } = state.founding;
  return { since: beganOn, endsOn: firstWorkers?.p90 ?? null, isSealed };
};

/** What is known of one that is counted. */
interface CountedFacts {
  resident: Resident & { isGuest?: boolean };
  home: Home;
  homesBefore?: readonly HomeBefore[];
  heads: readonly EntryOf<HeadKind>[];
  rest: StandingRest | undefined;
}

/** The homes that one had before, and each before it was changed while it lived there; oldest first. */
export function homesBeforeNow({ homes, homesBefore, lived }: Records, { id }: Pick<Resident, 'id'>): HomeBefore[] {
  const stays = lived.get(id)?.stays ?? [];
  return stays.flatMap(({ homeId, from }, index) => {
    const next = stays[index + 1]?.from;
    const home = homes.get(homeId);
    if (!home) return [];
    const were = homesBefore.get(homeId) ?? [];
    const changed = were.filter(({ until }) => until > from && (next === undefined || until < next));
    const before = changed.map(({ until, ...was }) => ({ until, home: { ...home, ...was } }));
    if (next === undefined) return before;
    // What was changed after it had left was nothing to it.
    const asLeft = were.find(({ until }) => until >= next);
    return [...before, { until: next, home: asLeft ? { ...home, ...asLeft } : home }];
  });
}

/** What is fed beside the workers. */
export const broodOf = (state: ColonyState | undefined): ResidentToday['brood'] =>
  state && { larvae: state.counts.larva, fungusMl: state.fungusMl ?? undefined };

type Scene = Pick<Shared, 'on' | 'care' | 'hemisphere' | 'warmth'>;

/**
 * How one that is counted stands, by what its log tells of its heads, oldest first.
 * @throws Refusal as `colonyState` does
 */
export function countedState(scene: Scene, { resident, home, homesBefore, heads, rest }: CountedFacts): ColonyState {
  const { temperatureC } = scene.warmth(home);
  return colonyState({
    ...{ today: scene.on, resident, home, homesBefore, temperatureC },
    kind: populationOf(resident) ?? null,
    profile: scene.care.of(resident),
    log: colonyLog(heads),
    steps: stepsOf(scene, resident, temperatureC, rest),
  });
}

/** What some entries tell of the numbers of a colony. */
function colonyLog(entries: readonly EntryOf<HeadKind>[]): ColonyLog {
  const counts: Count[] = [];
  let queens: number | undefined;
  let garden: ColonyLog['garden'];
  const gone: ColonyLog['gone'][number][] = [];
  const seen: ColonyLog['seen'][number][] = [];
  for (const { kind, on, data } of entries) {
    switch (kind) {
      case 'measured':
        queens = data.queens ?? queens;
        if (data.fungusMl !== undefined || data.fungusSharePct !== undefined)
          garden = { on, fungusMl: data.fungusMl, sharePct: data.fungusSharePct };
        if (data.headCount === undefined && data.stages === undefined) break;
        counts.push({ on, heads: data.headCount, stages: data.stages, low: data.headsLow, high: data.headsHigh });
        break;
      case 'taken-in':
      case 'hatched':
        if (data.headCount !== undefined) counts.push({ on, heads: data.headCount });
        break;
      case 'died':
      case 'passed-on':
      case 'parted':
        if (data.count !== undefined) gone.push({ on, heads: data.count });
        break;
      case 'joined':
        gone.push({ on, heads: -data.count });
        break;
      case 'brood-seen':
        seen.push({ on, stage: data.stage });
        break;
      case 'moulted':
      case 'joined-into':
      // Nothing is said of the numbers.
    }
  }
  return { counts, queens, gone, seen, garden };
}

/** A colony that is not cooled slows in winter by itself, to so much of its pace. From memory */
const AWAKE_PACE = 0.4;

/** The winter of a colony that is kept without a rest: as if it stood cooler, never so cool that it rests. */
function awakeWinter(
  kind: RestingKind,
  population: PopulationKind | undefined,
  hemisphere: Hemisphere,
  on: Day,
  roomC: number,
): readonly RestStep[] {
  if (population?.laying.by !== 'queen') return [];
  const { baseC, referenceC, restBelowC } = population.warmth;
  const slow = baseC.value + AWAKE_PACE * (referenceC.value - baseC.value);
  const { begins, ends } = restSeason(kind, hemisphere, on);
  return [
    { on: begins, what: 'hold', targetC: Math.min(roomC, Math.max(slow, restBelowC.value)) },
    { on: ends, what: 'warm', targetC: roomC },
  ];
}

/** The rest that is on or planned; for a kind that must rest, the usual one of its next season. */
function stepsOf(
  { hemisphere, on }: Scene,
  resident: Resident,
  roomC: number,
  standing: StandingRest | undefined,
): readonly RestStep[] {
  if (standing && standing.course.phase !== 'over') return standing.course.steps;
  const kind = restKindFor(resident);
  if (kind && kind.need !== 'never' && resident.schools.winter === 'no-rest')
    return awakeWinter(kind, populationOf(resident), hemisphere, on, roomC);
  if (kind?.need !== 'must') return standing?.course.steps ?? [];
  return planOrNone({ kind, hemisphere, asOf: on, roomC, placeC: kind.bandC.max })?.steps ?? [];
}
