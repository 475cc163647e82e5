import { forgivingForecast } from '@/core/growth/forecast';
import { moultQuestion, type Subject, type Peer } from '@/core/growth/subject';
import { warmthBetween } from '@/core/growth/warmthLived';
import { groupBy } from '@/core/groupBy';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { guarded } from '../guarded';
import { subjectOf } from '../house/growthFacts';
import type { HouseToday, Lodger } from '../house/houseToday';
import { pauses } from '../house/inTurn';
import type { KeptForecast } from '../storage/scores';

/** A forecast is asked for the first time on the day after a moult. */
const ASKED_AFTER_DAYS = 1;
/** How warm it was of late tells what was thought of the time ahead. */
const LATELY_DAYS = 60;

/**
 * The window of the moult that everybody waits for, as it stands today; and those of moults that have come since, as they would have
 * stood on the day after the moult before: from what was known then, and by nothing that was written of later days.
 * @param isKept whether a window is kept already
 */
export async function moultWindows(
  house: HouseToday,
  isKept: (subject: string, since: Day) => boolean,
): Promise<KeptForecast[]> {
  const pause = pauses();
  const ofSpecies = groupBy(house.facts.peers, ({ scientificName }) => scientificName);
  const windows: KeptForecast[] = [];
  for (const lodger of house.lodgers) {
    const { resident } = lodger;
    if (resident.form !== 'single') continue;
    const moults = house.facts.moults.get(resident.id) ?? [];
    const peers = ofSpecies.get(resident.scientificName) ?? [];
    for (const [at, moult] of moults.entries()) {
      if (isKept(resident.id, moult.on)) continue;
      const next = moults[at + 1];
      const asked = addDays(moult.on, ASKED_AFTER_DAYS);
      if (next && next.on <= asked) continue;
      const window = guarded(() =>
        next ? windowOf(house, lodger, peers, at, asked) : windowOf(house, lodger, peers, at, house.on),
      );
      if (window) windows.push(window);
      await pause();
    }
  }
  return windows;
}

function windowOf(
  house: HouseToday,
  { resident, home, log }: Lodger,
  peers: readonly Peer[],
  at: number,
  asOf: Day,
): KeptForecast | null {
  const { facts, care } = house;
  const isNow = asOf === house.on;
  const subject = subjectOf(facts, care, resident, home, log, house.on);
  const own = isNow ? subject : asKnown(house, subject, resident.stage, at, asOf);
  const others = isNow ? peers : peers.map((each) => ({ ...each, moults: before(each.moults, asOf) }));
  const profile = care.of({ ...resident, stage: own.stage });
  const { next, grounds } = forgivingForecast({ ...moultQuestion(profile, own, others, asOf), ahead: 1 });
  const since = subject.moults[at]?.on;
  if (!next || since === undefined) return null;
  const begun = subject.moults[at - 1]?.on ?? subject.bornOn;
  const days = (on: Day) => daysBetween(since, on);
  return {
    ...{ engine: 'moult', subject: resident.id, since, kind: resident.kind, madeOn: asOf },
    ...{ p10: days(next.p10), p50: days(next.median), p90: days(next.p90), isLog: true },
    // What has passed cannot come any more.
    naive: begun === undefined ? null : Math.max(daysBetween(begun, since), days(asOf)),
    ...{ spreadTimes: own.spreadTimes ?? 1, closeDays: grounds.closeDays, happened: null },
    isReplayed: !isNow,
  };
}

const before = (moults: Peer['moults'], asOf: Day) => moults.filter(({ on }) => on <= asOf);

/** One as it was known on a day gone by, after one of its moults. */
function asKnown(house: HouseToday, subject: Subject, stageNow: Subject['stage'], at: number, asOf: Day): Subject {
  const { moults } = subject;
  const seen = moults.slice(0, at + 1);
  const stage = seen.findLast((each) => each.stage !== undefined)?.stage;
  const isLater = moults.slice(at + 1).some((each) => each.stage !== undefined);
  const lived = house.facts.lived.get(subject.id);
  const lately = lived && warmthBetween(lived, addDays(asOf, -LATELY_DAYS), asOf);
  return {
    ...subject,
    ...{ moults: seen, signs: [], sizeMm: undefined, sizedOn: undefined, instar: undefined },
    // The engine guesses it by the intervals where nobody wrote it down until later.
    stage: stage ?? (isLater ? undefined : stageNow),
    ...{ temperatureC: lately ?? subject.temperatureC, sinceTemperatureC: undefined, spreadTimes: undefined },
  };
}
