import { quietDaysAfterMoult } from '@/core/growth/quietDays';
import { addDays, type Day } from '@/core/measure/day';
import { takenMeasure } from '@/core/profiles/animal';
import { latest, standingSigns } from './signs';
import type { LeaveAlone, ResidentToday } from './work';

/** From this chance of a close moult on it is left alone, if any sign was seen at all. %, chosen here: more likely than not */
const QUIET_FROM_PCT = 60;

/** Signs that have stood for so many times as long as they show before a moult were something else. From memory */
const SIGNS_STAND_TIMES = 2;

/** That one is left alone for its rest: cooling, cold or warming up. */
function restTime({ rest }: Pick<ResidentToday, 'rest'>): LeaveAlone | null {
  if (!rest?.course.isQuiet) return null;
  const { steps, endsOn } = rest.course;
  return {
    code: 'resting',
    since: steps.find((step) => step.what === 'cool' || step.what === 'hold')?.on ?? endsOn,
    endsOn,
  };
}

/** Why one is left alone on a day, and until when; null where it is not. */
export function quietTime(resident: Omit<ResidentToday, 'home'>, today: Day): LeaveAlone | null {
  const rests = restTime(resident);
  if (rests) return rests;
  const { log, profile } = resident;
  const moult = latest(log, ['moulted'], today);
  if (moult) {
    const feedFrom = addDays(moult.on, quietDays(resident));
    if (today < feedFrom) return { code: 'hardening', feedFrom };
  }
  const signs = standingSigns(log, today).filter((entry) => entry.sign && profile.leaveAloneSigns.includes(entry.sign));
  const first = signs[0];
  const { moult: outlook } = resident;
  const isLikely = outlook !== undefined && outlook.signs.length > 0 && outlook.premoultPct >= QUIET_FROM_PCT;
  const last = signs.at(-1);
  const passOn = outlook && last && addDays(last.on, SIGNS_STAND_TIMES * outlook.closeDays);
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

function quietDays({ profile, stage, ...measures }: Omit<ResidentToday, 'home'>): number {
  return quietDaysAfterMoult(profile, stage, takenMeasure(profile, measures).mm);
}
