import type { Food } from './food';

/** Leaves on a cutting of a plant that nobody weighed. From memory */
const USUAL_GRAMS_PER_CUTTING = 12;

/** Leaves on one cutting of about 30 cm. g */
export const gramsPerCutting = (plant: Pick<Food, 'gramsPerCutting'>): number =>
  plant.gramsPerCutting?.value ?? USUAL_GRAMS_PER_CUTTING;
