import type { Entry } from '@/contract/storedEntries';
import type { CareProfile } from '@/core/profiles/profile';
import { diagnose } from '@/core/trouble/diagnose';
import { Refusal } from '@/core/refusal';
import { invalid } from '../http/problem';
import { troublesOf } from '../kinds';
import type { Queries } from '../storage/database';
import { findEntry } from '../storage/entries';
import type { About } from './about';

/** @throws Problem for signs and causes that its kind does not have, and for one both seen and not */
export function requireSigns(
  profile: CareProfile,
  { seen, notSeen, cause, tried, note }: About<'trouble'>,
): Entry['data'] {
  const isEmpty = seen.length + notSeen.length === 0 && tried === undefined && note === undefined;
  if (isEmpty) throw invalid('seen', 'Say what was seen, what was not, or what was tried.');
  const table = troublesOf(profile);
  try {
    diagnose(table, { yes: seen, no: notSeen });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const named = error.fields.map(({ path, message }) => ({
      path: path.replace(/^yes/, 'seen').replace(/^no\b/, 'notSeen'),
      message,
    }));
    throw new Refusal(named);
  }
  if (cause !== undefined && !table.causes.some(({ id }) => id === cause))
    throw invalid('cause', `Must be one of ${table.causes.map(({ id }) => id).join(', ')}; got ${cause}.`);
  return {};
}

/** @throws Problem where there is no such trouble of this resident */
export async function requireTrouble(
  queries: Queries,
  { residentId, troubleId }: About<'trouble-after'>,
): Promise<Entry['data']> {
  const trouble = await findEntry(queries, troubleId);
  if (trouble?.kind !== 'trouble' || trouble.residentId !== residentId || trouble.undoneAt !== null)
    throw invalid('troubleId', 'There is no trouble of this resident with that id.');
  return {};
}
