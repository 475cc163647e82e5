import type { Shelf } from '@/contract/records';
import type { Stop } from '@/contract/round';
import type { Job } from '@/core/plan/work';

/** A part of the walk: the stops of one shelf, or what goes before or after all shelves. */
export interface Section {
  key: string;
  name: string;
  stops: Stop[];
}

const LATER = 'Lighter another day';

/**
 * The walk in its order: what cannot wait, box by box, then shelf by shelf what is for today, then what would be less work
 * on a later day of this week. Every job is in one part. A job keeps its part when it is done.
 * @param shelves those that are walked past, in order
 */
export function sectionsOf(stops: readonly Stop[], shelves: readonly Shelf[]): Section[] {
  const place = new Map(shelves.map((shelf, index) => [shelf.id, index]));
  const walked = stops
    .filter((stop) => place.has(stop.shelfId))
    .sort((a, b) => (place.get(a.shelfId) ?? 0) - (place.get(b.shelfId) ?? 0));
  const part = (wanted: (job: Job) => boolean, of = walked): Stop[] =>
    of.flatMap((stop) => {
      const jobs = stop.jobs.filter(wanted);
      return jobs.length === 0 ? [] : [jobs.length === stop.jobs.length ? stop : { ...stop, jobs }];
    });
  const isLater = (job: Job) => !job.cannotWait && job.lighterIn !== undefined;
  const forToday = part((job) => !job.cannotWait && !isLater(job));
  const sections = [
    { key: 'first', name: 'Cannot wait', stops: part((job) => job.cannotWait) },
    ...shelves.map((shelf) => ({
      ...{ key: shelf.id, name: shelf.name },
      stops: forToday.filter((stop) => stop.shelfId === shelf.id),
    })),
    { key: 'later', name: LATER, stops: part(isLater) },
  ];
  return sections.filter((section) => section.stops.length > 0);
}
