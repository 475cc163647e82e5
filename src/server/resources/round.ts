import type { Entry } from '@/contract/entries';
import type { Home, Resident } from '@/contract/records';
import { dampedFor } from '@/core/climate/homeAir';
import { addDays } from '@/core/measure/day';
import { dueWork } from '@/core/plan/due';
import type { ResidentToday } from '@/core/plan/work';
import type { CareBook } from '@/core/profiles/careBook';
import { DAY_MS } from '@/core/readings/reading';
import { careOf, materialTable } from '../care';
import { ALARM_DAYS, homeAlarms, weighingsOf } from '../homeReadings';
import { groupBy } from '../groupBy';
import { growthFactsOf } from '../growthFacts';
import { roomsOf, wateringFor } from '../house';
import type { Handlers } from '../http/mount';
import { shelfOf } from '../larder';
import { logsOf } from '../logs';
import { moultOutlook } from '../offers';
import type { Queries } from '../storage/database';
import { entriesForRound } from '../storage/entries';
import { listHomes } from '../storage/homes';
import { listProbes } from '../storage/probes';
import { readingsOfHomes } from '../storage/readings';
import { listResidents } from '../storage/residents';
import { roomOfShelf } from '../storage/rooms';
import { restsUnderWay } from '../rests';
import { residentOn, tableOf } from '../today';
import { waterFacts } from '../waterFacts';
import type { Deps } from './deps';

export function roundHandlers({ database, clock }: Deps): Pick<Handlers, 'round'> {
  return {
    round: async ({ query }) => {
      const on = query.on ?? clock.today();
      const [care, residents, homes, entries] = [
        await careOf(database),
        await listResidents(database),
        await listHomes(database),
        await entriesForRound(database, on),
      ];
      const waters = await waterOfHomes(database, { care, residents, homes, entries, on, now: clock.now() });
      const homeById = new Map(homes.map((home) => [home.id, home]));
      const table = await tableOf(database, residents, on, await shelfOf(database, on));
      const facts = await growthFactsOf(database, residents, on, clock.now());
      const logs = logsOf(entries);
      const rests = await restsUnderWay(database, residents, on, clock.now());
      const stops = residents
        .filter((resident) => resident.takenInOn <= on)
        .flatMap((resident) => {
          const home = homeById.get(resident.homeId);
          if (!home) return [];
          const log = logs.get(resident.id) ?? [];
          const moult = moultOutlook(care, facts, resident, home, log, on);
          const water = waters.get(resident.id);
          const work = dueWork(
            { ...residentOn(care, resident, log, on, table), home, ...water, moult, rest: rests.get(resident.id) },
            on,
          );
          if (work.jobs.length === 0 && !work.leaveAlone) return [];
          return [{ residentId: resident.id, homeId: home.id, shelfId: home.shelfId, ...work }];
        });
      return { on, stops };
    },
  };
}

interface Scene {
  care: CareBook;
  residents: Resident[];
  homes: Home[];
  entries: Entry[];
  on: string;
  now: string;
}

/** For the one that each home is damped for: when that is due, and what its probes say is wrong. */
async function waterOfHomes(queries: Queries, scene: Scene) {
  const { care, residents, homes, entries, on, now } = scene;
  const [rooms, roomByShelf, materials] = [
    await roomsOf(queries, now),
    await roomOfShelf(queries),
    await materialTable(queries),
  ];
  const probes = await listProbes(queries);
  const readings = await readingsOfHomes(queries, new Date(Date.parse(now) - ALARM_DAYS * DAY_MS).toISOString());
  const tenantsOf = groupBy(residents, (resident) => resident.homeId);
  const entriesOf = groupBy(entries, (entry) => entry.residentId ?? '');
  const probesOf = groupBy(probes, (probe) => probe.homeId ?? '');
  const water = new Map<string, Pick<ResidentToday, 'watering' | 'alarms'>>();
  for (const home of homes) {
    const tenants = tenantsOf.get(home.id) ?? [];
    const tenant = dampedFor(care, tenants);
    const room = rooms.find((each) => each.id === roomByShelf.get(home.shelfId));
    if (!tenant || !room) continue;
    const profile = care.of(tenant);
    const inHome = probesOf.get(home.id) ?? [];
    const alarms = homeAlarms(inHome, readings, profile.climate, Date.parse(now));
    const log = tenants.flatMap((each) => entriesOf.get(each.id) ?? []);
    const facts = waterFacts(log, weighingsOf(inHome, readings), on, addDays(on, -1));
    water.set(tenant.id, {
      watering: wateringFor(profile, tenant, home, room, materials, facts, on, alarms),
      alarms,
    });
  }
  return water;
}
