import { useMemo, useState } from 'react';
import type { GestureResponderEvent } from 'react-native';

/** One of several things drawn, with its unit, and how it is drawn. */
export interface ChartSeries {
  name: string;
  color?: string;
  isDashed?: boolean;
}

export interface ChartRow {
  /** Where from left to right, as a share of the drawing. */
  at: number;
  /** What it is the row of: a day, a week, an instar. */
  head: string;
  /** What each series says there. */
  cells: readonly string[];
}

/** What a chart draws, in words. */
export interface ChartData {
  /** What the heads of the rows are. */
  of: string;
  series: readonly ChartSeries[];
  /** From left to right; asked when somebody reads it off, for most charts are only looked at. */
  rows: () => readonly ChartRow[];
}

interface Pointed {
  clientX: number;
}
/** What react-native-web hands on to the page of those. */
export interface Hand {
  tabIndex?: 0;
  onMouseMove?: (event: { nativeEvent: Pointed; currentTarget: unknown }) => void;
  onMouseLeave?: () => void;
  onTouchStart?: (event: GestureResponderEvent) => void;
  onTouchMove?: (event: GestureResponderEvent) => void;
  onKeyDown?: (event: { key: string; preventDefault: () => void }) => void;
}

/** The row nearest to a share of the drawing. */
export const nearestRow = (rows: readonly ChartRow[], at: number): number =>
  rows.reduce(
    (best, row, index) => (Math.abs(row.at - at) < Math.abs((rows[best]?.at ?? Infinity) - at) ? index : best),
    0,
  );

/** Follows a finger, a mouse or the arrow keys over a chart. */
export function useReader(data: ChartData | undefined, inset: { left: number; right: number }) {
  const [row, setRow] = useState<ChartRow>();
  // Of what is drawn anew the old rows tell nothing any more.
  const rows = useMemo(() => {
    let known: readonly ChartRow[] | undefined;
    return () => (known ??= data?.rows() ?? []);
  }, [data]);
  if (!data || data.series.length === 0) return { row: undefined, hand: {} };
  const point = ({ clientX }: Pointed, target: unknown) => {
    const { left, width } = (target as HTMLElement).getBoundingClientRect();
    const at = (clientX - left - inset.left) / Math.max(1, width - inset.left - inset.right);
    setRow(rows()[nearestRow(rows(), at)]);
  };
  const touch = ({ nativeEvent, currentTarget }: GestureResponderEvent) => {
    const [first] = Array.from(nativeEvent.touches as unknown as ArrayLike<Pointed>);
    if (first) point(first, currentTarget);
  };
  const hand: Hand = {
    tabIndex: 0,
    onMouseMove: ({ nativeEvent, currentTarget }) => point(nativeEvent, currentTarget),
    onMouseLeave: () => setRow(undefined),
    ...{ onTouchStart: touch, onTouchMove: touch },
    onKeyDown: (event) => {
      const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
      if (event.key === 'Escape') setRow(undefined);
      if (by === undefined) return;
      event.preventDefault();
      const all = rows();
      const from = row === undefined ? (by > 0 ? -1 : all.length) : nearestRow(all, row.at);
      setRow(all[Math.min(all.length - 1, Math.max(0, from + by))]);
    },
  };
  return { row, hand };
}
