import type { Container, Vent } from './container';

/** The narrow way through a vent: what an animal would have to fit through to leave. mm */
export function apertureMm(vent: Vent): number {
  if (vent.meshApertureMm !== undefined) return vent.meshApertureMm;
  if (vent.diameterMm !== undefined) return vent.diameterMm;
  return Math.min(vent.widthMm ?? Infinity, vent.heightMm ?? Infinity);
}

/** The widest way out of the container; 0 when it has no opening. mm */
export function widestOpeningMm(container: Container): number {
  return Math.max(0, ...container.vents.map(apertureMm));
}

const SIDE_PAIRS = [
  ['left', 'right'],
  ['front', 'back'],
] as const;

/** A side is open when a vent in it lies above the soil; one of unknown height is taken to. */
const openOn = (container: Container, side: Vent['side'], substrateDepthMm: number) =>
  container.vents.some((vent) => vent.side === side && (vent.centreHeightMm ?? Infinity) > substrateDepthMm);

/** Pairs of walls that face each other and are both open above the soil, 0 to 2: the way for cross flow. */
export function openSidePairs(container: Container, substrateDepthMm: number): number {
  return SIDE_PAIRS.filter((pair) => pair.every((side) => openOn(container, side, substrateDepthMm))).length;
}

/** Walls with an opening above the soil, 0 to 4. */
export function openSides(container: Container, substrateDepthMm: number): number {
  return SIDE_PAIRS.flat().filter((side) => openOn(container, side, substrateDepthMm)).length;
}

/** Meshed surfaces an animal could hang from by its claws overhead: a mesh lid, or mesh set into the lid. */
export function meshOverheadCount(container: Container): number {
  const panels = container.vents.filter((vent) => vent.side === 'lid' && vent.meshApertureMm !== undefined).length;
  return panels + (container.lid === 'mesh' ? 1 : 0);
}
