import type { Entry } from '@/contract/storedEntries';
import type { Home } from '@/contract/records';
import type { Day } from '@/core/measure/day';
import type { PlannedMove } from '@/core/plan/work';

/** The move of one that stands: planned last, neither dropped nor made before the day. */
export function moveOf(entries: readonly Entry[], homes: ReadonlyMap<string, Home>, on: Day): PlannedMove | undefined {
  const last = entries
    .filter(({ kind }) => kind === 'move-planned' || kind === 'move-dropped' || kind === 'moved')
    // The move of today is still shown, as done.
    .filter((entry) => entry.kind !== 'moved' || entry.on < on)
    .sort((a, b) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at))
    .at(-1);
  if (last?.kind !== 'move-planned') return undefined;
  const { toHomeId, moveOn, from, until } = last.data;
  const to = homes.get(toHomeId);
  if (!to) return undefined;
  return { id: last.id, toHomeId, toCode: to.code, on: moveOn, from, until };
}
