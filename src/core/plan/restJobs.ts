import { daysBetween, type Day } from '@/core/measure/day';
import { placeHolding } from '@/core/season/places';
import type { RestAct } from '@/core/season/restActs';
import { doneToday, LOOK_MINUTES, waiting } from './jobParts';
import { latest } from './signs';
import type { Job, ResidentToday } from './work';

/** Carrying it to its place or back, with all that belongs to it. Chosen here */
const CARRY_MINUTES = 5;
const MINUTES: Partial<Record<RestAct, number>> = { cool: CARRY_MINUTES, warm: CARRY_MINUTES, count: CARRY_MINUTES };
/** Late by more than so many days a step should not wait another. From memory */
export const REST_TOLERANCE_DAYS = 3;

export const restMinutes = (what: RestAct) => MINUTES[what] ?? LOOK_MINUTES;

/** The step of a winter rest that is due; once it is done today, that it was done. */
export function restJobs({ rest, log }: Pick<ResidentToday, 'rest' | 'log'>, today: Day): Job[] {
  if (!rest) return [];
  const { course, id } = rest;
  const steps = course.steps.filter((step) => step.what !== 'hold' && !step.isPassed);
  const step =
    steps.find((each) => each.doneOn === null && each.on <= today) ?? steps.findLast((each) => each.doneOn === today);
  if (!step) return [];
  const entry =
    step.doneOn === null
      ? undefined
      : latest(
          log.filter((each) => each.step === step.key),
          ['rest-step'],
          today,
        );
  const lateDays = Math.max(0, daysBetween(step.plannedOn, today));
  return [
    {
      kind: 'rest',
      dueOn: step.plannedOn,
      ...waiting('rest', step.plannedOn, REST_TOLERANCE_DAYS, today),
      minutes: restMinutes(step.what),
      reason: { code: 'rest', plannedOn: step.plannedOn, lateDays },
      rest: {
        restId: id,
        key: step.key,
        what: step.what,
        targetC: step.targetC,
        place: placeHolding(step.targetC, rest.places),
      },
      ...(entry && { doneBy: entry.id }),
    },
  ];
}

/** Of a rest that nobody may open: only its carrying, to the cold and back. */
export function carryJobs({ rest, log }: Pick<ResidentToday, 'rest' | 'log'>, today: Day): Job[] {
  if (!rest) return [];
  const steps = rest.course.steps.filter(({ what }) => what === 'cool' || what === 'warm');
  return restJobs({ rest: { ...rest, course: { ...rest.course, steps } }, log }, today);
}

/** What the probe in its place says is wrong, while it is cold. */
export function restAlarms({ rest, log }: Pick<ResidentToday, 'rest' | 'log'>, today: Day): Job[] {
  if (!rest || rest.alarms.length === 0) return [];
  return [
    {
      kind: 'alarm',
      dueOn: today,
      until: today,
      cannotWait: true,
      minutes: LOOK_MINUTES,
      reason: { code: 'alarms', alarms: rest.alarms },
      ...doneToday(log, ['looked'], today),
    },
  ];
}
