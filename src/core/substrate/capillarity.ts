import type { MaterialTable, RecipePart } from './material';
import { shares } from './shares';

/** How water moves in a mix that is wet through. */
export interface Capillarity {
  /** Capillary diffusivity at wetness 1. m2/s */
  creepM2S: number;
  /** Height over which standing water thins out to 1/e. m */
  suctionM: number;
}

/**
 * Of a mix, by the volume of its parts: the fine ones run on between the coarse, so the creeping adds; heights of suction by their
 * logarithms. From memory; diffusivities of loose organic soil run over three powers of ten.
 * @throws Refusal for a recipe whose parts are all nothing
 */
export function capillarity(recipe: RecipePart[], materials: MaterialTable): Capillarity {
  const mean = (value: (part: MaterialTable[keyof MaterialTable]) => number) =>
    shares(recipe).reduce((sum, { material, share }) => sum + share * value(materials[material]), 0);
  return {
    creepM2S: mean(({ creepMm2PerH }) => creepMm2PerH.value) / 1e6 / 3600,
    suctionM: Math.exp(mean(({ suctionMm }) => Math.log(suctionMm.value))) / 1000,
  };
}
