/**
 * The mean depths of substrate that satisfy every depth rule at once, in mm. When `min` is above `max` none does:
 * `recommended` is then null and `conflict` names the two rules that exclude each other.
 */
export interface DepthBand {
  min: number;
  max: number;
  recommended: number | null;
  conflict?: { lower: string; upper: string };
}

/** What one rule asks of the mean depth of the soil. mm, null where unlimited. */
export interface DepthDemand {
  rule: string;
  min: number | null;
  max: number | null;
}

interface Bound {
  mm: number;
  rule: string;
}

/**
 * Intersects the demands on the soil of a container `heightMm` high. The recommended depth is the present one if it
 * satisfies all, else the nearest that does, in whole millimetres where the band holds one: the least soil to carry
 * that makes the home safe.
 */
export function depthBand(demands: DepthDemand[], heightMm: number, presentDepthMm: number): DepthBand {
  let lower: Bound = { mm: 0, rule: 'floor' };
  let upper: Bound = { mm: heightMm, rule: 'lid' };
  for (const { rule, min, max } of demands) {
    if (min !== null && min > lower.mm) lower = { mm: min, rule };
    if (max !== null && max < upper.mm) upper = { mm: max, rule };
  }
  const band = { min: lower.mm, max: upper.mm };
  if (lower.mm > upper.mm) return { ...band, recommended: null, conflict: { lower: lower.rule, upper: upper.rule } };
  return { ...band, recommended: nearestWithin(lower.mm, upper.mm, presentDepthMm) };
}

/** The whole millimetre of the band that is nearest to the present depth; the present one if it lies in the band. */
export function nearestWithin(min: number, max: number, present: number): number {
  if (present >= min && present <= max) return present;
  const rounded = present < min ? Math.ceil(min) : Math.floor(max);
  return rounded >= min && rounded <= max ? rounded : present < min ? min : max;
}
