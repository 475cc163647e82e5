/** True density of plaster powder (calcium sulphate hemihydrate), g/mL; handbook value, from memory. */
const POWDER_DENSITY = 2.73;
/**
 * Water that the powder binds as it sets: CaSO4 . 1/2 H2O + 3/2 H2O = CaSO4 . 2 H2O, from the molar masses
 * 145.15 and 18.015 g/mol.
 */
export const WATER_BOUND_PER_POWDER = (1.5 * 18.015) / 145.15;

export interface PlasterAnswer {
  volumeMl: number;
  powderG: number;
  waterMl: number;
  /** Mass of the floor when all water that is not bound has dried off. g */
  dryMassG: number;
  /** Water that dries off, or that the floor takes up again from its reservoir. mL */
  poreWaterMl: number;
}

/**
 * Powder and water for a poured plaster floor or nest: slurry volume is the sum of powder and water, and plaster keeps
 * its volume as it sets (within 0.3 %).
 * @param volumeMl volume to fill, mL
 * @param waterPerPowder mL of water to a gram of powder, 0.5 to 1; 0.7 is usual (from memory: read the bag)
 */
export function plaster(volumeMl: number, waterPerPowder: number): PlasterAnswer {
  const powderG = volumeMl / (1 / POWDER_DENSITY + waterPerPowder);
  const waterMl = powderG * waterPerPowder;
  const boundMl = powderG * WATER_BOUND_PER_POWDER;
  return { volumeMl, powderG, waterMl, dryMassG: powderG + boundMl, poreWaterMl: Math.max(0, waterMl - boundMl) };
}
