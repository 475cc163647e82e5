import type { ColonyFacts } from '@/contract/colony';
import type { Entry } from '@/contract/entries';
import type { Home, Resident } from '@/contract/records';
import { HEAD_KINDS } from '@/core/growth/census';
import { colonyState, type ColonyLog, type ColonyState, type Count } from '@/core/house/colonyState';
import type { Day } from '@/core/measure/day';
import type { SealedIn } from '@/core/plan/work';
import type { CareBook } from '@/core/profiles/careBook';
import type { RestStep } from '@/core/season/rest';
import type { Hemisphere } from '@/core/season/year';
import { apartOf } from '../apart';
import { careOf } from '../care';
import { groupBy } from '../groupBy';
import { hemisphereOf, warmthIn } from './air';
import { populationOf, restKindFor } from '../kinds';
import { planOrNone, restsOf, type StandingRest } from '../rests';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import { listHomes } from '../storage/homes';

/** How the colonies, cultures and counted groups among some residents stand on a day; those that cannot be worked out are left out. */
export async function colonyStates(
  queries: Queries,
  residents: readonly Resident[],
  today: Day,
  now: string,
): Promise<Map<string, ColonyState>> {
  const counted = residents.filter(
    ({ form, takenInOn }) => (form === 'group' || form === 'colony') && takenInOn <= today,
  );
  if (counted.length === 0) return new Map();
  const scene: Scene = {
    today,
    care: await careOf(queries),
    hemisphere: await hemisphereOf(queries),
    warmth: await warmthIn(queries, now),
    rests: await restsOf(queries, counted, today),
  };
  const homes = new Map((await listHomes(queries)).map((home) => [home.id, home]));
  const entries = await entriesOfKinds(
    queries,
    counted.map(({ id }) => id),
    [...HEAD_KINDS, 'brood-seen'],
  );
  const logs = groupBy(entries, ({ residentId }) => residentId ?? '');
  return new Map(
    counted.flatMap((resident) => {
      const home = homes.get(resident.homeId);
      const state = home && apartOf(() => stateOf(scene, resident, home, logs.get(resident.id) ?? []));
      return state ? [[resident.id, state]] : [];
    }),
  );
}

/** A colony as it is sent to the page, which follows it on by itself. */
export function colonyFacts(resident: Resident, state: ColonyState, asOf: Day): ColonyFacts {
  return {
    ...state,
    residentId: resident.id,
    asOf,
    kind: populationOf(resident.profile) ?? null,
    rest: restKindFor(resident) ?? null,
  };
}

/** Of a colony: the queen that has sealed herself in, and until when she is left so; null for all others. */
export const sealedIn = (state: ColonyState | undefined): SealedIn | null =>
  state?.founding?.isSealed === true
    ? { since: state.founding.beganOn, endsOn: state.founding.firstWorkers?.p90 ?? null }
    : null;

interface Scene {
  today: Day;
  care: CareBook;
  hemisphere: Hemisphere;
  warmth: Awaited<ReturnType<typeof warmthIn>>;
  rests: ReadonlyMap<string, StandingRest>;
}

function stateOf(scene: Scene, resident: Resident, home: Home, log: readonly Entry[]): ColonyState {
  const { today, care } = scene;
  const { temperatureC } = scene.warmth(home);
  return colonyState({
    ...{ today, resident, home, temperatureC },
    kind: populationOf(resident.profile) ?? null,
    profile: care.of(resident),
    log: colonyLog(log),
    steps: stepsOf(scene, resident, temperatureC),
  });
}

/** What some entries tell of the numbers of a colony. */
function colonyLog(entries: readonly Entry[]): ColonyLog {
  const counts: Count[] = [];
  let queens: number | undefined;
  for (const { kind, on, data } of entries) {
    if (kind !== 'taken-in' && kind !== 'measured' && kind !== 'hatched') continue;
    const number = (name: string) => (typeof data[name] === 'number' ? data[name] : undefined);
    queens = number('queens') ?? queens;
    const [heads, stages] = [number('headCount'), data.stages as Record<string, number> | undefined];
    if (heads === undefined && stages === undefined) continue;
    counts.push({ on, heads, stages, low: number('headsLow'), high: number('headsHigh') });
  }
  const sign: Partial<Record<Entry['kind'], number>> = { died: 1, 'passed-on': 1, parted: 1, joined: -1 };
  const gone = entries.flatMap(({ kind, on, data }) => {
    const times = sign[kind];
    return times === undefined || typeof data.count !== 'number' ? [] : [{ on, heads: times * data.count }];
  });
  const seen = entries.flatMap(({ kind, on, data }) =>
    kind === 'brood-seen' ? [{ on, stage: String(data.stage) }] : [],
  );
  return { counts, queens, gone, seen };
}

/** The rest that is on or planned; for a kind that must rest, the usual one of its next season. */
function stepsOf({ rests, hemisphere, today }: Scene, resident: Resident, roomC: number): readonly RestStep[] {
  const standing = rests.get(resident.id);
  if (standing && standing.course.phase !== 'over') return standing.course.steps;
  const kind = restKindFor(resident);
  if (kind?.need !== 'must') return standing?.course.steps ?? [];
  return planOrNone({ kind, hemisphere, asOf: today, roomC, placeC: kind.bandC.max })?.steps ?? [];
}
