import type { Entry } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { mayPair } from '@/core/broods/pairing';
import { surplusPlan } from '@/core/broods/surplus';
import { addDays } from '@/core/measure/day';
import { invalid } from '../http/problem';
import { eggKindOf, populationOf } from '../kinds';
import { nameOf } from './occupancy';
import type { About, Find } from './about';

/** No egg lies longer before it hatches. days, from memory */
const LONGEST_DAYS = 5 * 365;

function requireEggs(resident: Resident): void {
  if (resident.form !== 'eggs') throw invalid('residentId', `${nameOf(resident)} must be eggs for that.`);
}

/** @throws Problem for anything but eggs, and for days in the wrong order or to come */
export function requireLaid(
  resident: Resident,
  { laidFrom, laidTo = laidFrom }: About<'laid'>,
  on: string,
): Entry['data'] {
  requireEggs(resident);
  if (laidFrom > on) throw invalid('laidFrom', `Must not be after ${on}; got ${laidFrom}.`);
  const longAgo = addDays(on, -LONGEST_DAYS);
  if (laidFrom < longAgo)
    throw invalid('laidFrom', `Must not be before ${longAgo}: no egg lives that long; got ${laidFrom}.`);
  if (laidTo < laidFrom) throw invalid('laidTo', `Must not be before the first day, ${laidFrom}; got ${laidTo}.`);
  if (laidTo > on) throw invalid('laidTo', `Must not be after ${on}; got ${laidTo}.`);
  return {};
}

/** @throws Problem for more young than there are eggs, Refusal for young that must not be fed off */
export function requireSurplus(resident: Resident, { keep, passOn, feedOff }: About<'surplus'>): Entry['data'] {
  requireEggs(resident);
  const eggs = resident.headCount ?? 1;
  if (keep + passOn + feedOff > eggs) {
    throw invalid('keep', `There are ${eggs} eggs: ${keep + passOn + feedOff} young cannot come of them.`);
  }
  const kind = eggKindOf(resident);
  if (kind) surplusPlan(kind, eggs, { median: eggs, p90: eggs }, { keep, passOn, feedOff });
  return {};
}

/** @throws Problem for a stage that young ants do not have, and for anything but a colony */
export function requireBroodOf(resident: Resident, { stage }: About<'brood-seen'>): Entry['data'] {
  const kind = populationOf(resident);
  if (resident.form !== 'colony' || !kind)
    throw invalid('residentId', `${nameOf(resident)} must be a colony for that.`);
  const stages = kind.young.map(({ id }) => id);
  if (!stages.includes(stage)) throw invalid('stage', `Must be one of ${stages.join(', ')}; got ${stage}.`);
  return {};
}

/** @throws Problem when more were frozen than found */
export function requireClutch({ eggs = 0, frozen = 0 }: About<'clutch'>): Entry['data'] {
  if (frozen > eggs) throw invalid('frozen', `Must be at most the ${eggs} that were found; got ${frozen}.`);
  return {};
}

/** @throws Problem for one paired with itself, with nobody, with another species or with its own sex */
export async function requirePair(resident: Resident, { withId }: About<'paired'>, find: Find): Promise<Entry['data']> {
  if (withId === undefined) return {};
  const other = await find(withId);
  if (!other || other.leftOn !== null)
    throw invalid('withId', 'There is no resident here with that id. See /api/residents.');
  if (other.id === resident.id) throw invalid('withId', 'Must be another than itself.');
  if (other.scientificName !== resident.scientificName) {
    throw invalid('withId', `Must be of the same species, ${resident.scientificName}; it is ${other.scientificName}.`);
  }
  if (!mayPair(resident.sex, other.sex)) {
    throw invalid(
      'withId',
      `Must be of the other sex: ${nameOf(resident)} and ${nameOf(other)} are both ${other.sex}.`,
    );
  }
  return {};
}
