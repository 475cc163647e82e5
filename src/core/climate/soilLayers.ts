import type { MoistBox } from './moistBox';

/** From the top down, in shares of the depth: what dries first is thin. Chosen here */
export const LAYER_SHARES = [1 / 6, 1 / 3, 1 / 2] as const;
/** From the middle of the top layer to that of the next, and from there to the lowest, in shares of the depth. */
export const LAYER_GAPS = [1 / 4, 5 / 12] as const;

/** Wetness of the three layers of one end: the surface, under it, and the lower half. */
export interface Layers {
  top: number;
  middle: number;
  low: number;
}
/** Wetness of both ends of the soil. */
export interface SoilLayers {
  damp: Layers;
  dry: Layers;
}

export const evenly = (wetness: number): Layers => ({ top: wetness, middle: wetness, low: wetness });

/** How the water lies at the start of a forecast: as told, else evenly. */
export const layersAtStart = ({
  wetness,
  layers,
}: {
  wetness: { damp: number; dry: number };
  layers?: SoilLayers | undefined;
}): SoilLayers => layers ?? { damp: evenly(wetness.damp), dry: evenly(wetness.dry) };

/** Wetness of an end as a whole. */
export const meanWetness = ({ top, middle, low }: Layers): number =>
  top * LAYER_SHARES[0] + middle * LAYER_SHARES[1] + low * LAYER_SHARES[2];

/**
 * How water gets into a home: down its side (or a pipe) to the bottom of the damp end, onto the damp end, over all of the soil,
 * as a mist on the surface, or into the dish.
 */
export const WATERING_WAYS = ['down-side', 'at-end', 'throughout', 'mist-top', 'fill-dish'] as const;
export type WateringWay = (typeof WATERING_WAYS)[number];

export interface Poured {
  layers: SoilLayers;
  /** What the soil could not hold: it stands on the bottom. mL */
  standsMl: number;
}

type Order = readonly (keyof Layers)[];
const SINKING: Order = ['top', 'middle', 'low'];
const RISING: Order = ['low', 'middle', 'top'];
const SHARE_OF = { top: LAYER_SHARES[0], middle: LAYER_SHARES[1], low: LAYER_SHARES[2] };

/** Fills the layers of an end in turn; what none of them holds stands in the lowest. In wetness of the end as a whole. */
function filled(layers: Layers, added: number, order: Order): { layers: Layers; stands: number } {
  const after = { ...layers };
  let left = added;
  for (const name of order) {
    const taken = Math.min(left, Math.max(0, 1 - after[name]) * SHARE_OF[name]);
    after[name] += taken / SHARE_OF[name];
    left -= taken;
  }
  after.low += left / SHARE_OF.low;
  return { layers: after, stands: left };
}

type Ends = Pick<MoistBox, 'dampHeldKg' | 'dryHeldKg' | 'dampAreaM2' | 'dryAreaM2'>;

/** Share of the water that comes to the damp end: what is poured all over falls on both by their areas. */
function dampEndShare({ dampAreaM2, dryAreaM2 }: Ends, way: WateringWay): number {
  const area = dampAreaM2 + dryAreaM2;
  return (way === 'throughout' || way === 'mist-top') && area > 0 ? dampAreaM2 / area : 1;
}

/** What has to be poured in a way so that the damp end gets what it lacks. mL */
export function toPourMl(box: Ends, way: WateringWay, lackedMl: number): number {
  const share = dampEndShare(box, way);
  return share > 0 ? lackedMl / share : 0;
}

/**
 * Where water goes in the minutes after it was poured; how it creeps and sinks from there is `followMoisture`'s.
 * Poured onto soil it fills what lies uppermost first and the rest sinks deeper; down the side it fills from below.
 * @param waterMl 0 or more. A dish takes all of it; a mist wets the surface of both ends.
 */
export function pour(box: Ends, before: SoilLayers, way: WateringWay, waterMl: number): Poured {
  if (way === 'fill-dish') return { layers: before, standsMl: 0 };
  const { dampHeldKg, dryHeldKg } = box;
  const dampShare = dampEndShare(box, way);
  const order = way === 'down-side' ? RISING : SINKING;
  const end = (layers: Layers, heldKg: number, share: number) =>
    heldKg > 0 ? filled(layers, (waterMl * share) / 1000 / heldKg, order) : { layers, stands: 0 };
  const damp = end(before.damp, dampHeldKg, dampShare);
  const dry = end(before.dry, dryHeldKg, 1 - dampShare);
  return {
    layers: { damp: damp.layers, dry: dry.layers },
    standsMl: 1000 * (damp.stands * dampHeldKg + dry.stands * dryHeldKg),
  };
}

/**
 * The soil on the day on which its damp end was brought back to a wetness: evenly dried to `from`, then poured on. The dry end is
 * even, and so is all of it where it was watered all over, as when it was mixed.
 * @param wetness of the damp and the dry end afterwards, as a whole
 */
export function freshlyPoured(wetness: { damp: number; dry: number }, way: WateringWay, from: number): SoilLayers {
  const dry = evenly(wetness.dry);
  const isMixed = way === 'throughout' || way === 'fill-dish' || from >= wetness.damp;
  if (isMixed) return { damp: evenly(wetness.damp), dry };
  return { damp: filled(evenly(from), wetness.damp - from, way === 'down-side' ? RISING : SINKING).layers, dry };
}
