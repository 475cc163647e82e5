import type { Entry, EntryOf } from '@/contract/storedEntries';
import type { WaterFact } from '@/core/climate/watering';
import { dayOfMoment, type Day } from '@/core/measure/day';
import { DAY_MS, type Reading } from '@/core/readings/reading';
import { waterLost } from '@/core/readings/weighing';

/** Entries that leave a home freshly damped: a home is set up damp before anybody moves in. */
const DAMPED = ['taken-in', 'moved', 'damped'] as const;
type Damping = EntryOf<(typeof DAMPED)[number]>;
const isDamping = (entry: Entry): entry is Damping => DAMPED.some((kind) => kind === entry.kind);

/** When it happened: what was written down later than its day is taken for the noon of that day. ms since 1970 */
export function momentOf({ on, at }: Pick<Entry, 'on' | 'at'>): number {
  return dayOfMoment(new Date(at)) === on ? Date.parse(at) : Date.parse(`${on}T12:00:00`);
}

/** The last time a home was damped, up to a day. */
export function lastDamping(entries: Entry[], until: Day): Damping | undefined {
  return entries
    .filter(isDamping)
    .filter((entry) => entry.on <= until)
    .sort((a, b) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at))
    .at(-1);
}

/**
 * What the log and the scale say of the water of a home.
 * @param dampedUntil dampings after this day are left out: the round shows today's as done, not as never due
 */
export function waterFacts(entries: Entry[], weighings: Reading[], today: Day, dampedUntil: Day = today): WaterFact[] {
  const damped = lastDamping(entries, dampedUntil);
  if (!damped) return [];
  const { neededMl = 0, waterMl = Infinity } = damped.kind === 'damped' ? damped.data : {};
  const shortMl = Math.max(0, neededMl - waterMl);
  const felt = entries
    .filter((entry) => entry.kind === 'felt')
    .filter((entry) => entry.on <= today && after(entry, damped))
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
  const dampedAt = momentOf(damped);
  const lost = waterLost(weighings, dampedAt);
  const facts: { at: number; fact: WaterFact }[] = [{ at: dampedAt, fact: { kind: 'damped', on: damped.on, shortMl } }];
  if (felt) facts.push({ at: momentOf(felt), fact: { kind: 'felt', on: felt.on, wetness: felt.data.wetness } });
  if (lost) {
    // What it lost before it first stood on the scale, at the rate that the scale has shown.
    const lostMl = (lost.mlPerDay * (lost.toAt - dampedAt)) / DAY_MS;
    facts.push({ at: lost.toAt, fact: { kind: 'weighed', on: dayOfMoment(new Date(lost.toAt)), lostMl } });
  }
  return facts.sort((a, b) => a.at - b.at).map(({ fact }) => fact);
}

const after = (a: Entry, b: Entry) => a.on > b.on || (a.on === b.on && a.at > b.at);
