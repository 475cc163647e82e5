import fc from 'fast-check';
import psychrolib from 'psychrolib';
import {
  airState,
  dewPointC,
  saturationVapourPressurePa,
  stillAirPermeability,
  vapourDiffusivityM2S,
} from './psychrometrics';

psychrolib.SetUnitSystem(psychrolib.SI);
const temperature = fc.double({ min: -40, max: 60, noNaN: true });
const humidity = fc.double({ min: 1, max: 100, noNaN: true });

describe('the air', () => {
  // psychrolib 1.1.1, an independent library after the same handbook.
  it('agrees with psychrolib from 0 to 50 C', () => {
    for (let t = 0; t <= 50; t += 2.5) {
      const saturation = saturationVapourPressurePa(t);
      expect(saturation / psychrolib.GetSatVapPres(t)).toBeCloseTo(1, 5);
      for (const pct of [10, 35, 60, 85, 100]) {
        const air = airState(t, pct);
        const dew = psychrolib.GetTDewPointFromRelHum(t, pct / 100);
        expect(Math.abs((air.dewPointC ?? NaN) - dew)).toBeLessThan(0.05);
        const ratio = psychrolib.GetHumRatioFromRelHum(t, pct / 100, 101_325);
        expect(Math.abs(air.mixingRatioGKg / (1000 * ratio) - 1)).toBeLessThan(1e-3);
      }
    }
  });

  // Steam tables: 611.657 Pa at the triple point, 2339 Pa at 20 C, 3170 Pa at 25 C (IAPWS, rounded).
  it.each([
    [0.01, 611.657],
    [20, 2339],
    [25, 3170],
  ])('at %d C saturates at %d Pa', (t, pressure) => {
    expect(Math.abs(saturationVapourPressurePa(t) / pressure - 1)).toBeLessThan(1e-3);
  });

  // 20 C and 50 %: dew point 9.3 C, 8.65 g/m3 (any psychrometric chart; 17.3 g/m3 saturated).
  it('has the dew point and the vapour of a chart', () => {
    const air = airState(20, 50);
    expect(air.dewPointC).toBeCloseTo(9.27, 1);
    expect(air.absoluteHumidityGM3).toBeCloseTo(8.64, 1);
    expect(air.vapourPressureDeficitPa).toBeCloseTo(1169.4, 0);
    expect(airState(20, 0).dewPointC).toBeNull();
  });

  it('condenses at its dew point, and not above', () => {
    fc.assert(
      fc.property(temperature, humidity, (t, pct) => {
        const { dewPointC: dew, vapourPressurePa } = airState(t, pct);
        expect(dew).toBeLessThanOrEqual(t + 1e-6);
        expect(saturationVapourPressurePa(dew ?? NaN) / vapourPressurePa).toBeCloseTo(1, 5);
      }),
    );
  });

  it('holds more when warmer', () => {
    fc.assert(
      fc.property(temperature, fc.double({ min: 0.1, max: 5, noNaN: true }), (t, more) => {
        expect(saturationVapourPressurePa(t + more)).toBeGreaterThan(saturationVapourPressurePa(t));
        expect(dewPointC(2000 + more)).toBeGreaterThan(dewPointC(2000));
      }),
    );
  });

  it('refuses more vapour than the pressure allows', () => {
    expect(() => airState(60, 100, 15_000)).toThrow(/pressurePa/);
  });
});

describe('vapour through still air', () => {
  // ISO 12572, annex: 1.95e-10 kg/(m s Pa) at 23 C and 1013.25 hPa.
  it('has the permeability of ISO 12572 within a tenth', () => {
    expect(Math.abs(stillAirPermeability(23) / 1.95e-10 - 1)).toBeLessThan(0.1);
  });

  it('goes faster at low pressure, in proportion', () => {
    expect(vapourDiffusivityM2S(20, 50_662.5) / vapourDiffusivityM2S(20)).toBeCloseTo(2, 9);
    // Massman (1998), table: 0.2178 cm2/s at 0 C.
    expect(vapourDiffusivityM2S(0)).toBeCloseTo(2.178e-5, 9);
  });
});
