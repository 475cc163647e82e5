/** Walls of a box. */
export const SIDES = ['front', 'back', 'left', 'right'] as const;

/** A tub for isopods, with four holes in each wall. */
export const tub = {
  shape: 'box',
  lengthMm: 280,
  widthMm: 200,
  heightMm: 107,
  lid: 'solid',
  vents: SIDES.map((side) => ({ side, shape: 'hole', count: 4, diameterMm: 3, centreHeightMm: 80 })),
};
