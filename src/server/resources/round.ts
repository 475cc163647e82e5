import type { Entry } from '@/contract/records';
import { dueWork, type LogEntry, type LogKind } from '@/core/plan/due';
import { MOULT_SIGNS } from '@/core/profiles/profile';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { entriesForRound } from '../storage/entries';
import { listHomes } from '../storage/homes';
import { listResidents } from '../storage/residents';
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
      const homeById = new Map(homes.map((home) => [home.id, home]));
      const logs = groupLog(entries);
      const stops = residents
        .filter((resident) => resident.takenInOn <= on)
        .flatMap((resident) => {
          const home = homeById.get(resident.homeId);
          if (!home) return [];
          const work = dueWork(
            {
              ...resident,
              school: resident.school ?? undefined,
              profile: care.of(resident),
              home,
              log: logs.get(resident.id) ?? [],
            },
            on,
          );
          if (work.jobs.length === 0 && !work.leaveAlone) return [];
          return [{ residentId: resident.id, homeId: home.id, shelfId: home.shelfId, ...work }];
        });
      return { on, stops };
    },
  };
}

function groupLog(entries: Entry[]): Map<string, LogEntry[]> {
  const logs = new Map<string, LogEntry[]>();
  for (const { id, kind, residentId, on, at, data } of entries) {
    if (residentId === null) continue;
    const sign = MOULT_SIGNS.find((known) => known === data.sign);
    const log = logs.get(residentId) ?? [];
    log.push({ id, kind: kind as LogKind, on, at, sign });
    logs.set(residentId, log);
  }
  return logs;
}
