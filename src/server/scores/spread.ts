import type { Scored } from '@/contract/scores';
import type { Queries } from '../storage/database';
import { readMeta, writeMeta } from '../storage/meta';

/** By how much the windows of each engine are widened in this house, by what came of them; 1 as long as too few are decided. */
export type SpreadInForce = Record<Exclude<Scored, 'need'>, number>;

const KEY = 'spread-in-force';
const AS_IS: SpreadInForce = { moult: 1, drying: 1, hatch: 1 };

export async function spreadInForce(queries: Queries): Promise<SpreadInForce> {
  const written = await readMeta(queries, KEY);
  return written === undefined ? AS_IS : { ...AS_IS, ...(JSON.parse(written) as Partial<SpreadInForce>) };
}

/** In steps, so that not every window that is decided moves all the others. */
const STEP = 0.05;

/** Puts it in force where it has changed. */
export async function putInForce(queries: Queries, found: SpreadInForce): Promise<void> {
  const before = await spreadInForce(queries);
  const stepped = Object.fromEntries(
    Object.entries(found).map(([engine, times]) => [engine, Math.round(times / STEP) * STEP]),
  ) as SpreadInForce;
  const rounded = Object.fromEntries(
    Object.entries(stepped).map(([engine, times]) => [engine, Number(times.toFixed(2))]),
  ) as SpreadInForce;
  if (JSON.stringify(before) !== JSON.stringify(rounded)) await writeMeta(queries, KEY, JSON.stringify(rounded));
}
