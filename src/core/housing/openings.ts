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
export const USUAL_MESH_OPEN = 0.4;
/** Meshes of common insect mesh. mm; from memory */
const USUAL_MESH_MM = 1;
/** Mesh is sold by its weave and stretches: it is taken so much finer than what just holds. From memory */
const MESH_OF_SAFE = 0.8;
/** Open share of a lid said to be vented when its openings are not listed; from memory. */
export const USUAL_VENTED_LID = 0.01;
/** A panel this large of its wall makes it a mesh side; from memory. */
const MESH_SIDE_FROM = 0.3;

/**
 * The meshes that cover an opening: the usual ones, or finer where those would let somebody out. mm
 * @param largestSafeMm an opening must be narrower than this; null where nothing limits it
 */
export const meshMm = (largestSafeMm: number | null): number =>
  Math.min(USUAL_MESH_MM, MESH_OF_SAFE * (largestSafeMm ?? Infinity));

/** The narrow way through a vent: what an animal would have to fit through to leave. mm */
export function apertureMm(vent: Vent): number {
  if (vent.meshApertureMm !== undefined) return vent.meshApertureMm;
  if (vent.diameterMm !== undefined) return vent.diameterMm;
  return Math.min(vent.widthMm ?? Infinity, vent.heightMm ?? Infinity);
}

const isMeshed = (vent: Vent) => vent.meshApertureMm !== undefined || vent.meshOpenFraction !== undefined;

const isCovered = (container: Container, side: VentSide) => container.coveredSides?.includes(side) ?? false;

/** Area of a vent's openings, without the wire where it is meshed. mm2 */
export function openAreaMm2(vent: Vent): number {
  const one =
    vent.diameterMm !== undefined ? (Math.PI / 4) * vent.diameterMm ** 2 : (vent.widthMm ?? 0) * (vent.heightMm ?? 0);
  return vent.count * one * (isMeshed(vent) ? (vent.meshOpenFraction ?? USUAL_MESH_OPEN) : 1);
}

/** Everything the rules ask of the openings of a container. */
export interface Openings {
  /** The widest way out; 0 when there is no opening. mm */
  widestMm: number;
  /**
   * How high the openings of front, back, left and right reach: soil that stands higher closes them. One of unknown
   * height is taken to lie above the soil; a covered side is closed. mm, -Infinity where there is none.
   */
  upToMm: [front: number, back: number, left: number, right: number];
  /** Meshed surfaces to hang from by the claws overhead: a mesh lid, or mesh set into the lid. */
  meshOverhead: number;
  /** Walls that are mesh for a third or more, 0 to 4. */
  meshSides: number;
  /** Everything open to the air as a share of the floor; covered sides do not count. % */
  sharePct: number;
  /** Every way out: how wide, and how high over the inside floor it begins; nothing where that is not known. mm */
  ways: { widthMm: number; fromMm: number }[];
}

/** Reads all openings of a container at once. */
export function openingsOf(container: Container): Openings {
  const { vents, walls, lid } = container;
  const upToMm: Openings['upToMm'] = [-Infinity, -Infinity, -Infinity, -Infinity];
  const panels = [0, 0, 0, 0];
  let widestMm = 0;
  let meshOverhead = lid === 'mesh' ? 1 : 0;
  let openMm2 = 0;
  let lidIsListed = false;
  const ways: Openings['ways'] = [];
  for (const vent of vents) {
    widestMm = Math.max(widestMm, apertureMm(vent));
    ways.push({ widthMm: apertureMm(vent), fromMm: beginsAtMm(container, vent) });
    const covered = isCovered(container, vent.side);
    if (!covered) openMm2 += openAreaMm2(vent);
    if (vent.side === 'lid') {
      lidIsListed ||= !covered;
      if (isMeshed(vent)) meshOverhead += 1;
      continue;
    }
    const wall = WALL_SIDES.indexOf(vent.side as (typeof WALL_SIDES)[number]);
    if (wall < 0) continue;
    if (!covered) upToMm[wall] = Math.max(upToMm[wall] ?? -Infinity, vent.centreHeightMm ?? Infinity);
    if (vent.shape === 'panel' && isMeshed(vent)) {
      panels[wall] = (panels[wall] ?? 0) + vent.count * (vent.widthMm ?? 0) * (vent.heightMm ?? 0);
    }
  }
  let meshSides = 0;
  WALL_SIDES.forEach((side, wall) => {
    const area = panels[wall] ?? 0;
    if (walls === 'mesh' || (area > 0 && area >= MESH_SIDE_FROM * sideAreaMm2(container, side))) meshSides += 1;
    if (walls !== 'mesh' || isCovered(container, side)) return;
    upToMm[wall] = Infinity;
    openMm2 += USUAL_MESH_OPEN * sideAreaMm2(container, side);
  });
  if (!isCovered(container, 'lid') && !lidIsListed && lid !== 'solid') {
    openMm2 += (lid === 'mesh' ? USUAL_MESH_OPEN : USUAL_VENTED_LID) * sideAreaMm2(container, 'lid');
  }
  return { widestMm, upToMm, meshOverhead, meshSides, ways, sharePct: (100 * openMm2) / floorAreaMm2(container) };
}

/** Where an opening begins; one of a wall whose height nobody said begins at the floor. mm */
function beginsAtMm({ heightMm }: Container, vent: Vent): number {
  if (vent.side === 'lid') return heightMm;
  if (vent.side === 'floor' || vent.centreHeightMm === undefined) return 0;
  return vent.centreHeightMm - (vent.diameterMm ?? vent.heightMm ?? 0) / 2;
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
export function climbableWallCount({ walls }: Container, { meshSides }: Openings): number | null {
  if (walls !== undefined && CLIMBABLE[walls]) return 4;
  return walls === undefined && meshSides === 0 ? null : meshSides;
}
