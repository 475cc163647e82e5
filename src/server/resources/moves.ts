import type { Handling } from '@/contract/handling';
import type { MovesReply } from '@/contract/plan';
import { shippedBoxSizes, shippedHandling } from '@/contract/shipped';
import { handlingSheet } from '@/core/plan/handling';
import type { Need, Tenant } from '@/core/plan/chain/tenants';
import { withUsualAir } from '@/core/climate/homeAir';
import { rankHomes, soilToAddL, type CandidateHome } from '@/core/housing/rank';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { isClosed } from '@/core/plan/spans';
import { closedSpans } from '@/core/plan/workAhead';
import { airSchool } from '@/core/profiles/schools';
import { dangersOfResident } from '../dangers';
import { busyDaysOf, growthAhead, openHomes } from '../house/housePlan';
import { houseToday, type HouseToday, type Lodger } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { latestOfEach } from '../latestOfEach';
import { inTime, planned } from '../threads/pool';
import type { Deps } from './deps';

export function moveHandlers({ database, clock }: Deps): Pick<Handlers, 'movesPlan' | 'handling'> {
  const latest = latestOfEach();
  return {
    handling: async ({ params, query }): Promise<Handling> => {
      const on = clock.today();
      const house = await houseToday(database, on, clock.now());
      const lodger = house.lodgers.find(({ resident }) => resident.id === params.id);
      if (!lodger) throw notFound('resident with that id');
      const { resident, today } = lodger;
      const sheet = handlingSheet(shippedHandling, resident, dangersOfResident(resident).hazards);
      const settled = query.to === undefined || query.to === today.move?.toHomeId ? today.move : undefined;
      const home = house.homes.find(({ id }) => id === (settled?.toHomeId ?? query.to));
      if (query.to !== undefined && !home) throw invalid('to', 'There is no home with that id. See /api/homes.');
      const days = settled ?? { id: null, on, from: on, until: on };
      const asItStands = house.residents.some(({ homeId }) => homeId === home?.id);
      return { residentId: resident.id, ...sheet, move: home ? moveTo({ ...home, asItStands }, lodger, days) : null };
    },

    movesPlan: async ({ body }): Promise<MovesReply> => {
      const { days, perDay, cleaningDays, makeRoom, searchS } = body;
      const on = clock.today();
      const house = await houseToday(database, on, clock.now());
      const busyDays = await busyDaysOf(database, on, days);
      const scene: Scene = { house, on, days, busy: new Set(busyDays.map((day) => daysBetween(on, day))), makeRoom };
      // Eggs lie where they lie, and whoever has a move planned already keeps it.
      const movable = house.lodgers.filter(({ resident }) => resident.form !== 'eggs');
      const tenants = movable.map((lodger) => tenantOf(scene, lodger));
      const taken = new Set(
        house.lodgers.flatMap(({ resident, today }) => [
          ...(today.move ? [today.move.toHomeId] : []),
          ...(resident.form === 'eggs' ? [resident.homeId] : []),
        ]),
      );
      const shared = sharedHomes(house);
      const alone = tenants.filter(({ from }) => from === null || !shared.has(from));
      const living = new Set(alone.map(({ from }) => from));
      const tubs = openHomes(house.homes)
        .filter(({ id }) => !shared.has(id) && (!taken.has(id) || living.has(id)))
        .map((home) => withUsualAir({ ...home, temperatureC: house.facts.warmth(home).temperatureC }));
      const known = new Set(tubs.map(({ id }) => id));
      // Whoever is kept apart stays so.
      const movers = alone.filter(({ from }) => from === null || known.has(from));
      const plan = await latest((superseded) =>
        planned(superseded, 'planChain', movers, tubs, days, perDay, cleaningDays, on, searchS),
      );
      const { moves, unplacedWhy: unplaced, cost, bound, by } = plan;
      const lodgerOf = new Map(movable.map((lodger) => [lodger.resident.id, lodger]));
      const homeOf = new Map(house.homes.map((home) => [home.id, home]));
      const leaves = new Map(moves.map((move) => [move.resident, move.on]));
      const homeless = unplaced.flatMap(({ resident }) => {
        const lodger = lodgerOf.get(resident);
        return lodger ? [{ ...lodger.resident, profile: house.care.of(lodger.resident) }] : [];
      });
      const { buy, unserved } = await inTime('boxesToBuy', homeless, [], [...shippedBoxSizes]);
      return {
        ...{ cost, bound, by, buy, unserved, unplacedWhy: unplaced },
        unplaced: unplaced.map(({ resident }) => resident),
        moves: moves.flatMap((move) => {
          const lodger = lodgerOf.get(move.resident);
          const home = homeOf.get(move.to);
          if (!lodger || !home) return [];
          const left = leaves.get(move.waitsFor ?? '');
          const freeFrom = left === undefined ? on : addDays(left, cleaningDays);
          return [
            {
              ...{ ...move, soilToAddL: soilToAddL(home, move.depthMm) },
              ...windowOf(scene, lodger, move.on, freeFrom, canWait(move.need)),
            },
          ];
        }),
      };
    },
  };
}

/** A move with what its new home takes, and when it is fed first. */
function moveTo(
  home: CandidateHome,
  { resident, today }: Lodger,
  { id, on, from, until }: { id: string | null; on: Day; from: Day; until: Day },
): Handling['move'] {
  const animal = { ...resident, school: airSchool(today.profile, resident.schools) };
  const [ranked] = rankHomes(today.profile, animal, [home], resident.schools.openings);
  const { depthMm = home.substrateDepthMm, drill = null } = ranked ?? {};
  const feedFrom = addDays(on, today.profile.feeding?.settleDays.value ?? 0);
  return {
    id,
    toHomeId: home.id,
    ...{ on, from, until, depthMm, drill, feedFrom },
    soilToAddL: soilToAddL(home, depthMm),
  };
}

/** Moults looked ahead for the day on which a home is outgrown. */
const MOULTS = 3;

interface Scene {
  house: HouseToday;
  on: Day;
  days: number;
  busy: ReadonlySet<number>;
  makeRoom: boolean;
}

function tenantOf({ house, on, days, busy, makeRoom }: Scene, lodger: Lodger): Tenant {
  const { resident, today } = lodger;
  const { rest, quiet } = closedSpans(lodger.today, on, days);
  const closed = [...rest, ...quiet];
  const outgrownOn = growthAhead(house, lodger, MOULTS)?.outgrown?.median;
  const outgrownIn = outgrownOn === undefined ? null : daysBetween(on, outgrownOn);
  return {
    ...resident,
    profile: today.profile,
    school: airSchool(today.profile, resident.schools),
    from: resident.homeId,
    settled: resident.keptSo,
    days: today.move
      ? []
      : Array.from({ length: days }, (_, day) => day).filter((day) => !busy.has(day) && !isClosed(day, closed)),
    outgrownIn: outgrownIn !== null && outgrownIn < days ? outgrownIn : null,
    mayMove: makeRoom && resident.form === 'single' && !today.move,
  };
}

/** Homes with several residents: nobody moves in when one of them leaves. */
function sharedHomes({ lodgers }: HouseToday): ReadonlySet<string> {
  const counts = new Map<string, number>();
  for (const { resident } of lodgers) counts.set(resident.homeId, (counts.get(resident.homeId) ?? 0) + 1);
  return new Set([...counts].filter(([, count]) => count > 1).map(([id]) => id));
}

/** One whose home fails, or that has none, is moved on the first day on which it can be. */
const canWait = (need: Need): boolean => need !== 'fails' && need !== 'homeless';

/** The days about a move on which it could be made as well, and what stands against the others. */
function windowOf({ on, days, busy }: Scene, lodger: Lodger, moveOn: Day, freeFrom: Day, mayWait: boolean) {
  const { rest, quiet } = closedSpans(lodger.today, on, days);
  const closed = [...rest, ...quiet];
  const first = Math.max(0, daysBetween(on, freeFrom));
  const isOpen = (day: number) => day >= first && day < days && !isClosed(day, closed);
  const chosen = daysBetween(on, moveOn);
  let from = chosen;
  while (isOpen(from - 1)) from -= 1;
  let until = chosen;
  while (mayWait && isOpen(until + 1)) until += 1;
  const told = (why: 'rest' | 'moult' | 'busy' | 'tub') => (span: { from: number; to: number }) => ({
    from: addDays(on, span.from),
    until: addDays(on, Math.min(span.to, days) - 1),
    why,
  });
  return {
    window: { from: addDays(on, from), until: addDays(on, until) },
    closed: [
      ...rest.map(told('rest')),
      ...quiet.map(told('moult')),
      ...[...busy].map((day) => told('busy')({ from: day, to: day + 1 })),
      ...(first > 0 ? [told('tub')({ from: 0, to: first })] : []),
    ],
  };
}
