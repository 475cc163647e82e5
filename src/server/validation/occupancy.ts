import type { Home, Resident } from '@/contract/records';
import type { Entry } from '@/contract/storedEntries';
import { company, type Lodger } from '@/core/housing/company';
import { soilLimitMm } from '@/core/housing/container';
import type { CareBook } from '@/core/profiles/careBook';
import { invalid, Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import { findHome, holdHome } from '../storage/homes';
import { findResident, residentsIn } from '../storage/residents';
import { companyReason } from '@/words/company';

/** Who is to live in a home. */
export type Newcomer = Pick<Resident, 'scientificName' | 'profile' | 'called' | 'headCount'> & { id?: string };

/**
 * The home, held for this transaction, in which a newcomer may live: free, or with company that it and they bear.
 * @throws Problem when there is no such home, it is in quarantine, or those in it and the newcomer must not meet.
 */
export async function requireRoomFor(
  queries: Queries,
  care: CareBook,
  homeId: string,
  field: string,
  newcomer: Newcomer,
): Promise<Home> {
  const held = await holdHome(queries, homeId);
  const home = held ? await findHome(queries, homeId) : undefined;
  if (!home) throw invalid(field, 'There is no home with that id. See /api/homes.');
  const tenants = await residentsIn(queries, homeId, newcomer.id);
  if (tenants.length > 0 && home.quarantineSince !== null) {
    throw new Problem('conflict', `${home.code} is in quarantine since ${home.quarantineSince}.`, [
      { path: field, message: 'Nobody joins those in quarantine: choose another home.' },
    ]);
  }
  const { verdict, checks } = company([...tenants, newcomer].map((each) => lodgerOf(care, each)));
  const tenant = tenants[0];
  if (tenant && verdict === 'fail') {
    const worst = checks.find((check) => check.status === 'fail');
    const why = worst ? companyReason(worst) : '';
    throw new Problem('conflict', `${home.code} is taken: ${nameOf(tenant)} lives in it. ${why}`, [
      { path: field, message: 'Choose a free home.' },
    ]);
  }
  return home;
}

/** Those that bring an animal into another home when they are taken back or brought back. */
const BRINGS_HOME = new Set<Entry['kind']>(['taken-in', 'moved', 'died', 'passed-on', 'joined-into']);

/** @throws Problem where an entry that came, went or was changed brings an animal where it cannot live: taking a move or a leaving back sends the animal to its old home: somebody else may live there by now. */
export async function requireHomeStillFree(
  queries: Queries,
  care: CareBook,
  entry: Entry,
  field: string,
): Promise<void> {
  if (!BRINGS_HOME.has(entry.kind) || entry.residentId === null) return;
  const resident = await findResident(queries, entry.residentId);
  if (resident) await requireRoomFor(queries, care, resident.homeId, field, resident);
}

/** What keepers call somebody in a refusal. */
export const nameOf = (each: Pick<Resident, 'called' | 'scientificName'>) => each.called ?? each.scientificName;

const lodgerOf = (care: CareBook, each: Newcomer): Lodger => ({
  label: nameOf(each),
  scientificName: each.scientificName,
  profile: care.of(each),
  headCount: each.headCount,
});

/** @throws Problem when soil of that depth would stand higher than the box. */
export function requireDepthFits(home: Home, substrateDepthMm: number): void {
  const limitMm = soilLimitMm(home.container);
  if (substrateDepthMm > limitMm) {
    const what = limitMm < home.container.heightMm ? 'opens in front over a sill of' : 'inside is high';
    const message = `${home.code} ${what} ${limitMm} mm; got ${substrateDepthMm} mm of soil.`;
    throw invalid('substrateDepthMm', message);
  }
}
