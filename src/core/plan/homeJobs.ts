import { pouredMl } from '@/core/climate/watering';
import { fit, type Check, type FitAnswer } from '@/core/housing/fit';
import { withMeanDepth } from '@/core/housing/soil';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { Quantity, RegularWork } from '@/core/profiles/profile';
import { doneToday, LOOK_MINUTES } from './jobParts';
import { latest } from './signs';
import type { Job, LogKind, ResidentToday } from './work';

/** The work about the home: its water, what is done at regular times, and what is wrong with it. */
export function homeJobs(resident: ResidentToday, today: Day): Job[] {
  return [...damping(resident, today), ...regularWork(resident, today), ...homeWork(resident, today)];
}

/** Late by more than this many days, damp soil should not wait another. */
const DAMP_TOLERANCE_DAYS = 2;
const DAMP_MINUTES = 1;

/** The soil is damped on the day its forecast names, or at once when its air has been too dry for too long. */
function damping({ watering, log }: ResidentToday, today: Day): Job[] {
  if (!watering || watering.dueOn === null || watering.dueOn > today) return [];
  const { dueOn, by, since, dampWetness, dampWetnessMin, dryAir } = watering;
  return [
    {
      kind: 'damp',
      dueOn,
      cannotWait: dryAir !== undefined || daysBetween(dueOn, today) > DAMP_TOLERANCE_DAYS,
      minutes: DAMP_MINUTES,
      reason:
        dryAir || by === 'dry-air'
          ? { code: 'dry-air', humidityPct: 0, minPct: 0, hours: 0, ...dryAir }
          : { code: 'dries', by, since, dampWetness, dampWetnessMin },
      water: { ml: pouredMl(watering.waterMl), where: watering.where },
      ...doneToday(log, ['damped'], today),
    },
  ];
}

/** A probe that cries is looked at; dry air alone is answered by damping where the soil is kept damp. */
export function alarmJobs({ alarms: all = [], watering, log }: ResidentToday, today: Day): Job[] {
  const left = all.filter((each) => each.kind !== 'too-dry' || !watering);
  if (left.length === 0) return [];
  return [
    {
      kind: 'alarm',
      dueOn: today,
      cannotWait: true,
      minutes: LOOK_MINUTES,
      reason: { code: 'alarms', alarms: left },
      ...doneToday(log, ['looked'], today),
    },
  ];
}

/** The entry that does each regular work. */
export const DONE_WITH = {
  water: 'watered',
  mist: 'misted',
  calcium: 'calcium',
  clutch: 'clutch',
  barrier: 'barrier',
  rubbish: 'rubbish',
} as const satisfies Record<RegularWork['work'], LogKind>;

function regularWork({ profile, stage, log }: ResidentToday, today: Day): Job[] {
  return profile.work
    .filter((work) => work.stages.includes(stage))
    .flatMap((work) => {
      const last = latest(log, [DONE_WITH[work.work], 'taken-in', 'moved'], addDays(today, -1));
      const dueOn = last ? addDays(last.on, work.everyDays) : today;
      if (dueOn > today) return [];
      const job: Job = {
        kind: work.work,
        dueOn,
        cannotWait: daysBetween(dueOn, today) > work.toleranceDays,
        minutes: work.minutes,
        reason: last
          ? { code: 'since-last', days: daysBetween(last.on, today), on: last.on }
          : { code: 'never', since: today },
        ...doneToday(log, [DONE_WITH[work.work]], today),
      };
      return [job];
    });
}

function homeWork(resident: ResidentToday, today: Day): Job[] {
  const { profile, home } = resident;
  const present = fit(profile, { ...resident, ...home, school: resident.schools?.air });
  if (present.verdict !== 'fail') return [];
  const failing = failingChecks(present);
  const toMm = present.substrateDepthMm.recommended;
  const soil = home.soil && toMm !== null ? withMeanDepth(home.soil, toMm) : undefined;
  const mended =
    toMm !== null &&
    fit(profile, { ...resident, ...home, school: resident.schools?.air, soil, substrateDepthMm: toMm });
  const bySoil = mended && mended.verdict !== 'fail';
  const kind = bySoil ? 'soil' : failing.every((check) => MENDED_IN_PLACE.has(check.quantity)) ? 'mend' : 'rehouse';
  return [
    {
      kind,
      dueOn: today,
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
  'outworldCount',
]);

function failingChecks(answer: FitAnswer): Check[] {
  return answer.checks.filter((check) => check.status === 'fail');
}
