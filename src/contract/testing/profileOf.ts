import { careBook } from '@/core/profiles/careBook';
import type { CareProfile } from '@/core/profiles/profile';
import { materialTableOf } from '@/core/substrate/material';
import { shippedMaterials, shippedProfiles, shippedSpecies } from '../shipped';

const book = careBook(shippedProfiles, shippedSpecies);

/** A profile that ships, for a test; of a species where it differs. */
export const profileOf = (id: string, scientificName?: string): CareProfile => book.of({ profile: id, scientificName });

export const materials = materialTableOf(shippedMaterials);
