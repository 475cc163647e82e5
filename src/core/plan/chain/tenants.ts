import { innerVolumeL } from '@/core/housing/container';
import { statusOf, type Animal, type Status } from '@/core/housing/fit';
import { prepareHomes, rankPrepared, type CandidateHome } from '@/core/housing/rank';
import { grown } from '@/core/profiles/animal';
import type { CareProfile } from '@/core/profiles/profile';
import type { ChainProblem, Mover } from './problem';

/** One that lives in a tub of the house, or is to come. */
export interface Tenant extends Animal {
  id: string;
  profile: CareProfile;
  /** The tub it is in; null for one that has none yet. */
  from: string | null;
  /** Days on which it can be moved, counted from the first, in order. */
  days: readonly number[];
  /** The day on which its tub is likely to be outgrown, counted from the first; null when that is farther than is looked. */
  outgrownIn: number | null;
  /** Rules that are settled for it in its tub, with the reason. */
  settled?: Readonly<Record<string, string>> | undefined;
  /** It may be moved to make room, though its tub still serves. */
  mayMove: boolean;
}

/** How a tub serves one: what the cost of putting it there is made of. */
export interface Place {
  tub: number;
  cost: number;
  verdict: Status;
  /** The depth of soil it is filled to. mm */
  depthMm: number;
  /** Moults for which it will serve, 0 to 2. */
  servesMoults: number;
}

export type Need = 'homeless' | 'fails' | 'outgrows' | 'none';

export interface ChainOfTenants {
  problem: ChainProblem;
  places: readonly (readonly Place[])[];
  needs: readonly Need[];
}

/** What staying costs, by how much a move is needed; and what makes a tub dearer. Points, chosen here */
const STAYING: Record<Need, number> = { homeless: 80, fails: 60, outgrows: 30, none: 0 };
const MOVE = 1;
/** For moving one that could stay. */
const DISTURB = 3;
const WATCH = 6;
/** For a tub that no longer serves after the next moult, and after the one that follows. */
const SHORT = [5, 2, 0];
/** For each doubling over the smallest tub that serves it: more soil, and prey that is not found. */
const ROOM = 2;
/** Each day that one waits in a tub that fails costs more than one that it waits in a tub that still serves. */
const DAY: Record<Need, number> = { homeless: 0.3, fails: 0.2, outgrows: 0.02, none: 0.02 };

/**
 * Which tub would serve whom, and what each choice costs: tubs that fail are left out, those that will serve for the moults
 * to come and are no larger than needed are cheap. Tubs of those that stay are no choice for anybody.
 * @throws Refusal as `fit` does
 */
export function chainOfTenants(
  tenants: readonly Tenant[],
  tubs: readonly CandidateHome[],
  days: number,
  perDay: number,
  cleaningDays: number,
): ChainOfTenants {
  const place = new Map(tubs.map(({ id }, index) => [id, index]));
  const prepared = prepareHomes([...tubs]);
  const needs = tenants.map((tenant) => needOf(tenant, tubs[place.get(tenant.from ?? '') ?? -1]));
  const isStuck = (index: number) => needs[index] === 'none' && !tenants[index]?.mayMove;
  const shut = new Set(tenants.flatMap(({ from }, index) => (from !== null && isStuck(index) ? [from] : [])));
  const places = tenants.map((tenant, index) => {
    if (isStuck(index)) return [];
    return placesOf(tenant, prepared, place).filter(({ tub }) => {
      const id = tubs[tub]?.id ?? '';
      return !shut.has(id) && id !== tenant.from;
    });
  });
  const movers = tenants.map(({ id, from, days: allowed }, index): Mover => {
    const need = needs[index] ?? 'none';
    const more = need === 'none' ? DISTURB : 0;
    return {
      ...{ id, from: from === null ? null : (place.get(from) ?? null), days: allowed },
      options: (places[index] ?? []).map(({ tub, cost }) => ({ tub, cost: cost + more })),
      stayCost: STAYING[need],
      costPerDay: DAY[need],
    };
  });
  return { problem: { movers, tubs, days, perDay, cleaningDays }, places, needs };
}

function needOf(tenant: Tenant, home: CandidateHome | undefined): Need {
  if (!home) return 'homeless';
  // Whether it serves as it is: where it stands, and in how warm a place, is its keeper's to know.
  const { scores } = rankPrepared(
    tenant.profile,
    tenant,
    prepareHomes([{ ...home, settled: tenant.settled, temperatureC: undefined, asItStands: true }]),
  );
  if (statusOf(scores[0] ?? Infinity) === 'fail') return 'fails';
  return tenant.outgrownIn === null ? 'none' : 'outgrows';
}

function placesOf(
  tenant: Tenant,
  prepared: ReturnType<typeof prepareHomes>,
  place: ReadonlyMap<string, number>,
): Place[] {
  const { profile } = tenant;
  const now = rankPrepared(profile, tenant, prepared);
  const fits = prepared.flatMap((each, index) => {
    const verdict = statusOf(now.scores[index] ?? Infinity);
    return verdict === 'fail' ? [] : [{ ...each, verdict, depthMm: now.depthsMm[index] ?? 0 }];
  });
  // Of a thousand tubs few serve now: whether one serves after the next moults is asked of those alone.
  const later = [1, 2].map((moults) => rankPrepared(profile, grown(profile, tenant, moults), fits).scores);
  const serving = fits.map(({ home, verdict, depthMm }, index) => {
    const lasts = later.findIndex((scores) => statusOf(scores[index] ?? Infinity) === 'fail');
    return { home, verdict, depthMm, litres: innerVolumeL(home.container), servesMoults: lasts === -1 ? 2 : lasts };
  });
  const smallest = Math.min(...serving.map(({ litres }) => litres));
  return serving.map(({ home, verdict, litres, depthMm, servesMoults }) => {
    const room = ROOM * Math.log2(litres / smallest);
    const cost = MOVE + (verdict === 'watch' ? WATCH : 0) + (SHORT[servesMoults] ?? 0) + room;
    return { tub: place.get(home.id) ?? -1, cost: Math.round(100 * cost) / 100, verdict, depthMm, servesMoults };
  });
}
