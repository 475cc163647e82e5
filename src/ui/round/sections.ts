import { isLater } from '@/client/openJobs';
import type { Shelf } from '@/contract/records';
import type { Stop } from '@/contract/round';
import type { Day } from '@/core/measure/day';
import type { Job } from '@/core/plan/work';
import { rowId, type RowsLeft } from '../components/places';

/** A part of the walk: the stops of one shelf, or what goes before or after all shelves. */
export interface Section {
  key: string;
  name: string;
  stops: Stop[];
}

const LATER = 'Lighter another day';

/**
 * The walk in its order: what cannot wait, box by box, then shelf by shelf what is for today, then what would be less work
 * on a later day of this week. Every job is in one part. A job keeps its part when it is done; what arises from it on the same
 * day is beside it, where the keeper stands, and not among what was walked past.
 * @param shelves those that are walked past, in order
 */
export function sectionsOf(stops: readonly Stop[], shelves: readonly Shelf[], on: Day): Section[] {
  const place = new Map(shelves.map((shelf, index) => [shelf.id, index]));
  const walked = stops
    .filter((stop) => place.has(stop.shelfId))
    .sort((a, b) => (place.get(a.shelfId) ?? 0) - (place.get(b.shelfId) ?? 0));
  const part = (name: keyof Parts): Stop[] => walked.flatMap((stop) => partsOf(stop, on)[name] ?? []);
  const forToday = part('today');
  const sections = [
    { key: 'first', name: 'Cannot wait', stops: part('first') },
    ...shelves.map((shelf) => ({
      ...{ key: shelf.id, name: shelf.name },
      stops: forToday.filter((stop) => stop.shelfId === shelf.id),
    })),
    { key: 'later', name: LATER, stops: part('later') },
  ];
  return sections.filter((section) => section.stops.length > 0);
}

/** A stop in its part: drawn, or kept free as high as it was when the walk was left. */
export type Place = { key: string; stop: Stop } & ({ isDrawn: true } | { isDrawn: false; heightPx: number });

/**
 * Each part of the walk with the stops that are drawn, counted through all parts from the one that was first in sight
 * when the walk was left, and on from the top after the last. Those not drawn yet keep the room that they took; where
 * that is not known they are left out, and so is a part without any.
 */
export function placesOf(sections: readonly Section[], count: number, left?: RowsLeft): (Section & { at: Place[] })[] {
  const keyed = sections.map((section) => ({
    section,
    keys: section.stops.map(({ residentId }) => rowId(`${section.key} ${residentId}`)),
  }));
  const all = keyed.flatMap(({ keys }) => keys);
  const start = Math.max(0, all.indexOf(left?.firstSeen ?? ''));
  const drawn = new Set([...all.slice(start), ...all.slice(0, start)].slice(0, count));
  return keyed.flatMap(({ section, keys }) => {
    const at = section.stops.flatMap((stop, index): Place[] => {
      const key = keys[index] ?? '';
      const heightPx = left?.heightPx.get(key);
      if (drawn.has(key)) return [{ key, stop, isDrawn: true }];
      return heightPx === undefined ? [] : [{ key, stop, isDrawn: false, heightPx }];
    });
    return at.length > 0 ? [{ ...section, at }] : [];
  });
}

/** The jobs of one stop by the part of the walk that they belong to; null where there are none. */
interface Parts {
  first: Stop | null;
  today: Stop | null;
  later: Stop | null;
}

/** A stop that has not changed keeps its parts for the day: what draws them need not draw them again when another is ticked. */
const known = new WeakMap<Stop, { on: Day; parts: Parts }>();

function partsOf(stop: Stop, on: Day): Parts {
  const before = known.get(stop);
  if (before?.on === on) return before.parts;
  const only = (part: keyof Parts): Stop | null => {
    const jobs = stop.jobs.filter((job) => partOf(job, stop, on) === part);
    if (jobs.length === 0) return null;
    return jobs.length === stop.jobs.length ? stop : { ...stop, jobs };
  };
  const parts = { first: only('first'), today: only('today'), later: only('later') };
  known.set(stop, { on, parts });
  return parts;
}

function partOf(job: Job, { jobs }: Stop, on: Day): keyof Parts {
  const { reason } = job;
  // Beside the meal that it arose from.
  const source = reason.code === 'offered' && reason.on === on ? reason.entryId : undefined;
  const isFirst =
    source === undefined ? job.cannotWait : jobs.some(({ doneBy, cannotWait }) => doneBy === source && cannotWait);
  if (isFirst) return 'first';
  return isLater(job) ? 'later' : 'today';
}
