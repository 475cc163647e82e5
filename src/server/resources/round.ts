import { planHouse } from '@/core/plan/levelling';
import type { Handlers } from '../http/mount';
import { houseToday, type Lodger } from '../house/houseToday';
import type { Deps } from './deps';

/** The work is levelled over a week. */
const LEVELLED_DAYS = 7;

export function roundHandlers({ database, clock }: Deps): Pick<Handlers, 'round'> {
  return {
    round: async ({ query }) => {
      const on = query.on ?? clock.today();
      const house = await houseToday(database, on, clock.now());
      const lighter = lighterDays(house.lodgers, on);
      const stops = house.lodgers.flatMap(({ resident, home, due: { jobs, leaveAlone, waiting } }) => {
        if (jobs.length === 0 && !leaveAlone) return [];
        const at = { residentId: resident.id, homeId: home.id, shelfId: home.shelfId };
        return [
          { ...at, jobs: jobs.map((job) => ({ ...job, ...lighter(resident.id, job.kind) })), leaveAlone, waiting },
        ];
      });
      const unworkable = house.unworkable.map(({ resident, home, why, entryId }) => ({
        ...{ residentId: resident.id, homeId: home.id, why, entryId },
      }));
      return { on, stops, unworkable };
    },
  };
}

/**
 * For each job the day of this week on which it would better be done, where that is not today. As it stood in the
 * morning: what is ticked on the walk puts nothing else off.
 */
function lighterDays(works: readonly Lodger[], on: string) {
  const morning = works.map(({ resident, today, due }) => ({
    ...{ id: resident.id, due },
    today: { ...today, log: today.log.filter((entry) => entry.on < on) },
  }));
  const plan = planHouse(morning, on, LEVELLED_DAYS);
  return (residentId: string, kind: string): { lighterIn?: number } => {
    const job = plan.jobs.get(residentId)?.find((each) => each.kind === kind && each.due <= 0);
    return job && job.on > 0 ? { lighterIn: job.on } : {};
  };
}
