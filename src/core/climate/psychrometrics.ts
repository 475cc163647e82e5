import { Refusal } from '@/core/refusal';

export const ZERO_C_K = 273.15;
export const STANDARD_PRESSURE_PA = 101_325;
/** Specific gas constant of water vapour. J/(kg K) */
export const VAPOUR_GAS_CONSTANT = 461.5;
const TRIPLE_POINT_C = 0.01;

/** Temperatures the formulas are used for: what any room or probe may report. */
export const COLDEST_C = -40;
export const HOTTEST_C = 60;

/**
 * Saturation vapour pressure over water, below the triple point over ice. Pa
 * @param temperatureC from -100 to 200
 * @source ASHRAE Handbook, Fundamentals (2017), chapter 1, equations 5 and 6 (Hyland and Wexler)
 */
export function saturationVapourPressurePa(temperatureC: number): number {
  const t = temperatureC + ZERO_C_K;
  if (temperatureC <= TRIPLE_POINT_C) {
    return Math.exp(
      -5674.5359 / t +
        6.3925247 -
        9.677843e-3 * t +
        6.2215701e-7 * t * t +
        2.0747825e-9 * t * t * t -
        9.484024e-13 * t * t * t * t +
        4.1635019 * Math.log(t),
    );
  }
  return Math.exp(
    -5800.2206 / t +
      1.3914993 -
      4.8640239e-2 * t +
      4.1764768e-5 * t * t -
      1.4452093e-8 * t * t * t +
      6.5459673 * Math.log(t),
  );
}

/**
 * The temperature at which air with this vapour pressure begins to condense, by halving: the pressure rises with the
 * temperature everywhere. C, from -100 to 100
 */
export function dewPointC(vapourPressurePa: number): number {
  let low = -100;
  let high = 100;
  while (high - low > 1e-7) {
    const middle = (low + high) / 2;
    if (saturationVapourPressurePa(middle) < vapourPressurePa) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Mass of vapour in a cubic metre at a vapour pressure (ideal gas). kg/m3 */
export function vapourDensityKgM3(vapourPressurePa: number, temperatureC: number): number {
  return vapourPressurePa / (VAPOUR_GAS_CONSTANT * (temperatureC + ZERO_C_K));
}

/** Mass of vapour in a cubic metre of saturated air. kg/m3 */
export function saturationDensityKgM3(temperatureC: number): number {
  return vapourDensityKgM3(saturationVapourPressurePa(temperatureC), temperatureC);
}

export interface AirState {
  saturationVapourPressurePa: number;
  vapourPressurePa: number;
  /** Null for air without any vapour: it has none. */
  dewPointC: number | null;
  absoluteHumidityGM3: number;
  vapourPressureDeficitPa: number;
  /** Mass of vapour for a kilogram of dry air. g/kg */
  mixingRatioGKg: number;
}

/**
 * Everything about a parcel of air that follows from its temperature and relative humidity.
 * @param temperatureC from -40 to 60
 * @param relativeHumidityPct from 0 to 100
 * @param pressurePa of the air, from 50,000 to 110,000
 * @throws Refusal where the air is so hot and wet that it would hold more vapour than its pressure allows
 */
export function airState(
  temperatureC: number,
  relativeHumidityPct: number,
  pressurePa: number = STANDARD_PRESSURE_PA,
): AirState {
  const saturation = saturationVapourPressurePa(temperatureC);
  const vapour = (saturation * relativeHumidityPct) / 100;
  if (vapour >= pressurePa) {
    throw new Refusal([{ path: 'pressurePa', message: `Must be over the vapour pressure, ${vapour.toFixed(0)} Pa.` }]);
  }
  return {
    saturationVapourPressurePa: saturation,
    vapourPressurePa: vapour,
    dewPointC: vapour > 0 ? dewPointC(vapour) : null,
    absoluteHumidityGM3: 1000 * vapourDensityKgM3(vapour, temperatureC),
    vapourPressureDeficitPa: saturation - vapour,
    // 0.621945: ratio of the molar masses of water and dry air (ASHRAE, as above, equation 20).
    mixingRatioGKg: (621.945 * vapour) / (pressurePa - vapour),
  };
}

/**
 * Diffusivity of water vapour in air. m2/s
 * @source Massman, W. J. (1998), Atmospheric Environment 32, 1111-1127
 */
export function vapourDiffusivityM2S(temperatureC: number, pressurePa: number = STANDARD_PRESSURE_PA): number {
  return 2.178e-5 * ((temperatureC + ZERO_C_K) / ZERO_C_K) ** 1.81 * (STANDARD_PRESSURE_PA / pressurePa);
}

/** Vapour permeability of still air: mass of vapour through a metre of air for a pascal of difference. kg/(m s Pa) */
export function stillAirPermeability(temperatureC: number, pressurePa: number = STANDARD_PRESSURE_PA): number {
  return vapourDiffusivityM2S(temperatureC, pressurePa) / (VAPOUR_GAS_CONSTANT * (temperatureC + ZERO_C_K));
}
