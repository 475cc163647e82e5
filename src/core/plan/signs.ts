import type { Day } from '@/core/measure/day';
import type { MoultSign } from '@/core/profiles/profile';
import type { LogEntry, LogKind } from './work';

export const inOrder = (a: LogEntry, b: LogEntry) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at);

/** The last entry of some kinds, up to a day. */
export function latest(log: readonly LogEntry[], kinds: readonly LogKind[], until: Day): LogEntry | undefined {
  return log
    .filter((entry) => kinds.includes(entry.kind) && entry.on <= until)
    .sort(inOrder)
    .at(-1);
}

/** The signs of a moult that stand, oldest first: whoever has moulted or eaten since is no longer about to moult. */
export function standingSigns(log: readonly LogEntry[], today: Day): LogEntry[] {
  const settled = latest(log, ['moulted', 'eaten'], today);
  return log
    .filter((entry) => entry.kind === 'sign' && entry.on <= today && (!settled || inOrder(entry, settled) > 0))
    .sort(inOrder);
}

/** The days on which a sign or a refusal was noticed since it last ate or moulted, oldest first. */
export function noticedDays(log: readonly LogEntry[], today: Day): Day[] {
  const settled = latest(log, ['moulted', 'eaten'], today);
  const noticed = log.filter(
    (entry) =>
      (entry.kind === 'sign' || entry.kind === 'refused') &&
      entry.on <= today &&
      (!settled || inOrder(entry, settled) > 0),
  );
  return [...new Set(noticed.map(({ on }) => on))].sort();
}

/** What was noticed, each sign once; food refused since it last ate or moulted is one. */
export function noticedSigns(log: readonly LogEntry[], today: Day): MoultSign[] {
  const settled = latest(log, ['moulted', 'eaten'], today);
  const refused = latest(log, ['refused'], today);
  const isRefusing = refused !== undefined && (!settled || inOrder(refused, settled) > 0);
  const signs = standingSigns(log, today).flatMap((entry) => entry.sign ?? []);
  return [...new Set(isRefusing ? [...signs, 'refused-food' as const] : signs)];
}
