import type { Entry } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { addDays } from '@/core/measure/day';
import { invalid } from '../http/problem';
import type { Queries } from '../storage/database';
import { findHome } from '../storage/homes';
import type { About } from './about';

/** Nothing is put off, and no move planned, for longer than this. days, chosen here */
const LONGEST_SKIP_DAYS = 60;
const LONGEST_PLAN_DAYS = 366;

/** @throws Problem for a day that is not to come, or too far off */
export function requireSkip({ until }: About<'skipped'>, on: string): Entry['data'] {
  const last = addDays(on, LONGEST_SKIP_DAYS);
  if (until <= on || until > last) {
    throw invalid('until', `Must be from ${addDays(on, 1)} to ${last}: it is asked again on that day; got ${until}.`);
  }
  return {};
}

/** @throws Problem for a home that is not there or its own, and for days in the wrong order or gone by */
export async function requireMove(
  queries: Queries,
  resident: Resident,
  { toHomeId, moveOn, from, until }: About<'move-planned'>,
  on: string,
): Promise<Entry['data']> {
  const home = await findHome(queries, toHomeId);
  if (!home) throw invalid('toHomeId', 'There is no home with that id. See /api/homes.');
  if (home.id === resident.homeId) throw invalid('toHomeId', `It lives in ${home.code} already.`);
  const last = addDays(on, LONGEST_PLAN_DAYS);
  if (moveOn < on || moveOn > last) throw invalid('moveOn', `Must be from ${on} to ${last}; got ${moveOn}.`);
  if (from > moveOn) throw invalid('from', `Must not be after the move, ${moveOn}; got ${from}.`);
  if (until < moveOn) throw invalid('until', `Must not be before the move, ${moveOn}; got ${until}.`);
  return {};
}
