import type { NewPlant } from '@/contract/feeding';
import { shippedFoods } from '@/contract/shipped';
import type { Food } from '@/core/feeding/food';
import { keptFor } from './house/inTurn';
import { isDatabase, type Queries } from './storage/database';
import { listOwnPlants } from './storage/plants';

const gather = async (queries: Queries): Promise<Food[]> => [...shippedFoods, ...(await listOwnPlants(queries))];
const ofTransaction = keptFor(gather);

/** Every food that is no living feeder: those that ship, and the keepers' own plants. A long list of meals asks for each of them. */
export const foodsOf = (queries: Queries): Promise<Food[]> =>
  isDatabase(queries) ? gather(queries) : ofTransaction(queries);

/** A keeper's own plant by its name: the same name is the same plant. */
export function plantOf({ name, keepsDays, ...rest }: NewPlant): Food {
  const slug = name
    .toLowerCase()
    .normalize('NFD')
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '');
  // A name in other letters than these is told by what it is made of.
  const id = `own-${slug === '' ? Buffer.from(name).toString('hex').slice(0, 40) : slug.slice(0, 50)}`;
  return { id, name, kind: 'leaf', shelfLifeDays: keepsDays, ...rest, basis: 'your own setting' };
}
