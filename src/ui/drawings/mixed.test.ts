import { interpolateRgb } from 'd3-interpolate';
import { rgb } from 'd3-color';
import { DAY, NIGHT } from '../theme/tokens';
import { mixed } from './mixed';

// Held against d3-interpolate, which draws between colours of the web's standard (CSS Color 4, interpolation in sRGB).
it('lies between two colours where the reference library lays it', () => {
  for (const { soilDry, soilDamp, air, clay } of [DAY, NIGHT]) {
    for (const share of [0, 0.08, 0.35, 0.5, 0.999, 1]) {
      expect(mixed(soilDry, soilDamp, share)).toBe(rgb(interpolateRgb(soilDry, soilDamp)(share)).formatHex());
      expect(mixed(air, clay, share)).toBe(rgb(interpolateRgb(air, clay)(share)).formatHex());
    }
  }
  expect(mixed('#000000', '#ffffff', 7)).toBe('#ffffff');
});
