import type { Resident } from '@/contract/records';
import { groupBy } from '@/core/groupBy';

/** A list of residents is another one whenever something about them is. */
const known = new WeakMap<readonly Resident[], ReadonlyMap<string, readonly Resident[]>>();

/** Who lives in each home. */
export function tenantsOf(residents: readonly Resident[]): ReadonlyMap<string, readonly Resident[]> {
  const tenants = known.get(residents) ?? groupBy(residents, ({ homeId }) => homeId);
  known.set(residents, tenants);
  return tenants;
}
