import type { Container, Vent } from '@/core/housing/container';

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
) {
  return { shape: 'box', lengthMm, widthMm, heightMm, lid, vents } satisfies Container;
}

export function vial(diameterMm: number, heightMm: number, vents: Vent[]) {
  return { shape: 'cylinder', diameterMm, heightMm, lid: 'solid', vents } satisfies Container;
}
