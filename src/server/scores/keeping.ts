import { SCORED, type Scored, type ScoreBoard } from '@/contract/scores';
import type { SupplyPlan } from '@/contract/store';
import { addDays, type Day } from '@/core/measure/day';
import type { Clock } from '../clock';
import { houseToday } from '../house/houseToday';
import { letOthersIn } from '../house/inTurn';
import type { Database } from '../storage/database';
import { keepForecasts, keptForecasts, latestForecasts, type KeptForecast } from '../storage/scores';
import { fedSince, scoreBoardOf, spreadFound } from './board';
import { dryingWindows } from './dryings';
import { hatchWindows } from './hatchings';
import { moultWindows } from './moults';
import { NEED_DAYS, needWindows } from './needs';
import { putInForce } from './spread';
import { complain } from '../log';

/** What the keeping of score asks of the rest of the server. */
export interface ScoreKeeper {
  database: Database;
  clock: Clock;
  /** What the house will eat, and from which day on. */
  supply: () => Promise<Pick<SupplyPlan, 'from' | 'lines'>>;
}

/**
 * Keeps every window that is shown today and was not kept before, and answers how the windows of this house have held. What has
 * been learned is put in force: windows that were too narrow are wider from now on.
 */
export async function keepScore({ database, clock, supply }: ScoreKeeper): Promise<ScoreBoard> {
  const [on, now] = [clock.today(), clock.now()];
  const house = await houseToday(database, on, now);
  const before = await keptForecasts(database);
  const known = new Map(before.map((each) => [`${each.engine} ${each.subject} ${each.since}`, each.happened]));
  const isKept = (engine: Scored) => (subject: string, since: Day) => known.has(`${engine} ${subject} ${since}`);
  const dried = (subject: string, since: Day) => known.get(`drying ${subject} ${since}`);
  const lastNeed = (kindId: string) =>
    before.findLast(({ engine, subject }) => engine === 'need' && subject === kindId)?.since;
  await keepForecasts(database, [
    ...(await moultWindows(house, isKept('moult'))),
    ...(await dryingWindows(database, house, now, dried)),
    ...(await hatchWindows(database, house, isKept('hatch'))),
    ...needWindows(await supply(), lastNeed, await fedSince(database, addDays(on, -NEED_DAYS))),
  ]);
  const kept: KeptForecast[] = [];
  for (const engine of SCORED) {
    kept.push(...(await latestForecasts(database, engine)));
    await letOthersIn();
  }
  const board = await scoreBoardOf(database, house, kept);
  await putInForce(database, spreadFound(board));
  return board;
}

/** The first time somebody wants to see something else first. ms, chosen here */
const FIRST_AFTER_MS = 2 * 60_000;
const EVERY_MS = 6 * 3_600_000;

/** Keeps score also while nobody asks. */
export function keepScoring(keeper: ScoreKeeper): void {
  const keep = () =>
    void keepScore(keeper).catch((error: unknown) => complain('Forecasts could not be scored.', error));
  setTimeout(keep, FIRST_AFTER_MS).unref();
  setInterval(keep, EVERY_MS).unref();
}
