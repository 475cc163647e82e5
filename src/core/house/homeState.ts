import { staleAir, type Stale } from '@/core/climate/forecast';
import { CROWDED_PCT } from '@/core/colony/fullness';
import { waterStatus, type WateringDue } from '@/core/climate/watering';
import { company, type CompanyCheck, type Lodger } from '@/core/housing/company';
import { compareStatus, fit, worse, type Animal, type FitAnswer, type Status } from '@/core/housing/fit';
import type { HomeState } from '@/core/housing/quantities';
import type { Day } from '@/core/measure/day';
import type { AlarmKind } from '@/core/readings/alarms';
import type { ProbeAlarm } from '@/core/plan/work';
import type { CareProfile } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';

/** One who lives in the home. */
export interface Tenant extends Animal, Pick<HomeState, 'settled'> {
  id: string;
  profile: CareProfile;
  lodger: Lodger;
  /** How much of its room it takes, where it is counted; else null. % */
  fullPct: number | null;
}

/** The air of a home by the forecast, from freshly damped. */
export interface HomeAir {
  airChangesPerHour: number;
  humidityPct: number;
  staleAir: Stale;
}

export interface HomeQuestion {
  home: HomeState;
  today: Day;
  tenants: readonly Tenant[];
  /** What its air does, and the exchange that whoever it is damped for wants; null where nobody can say: a nest, an empty box. */
  air: { airChangesPerHour: number; humidityPct: number; wantedPerHour: number } | null;
  watering: WateringDue | null;
  alarms: readonly ProbeAlarm[];
}

/** One thing that speaks against a home as it stands. */
export type HomeGround = { status: Exclude<Status, 'pass'> } & (
  | { about: 'fit'; residentId: string; rule: string; title: string }
  | { about: 'unreadable'; residentId: string }
  | { about: 'company'; rule: CompanyCheck['rule'] }
  | { about: 'alarm'; alarm: ProbeAlarm }
  | { about: 'air'; staleAir: Exclude<Stale, 'fresh'>; airChangesPerHour: number }
  | { about: 'water'; dueOn: Day | null; isDryAir: boolean }
  | { about: 'full'; fullPct: number }
);

/** How a home stands: one verdict, and everything that speaks against it, worst first. */
export interface StateOfHome {
  /** The worst of all grounds; null where nobody lives there. */
  verdict: Status | null;
  grounds: HomeGround[];
  air: HomeAir | null;
  /** How wet its damp end is, from 0 (dry) to 1 (as wet as it holds), and the day on which it is to be damped; null where nobody can say. */
  water: { wetness: number; dueOn: Day | null } | null;
  /** How much of its room those take that are counted. % */
  fullPct: number | null;
}

/** A probe that says nothing is looked at; one that says that the animal suffers cannot be waited with. */
const IS_DEAF: ReadonlySet<AlarmKind> = new Set(['silent', 'stuck'] as const);

/**
 * How a home stands for all who live in it: by the rules of each, by who lives with whom, by its air and water, by what its
 * probes say, and by how full it is. The list of homes, the home itself, its air, the round and the choice of a box ask this.
 */
export function homeState({ home, today, tenants, air: flow, watering, alarms }: HomeQuestion): StateOfHome {
  if (tenants.length === 0) return { verdict: null, grounds: [], air: null, water: null, fullPct: null };
  const air = flow && {
    ...{ airChangesPerHour: flow.airChangesPerHour, humidityPct: flow.humidityPct },
    staleAir: staleAir(flow.airChangesPerHour, flow.humidityPct, flow.wantedPerHour),
  };
  const taken = tenants.flatMap(({ fullPct }) => fullPct ?? []);
  const fullPct = taken.length === 0 ? null : taken.reduce((sum, each) => sum + each, 0);
  const grounds: HomeGround[] = [
    ...alarms.map((alarm) => ({ about: 'alarm' as const, alarm, status: alarmStatus(alarm) })),
    ...tenants.flatMap((tenant) => fitGrounds(tenant, home)),
    ...company(tenants.map(({ lodger }) => lodger)).checks.flatMap(({ rule, status }) =>
      status === 'pass' ? [] : [{ about: 'company' as const, rule, status }],
    ),
    ...waterGrounds(watering, today),
    ...(air && air.staleAir !== 'fresh'
      ? [
          {
            ...{ about: 'air' as const, status: 'watch' as const },
            ...{ staleAir: air.staleAir, airChangesPerHour: air.airChangesPerHour },
          },
        ]
      : []),
    ...(fullPct !== null && fullPct > CROWDED_PCT
      ? [{ about: 'full' as const, status: 'watch' as const, fullPct }]
      : []),
  ];
  // A stable sort: of the same weight what was found first stays first.
  const inOrder = grounds.sort((a, b) => compareStatus(b.status, a.status));
  const verdict = inOrder.map(({ status }): Status => status).reduce(worse, 'pass');
  const water = watering && { wetness: watering.dampWetness, dueOn: watering.dueOn };
  return { verdict, grounds: inOrder, air, water, fullPct };
}

export const alarmStatus = ({ kind, isBorne }: Pick<ProbeAlarm, 'kind' | 'isBorne'>): 'watch' | 'fail' =>
  IS_DEAF.has(kind) || isBorne ? 'watch' : 'fail';

function waterGrounds(watering: WateringDue | null, today: Day): HomeGround[] {
  const status = waterStatus(watering, today);
  if (!watering || status === 'pass') return [];
  return [{ about: 'water', status, dueOn: watering.dueOn, isDryAir: watering.dryAir !== undefined }];
}

/** What the rules of one find; one whose records tell nothing is to be watched. */
function fitGrounds(tenant: Tenant, home: HomeState): HomeGround[] {
  const answer = fitOrNull(tenant, home);
  if (!answer) return [{ about: 'unreadable', status: 'watch', residentId: tenant.id }];
  return answer.checks.flatMap(({ rule, status, title }) =>
    status === 'pass' ? [] : [{ about: 'fit' as const, status, residentId: tenant.id, rule, title }],
  );
}

function fitOrNull({ profile, ...animal }: Tenant, home: HomeState): FitAnswer | null {
  try {
    return fit(profile, { ...animal, ...home });
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}
