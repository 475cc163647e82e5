/**
 * The substrate depths that satisfy every depth rule at once, in mm. When `min` is above `max` no depth does:
 * `recommended` is then null and `conflict` names the two rules that exclude each other.
 */
export interface DepthBand {
  min: number;
  max: number;
  recommended: number | null;
  conflict?: { lower: string; upper: string };
}

/** What one rule asks of the depth of the soil, or of the gap between soil and lid. mm, null where unlimited. */
export interface DepthDemand {
  rule: string;
  about: 'depth' | 'gap';
  min: number | null;
  max: number | null;
}

interface Bound {
  mm: number;
  rule: string;
}

/**
 * Intersects the demands on a container `heightMm` high; a demand on the gap is turned round into one on the soil.
 * The recommended depth is the present one if it satisfies all, else the nearest that does, in whole millimetres
 * where the band holds one: the least soil to carry that makes the home safe.
 */
export function depthBand(demands: DepthDemand[], heightMm: number, presentDepthMm: number): DepthBand {
  let lower: Bound = { mm: 0, rule: 'floor' };
  let upper: Bound = { mm: heightMm, rule: 'lid' };
  for (const { rule, about, min, max } of demands) {
    const fromLid = (gapMm: number | null) => (gapMm === null ? null : heightMm - gapMm);
    const [least, most] = about === 'depth' ? [min, max] : [fromLid(max), fromLid(min)];
    if (least !== null && least > lower.mm) lower = { mm: least, rule };
    if (most !== null && most < upper.mm) upper = { mm: most, rule };
  }
  const band = { min: lower.mm, max: upper.mm };
  if (lower.mm > upper.mm) return { ...band, recommended: null, conflict: { lower: lower.rule, upper: upper.rule } };
  return { ...band, recommended: nearestWithin(lower.mm, upper.mm, presentDepthMm) };
}

function nearestWithin(min: number, max: number, present: number): number {
  if (present >= min && present <= max) return present;
  const rounded = present < min ? Math.ceil(min) : Math.floor(max);
  return rounded >= min && rounded <= max ? rounded : present < min ? min : max;
}
