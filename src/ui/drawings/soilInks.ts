import type { Palette } from '../theme/tokens';
import { mixed } from './mixed';

/** From this wetness on soil is drawn as dark as it gets: wetter than any kind is kept. Chosen here */
export const DARKEST_AT = 0.6;

/** The inks of the soil of a box whose damp end is so wet; as they are where nobody knows. */
export function soilInks(
  { soilDamp, soilDry }: Pick<Palette, 'soilDamp' | 'soilDry'>,
  wetness: number | undefined,
): Pick<Palette, 'soilDamp' | 'soilDry'> {
  if (wetness === undefined) return { soilDamp, soilDry };
  return { soilDamp: mixed(soilDry, soilDamp, wetness / DARKEST_AT), soilDry };
}
