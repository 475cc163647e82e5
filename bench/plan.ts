import { shippedFeeders, shippedFoods, shippedProfiles } from '@/contract/shipped';
import { preyOf } from '@/core/feeding/food';
import { addDays } from '@/core/measure/day';
import { heuristicChain } from '@/core/plan/chain/heuristic';
import { solveChain } from '@/core/plan/chain/solve';
import { planHouse } from '@/core/plan/levelling';
import { workAhead } from '@/core/plan/workAhead';
import type { LogEntry, LogKind, ResidentToday } from '@/core/plan/work';
import { waitingHouse } from '@/core/testing/movers';
import { sharedSolver } from '@/server/solver/highs';
import { countdown } from '@/server/threads/countdown';
import { median, once, row } from './measure';

const TODAY = '2026-03-14';
const YEAR_DAYS = 365;
const LARDER = { feeders: preyOf(shippedFeeders), foods: shippedFoods };

/** Residents of every kind with a log each; the same every time. */
function residents(count: number): { id: string; today: ResidentToday }[] {
  const line = (index: number, kind: LogKind, ago: number): LogEntry => {
    const on = addDays(TODAY, -ago);
    return { id: `${index} ${kind} ${ago}`, kind, on, at: `${on}T19:00:00.000Z` };
  };
  return Array.from({ length: count }, (_, index) => {
    const profile = shippedProfiles[index % shippedProfiles.length] as (typeof shippedProfiles)[0];
    const today: ResidentToday = {
      ...{ profile, larder: LARDER, hemisphere: 'north' as const, stage: profile.stages.at(-1) ?? 'adult' },
      form: index % 3 === 0 ? 'group' : 'single',
      headCount: index % 3 === 0 ? 12 : undefined,
      [profile.measure.takes]: profile.growth.grownMm.value * (0.5 + ((index * 7) % 10) / 20),
      home: {
        container: { shape: 'box', lengthMm: 300, widthMm: 240, heightMm: 300, lid: 'solid', vents: [] },
        substrateDepthMm: 120,
      },
      watering: {
        ...{ dueOn: addDays(TODAY, (index * 5) % 25), holdsDays: 20 + (index % 15), waterMl: 40, dampWetness: 0.4 },
        ...{ dampWetnessMin: 0.4, by: 'damped' as const, since: TODAY, way: 'at-end' as const },
      },
      log: [
        line(index, 'taken-in', 400),
        line(index, 'offered', index % 12),
        line(index, 'watered', index % 7),
        line(index, 'cleaned', index % 30),
        line(index, 'moulted', 30 + (index % 90)),
      ],
    };
    return { id: String(index), today };
  });
}

/** The work of a year, one entry in it, and the chain of moves. */
export async function benchPlan(): Promise<void> {
  const thousand = residents(1000);
  const plan = planHouse(thousand, TODAY, YEAR_DAYS);
  const jobs = [...plan.jobs.values()].flat();
  row(
    `baseline: the ${jobs.length} jobs of that year copied and sorted by day`,
    median(() => [...jobs].sort((a, b) => a.on - b.on)),
    '',
  );
  row(
    'due work: 1,000 residents, a year, levelled',
    median(() => planHouse(thousand, TODAY, YEAR_DAYS)),
    'limit 1 s',
  );
  const first = thousand[0] as (typeof thousand)[0];
  const fed: ResidentToday = {
    ...first.today,
    log: [...first.today.log, { id: 'now', kind: 'offered', on: TODAY, at: `${TODAY}T20:00:00.000Z` }],
  };
  const known = thousand.map((each) => ({ ...each, outlook: workAhead(each.today, TODAY, YEAR_DAYS) }));
  row(
    'due work: after one log entry, the others as foreseen before',
    median(() => planHouse([{ ...first, today: fed }, ...known.slice(1)], TODAY, YEAR_DAYS)),
    'limit 100 ms',
  );
  for (const count of [250, 500, 1000, 2000]) {
    const some = residents(count);
    row(
      `due work: ${count} residents, a year`,
      median(() => planHouse(some, TODAY, YEAR_DAYS)),
      'grows no faster than n log n',
    );
  }
  const keepAlive = setInterval(() => undefined, 1000);
  for (const [share, what] of [
    [0.15, 'few tubs serve each'],
    [0.4, 'many tubs serve each'],
  ] as const) {
    const problem = waitingHouse(60, 80, 60, 17, share);
    row(
      `baseline: chain 60 x 80 x 60 by the short search alone, ${what}`,
      median(() => heuristicChain(problem, 300)),
      '',
    );
    const solved = await once(() => solveChain(problem, sharedSolver(), countdown(7)));
    const { cost, bound } = solved.answer;
    row(
      `chain 60 x 80 x 60, ${what}: ${((100 * (cost - bound)) / cost).toFixed(2)} % from the bound`,
      solved.ms,
      'limit 10 s to 1 %',
    );
  }
  clearInterval(keepAlive);
}
