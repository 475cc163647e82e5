import speciesFile from '@data/species.json';
import type { Basis } from '@/core/profiles/profile';
import type { ProfileId } from './profiles';

export interface Species {
  name: string;
  commonName: string;
  profile: ProfileId;
  cautions: ('barbed-hairs' | 'serious-venom')[];
  permit?: 'cites-2' | undefined;
  basis: Basis;
}

/** The species that ship with the program. Any other name may be taken in: this list only saves typing. */
export const knownSpecies = speciesFile as readonly Species[];
