import { z } from 'zod';
import speciesFile from '@data/species.json';
import { BASES } from '@/core/profiles/profile';
import { PROFILE_IDS } from './profiles';
import { scientificName } from './records';

export const species = z.strictObject({
  name: scientificName,
  commonName: z.string(),
  profile: z.enum(PROFILE_IDS),
  cautions: z.array(z.enum(['barbed-hairs', 'serious-venom'])),
  permit: z.enum(['cites-2']).optional(),
  basis: z.enum(BASES),
});
export type Species = z.infer<typeof species>;

/** The species that ship with the program. Any other name may be taken in: this list only saves typing. */
export const knownSpecies: readonly Species[] = z.array(species).parse(speciesFile);
