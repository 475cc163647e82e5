import {
  floorAreaMm2,
  sideAreaMm2,
  WALL_SIDES,
  type Container,
  type Vent,
  type VentSide,
  type WallKind,
} from './container';

/** Open share of a mesh whose weave nobody measured; from memory of common insect mesh. */
const USUAL_MESH_OPEN = 0.4;
/** Open share of a lid said to be vented when its openings are not listed; from memory. */
const USUAL_VENTED_LID = 0.01;
/** A panel this large of its wall makes it a mesh side; from memory. */
const MESH_SIDE_FROM = 0.3;

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

const isMeshed = (vent: Vent) => vent.meshApertureMm !== undefined || vent.meshOpenFraction !== undefined;

const isCovered = (container: Container, side: VentSide) => container.coveredSides?.includes(side) ?? false;

/** Area of a vent's openings, without the wire where it is meshed. mm2 */
export function openAreaMm2(vent: Vent): number {
  const one =
    vent.diameterMm !== undefined ? (Math.PI / 4) * vent.diameterMm ** 2 : (vent.widthMm ?? 0) * (vent.heightMm ?? 0);
  return vent.count * one * (isMeshed(vent) ? (vent.meshOpenFraction ?? USUAL_MESH_OPEN) : 1);
}

/** How high the openings of a wall reach: the soil closes it when it stands higher. mm, -Infinity where it has none. */
export function openUpToMm(container: Container, side: VentSide): number {
  if (isCovered(container, side)) return -Infinity;
  if (container.walls === 'mesh') return Infinity;
  return Math.max(
    -Infinity,
    // One of unknown height is taken to lie above the soil.
    ...container.vents.filter((vent) => vent.side === side).map((vent) => vent.centreHeightMm ?? Infinity),
  );
}

const SIDE_PAIRS = [
  ['left', 'right'],
  ['front', 'back'],
] as const;

/** Pairs of walls that face each other and are both open above the soil, 0 to 2: the way for cross flow. */
export function openSidePairs(container: Container, substrateDepthMm: number): number {
  return SIDE_PAIRS.filter((pair) => pair.every((side) => openUpToMm(container, side) > substrateDepthMm)).length;
}

/** Walls with an opening above the soil, 0 to 4. */
export function openSides(container: Container, substrateDepthMm: number): number {
  return WALL_SIDES.filter((side) => openUpToMm(container, side) > substrateDepthMm).length;
}

/** Meshed surfaces an animal could hang from by its claws overhead: a mesh lid, or mesh set into the lid. */
export function meshOverheadCount(container: Container): number {
  const panels = container.vents.filter((vent) => vent.side === 'lid' && isMeshed(vent)).length;
  return panels + (container.lid === 'mesh' ? 1 : 0);
}

/** Walls that are mesh for a third or more, 0 to 4. */
export function meshSideCount(container: Container): number {
  if (container.walls === 'mesh') return 4;
  return WALL_SIDES.filter((side) => {
    const panels = container.vents.filter((vent) => vent.side === side && vent.shape === 'panel' && isMeshed(vent));
    const area = panels.reduce((sum, vent) => sum + vent.count * (vent.widthMm ?? 0) * (vent.heightMm ?? 0), 0);
    return area >= MESH_SIDE_FROM * sideAreaMm2(container, side);
  }).length;
}

const CLIMBABLE: Record<WallKind, boolean> = {
  plastic: false,
  acrylic: false,
  glass: false,
  'glass-silicone': true,
  wood: true,
  plaster: true,
  mesh: true,
};

/** Walls (or silicone corners) that claws hold on to; null while nobody said what the walls are. */
export function climbableWallCount(container: Container): number | null {
  if (container.walls !== undefined && CLIMBABLE[container.walls]) return 4;
  const panels = meshSideCount(container);
  return container.walls === undefined && panels === 0 ? null : panels;
}

/** Everything open to the air, as a share of the floor; covered sides do not count. % */
export function ventSharePct(container: Container): number {
  const free = container.vents.filter((vent) => !isCovered(container, vent.side));
  let area = free.reduce((sum, vent) => sum + openAreaMm2(vent), 0);
  if (!isCovered(container, 'lid')) {
    const listed = free.some((vent) => vent.side === 'lid');
    if (container.lid === 'mesh' && !listed) area += USUAL_MESH_OPEN * sideAreaMm2(container, 'lid');
    if (container.lid === 'vented' && !listed) area += USUAL_VENTED_LID * sideAreaMm2(container, 'lid');
  }
  if (container.walls === 'mesh') {
    for (const side of WALL_SIDES.filter((each) => !isCovered(container, each))) {
      area += USUAL_MESH_OPEN * sideAreaMm2(container, side);
    }
  }
  return (100 * area) / floorAreaMm2(container);
}
