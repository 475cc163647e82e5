import type { BandFact } from './profile';

/** So far outside its band a kind bears for a while what it should not live in. K, from memory */
const BORNE_K = 3;

export interface WarmthVerdict {
  status: 'pass' | 'watch' | 'fail';
  /** How far outside the band, negative where it is too cold; 0 within it. K */
  outsideK: number;
}

/** How the warmth of a place suits a kind: a little outside its band it is borne for a while. */
export function warmthVerdict(band: Pick<BandFact, 'min' | 'max'>, temperatureC: number): WarmthVerdict {
  const outsideK = temperatureC < band.min ? temperatureC - band.min : Math.max(0, temperatureC - band.max);
  const far = Math.abs(outsideK);
  return { status: far === 0 ? 'pass' : far <= BORNE_K ? 'watch' : 'fail', outsideK };
}
