import type { Container, Vent, WallSide } from '@/core/housing/container';

type Side = Vent['side'];

/** `count` round holes in each of the given sides. mm */
export function holes(sides: Side[], count: number, diameterMm: number, centreHeightMm: number): Vent[] {
  return sides.map((side) => ({ side, shape: 'hole', count, diameterMm, centreHeightMm }));
}

export function box(
  lengthMm: number,
  widthMm: number,
  heightMm: number,
  vents: Vent[],
  lid: Container['lid'] = 'solid',
  more: Pick<Container, 'walls' | 'opens' | 'coveredSides'> = {},
) {
  return { shape: 'box', lengthMm, widthMm, heightMm, lid, vents, ...more } satisfies Container;
}

/** One meshed cut-out in each of the given walls. mm */
export function windows(
  sides: WallSide[],
  widthMm: number,
  heightMm: number,
  centreHeightMm: number,
  meshApertureMm: number,
): Vent[] {
  const panel = { shape: 'panel', count: 1, widthMm, heightMm, centreHeightMm, meshApertureMm } as const;
  return sides.map((side) => ({ side, ...panel, meshOpenFraction: 0.4 }));
}

/** A cage of net on a frame, with a zip. mm */
export function net(lengthMm: number, widthMm: number, heightMm: number): Container {
  const frame = 20;
  const vents = windows(
    ['front', 'back', 'left', 'right'],
    Math.min(lengthMm, widthMm) - frame,
    heightMm - frame,
    heightMm / 2,
    0.7,
  );
  return box(lengthMm, widthMm, heightMm, vents, 'mesh', { walls: 'mesh', opens: 'zip' });
}

export function vial(diameterMm: number, heightMm: number, vents: Vent[]) {
  return { shape: 'cylinder', diameterMm, heightMm, lid: 'solid', vents } satisfies Container;
}
