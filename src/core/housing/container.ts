export const VENT_SIDES = ['front', 'back', 'left', 'right', 'lid', 'floor'] as const;
export type VentSide = (typeof VENT_SIDES)[number];
export type WallSide = Exclude<VentSide, 'lid' | 'floor'>;
export const WALL_SIDES: readonly WallSide[] = ['front', 'back', 'left', 'right'];

export const WALL_KINDS = ['plastic', 'acrylic', 'glass', 'glass-silicone', 'wood', 'plaster', 'mesh'] as const;
/** What the walls are made of; `glass-silicone` has beads of silicone in its corners. */
export type WallKind = (typeof WALL_KINDS)[number];

export const OPENINGS = ['top', 'front', 'zip'] as const;
/** Where the keeper gets in: a lid, a door, or a zip in a net. */
export type Opens = (typeof OPENINGS)[number];

export const LID_FITS = ['gasket', 'click', 'loose'] as const;
/** How a lid sits on its rim: on a seal, pressed shut, or just laid on. */
export type LidFit = (typeof LID_FITS)[number];

/** Glass is never drilled: by hand it cracks, and in the hand. Common practice */
export const isGlass = ({ walls }: { walls?: WallKind | undefined }): boolean =>
  walls === 'glass' || walls === 'glass-silicone';

/** A group of equal openings on one side. Heights are measured from the inside floor to the centre of the opening. */
export interface Vent {
  side: VentSide;
  shape: 'hole' | 'slot' | 'panel';
  count: number;
  diameterMm?: number | undefined;
  widthMm?: number | undefined;
  heightMm?: number | undefined;
  centreHeightMm?: number | undefined;
  /** Share of the opening that is not wire, 0 to 1. Given when the opening is covered with mesh. */
  meshOpenFraction?: number | undefined;
  /** Width of one mesh opening. Given when the opening is covered with mesh. */
  meshApertureMm?: number | undefined;
}

interface ContainerCommon {
  heightMm: number;
  lid: 'solid' | 'vented' | 'mesh';
  lidFit?: LidFit | undefined;
  vents: Vent[];
  opens?: Opens | undefined;
  /** Of one that opens in front: how high its wall stands under the door. Soil above it falls out. mm */
  sillMm?: number | undefined;
  walls?: WallKind | undefined;
  /** Sides that stand against something (the next box of a stack, the wall): vents there pass no air. */
  coveredSides?: VentSide[] | undefined;
}

/** A container by its inside lengths at the floor; a tub that widens upward also by those under its lid. */
export type Container =
  | (ContainerCommon & {
      shape: 'box';
      lengthMm: number;
      widthMm: number;
      topLengthMm?: number | undefined;
      topWidthMm?: number | undefined;
    })
  | (ContainerCommon & { shape: 'cylinder'; diameterMm: number; topDiameterMm?: number | undefined });

/** So high soil can stand in it: up to the lid, or to the sill of a door in front. mm */
export const soilLimitMm = ({ heightMm, opens, sillMm }: Container): number =>
  opens === 'front' && sillMm !== undefined ? Math.min(heightMm, sillMm) : heightMm;

/** The shorter side of the floor; the diameter of a cylinder. mm */
export function floorShortSideMm(container: Container): number {
  return container.shape === 'box' ? Math.min(container.lengthMm, container.widthMm) : container.diameterMm;
}

/** The longer side of the floor; the diameter of a cylinder. mm */
export function floorLongSideMm(container: Container): number {
  return container.shape === 'box' ? Math.max(container.lengthMm, container.widthMm) : container.diameterMm;
}

/** Length of the longer side of the floor as it is under the lid. mm */
export function topLongSideMm(container: Container): number {
  if (container.shape === 'cylinder') return container.topDiameterMm ?? container.diameterMm;
  const { lengthMm, widthMm } = container;
  return lengthMm >= widthMm ? (container.topLengthMm ?? lengthMm) : (container.topWidthMm ?? widthMm);
}

/** Area of the cut at a height over the inside floor. mm2 */
export function areaAtMm2(container: Container, heightMm: number): number {
  const share = heightMm / container.heightMm;
  const at = (floor: number, top: number | undefined) => floor + ((top ?? floor) - floor) * share;
  return container.shape === 'box'
    ? at(container.lengthMm, container.topLengthMm) * at(container.widthMm, container.topWidthMm)
    : (Math.PI / 4) * at(container.diameterMm, container.topDiameterMm) ** 2;
}

/** Floor area. mm2 */
export function floorAreaMm2(container: Container): number {
  return areaAtMm2(container, 0);
}

/**
 * Volume below a height. The area grows with the square of the height at most, for which Simpson's rule is exact:
 * prism, cylinder and frustum alike. mm3
 */
export function volumeBelowMm3(container: Container, heightMm: number): number {
  const middle = areaAtMm2(container, heightMm / 2);
  return (heightMm / 6) * (areaAtMm2(container, 0) + 4 * middle + areaAtMm2(container, heightMm));
}

/** Inside volume to the lid. L */
export function innerVolumeL(container: Container): number {
  return volumeBelowMm3(container, container.heightMm) / 1e6;
}

/** Width of the wall that carries a side, as far as an opening in it is concerned. mm */
export function wallWidthMm(container: Container, side: VentSide): number {
  if (container.shape === 'cylinder') return container.diameterMm;
  return side === 'left' || side === 'right' ? container.widthMm : container.lengthMm;
}

/**
 * A wall as it is named when one looks along the longer side of the floor: pictures lie that way, and in a box that is
 * wider than long the walls turn with it.
 */
export function wallAlongLength(container: Container, side: WallSide): WallSide {
  if (container.shape === 'cylinder' || container.lengthMm >= container.widthMm) return side;
  return ({ front: 'left', left: 'front', back: 'right', right: 'back' } as const)[side];
}

/** Area of a side, or of the lid. mm2 */
export function sideAreaMm2(container: Container, side: VentSide): number {
  if (side === 'floor') return floorAreaMm2(container);
  if (side === 'lid') return areaAtMm2(container, container.heightMm);
  // Of a cylinder a "side" is the quarter of the wall that faces that way.
  const width = container.shape === 'cylinder' ? (Math.PI * container.diameterMm) / 4 : wallWidthMm(container, side);
  return width * container.heightMm;
}
