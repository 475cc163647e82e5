import type { Status } from '@/core/housing/fit';

export interface ShelfLoad {
  massKg: number;
  limitKg: number;
  /** Share of the limit. % */
  usedPct: number;
  status: Status;
}

/** A shelf is watched from nine tenths of its limit: soil is watered, and keepers lean on it; from memory. */
const WATCH_FROM_PCT = 90;

/** What stands on a shelf against what it bears (the maker's number). */
export function shelfLoad(massesG: number[], limitKg: number): ShelfLoad {
  const massKg = massesG.reduce((sum, mass) => sum + mass, 0) / 1000;
  const usedPct = (100 * massKg) / limitKg;
  return { massKg, limitKg, usedPct, status: usedPct > 100 ? 'fail' : usedPct >= WATCH_FROM_PCT ? 'watch' : 'pass' };
}
