import { pouredMl } from '@/core/climate/pouredMl';
import { DAMP_TOLERANCE_DAYS } from '@/core/climate/watering';
import { growsFungus } from '@/core/colony/nestSteps';
import { isGlass } from '@/core/housing/container';
import { fit, type Check, type FitAnswer } from '@/core/housing/fit';
import { withMeanDepth } from '@/core/housing/soil';
import { daysBetween, type Day } from '@/core/measure/day';
import type { Quantity, RegularWork } from '@/core/profiles/profile';
import { airSchool, schoolsInForce } from '@/core/profiles/schools';
import { doneToday, jobOf, LOOK_MINUTES, sinceLast, type Rhythm } from './jobParts';
import { latest } from './signs';
import { seasonOf } from '@/core/season/year';
import { DONE_WITH, type Job, type ResidentToday } from './work';

/** The work about the home: its water, what is done at regular times, and what is wrong with it. */
export function homeJobs(resident: ResidentToday, today: Day): Job[] {
  return [
    ...damping(resident, today),
    ...regularRhythms(resident, today)
      .flatMap((each) => jobOf(each, resident.log, today))
      .map((job) => (job.kind === 'rubbish' && growsFungus(resident.profile) ? { ...job, leavesHeap: true } : job)),
    ...homeWork(resident, today),
  ];
}

const DAMP_MINUTES = 1;

/** When the soil is damped: on the day its forecast names, or at once when its air has been too dry for too long. */
export function dampingRhythm({ watering }: ResidentToday): Rhythm[] {
  if (!watering || watering.dueOn === null) return [];
  const { dueOn, likelyOn = dueOn, holdsDays, by, since, dampWetness, dampWetnessMin, dryAir } = watering;
  return [
    {
      kind: 'damp',
      ...{ dueOn, everyDays: holdsDays, minutes: DAMP_MINUTES },
      // From the day on which it may be dry to the one on which it likely is, and a little.
      toleranceDays: (likelyOn === null ? 0 : daysBetween(dueOn, likelyOn)) + DAMP_TOLERANCE_DAYS,
      doneWith: ['damped'],
      reason:
        dryAir || by === 'dry-air'
          ? { code: 'dry-air', humidityPct: 0, minPct: 0, hours: 0, ...dryAir }
          : { code: 'dries', by, since, dampWetness, dampWetnessMin },
    },
  ];
}

function damping(resident: ResidentToday, today: Day): Job[] {
  const { watering, log } = resident;
  if (!watering) return [];
  const water = { ml: pouredMl(watering.waterMl), way: watering.way };
  const atOnce = watering.dryAir && { until: today, cannotWait: true };
  return dampingRhythm(resident)
    .flatMap((rhythm) => jobOf(rhythm, log, today))
    .map((job) => ({ ...job, ...atOnce, water }));
}

/** A probe that cries is looked at; dry air alone is answered by damping where the soil is kept damp. */
export function alarmJobs({ alarms: all = [], watering, log }: ResidentToday, today: Day): Job[] {
  const left = all.filter((each) => !each.isBorne && (each.kind !== 'too-dry' || !watering));
  if (left.length === 0) return [];
  return [
    {
      kind: 'alarm',
      dueOn: today,
      until: today,
      cannotWait: true,
      minutes: LOOK_MINUTES,
      reason: { code: 'alarms', alarms: left },
      ...doneToday(log, ['looked'], today),
    },
  ];
}

/** From so far towards midwinter on it is winter. From memory: November to February */
const WINTER = 0.7;

/** The regular work of a kind and stage, each with the day it is due next; nothing that was done today counts yet. */
export function regularRhythms(resident: ResidentToday, today: Day): Rhythm[] {
  const { profile, stage, log, schools = {} } = resident;
  const inForce = schoolsInForce(profile, schools);
  const isOfSchool = ({ school }: RegularWork) => school === undefined || inForce.includes(school);
  return profile.work
    .filter((each) => each.stages.includes(stage) && isOfSchool(each) && isAsked(each, resident, today))
    .map(({ work, everyDays: inSummer, winterEveryDays, toleranceDays, minutes }) => {
      const everyOn = (on: Day) => {
        if (winterEveryDays === undefined) return inSummer;
        return seasonOf(on, resident.hemisphere ?? 'north').winterShare > WINTER ? winterEveryDays : inSummer;
      };
      const everyDays = everyOn(today);
      const doneWith = [DONE_WITH[work]];
      return {
        ...{ kind: work, everyDays, everyOn, toleranceDays, minutes, doneWith },
        ...sinceLast(log, doneWith, everyDays, today),
      };
    });
}

/** Those that are kept alone are not counted, and weights are for keepers who weigh: one weight is the beginning. */
function isAsked({ work, aloneFromInstar }: RegularWork, resident: ResidentToday, today: Day): boolean {
  const { form, headCount, instar, log } = resident;
  // A hatchling that is alone drinks itself full of the drops, and eats no more.
  if (aloneFromInstar !== undefined && form === 'single' && instar !== undefined && instar < aloneFromInstar)
    return false;
  switch (work) {
    case 'census':
      return form === 'colony' || (headCount ?? 1) > 1;
    case 'weigh':
      return form !== 'group' && latest(log, ['weighed'], today) !== undefined;
    default:
      return true;
  }
}

/** Whether one lives in a home that fails, in a way that only another home mends. */
export const needsAnotherHome = (resident: ResidentToday, today: Day): boolean =>
  homeWork({ ...resident, move: undefined }, today).some(({ kind }) => kind === 'rehouse');

function homeWork(resident: ResidentToday, today: Day): Job[] {
  const { profile, home } = resident;
  const present = fit(profile, { ...resident, ...home, school: airSchool(profile, resident.schools) });
  if (present.verdict !== 'fail') return [];
  const failing = failingChecks(present);
  const toMm = present.substrateDepthMm.recommended;
  const soil = home.soil && toMm !== null ? withMeanDepth(home.soil, toMm) : undefined;
  const mended =
    toMm !== null &&
    fit(profile, { ...resident, ...home, school: airSchool(profile, resident.schools), soil, substrateDepthMm: toMm });
  const bySoil = mended && mended.verdict !== 'fail';
  const kind = bySoil ? 'soil' : failing.every(({ quantity }) => isMended(quantity, home)) ? 'mend' : 'rehouse';
  // Where it goes and when is settled: that move is asked for, and nothing else.
  if (kind === 'rehouse' && resident.move) return [];
  return [
    {
      kind,
      dueOn: today,
      until: today,
      cannotWait: true,
      minutes: kind === 'rehouse' ? profile.homeWork.moveMinutes : profile.homeWork.soilMinutes,
      reason: { code: 'home-fails', rules: failing.map((check) => check.rule) },
      ...(bySoil && { soil: { fromMm: home.substrateDepthMm, toMm } }),
    },
  ];
}

/** What is put right in the box as it stands: holes drilled or meshed, a piece put in, a bottle stopped, a chamber closed. */
const MENDED_IN_PLACE = new Set<Quantity>([
  'widestOpeningMm',
  'ventSharePct',
  'openSides',
  'openSidePairs',
  'meshOverheadCount',
  'roofHoldCount',
  'hideCount',
  'hangingPlaceCount',
  'creviceCount',
  'bridgeCount',
  'openBottleCount',
  'litterDepthMm',
  'perchDropMm',
  'nestFullnessPct',
  'tubeBoreMm',
  'nestCount',
  'outworldCount',
]);

/** Glass is not drilled. */
const NOT_IN_GLASS = new Set<Quantity>(['ventSharePct', 'openSides', 'openSidePairs']);
const isMended = (quantity: Quantity, { container }: ResidentToday['home']) =>
  MENDED_IN_PLACE.has(quantity) && !(isGlass(container) && NOT_IN_GLASS.has(quantity));

function failingChecks(answer: FitAnswer): Check[] {
  return answer.checks.filter((check) => check.status === 'fail');
}
