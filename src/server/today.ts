import type { Resident } from '@/contract/records';
import { latest } from '@/core/plan/signs';
import type { LogEntry, ResidentToday } from '@/core/plan/work';
import type { CareBook } from '@/core/profiles/careBook';
import { weightHolds } from '@/core/profiles/weight';

/** One resident as its work and its meals are worked out on a day, without its home. */
export function residentOn(
  care: CareBook,
  resident: Resident,
  log: LogEntry[],
  on: string,
): Omit<ResidentToday, 'home'> {
  const { massG, weighedOn, measuredOn } = resident;
  const holds = weighedOn !== undefined && weightHolds(weighedOn, measuredOn, latest(log, ['moulted'], on)?.on);
  return {
    ...resident,
    massG: holds ? massG : undefined,
    profile: care.of(resident),
    settled: resident.keptSo,
    log,
  };
}
