import { areaAtMm2, volumeBelowMm3, type Container } from './container';

/**
 * The surface of the soil along the longer side of a home, from its front (the damp end) to its back (the dry end).
 * Terraces are steps of equal length.
 */
export type Soil =
  | { shape: 'flat'; depthMm: number }
  | { shape: 'slope'; frontMm: number; backMm: number }
  | { shape: 'terraces'; depthsMm: number[] };

export const flat = (depthMm: number): Soil => ({ shape: 'flat', depthMm });

/** The depths that describe the surface, from front to back. mm */
export function depthsOf(soil: Soil): number[] {
  switch (soil.shape) {
    case 'flat':
      return [soil.depthMm];
    case 'slope':
      return [soil.frontMm, soil.backMm];
    case 'terraces':
      return soil.depthsMm;
  }
}

/** Depth in the middle between front and back: what is written beside the box. mm */
export function meanDepthMm(soil: Soil): number {
  const depths = depthsOf(soil);
  return depths.reduce((sum, depth) => sum + depth, 0) / depths.length;
}

export const deepestMm = (soil: Soil): number => Math.max(...depthsOf(soil));
export const shallowestMm = (soil: Soil): number => Math.min(...depthsOf(soil));

/** Depth at a share of the way from front (0) to back (1). mm */
export function depthAtMm(soil: Soil, share: number): number {
  if (soil.shape === 'slope') return soil.frontMm + (soil.backMm - soil.frontMm) * share;
  const depths = depthsOf(soil);
  return depths[Math.min(depths.length - 1, Math.max(0, Math.floor(share * depths.length)))] ?? 0;
}

/** The same surface raised or lowered as a whole until its mean depth is `depthMm`; nowhere under the floor. */
export function withMeanDepth(soil: Soil, depthMm: number): Soil {
  const by = depthMm - meanDepthMm(soil);
  const moved = (depth: number) => Math.max(0, depth + by);
  switch (soil.shape) {
    case 'flat':
      return flat(depthMm);
    case 'slope':
      return { shape: 'slope', frontMm: moved(soil.frontMm), backMm: moved(soil.backMm) };
    case 'terraces':
      return { shape: 'terraces', depthsMm: soil.depthsMm.map(moved) };
  }
}

const PANELS = 128;

/**
 * Volume of a fill. Over height the cut through the container is weighed with the share of it that the soil fills;
 * between the depths of the surface that is a cubic at most for boxes (Simpson's rule, exact), and for cylinders the
 * segment of a circle (within 0.01 %). L
 * @throws nothing; a surface above the lid counts as if the walls went on.
 */
export function fillVolumeL(container: Container, soil: Soil): number {
  if (soil.shape === 'flat') return volumeBelowMm3(container, soil.depthMm) / 1e6;
  const levels = [...new Set([0, ...depthsOf(soil)])].sort((a, b) => a - b);
  let volume = 0;
  for (let index = 1; index < levels.length; index += 1) {
    const from = levels[index - 1] ?? 0;
    const to = levels[index] ?? 0;
    const step = (to - from) / PANELS;
    for (let panel = 0; panel < PANELS; panel += 1) {
      const low = from + panel * step;
      // Just inside the panel: at a level itself a terrace belongs to both sides.
      const inside = [low + step * 1e-9, low + step / 2, low + step * (1 - 1e-9)];
      const [a, b, c] = inside.map((y) => areaAtMm2(container, y) * filledShare(container, soil, y));
      volume += (step / 6) * ((a ?? 0) + 4 * (b ?? 0) + (c ?? 0));
    }
  }
  return volume / 1e6;
}

/** The share of the cut at height `y` that lies in the soil. */
function filledShare(container: Container, soil: Soil, y: number): number {
  if (soil.shape === 'slope') {
    const { frontMm, backMm } = soil;
    const low = Math.min(frontMm, backMm);
    const high = Math.max(frontMm, backMm);
    if (y <= low) return 1;
    if (y >= high) return 0;
    return stripShare(container, 0, (high - y) / (high - low));
  }
  const depths = depthsOf(soil);
  return depths.reduce(
    (sum, depth, index) =>
      depth > y ? sum + stripShare(container, index / depths.length, (index + 1) / depths.length) : sum,
    0,
  );
}

/** Share of the floor between two shares of its length: a strip of a rectangle, or of a circle. */
function stripShare(container: Container, from: number, to: number): number {
  if (container.shape === 'box') return to - from;
  return circleShare(to) - circleShare(from);
}

/** Share of a circle's area on the near side of a chord at a share of the diameter. */
function circleShare(share: number): number {
  const angle = 2 * Math.acos(Math.min(1, Math.max(-1, 1 - 2 * share)));
  return (angle - Math.sin(angle)) / (2 * Math.PI);
}
