import type { Basis } from '@/core/profiles/profile';
import type { SpeciesOverrides } from '@/core/profiles/species';

export const CAUTIONS = ['barbed-hairs', 'serious-venom', 'sting', 'stab', 'pinch', 'bite', 'defence-liquid'] as const;
export type Caution = (typeof CAUTIONS)[number];

export interface Species {
  name: string;
  commonName: string;
  profile: string;
  cautions: Caution[];
  /** Why an authority may have to be asked: papers for protected ones, or plants at risk. */
  permit?: 'cites-2' | 'plant-pest' | undefined;
  overrides?: SpeciesOverrides | undefined;
  basis: Basis;
}
