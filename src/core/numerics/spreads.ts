import { TENTH_SD } from './tails';

/** Eight of ten lie between these; both over 0. */
export interface Range {
  min: number;
  max: number;
}

/** The spread of the logarithm of what lies within a range in eight of ten: its standard deviation. */
export const rangeSpread = ({ min, max }: Range): number => Math.log(max / min) / (2 * TENTH_SD);

/** The spread of a number, where its range was told; else what is usual of its like. */
export const spreadOf = (fact: { range?: Range | undefined }, usual = 0): number =>
  fact.range ? rangeSpread(fact.range) : usual;

/** The spread of a product of numbers that have nothing to do with one another. */
export const together = (...spreads: number[]): number => Math.hypot(...spreads);

/** Between which eight of ten lie about a value with this spread of its logarithm. */
export const rangeAbout = (value: number, spread: number): Range => ({
  min: value * Math.exp(-TENTH_SD * spread),
  max: value * Math.exp(TENTH_SD * spread),
});
