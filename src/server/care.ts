import { shippedMaterials, shippedProfiles, shippedSpecies } from '@/contract/shipped';
import type { MaterialChange } from '@/contract/substrate';
import { careBook, type CareBook, type OwnSize } from '@/core/profiles/careBook';
import type { OfKind } from '@/core/profiles/holdsFor';
import type { CareProfile, Fact } from '@/core/profiles/profile';
import { materialTableOf, type Material, type MaterialTable } from '@/core/substrate/material';
import type { Queries } from './storage/database';
import { listOwnCards } from './storage/handbook';
import { listOwnMaterials } from './storage/materials';
import { listOwnProfiles } from './storage/profiles';

/** How everything in this house is kept: the profiles that ship, and the keepers' own. */
export async function careOf(queries: Queries): Promise<CareBook> {
  const { profiles, cards } = await ownCareOf(queries);
  return careBook([...shippedProfiles, ...profiles], shippedSpecies, cards);
}

/** Whose numbers are asked for: a profile, and the species where that is known. */
export interface Whose {
  profile: string;
  scientificName?: string | undefined;
}

/** The kind that ships behind a profile of this house. @throws Refusal for a profile that nobody knows */
export const ofKind = async (queries: Queries, { profile, scientificName }: Whose): Promise<OfKind> => ({
  kind: (await careOf(queries)).kindOf(profile),
  scientificName,
});

/** What the keepers say otherwise than what ships: profiles, and how large a species becomes. */
export async function ownCareOf(queries: Queries): Promise<{ profiles: CareProfile[]; cards: OwnSize[] }> {
  const cards = await listOwnCards(queries);
  const sizes = cards.flatMap(({ name, profile, grownMm }) => (grownMm === null ? [] : [{ name, profile, grownMm }]));
  return { profiles: await listOwnProfiles(queries), cards: sizes };
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
