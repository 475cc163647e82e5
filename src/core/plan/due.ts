import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { bodyOf, takenMeasure, type AnimalMeasures } from '@/core/profiles/animal';
import {
  defaultSchool,
  type CareProfile,
  type MealPlan,
  type MoultSign,
  type Quantity,
  type Stage,
} from '@/core/profiles/profile';
import { fit, type Check, type FitAnswer } from '@/core/housing/fit';
import type { HomeState } from '@/core/housing/quantities';
import { withMeanDepth } from '@/core/housing/soil';
import { pouredMl, type WateringOutlook } from '@/core/climate/watering';
import type { Alarm } from '@/core/readings/alarms';

/** What keepers write down about a resident that the round depends on. */
export type LogKind =
  | 'taken-in'
  | 'moved'
  | 'offered'
  | 'eaten'
  | 'refused'
  | 'watered'
  | 'damped'
  | 'misted'
  | 'felt'
  | 'moulted'
  | 'sign'
  | 'measured'
  | 'looked';

export interface LogEntry {
  id: string;
  kind: LogKind;
  on: Day;
  /** UTC instant, for the order within a day. */
  at: string;
  sign?: MoultSign | undefined;
}

/** What one probe in a home says is wrong. */
export interface ProbeAlarm extends Alarm {
  probeId: string;
  probe: string;
}

export interface ResidentToday extends AnimalMeasures {
  profile: CareProfile;
  stage: Stage;
  school?: string | undefined;
  home: HomeState;
  /** At least the latest entry of each kind (and of each kind of sign) before today, and all of today's. */
  log: LogEntry[];
  /** When its soil is to be damped, as it stood this morning; null for kinds whose soil is not kept damp. */
  watering?: WateringOutlook | null | undefined;
  /** What the probes in its home say is wrong. */
  alarms?: ProbeAlarm[] | undefined;
  /** How likely its moult is by the calendar and its signs, and when; only where signs were seen. */
  moult?: MoultOutlook | undefined;
}

export interface MoultOutlook {
  premoultPct: number;
  medianOn: Day;
  /** Signs show for so many days before a moult. */
  closeDays: number;
  signs: MoultSign[];
}

export type JobKind =
  'alarm' | 'prey-out' | 'leftovers' | 'feed' | 'damp' | 'mist' | 'water' | 'soil' | 'mend' | 'rehouse';

export type Reason =
  | { code: 'never'; since: Day }
  | { code: 'since-last'; days: number; on: Day }
  | { code: 'after-refusal'; days: number; on: Day }
  | { code: 'offered'; on: Day; at: string }
  | { code: 'dries'; by: 'damped' | 'felt' | 'weighed'; since: Day; dampWetness: number; dampWetnessMin: number }
  | { code: 'dry-air'; humidityPct: number; minPct: number; hours: number }
  | { code: 'alarms'; alarms: ProbeAlarm[] }
  | { code: 'home-fails'; rules: string[] };

export interface Job {
  kind: JobKind;
  dueOn: Day;
  cannotWait: boolean;
  minutes: number;
  reason: Reason;
  prey?: { count: number; maxLengthMm: number };
  soil?: { fromMm: number; toMm: number };
  /** What to pour, and where. */
  water?: { ml: number; where: WateringOutlook['where'] };
  /** The entry with which it was done today. */
  doneBy?: string;
}

/**
 * `endsOn` is the day on which it is likely to be fed again: after the moult that is expected, or when its signs have
 * stood so long that they were something else. Null where nobody can say.
 */
export type LeaveAlone =
  | { code: 'premoult'; signs: MoultSign[]; since: Day; premoultPct: number | null; endsOn: Day | null }
  | { code: 'hardening'; feedFrom: Day };

export interface DueWork {
  jobs: Job[];
  leaveAlone: LeaveAlone | null;
}

/**
 * The work one resident gives on `today`, most pressing first, each job with why it is due; jobs done today stay in
 * the list with the entry that did them. Feeding, and anything done to the home, waits while the animal is about to
 * moult or its new skin hardens; leftovers, water and damp do not.
 */
export function dueWork(resident: ResidentToday, today: Day): DueWork {
  const leaveAlone = quietTime(resident, today);
  const jobs = [
    ...alarms(resident, today),
    ...(leaveAlone ? preyOut(resident, today) : leftovers(resident, today)),
    ...feeding(resident, today),
    ...damping(resident, today),
    ...regularWork(resident, today),
    ...homeWork(resident, today),
  ].filter((job) => job.doneBy !== undefined || !leaveAlone || !waits(job.kind, leaveAlone));
  return { jobs, leaveAlone };
}

const WAITS_FOR_QUIET = new Set<JobKind>(['feed', 'soil', 'mend', 'rehouse']);
/** From this chance of a close moult on it is left alone, if any sign was seen at all. % */
export const QUIET_FROM_PCT = 60;

/** One that hangs in its moult is not even misted. */
const waits = (kind: JobKind, quiet: LeaveAlone) =>
  WAITS_FOR_QUIET.has(kind) || (kind === 'mist' && quiet.code === 'premoult' && quiet.signs.includes('hanging'));

const inOrder = (a: LogEntry, b: LogEntry) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at);

function latest(log: LogEntry[], kinds: LogKind[], until: Day): LogEntry | undefined {
  return log
    .filter((entry) => kinds.includes(entry.kind) && entry.on <= until)
    .sort(inOrder)
    .at(-1);
}

/** An entry of today that does a job; undefined while it is still to do. */
function doneToday(log: LogEntry[], kinds: LogKind[], today: Day): { doneBy?: string } {
  const entry = log
    .filter((each) => kinds.includes(each.kind) && each.on === today)
    .sort(inOrder)
    .at(-1);
  return entry ? { doneBy: entry.id } : {};
}

function quietTime(resident: ResidentToday, today: Day): LeaveAlone | null {
  const { log, profile } = resident;
  const moult = latest(log, ['moulted'], today);
  if (moult) {
    const feedFrom = addDays(moult.on, quietDays(resident));
    if (today < feedFrom) return { code: 'hardening', feedFrom };
  }
  // Whoever has moulted or eaten since is no longer about to moult.
  const settled = latest(log, ['moulted', 'eaten'], today);
  const signs = log
    .filter((entry) => entry.kind === 'sign' && entry.on <= today && (!settled || inOrder(entry, settled) > 0))
    .filter((entry) => entry.sign && profile.leaveAloneSigns.includes(entry.sign))
    .sort(inOrder);
  const first = signs[0];
  const { moult: outlook } = resident;
  const isLikely = outlook !== undefined && outlook.signs.length > 0 && outlook.premoultPct >= QUIET_FROM_PCT;
  const last = signs.at(-1);
  // Signs that have stood for twice the time they show before a moult were something else.
  const passOn = outlook && last && addDays(last.on, 2 * outlook.closeDays);
  if (!isLikely && (!first || (passOn !== undefined && passOn <= today))) return null;
  const refused = latest(log, ['refused'], today);
  const moultOn = isLikely ? (outlook.medianOn > today ? outlook.medianOn : today) : undefined;
  return {
    code: 'premoult',
    signs: first ? [...new Set(signs.flatMap((entry) => entry.sign ?? []))] : (outlook?.signs ?? []),
    since: first?.on ?? refused?.on ?? today,
    premoultPct: outlook?.premoultPct ?? null,
    endsOn: moultOn ? addDays(moultOn, quietDays(resident)) : (passOn ?? null),
  };
}

function quietDays({ profile, stage, ...measures }: ResidentToday): number {
  return quietDaysAfterMoult(profile, stage, takenMeasure(profile, measures).mm);
}

/** Days of rest after a moult: the rule for the largest size the animal has reached. */
export function quietDaysAfterMoult(profile: CareProfile, stage: Stage, sizeMm: number): number {
  const rules = profile.quietAfterMoult.filter((rule) => rule.stages.includes(stage) && sizeMm >= (rule.fromMm ?? 0));
  return Math.max(0, ...rules.map((rule) => rule.days));
}

/** Prey is taken out of a quiet animal's box at once, also what was offered today: it bites a soft one. */
function preyOut({ log }: ResidentToday, today: Day): Job[] {
  const offer = latest(log, ['offered'], today);
  if (!offer) return [];
  const outcome = latest(log, ['eaten', 'refused'], today);
  const answered = outcome !== undefined && inOrder(outcome, offer) > 0;
  if (answered && outcome.on < today) return [];
  return [
    {
      kind: 'prey-out',
      dueOn: offer.on,
      cannotWait: true,
      minutes: 1,
      reason: { code: 'offered', on: offer.on, at: offer.at },
      ...(answered && { doneBy: outcome.id }),
    },
  ];
}

function leftovers({ profile, log }: ResidentToday, today: Day): Job[] {
  const offer = latest(log, ['offered'], addDays(today, -1));
  if (!offer || !profile.feeding) return [];
  const outcome = latest(log, ['eaten', 'refused'], today);
  const answered = outcome !== undefined && inOrder(outcome, offer) > 0;
  if (answered && outcome.on < today) return [];
  const dueOn = addDays(offer.on, Math.ceil(profile.feeding.leftoversAfterHours.value / 24));
  return [
    {
      kind: 'leftovers',
      dueOn,
      cannotWait: true,
      minutes: 1,
      reason: { code: 'offered', on: offer.on, at: offer.at },
      ...(answered && { doneBy: outcome.id }),
    },
  ];
}

function feeding(resident: ResidentToday, today: Day): Job[] {
  const { profile, log } = resident;
  const { feeding: food } = profile;
  const plan = mealPlan(resident);
  if (!plan || !food) return [];
  const yesterday = addDays(today, -1);
  const offer = latest(log, ['offered'], yesterday);
  const outcome = latest(log, ['eaten', 'refused'], yesterday);
  const refused = offer && outcome?.kind === 'refused' && outcome.on >= offer.on;
  const move = latest(log, ['taken-in', 'moved'], today);
  const settled = move && addDays(move.on, food.settleDays.value);
  const interval = Math.floor(refused ? Math.max(plan.everyDays, food.offerAgainAfterDays.value) : plan.everyDays);
  const byRhythm = offer ? addDays(offer.on, interval) : (settled ?? today);
  const dueOn = settled && settled > byRhythm ? settled : byRhythm;
  if (dueOn > today) return [];
  const bodyMm = bodyOf(profile, resident).bodyLengthMm?.mm ?? takenMeasure(profile, resident).mm;
  const abdomenMm = bodyMm * food.abdomenLengthPerBodyLength.value;
  return [
    {
      kind: 'feed',
      dueOn,
      cannotWait: daysBetween(dueOn, today) > plan.toleranceDays,
      minutes: food.minutes,
      reason: offer
        ? { code: refused ? 'after-refusal' : 'since-last', days: daysBetween(offer.on, today), on: offer.on }
        : { code: 'never', since: move?.on ?? today },
      prey: {
        count: plan.preyCount * (resident.headCount ?? 1),
        maxLengthMm: abdomenMm * food.preyLengthPerAbdomen.value,
      },
      ...doneToday(log, ['offered'], today),
    },
  ];
}

function mealPlan({ profile, stage, school }: ResidentToday): MealPlan | undefined {
  const chosen = profile.schools.find((each) => each.id === school && each.topic === 'feeding')?.id;
  const inForce = chosen ?? defaultSchool(profile, 'feeding');
  return profile.feeding?.meals.find((meal) => meal.school === inForce && meal.stages.includes(stage));
}

/** Late by more than this many days, damp soil should not wait another. */
const DAMP_TOLERANCE_DAYS = 2;
const DAMP_MINUTES = 1;
const LOOK_MINUTES = 2;

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
function alarms({ alarms: all = [], watering, log }: ResidentToday, today: Day): Job[] {
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

function regularWork({ profile, stage, log }: ResidentToday, today: Day): Job[] {
  const doneWith = { water: 'watered', mist: 'misted' } as const;
  return profile.work
    .filter((work) => work.stages.includes(stage))
    .flatMap((work) => {
      const last = latest(log, [doneWith[work.work], 'taken-in', 'moved'], addDays(today, -1));
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
        ...doneToday(log, [doneWith[work.work]], today),
      };
      return [job];
    });
}

function homeWork(resident: ResidentToday, today: Day): Job[] {
  const { profile, home } = resident;
  const present = fit(profile, { ...resident, ...home });
  if (present.verdict !== 'fail') return [];
  const failing = failingChecks(present);
  const toMm = present.substrateDepthMm.recommended;
  const soil = home.soil && toMm !== null ? withMeanDepth(home.soil, toMm) : undefined;
  const mended = toMm !== null && fit(profile, { ...resident, ...home, soil, substrateDepthMm: toMm });
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
