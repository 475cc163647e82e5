import { quietDaysAfterMoult } from '@/core/growth/quietDays';
import { leaveAloneSignsAt } from '@/core/growth/tellingSigns';
import { mealPlanOf } from '@/core/feeding/prey';
import { addDays, type Day } from '@/core/measure/day';
import { takenMeasure } from '@/core/profiles/animal';
import { latest, noticedDays, noticedSigns, standingSigns } from './signs';
import type { LeaveAlone, MoultOutlook, ResidentToday } from './work';

/** From this chance on that the next offer would meet a close moult it is left alone, if any sign was seen at all. %, chosen here: more likely than not */
const QUIET_FROM_PCT = 50;
/** Signs that have stood for so many times as long as they show before a moult were something else. From memory */
const SIGNS_STAND_TIMES = 2;
/** Signs of those whose moults nobody can tell show for so long. days, from memory */
const SIGNS_SHOW_DAYS = 30;
/** Of kinds whose hunger nobody gave: so many meals may be missed. Chosen here */
const MEALS_MISSED = 6;

type Alone = Omit<ResidentToday, 'home'>;

/** A time in which a moult was awaited; its end does not move with the days. */
export interface QuietSpell {
  since: Day;
  endsOn: Day;
}

/** That one is left alone for its rest: cooling, cold or warming up. */
function restTime({ rest }: Pick<Alone, 'rest'>): LeaveAlone | null {
  if (!rest?.course.isQuiet) return null;
  const { steps, endsOn } = rest.course;
  return {
    code: 'resting',
    since: steps.find((step) => step.what === 'cool' || step.what === 'hold')?.on ?? endsOn,
    endsOn,
  };
}

/** Why one is left alone on a day, and until when; null where it is not. */
export function quietTime(resident: Alone, today: Day): LeaveAlone | null {
  // Sealed in, she is left alone in her rest and out of it.
  if (resident.founding?.isSealed) {
    const { since, endsOn } = resident.founding;
    return { code: 'founding', since, endsOn };
  }
  const rests = restTime(resident);
  if (rests) return rests;
  const moult = latest(resident.log, ['moulted'], today);
  if (moult) {
    const feedFrom = addDays(moult.on, quietDays(resident));
    if (today < feedFrom) return { code: 'hardening', feedFrom };
  }
  const spell = lastSpell(resident, today);
  if (!spell || spell.endsOn <= today) return null;
  const { premoultPct = null } = outlookOn(resident, today) ?? {};
  return { code: 'premoult', ...spell, signs: signsOf(resident, today), premoultPct };
}

/**
 * The time in which a moult was awaited that is over, and nothing came of it: neither did it moult nor eat. Then it is looked
 * at, and offered something small. Null where there was none, or it goes on.
 */
export function quietOver(resident: Alone, today: Day): QuietSpell | null {
  const spell = lastSpell(resident, today);
  return spell && spell.endsOn <= today ? spell : null;
}

/**
 * The last time of quiet that something noticed up to a day began, since it last moulted or ate. It begins with a refusal or
 * a sign, and its end is settled by what was known then; what is noticed while it lasts does not make it longer.
 */
function lastSpell(resident: Alone, today: Day): QuietSpell | null {
  const days = noticedDays(toldBy(resident), today);
  return days.reduce<QuietSpell | null>((before, day) => {
    if (before && day < before.endsOn) return before;
    const endsOn = endOf(resident, day);
    return endsOn !== null && endsOn > day ? { since: day, endsOn } : before;
  }, null);
}

/** When the quiet that begins on a day ends; null where what was noticed is no reason for one. */
function endOf(resident: Alone, day: Day): Day | null {
  const { profile, stage, log } = resident;
  const leaveAlone = leaveAloneSignsAt(profile, stage);
  const outlook = outlookOn(resident, day);
  const isLikely = outlook !== undefined && outlook.signs.length > 0 && outlook.byNextOfferPct >= QUIET_FROM_PCT;
  const isSeen = standingSigns(log, day).some(({ on, sign }) => on === day && isReason(leaveAlone, sign));
  if (!isLikely && !isSeen) return null;
  const passesOn = addDays(day, SIGNS_STAND_TIMES * (outlook?.closeDays ?? SIGNS_SHOW_DAYS));
  const expectedOn = isLikely
    ? addDays(outlook.medianOn > day ? outlook.medianOn : day, quietDays(resident))
    : passesOn;
  const hungryOn = hungryFrom(resident, day);
  // What was seen on the animal itself holds as long as it shows, however hungry it is.
  const atMost = isSeen && hungryOn < passesOn ? passesOn : hungryOn;
  return expectedOn < atMost ? expectedOn : atMost;
}

/** The day from which it starves if it is offered nothing: so long after it last ate, or since it came. */
function hungryFrom({ profile: { feeding }, stage, schools, log }: Alone, day: Day): Day {
  if (!feeding) return '9999-12-31';
  const bears = feeding.bearsHunger?.find(({ stages }) => stages.includes(stage))?.days;
  const { everyDays = 7 } = mealPlanOf(feeding, stage, schools?.feeding) ?? {};
  const ate = latest(log, ['eaten'], day) ?? latest(log, ['taken-in'], day);
  return addDays(ate?.on ?? day, Math.round(bears?.value ?? MEALS_MISSED * everyDays));
}

/** How its moult stood on a day, or on the last before it that is known. */
const outlookOn = ({ outlooks = [] }: Alone, day: Day): MoultOutlook | undefined =>
  outlooks.findLast(({ asOf }) => asOf <= day);

/** Of those that graze what is left in the dish says nothing of a moult. */
const toldBy = ({ profile, log }: Alone) => (profile.feeding ? log : log.filter(({ kind }) => kind !== 'refused'));

function signsOf(resident: Alone, today: Day) {
  return noticedSigns(toldBy(resident), today);
}

const isReason = <Sign>(signs: readonly Sign[], sign: Sign | undefined) => sign !== undefined && signs.includes(sign);

function quietDays({ profile, stage, ...measures }: Alone): number {
  return quietDaysAfterMoult(profile, stage, takenMeasure(profile, measures).mm);
}
