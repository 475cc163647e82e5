import type { Clock } from '../clock';
import { invalid } from '../http/problem';
import type { Database } from '../storage/database';

export interface Deps {
  database: Database;
  clock: Clock;
  version: string;
}

/** The day something is written down for: today if not given. @throws Problem for a day that has not come. */
export function dayOf(clock: Clock, on: string | undefined, field = 'on'): string {
  const today = clock.today();
  if (on !== undefined && on > today) throw invalid(field, `Must not be after today, ${today}; got ${on}.`);
  return on ?? today;
}
