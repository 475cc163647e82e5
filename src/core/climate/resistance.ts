import { agm } from './ellipse';

/**
 * What hinders air on its way through an opening: the pressure it costs is `linear` x flow + `square` x flow squared. Through a
 * hole of a few millimetres and a draught of a room the air is thick as honey and the linear part rules (a Reynolds number of
 * about 2); through a hand's breadth the square one does.
 */
export interface Resistance {
  /** Pa s/m3 */
  linear: number;
  /** Pa s2/m6 */
  square: number;
}

/** Of air at 20 C and sea level: what it changes by in a room is less than what is known of any opening. kg/m3, Pa s, m2/s */
export const AIR_DENSITY_KG_M3 = 1.204;
export const AIR_VISCOSITY_PA_S = 1.81e-5;
export const AIR_DIFFUSIVITY_M2_S = 2.14e-5;
/** Discharge coefficient of a sharp-edged opening. @source BS 5925:1991, section 6 */
export const DISCHARGE = 0.6;

/** What no air passes, and what hinders none. */
export const SHUT: Resistance = { linear: Infinity, square: Infinity };

/** The flow that a pressure drives through a resistance. m3/s @param pressurePa 0 or more */
export function flowThrough({ linear, square }: Resistance, pressurePa: number): number {
  if (pressurePa <= 0) return 0;
  // The root of the quadratic that loses no digits where the square part is small.
  return (2 * pressurePa) / (linear + Math.sqrt(linear * linear + 4 * square * pressurePa));
}

/** One behind the other: both cost pressure. */
export const inSeries = (a: Resistance, b: Resistance): Resistance => ({
  linear: a.linear + b.linear,
  square: a.square + b.square,
});

/** Side by side: exact for thick and for thin air, and for equal openings in between. */
export function sideBySide(ways: readonly Resistance[]): Resistance {
  const through = ways.filter(({ linear }) => linear < Infinity);
  if (through.length === 0) return SHUT;
  const linear = 1 / through.reduce((sum, way) => sum + 1 / way.linear, 0);
  return { linear, square: 1 / through.reduce((sum, way) => sum + 1 / Math.sqrt(way.square), 0) ** 2 };
}

/** So many equal openings side by side. */
export const manyOf = ({ linear, square }: Resistance, count: number): Resistance => ({
  linear: linear / count,
  square: square / count ** 2,
});

/** The loss of speed in a jet behind openings of an area in all. Pa s2/m6 */
export const jetLoss = (areaM2: number, discharge = DISCHARGE): number =>
  AIR_DENSITY_KG_M3 / (2 * (discharge * areaM2) ** 2);

/**
 * One opening through a wall, as an ellipse with half-axes `a` and `b` (m): thick air loses pressure on the way in and out
 * (6 mu E / (pi a b^2); of a circle 3 mu / r^3) and on the way through (4 mu t (a^2 + b^2) / (pi a^3 b^3); of a circle
 * 8 mu t / (pi r^4)), thin air in its jet.
 * @param wallM thickness of the wall. m
 * @source Sampson (1891), Phil. Trans. R. Soc. A 182, 449; Roscoe (1949), Phil. Mag. 40, 338, for the ellipse; Poiseuille
 * and its form for ellipses, Boussinesq (1868), J. Math. Pures Appl. 13, 377; that ends and tube add within 1 %, Dagan,
 * Weinbaum and Pfeffer (1982), J. Fluid Mech. 115, 505. All cited from memory
 */
export function holeResistance(a: number, b: number, wallM: number): Resistance {
  const [long, short] = a >= b ? [a, b] : [b, a];
  const ends = (6 * ellipticE(long, short)) / (Math.PI * long * short ** 2);
  const tube = (4 * wallM * (long ** 2 + short ** 2)) / (Math.PI * (long * short) ** 3);
  return { linear: AIR_VISCOSITY_PA_S * (ends + tube), square: jetLoss(Math.PI * a * b) };
}

/** Complete elliptic integral of the second kind for the ratio of two half-axes, by the arithmetic-geometric mean. */
function ellipticE(long: number, short: number): number {
  let [a, b] = [1, short / long];
  let sum = (1 - b ** 2) / 2;
  for (let power = 1; Math.abs(a - b) > 1e-12; power *= 2) {
    const half = (a - b) / 2;
    [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
    sum += power * half ** 2;
  }
  return (Math.PI / 2 / agm(1, short / long)) * (1 - sum);
}

/** Loss of a wire screen as (SCREEN_THICK / Re + SCREEN_THIN) (1 - open^2) / open^2 of the dynamic pressure before it. */
const SCREEN_THICK = 8.5;
const SCREEN_THIN = 0.6;

/**
 * What a woven mesh adds to an opening of `areaM2`, wire counted in.
 * @param openFraction share of the area that is not wire, over 0 to 1
 * @param wireM thickness of the wire
 * @source Brundrett (1993), J. Fluids Eng. 115, 239-242, cited from memory: 7.125 / Re + 0.88 / log10(Re + 1.25) +
 * 0.055 log10(Re), with Re by the wire; put as a/Re + b within 15 % of it from Re 0.2 to 100
 */
export function meshResistance(areaM2: number, openFraction: number, wireM: number): Resistance {
  if (openFraction >= 1 || wireM <= 0) return { linear: 0, square: 0 };
  const wire = (1 - openFraction ** 2) / openFraction ** 2;
  return {
    linear: (SCREEN_THICK * wire * AIR_VISCOSITY_PA_S) / (2 * wireM * areaM2),
    square: (SCREEN_THIN * wire * AIR_DENSITY_KG_M3) / (2 * areaM2 ** 2),
  };
}

/** The gap between a lid and its rim: two plates so far apart, `lengthM` along the rim, `pathM` deep. @source plane Poiseuille flow */
export function seamResistance(gapM: number, lengthM: number, pathM: number): Resistance {
  const linear = (12 * AIR_VISCOSITY_PA_S * pathM) / (gapM ** 3 * lengthM);
  return { linear, square: jetLoss(gapM * lengthM) };
}
