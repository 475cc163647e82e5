import { TENTH_SD } from '@/core/numerics/tails';
import { NO_FACTORS, type BoxFactors } from './moisture';

/** How far off a box of its kind the factors of a box may be: standard deviations of their natural logarithms. */
export interface Spread {
  draught: number;
  surface: number;
}

/**
 * Of a box nobody has measured. Draught about a shelf: 0.05 to 0.2 m/s in eight of ten rooms. Surface: how the lid sits, how the
 * air mixes, how rough and how covered the soil is, together a factor of one and a half either way. From memory
 */
export const USUAL_SPREAD: Spread = { draught: Math.log(2) / TENTH_SD, surface: Math.log(1.5) / TENTH_SD };

/**
 * The box with one factor at which it dries faster than nine of ten like it.
 * @param factors what is known of the box; its own spread where readings have told of it
 */
export function faster(factors: BoxFactors = NO_FACTORS, name: keyof Spread): BoxFactors {
  const spread = factors.spread ?? USUAL_SPREAD;
  return { ...factors, [name]: factors[name] * Math.exp(TENTH_SD * spread[name]) };
}
