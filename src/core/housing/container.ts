export const VENT_SIDES = ['front', 'back', 'left', 'right', 'lid', 'floor'] as const;
export type VentSide = (typeof VENT_SIDES)[number];

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
  vents: Vent[];
}

/** A container by its inside lengths. */
export type Container =
  | (ContainerCommon & { shape: 'box'; lengthMm: number; widthMm: number })
  | (ContainerCommon & { shape: 'cylinder'; diameterMm: number });

/** The shorter side of the floor; the diameter of a cylinder. mm */
export function floorShortSideMm(container: Container): number {
  return container.shape === 'box' ? Math.min(container.lengthMm, container.widthMm) : container.diameterMm;
}

/** The longer side of the floor; the diameter of a cylinder. mm */
export function floorLongSideMm(container: Container): number {
  return container.shape === 'box' ? Math.max(container.lengthMm, container.widthMm) : container.diameterMm;
}

/** Floor area. mm2 */
export function floorAreaMm2(container: Container): number {
  return container.shape === 'box' ? container.lengthMm * container.widthMm : (Math.PI / 4) * container.diameterMm ** 2;
}

/** Inside volume to the lid. L */
export function innerVolumeL(container: Container): number {
  return (floorAreaMm2(container) * container.heightMm) / 1e6;
}

/** Width of the wall that carries a side, as far as an opening in it is concerned. mm */
export function wallWidthMm(container: Container, side: VentSide): number {
  if (container.shape === 'cylinder') return container.diameterMm;
  return side === 'left' || side === 'right' ? container.widthMm : container.lengthMm;
}
