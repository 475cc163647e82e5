import { shippedFeeders } from '@/contract/shipped';
import { SCORED, type ScoreBoard, type Scored } from '@/contract/scores';
import { groupBy } from '@/core/groupBy';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { refusalChance } from '@/core/scores/refusal';
import { holds } from '@/core/scores/foreseen';
import { chanceScore, type Settled, type SettledChance } from '@/core/scores/summary';
import type { HouseToday } from '../house/houseToday';
import { inParts } from '../house/inTurn';
import { inThread } from '../threads/pool';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import { answeredOffers, piecesFed, standingEntries, type AnsweredOffer, type KeptForecast } from '../storage/scores';
import { NEED_DAYS, type FedBetween } from './needs';
import type { SpreadInForce } from './spread';

/** What came of a window: decided, still open, or of no account because nobody can tell any more. */
type Outcome = { is: 'settled'; happened: number | undefined } | { is: 'open' } | { is: 'void' };
const OPEN: Outcome = { is: 'open' };
const VOID: Outcome = { is: 'void' };

/** What was eaten of each kind of feeder. */
export async function fedSince(queries: Queries, since: Day): Promise<FedBetween> {
  const kindOf = new Map(shippedFeeders.flatMap((kind) => kind.classes.map(({ id }) => [id, kind.id] as const)));
  const byKind = groupBy(await piecesFed(queries, since), ({ food }) => kindOf.get(food) ?? '');
  return (kindId, from, to) =>
    (byKind.get(kindId) ?? []).reduce((sum, { on, pieces }) => (on >= from && on < to ? sum + pieces : sum), 0);
}

/** How often the windows of the house held, engine by engine, and how good its chances of a refusal were. */
export async function scoreBoardOf(
  queries: Queries,
  house: HouseToday,
  kept: readonly KeptForecast[],
): Promise<ScoreBoard> {
  const outcomeOf = await outcomes(queries, house, kept);
  const engines: ScoreBoard['engines'] = [];
  for (const engine of SCORED) {
    const all = kept.filter((each) => each.engine === engine).map((each) => ({ each, came: outcomeOf(each) }));
    const settled = all.flatMap(({ each, came }) => (came.is === 'settled' ? [{ each, ...came }] : []));
    // Two hundred quantiles of each window: that takes its time.
    const score = await inThread(
      'windowScore',
      settled.map(({ each, happened }) => settledOf(each, happened)),
    );
    const byKind = [...groupBy(settled, ({ each }) => each.kind)].map(([kind, some]) => {
      const held = some.filter(({ each, happened }) => holds(each, happened)).length;
      return { kind, windows: some.length, held };
    });
    engines.push({
      ...{ engine, ...score, byKind: byKind.sort((a, b) => b.windows - a.windows || a.kind.localeCompare(b.kind)) },
      open: all.filter(({ came }) => came.is === 'open').length,
      replayed: settled.filter(({ each }) => each.isReplayed).length,
      inForce: engine === 'need' ? 1 : house.spread[engine],
    });
  }
  return { asOf: house.on, engines, refusals: chanceScore(await refusals(queries, house, kept)) };
}

/** By how much each engine's windows are to be widened. */
export const spreadFound = ({ engines }: ScoreBoard): SpreadInForce => {
  const of = (engine: Scored) => engines.find((each) => each.engine === engine)?.spreadTimes ?? 1;
  return { moult: of('moult'), drying: of('drying'), hatch: of('hatch') };
};

function settledOf({ p10, p50, p90, isLog, naive, spreadTimes }: KeptForecast, happened: number | undefined): Settled {
  return { foreseen: { p10, p50, p90, isLog }, happened, naive: naive ?? undefined, spreadTimes };
}

async function outcomes(
  queries: Queries,
  { on, facts, residents }: HouseToday,
  kept: readonly KeptForecast[],
): Promise<(forecast: KeptForecast) => Outcome> {
  const here = new Set(residents.map(({ id }) => id));
  const hatching = kept.flatMap(({ engine, subject }) => (engine === 'hatch' ? [subject] : []));
  const hatched = groupBy(await entriesOfKinds(queries, hatching, ['hatched']), ({ residentId }) => residentId ?? '');
  const felt = kept.flatMap(({ engine, subject }) => (engine === 'drying' ? [subject] : []));
  const standing = await standingEntries(queries, felt);
  const firstNeed = kept.flatMap(({ engine, since }) => (engine === 'need' ? [since] : [])).sort()[0];
  const fed = firstNeed === undefined ? undefined : await fedSince(queries, firstNeed);
  const passed = (forecast: KeptForecast, isHere: boolean): Outcome => {
    if (!isHere) return VOID;
    return daysBetween(forecast.since, on) > forecast.p90 ? { is: 'settled', happened: undefined } : OPEN;
  };
  return (forecast) => {
    const { engine, subject, since, madeOn, happened } = forecast;
    switch (engine) {
      case 'moult': {
        const moults = facts.moults.get(subject) ?? [];
        // The moult that it was counted from was taken back, or one was written down between them since.
        if (!moults.some((moult) => moult.on === since)) return VOID;
        const next = moults.find((moult) => moult.on > since);
        if (!next) return passed(forecast, here.has(subject));
        return next.on <= madeOn ? VOID : { is: 'settled', happened: daysBetween(since, next.on) };
      }
      case 'hatch': {
        const days = (hatched.get(subject) ?? []).flatMap((entry) =>
          Array.from({ length: Math.min(1000, entry.data.headCount) }, () => daysBetween(since, entry.on)),
        );
        const middle = days.sort((a, b) => a - b)[Math.floor((days.length - 1) / 2)];
        if (middle === undefined) return passed(forecast, here.has(subject));
        return addDays(since, middle) < madeOn ? VOID : { is: 'settled', happened: middle };
      }
      case 'drying':
        return happened === null || !standing.has(subject) ? VOID : { is: 'settled', happened };
      case 'need': {
        const end = addDays(since, NEED_DAYS);
        if (on < end || !fed) return OPEN;
        const pieces = fed(subject, since, end);
        // A house that has written down no meal at all has not eaten nothing.
        return pieces === 0 ? VOID : { is: 'settled', happened: pieces };
      }
    }
  };
}

/** Refusals are told of so long. days, chosen here */
const REFUSALS_DAYS = 365;
/** A naive forecast is as sure as this that it will be as it was the last time. Chosen here */
const AS_LAST_TIME = 0.85;

/** Offers of the last year, each with the chance of a refusal by what was known before it. */
async function refusals(
  queries: Queries,
  { on, care, residents }: HouseToday,
  kept: readonly KeptForecast[],
): Promise<SettledChance[]> {
  const hunters = new Map(residents.filter((each) => care.of(each).feeding).map((each) => [each.id, each]));
  const offers: AnsweredOffer[] = [];
  await inParts([...hunters.keys()], async (some) => {
    offers.push(...(await answeredOffers(queries, some, addDays(on, -REFUSALS_DAYS))));
  });
  offers.sort((a, b) => a.on.localeCompare(b.on));
  const moults = groupBy(
    kept.filter(({ engine }) => engine === 'moult'),
    ({ subject }) => subject,
  );
  const seen = new Map<string, { offers: number; refused: number }>();
  const last = new Map<string, boolean>();
  return offers.map(({ residentId, on: day, isRefused }) => {
    const kind = hunters.get(residentId)?.kind ?? '';
    const before = seen.get(kind) ?? { offers: 0, refused: 0 };
    const moult = (moults.get(residentId) ?? []).findLast(({ since, madeOn }) => since <= day && madeOn <= day);
    const days = moult ? daysBetween(moult.since, day) : 0;
    const chance = refusalChance(days, moult, moult?.closeDays ?? 0, before);
    const was = last.get(residentId);
    seen.set(kind, { offers: before.offers + 1, refused: before.refused + (isRefused ? 1 : 0) });
    last.set(residentId, isRefused);
    const naive = was === undefined ? undefined : was ? AS_LAST_TIME : 1 - AS_LAST_TIME;
    return { chance, happened: isRefused, naive };
  });
}
