import { moultsNoMore } from '@/core/growth/moulting';
import { usualIntervalDays } from '@/core/growth/pace';
import { needsAnotherHome } from './homeJobs';
import { addDays, daysBetween, latestDay, type Day } from '@/core/measure/day';
import { doneToday, jobOf, LOOK_MINUTES, waiting, type Rhythm } from './jobParts';
import { quietOver } from './quiet';
import { inOrder, latest, standingSigns } from './signs';
import { watchedSince } from './watched';
import type { Job, ResidentToday } from './work';

/** A button cell in a probe lasts about a year; it is changed before. From memory */
const BATTERY = { everyDays: 300, toleranceDays: 45, minutes: 2 };
/** After a moult its size is taken within so many days of its being fed again. Chosen here */
const MEASURE = { toleranceDays: 30, minutes: 3 };
/** Longer than this without a moult are one or two of a hundred: intervals differ by 0.3 in logarithms, from memory. Usual intervals */
const NO_MOULT_TIMES = 2;
/** Whoever was moved longer ago than this has been told apart without. days, chosen here */
const LABEL_DAYS = 30;
const LABEL = { toleranceDays: 2, minutes: 2 };

/** An authority takes its time: papers are renewed from so long before they end. days, from memory */
const PAPERS = { aheadDays: 60, minutes: 20 };

/** What keeps records and instruments true: labels, papers, sizes after a moult, and the move that is planned. */
export function recordJobs(resident: ResidentToday, today: Day): Job[] {
  return [
    ...sizes(resident, today),
    ...labelling(resident, today),
    ...papers(resident, today),
    ...plannedMove(resident, today),
  ];
}

/** Of papers that end, those that end first are to be renewed; written down anew they no longer are. */
export function paperToRenew({ log }: ResidentToday, today: Day) {
  const written = log.filter((entry) => entry.paper && entry.on <= today).sort(inOrder);
  const standing = new Map(written.map((entry) => [entry.paper?.title.toLowerCase(), entry]));
  const ending = [...standing.values()]
    .flatMap(({ paper }) => (paper?.expiresOn ? [{ title: paper.title, expiresOn: paper.expiresOn }] : []))
    .sort((a, b) => a.expiresOn.localeCompare(b.expiresOn));
  const first = ending[0];
  return first && { ...first, dueOn: addDays(first.expiresOn, -PAPERS.aheadDays), minutes: PAPERS.minutes };
}

function papers(resident: ResidentToday, today: Day): Job[] {
  const paper = paperToRenew(resident, today);
  if (!paper || paper.dueOn > today) return [];
  const { dueOn, minutes, title, expiresOn } = paper;
  const cannotWait = expiresOn < today;
  return [
    { kind: 'papers', dueOn, until: expiresOn, cannotWait, minutes, reason: { code: 'papers', title, expiresOn } },
  ];
}

/** The battery of a probe; nothing for homes without one. It is as old as the probe, whoever moves in or out. */
export function batteryRhythm({ batterySince, log }: ResidentToday, today: Day): Rhythm[] {
  if (batterySince === undefined) return [];
  const changed = latest(log, ['battery'], addDays(today, -1))?.on;
  const on = changed !== undefined && changed > batterySince ? changed : batterySince;
  return [
    {
      ...{ kind: 'battery', ...BATTERY, doneWith: ['battery'], dueOn: addDays(on, BATTERY.everyDays) },
      reason: { code: 'since-last', days: daysBetween(on, today), on },
    },
  ];
}

/** Its size is taken once after each moult, where the moult was written down without. */
function measuring({ log, form, stage }: ResidentToday, today: Day): Job[] {
  const moult = latest(log, ['moulted'], today);
  if (!moult || form !== 'single' || stage === 'egg') return [];
  const sizes = log.filter((entry) => entry.hasSize && entry.on <= today && inOrder(entry, moult) >= 0);
  if (sizes.some((entry) => entry.on < today || entry.id === moult.id)) return [];
  const [entry] = sizes;
  return [
    {
      kind: 'measure',
      dueOn: moult.on,
      ...waiting('measure', moult.on, MEASURE.toleranceDays, today),
      minutes: MEASURE.minutes,
      reason: { code: 'moulted', on: moult.on },
      ...(entry && { doneBy: entry.id }),
    },
  ];
}

/** Its size after a moult that was told of, or one that settles whether a moult was missed: one asks, not both. */
function sizes(resident: ResidentToday, today: Day): Job[] {
  const measured = measuring(resident, today);
  return measured.length > 0 ? measured : settlingMoults(resident, today);
}

/** Whoever is watched for so many usual intervals, and no moult is told of, has likely moulted unseen: a new size, or its skin, settles it. */
function settlingMoults(resident: ResidentToday, today: Day): Job[] {
  const { profile, stage, log, form, temperatureC, watchedTemperatureC = temperatureC, rest } = resident;
  const usualDays = usualIntervalDays(profile, stage, watchedTemperatureC);
  const since = watchedSince(log, today);
  if (form !== 'single' || rest || moultsNoMore(profile, stage) || usualDays === null || since === undefined) return [];
  const dueOn = addDays(since, Math.ceil(NO_MOULT_TIMES * usualDays));
  if (dueOn > today) return [];
  return [
    {
      kind: 'measure',
      dueOn,
      ...waiting('measure', dueOn, MEASURE.toleranceDays, today),
      minutes: MEASURE.minutes,
      reason: { code: 'no-moult', since, usualDays },
    },
  ];
}

/** The label moves along with the animal; a newcomer's box was made ready with its own. */
function labelling({ log }: ResidentToday, today: Day): Job[] {
  const move = latest(log, ['moved'], today);
  if (!move || daysBetween(move.on, today) > LABEL_DAYS) return [];
  const before = latest(log, ['labelled'], addDays(today, -1));
  if (before && inOrder(before, move) > 0) return [];
  const doneWith = ['labelled'] as const;
  const reason = { code: 'moved', on: move.on } as const;
  return jobOf({ kind: 'label', dueOn: move.on, everyDays: null, ...LABEL, doneWith, reason }, log, today);
}

/** The move to another home that was settled, from its day on; once made, that it was made. */
function plannedMove(resident: ResidentToday, today: Day): Job[] {
  const { move, log, profile } = resident;
  if (!move || move.on > today) return [];
  return [
    {
      kind: 'move',
      dueOn: move.on,
      until: move.until,
      cannotWait: move.until < today || needsAnotherHome(resident, today),
      minutes: profile.homeWork.moveMinutes,
      reason: { code: 'move-planned', on: move.on, until: move.until },
      move,
      ...doneToday(log, ['moved'], today),
    },
  ];
}

/** A skin is looked for so soon after the quiet is over. Chosen here */
const CHECK_TOLERANCE_DAYS = 3;

/** Left alone for what it showed, and nothing came of it: whether it has moulted, or how it is, is looked for once. */
export function moultChecks(resident: ResidentToday, today: Day): Job[] {
  const over = quietOver(resident, today);
  const looked = latest(resident.log, ['looked'], addDays(today, -1));
  if (!over || (looked && looked.on >= over.endsOn)) return [];
  const rhythm: Rhythm = {
    ...{ kind: 'look', dueOn: over.endsOn, everyDays: null, toleranceDays: CHECK_TOLERANCE_DAYS },
    ...{ minutes: LOOK_MINUTES, doneWith: ['looked'] },
    reason: {
      ...{ code: 'quiet-over', since: over.since, on: over.endsOn },
      mayMoult: !moultsNoMore(resident.profile, resident.stage),
    },
  };
  return jobOf(rhythm, resident.log, today);
}

/** From the day by which nine of ten queens have workers it is looked, through the glass, so often. Chosen here */
const WORKERS_AGAIN_DAYS = 7;

/** The water behind the cotton of a tube lasts for months; that it has not run out is seen through the glass. days, from memory */
const WATER_LOOK = { everyDays: 14, toleranceDays: 10 };

/**
 * What is looked at of a founding queen, through the glass: that she has water, and once it is time, whether she has workers. Until
 * somebody has seen them a queen that is sealed in gets nothing, and nor would they.
 */
export function foundingLooks({ founding, log }: ResidentToday, today: Day): Job[] {
  if (!founding) return [];
  const { since, endsOn } = founding;
  const looked = latest(log, ['looked'], addDays(today, -1));
  const look = (first: Day, everyDays: number, toleranceDays: number, reason: Job['reason']) => {
    const dueOn = latestDay(first, ...(looked ? [addDays(looked.on, everyDays)] : []));
    const does = { kind: 'look', minutes: LOOK_MINUTES, doneWith: ['looked'] } as const;
    return jobOf({ ...does, dueOn, everyDays, toleranceDays, reason }, log, today);
  };
  if (endsOn !== null && endsOn <= today)
    return look(endsOn, WORKERS_AGAIN_DAYS, CHECK_TOLERANCE_DAYS, { code: 'founding', since });
  const { everyDays, toleranceDays } = WATER_LOOK;
  return look(addDays(since, everyDays), everyDays, toleranceDays, { code: 'founding-water', since });
}

/** Under ground, or sealed in, a month and more is usual; from then on it is looked for now and then. From memory */
const BURIED_DAYS = 30;
const LOOK_AGAIN_DAYS = 14;
const BURIED_TOLERANCE_DAYS = 7;

/** One that has been out of sight for long is looked for, without digging. */
export function buriedJobs({ log }: ResidentToday, today: Day): Job[] {
  const hidden = standingSigns(log, today).find(({ sign }) => sign === 'buried' || sign === 'sealed');
  if (!hidden?.sign) return [];
  const last = latest(log, ['looked'], addDays(today, -1));
  const since = last && last.on > hidden.on ? addDays(last.on, LOOK_AGAIN_DAYS) : hidden.on;
  const first = addDays(hidden.on, BURIED_DAYS);
  const dueOn = since > first ? since : first;
  const rhythm: Rhythm = {
    ...{ kind: 'check-buried', dueOn, everyDays: LOOK_AGAIN_DAYS, toleranceDays: BURIED_TOLERANCE_DAYS },
    ...{ minutes: LOOK_MINUTES, doneWith: ['looked'] },
    reason: { code: 'buried', sign: hidden.sign, days: daysBetween(hidden.on, today), since: hidden.on },
  };
  return jobOf(rhythm, log, today);
}
