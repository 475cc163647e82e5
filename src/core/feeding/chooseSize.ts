import type { PreyOnOffer } from './food';

/*
 * How a size is weighed against the others, in parts of the wanted weight: what it misses of it, and these. Chosen here,
 * so that the meals that keepers call usual come out (`prey.test.ts`); common practice, no source.
 */
/** For every piece: few are easier to give, and to see taken. */
const PER_PIECE = 0.12;
/** There are too few in the house: worse than missing the whole meal. */
const OUT_OF_STOCK = 1;
/** A culture of the house yields it: a little better. */
const BRED = -0.12;

export interface ChosenSize {
  feeder: PreyOnOffer;
  count: number;
}

/** Whether so many are more than the house has; what it breeds comes back, and of what nobody counts there is enough. */
export const isShort = ({ onHand, isBred, isFewerThan }: PreyOnOffer, count: number): boolean =>
  isBred !== true && (isFewerThan ? isFewerThan(count) : onHand !== undefined && onHand < count);

/**
 * The size and the number nearest to a weight: of few pieces, from the house, of a length that is liked. Of sizes that
 * do as well the first. Undefined where there is none to choose from.
 * @param wantedG for one mouth, over 0
 * @param mouths the number is needed so many times
 * @param mostPieces of a size, for one mouth
 * @param dislikeOf what speaks against a size besides, 0 for nothing
 */
export function chooseSize(
  feeders: readonly PreyOnOffer[],
  wantedG: number,
  mouths: number,
  mostPieces: (feeder: PreyOnOffer) => number,
  dislikeOf: (feeder: PreyOnOffer) => number,
): ChosenSize | undefined {
  let best: (ChosenSize & { score: number }) | undefined;
  for (const feeder of feeders) {
    const count = Math.min(mostPieces(feeder), Math.max(1, Math.round(wantedG / feeder.massG)));
    const missed = Math.abs(count * feeder.massG - wantedG) / wantedG;
    const stock = isShort(feeder, count * mouths) ? OUT_OF_STOCK : feeder.isBred === true ? BRED : 0;
    const score = missed + PER_PIECE * count + stock + dislikeOf(feeder);
    if (!best || score < best.score) best = { feeder, count, score };
  }
  return best;
}
