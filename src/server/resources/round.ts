import type { Round, Stop } from '@/contract/round';
import { planHouse } from '@/core/plan/levelling';
import { workAhead, type Outlook } from '@/core/plan/workAhead';
import type { Handlers } from '../http/mount';
import { houseToday, type HouseToday, type Lodger } from '../house/houseToday';
import { inTurn } from '../house/inTurn';
import type { Deps } from './deps';

/** The work is levelled over a week. */
const LEVELLED_DAYS = 7;

export function roundHandlers({ database, clock }: Deps): Pick<Handlers, 'round'> {
  return {
    round: async ({ query }) => {
      const on = query.on ?? clock.today();
      return roundOf(await houseToday(database, on, clock.now()));
    },
  };
}

/** The walk of a house on its day. */
export async function roundOf({ on, lodgers, unworkable }: HouseToday): Promise<Round> {
  await inTurn(lodgers, (lodger) => morningOutlook(lodger, on));
  const lighter = lighterDays(lodgers, on);
  return {
    on,
    stops: lodgers.flatMap((lodger) => stopOf(lodger, lighter) ?? []),
    unworkable: unworkable.map(({ resident, home, why, entryId }) => ({
      ...{ residentId: resident.id, homeId: home.id, why, entryId },
    })),
  };
}

/** The stop of one as it was answered last: as long as nothing about it changes it is the very same. */
const stops = new WeakMap<Lodger, { key: string; stop: Stop }>();

/** The stop of one on the walk; undefined where there is nothing to do, and nobody to be left alone. */
function stopOf(lodger: Lodger, lighter: ReturnType<typeof lighterDays>): Stop | undefined {
  const { resident, home, due } = lodger;
  const { leaveAlone, waiting } = due;
  if (due.jobs.length === 0 && !leaveAlone) return undefined;
  const later = due.jobs.map(({ kind }) => lighter(resident.id, kind));
  const key = JSON.stringify(later);
  const known = stops.get(lodger);
  if (known?.key === key) return known.stop;
  const stop = {
    ...{ residentId: resident.id, homeId: home.id, shelfId: home.shelfId, leaveAlone, waiting },
    jobs: due.jobs.map((job, index) => ({ ...job, ...later[index] })),
  };
  stops.set(lodger, { key, stop });
  return stop;
}

/** The work of the week of one as it stood in the morning, kept as long as nothing about it changes. */
const outlooks = new WeakMap<Lodger, Outlook>();

function morningOutlook(lodger: Lodger, on: string): Outlook {
  const known = outlooks.get(lodger);
  if (known) return known;
  const { today, due } = lodger;
  const morning = { ...today, log: today.log.filter((entry) => entry.on < on) };
  const outlook = workAhead(morning, on, LEVELLED_DAYS, due);
  outlooks.set(lodger, outlook);
  return outlook;
}

/**
 * For each job the day of this week on which it would better be done, where that is not today. As it stood in the
 * morning: what is ticked on the walk puts nothing else off.
 */
function lighterDays(works: readonly Lodger[], on: string) {
  const plan = planHouse(
    works.map((lodger) => ({ id: lodger.resident.id, today: lodger.today, outlook: morningOutlook(lodger, on) })),
    on,
    LEVELLED_DAYS,
  );
  return (residentId: string, kind: string): { lighterIn?: number } => {
    const job = plan.jobs.get(residentId)?.find((each) => each.kind === kind && each.due <= 0);
    return job && job.on > 0 ? { lighterIn: job.on } : {};
  };
}
