import { scaleLinear } from 'd3-scale';
import type { Palette } from '../theme/tokens';

/** From this wetness on soil is drawn as dark as it gets. */
const DARKEST_AT = 0.6;

/** The inks of the soil of a box whose damp end is so wet; as they are where nobody knows. */
export function soilInks(
  { soilDamp, soilDry }: Pick<Palette, 'soilDamp' | 'soilDry'>,
  wetness: number | undefined,
): Pick<Palette, 'soilDamp' | 'soilDry'> {
  if (wetness === undefined) return { soilDamp, soilDry };
  const ink = scaleLinear<string>().domain([0, DARKEST_AT]).range([soilDry, soilDamp]).clamp(true);
  return { soilDamp: ink(wetness), soilDry };
}
