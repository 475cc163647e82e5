import { shippedMaterials, shippedProfiles, shippedSpecies } from '@/contract/shipped';
import type { MaterialChange } from '@/contract/substrate';
import { careBook, type CareBook } from '@/core/profiles/careBook';
import type { Fact } from '@/core/profiles/profile';
import { materialTableOf, type Material, type MaterialTable } from '@/core/substrate/material';
import type { Queries } from './storage/database';
import { listOwnMaterials } from './storage/materials';
import { listOwnProfiles } from './storage/profiles';

/** How everything in this house is kept: the profiles that ship, and the keepers' own. */
export async function careOf(queries: Queries): Promise<CareBook> {
  return careBook([...shippedProfiles, ...(await listOwnProfiles(queries))], shippedSpecies);
}

export type MaterialInUse = Material & { isOwn: boolean };

const own = (value: number): Fact => ({ value, basis: 'your own setting' });

/** A material with a keeper's numbers in the place of those that ship. */
function withOwn(material: Material, numbers: MaterialChange | undefined): MaterialInUse {
  if (!numbers) return { ...material, isOwn: false };
  const { brick } = numbers;
  return {
    ...material,
    looseDensityGPerL: own(numbers.looseDensityGPerL),
    waterHeldMlPerL: own(numbers.waterHeldMlPerL),
    ...(brick && {
      brick: {
        massG: own(brick.massG),
        soakWaterL: own(brick.soakWaterL),
        looseVolumeL: own(brick.looseVolumeL),
      },
    }),
    isOwn: true,
  };
}

/** The materials as they are reckoned with in this house. */
export async function materialsOf(queries: Queries): Promise<MaterialInUse[]> {
  const numbers = await listOwnMaterials(queries);
  return shippedMaterials.map((material) => withOwn(material, numbers.get(material.id)));
}

export async function materialTable(queries: Queries): Promise<MaterialTable> {
  return materialTableOf(await materialsOf(queries));
}
