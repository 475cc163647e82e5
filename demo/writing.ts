import { v5 } from 'uuid';
import { entryToKeep, type EntryData, type EntryKind } from '@/contract/storedEntries';
import { addDays, type Day } from '@/core/measure/day';
import type { DemoResident } from './residents';

/** Names ids: the same house has the same ones every day. */
const NAMESPACE = '5f0c1d5e-7a51-4c6d-9f0a-2b1d3c4e5f60';
export const idOf = (name: string): string => v5(name, NAMESPACE);

/** Writes entries of one resident, each on an evening so many days ago. */
export function writerOf({ id: residentId, called }: DemoResident & { id: string }, today: Day, keeper: string) {
  return <Kind extends EntryKind>(kind: Kind, daysAgo: number, minute: number, data: EntryData[Kind]) => {
    const on = addDays(today, -daysAgo);
    const at = `${on}T19:${String(minute).padStart(2, '0')}:00.000Z`;
    const id = idOf(`${called} ${kind} ${daysAgo} ${minute}`);
    return entryToKeep(kind, data, { ...{ id, residentId, homeId: null, on, at }, keeper, note: null });
  };
}
