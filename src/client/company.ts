import type { Home, Resident } from '@/contract/records';
import { company, type CompanyAnswer } from '@/core/housing/company';
import type { CareBook } from '@/core/profiles/careBook';

export const isEggs = ({ stage }: { stage?: string }) => stage === 'egg';

export const tenantsBeside = (animal: { id?: string }, home: Home, residents: readonly Resident[]) =>
  residents.filter((each) => each.homeId === home.id && each.id !== animal.id);

/** Of a resident or a newcomer, what its company has to know. */
export type Joining = Pick<Resident, 'scientificName' | 'profile' | 'headCount'> & {
  id?: string;
  stage?: Resident['stage'];
  called: string | null;
};

export const lodgerOf = (care: CareBook, each: Joining) => ({
  label: each.called ?? each.scientificName,
  scientificName: each.scientificName,
  profile: care.of(each),
  headCount: each.headCount,
  isEggs: isEggs(each),
});

/** What speaks against an animal joining those who live in a home; nothing where it is free. */
export function companyOf(care: CareBook, animal: Joining, home: Home, residents: Resident[]): CompanyAnswer {
  return companyIn(care, [...tenantsBeside(animal, home, residents), animal]);
}

/** Whether some who live in one home, or would, bear each other. */
export const companyIn = (care: CareBook, tenants: readonly Joining[]): CompanyAnswer =>
  company(tenants.map((each) => lodgerOf(care, each)));
