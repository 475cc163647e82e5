import type { Brood } from '@/contract/broods';
import type { EntryOf } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import type { EggKind } from '@/core/broods/eggs';
import { hatchForecast, type HatchForecast, type HatchQuestion } from '@/core/broods/hatch';
import { addDays, type Day } from '@/core/measure/day';
import type { Coming } from '@/core/plan/work';
import { Refusal } from '@/core/refusal';
import { eggKindOf } from './kinds';
import { remembering } from './remembering';
import { warmAgainOn, type StandingRest } from './rests';

/** What is known of some eggs on a day. */
export interface EggFacts {
  resident: Resident;
  /** The last word on when they were laid. */
  laid: EntryOf<'laid'> | undefined;
  temperatureC: number;
  rest: StandingRest | undefined;
  /** By how much the windows of hatching are widened. */
  spreadTimes: number;
  today: Day;
}

type Known = Pick<
  Brood,
  'eggs' | 'laidFrom' | 'laidTo' | 'mating' | 'isGuessed' | 'temperatureC' | 'coldWeeks' | 'warmSince' | 'problem'
>;

/** When some eggs hatch: one answer for their page, the round, the year and the calendar. */
export interface Hatching extends Known {
  kind: EggKind | undefined;
  forecast: HatchForecast | null;
  /** From that day on they are looked at: one of twenty like them is out, whatever is known since. */
  lookFrom: Day | null;
}

const forecasts = remembering<HatchForecast>(2000);
const remembered = (question: HatchQuestion) => forecasts(JSON.stringify(question), () => hatchForecast(question));

export function hatchingOf({ resident, laid, temperatureC, rest, spreadTimes, today }: EggFacts): Hatching {
  const kind = eggKindOf(resident);
  const laidFrom = laid?.data.laidFrom ?? resident.bornOn ?? resident.takenInOn;
  const laidTo = laid?.data.laidTo ?? laidFrom;
  const coldWeeks = kind?.coldWeeks?.value ?? null;
  const warmSince = coldWeeks === null || !rest ? null : warmAgainOn(rest);
  const known = {
    ...{ kind, laidFrom, laidTo, coldWeeks, warmSince, temperatureC },
    ...{ eggs: resident.headCount ?? 1, mating: laid?.data.mating ?? ('unknown' as const), isGuessed: !laid },
  };
  const without = (problem: string) => ({ ...known, forecast: null, lookFrom: null, problem });
  if (!kind) return without('Nobody gave the numbers of these eggs.');
  if (coldWeeks !== null && warmSince === null) {
    const message = `They hatch once they are warm again after about ${coldWeeks} weeks of cold: plan their winter rest.`;
    return without(message);
  }
  const { eggs, mating } = known;
  const question = { kind, eggs, laidFrom, laidTo, mating, temperatureC, spreadTimes };
  const warm = warmSince === null ? {} : { warmSince };
  try {
    const forecast = remembered({ ...question, ...warm, asOf: today });
    const begins = warmSince ?? laidTo;
    const asBegun = begins < today ? remembered({ ...question, ...warm, asOf: addDays(begins, 1) }) : forecast;
    return { ...known, forecast, lookFrom: asBegun.from, problem: null };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return without(error.fields.map(({ message }) => message).join(' '));
  }
}

/** When eggs hatch, as it is told to the round and the year; undefined where nobody knows, and once none is to come. */
export function eggsComing(facts: EggFacts): Coming | undefined {
  const { forecast, lookFrom } = hatchingOf(facts);
  if (!forecast || lookFrom === null || forecast.isStanding || forecast.weeks.length === 0) return undefined;
  const { from, median, to: until } = forecast;
  return { window: { what: 'hatch', lookFrom, from, median, until } };
}
