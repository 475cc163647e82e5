import { useState } from 'react';

/**
 * Where a keeper was in each part of the program, as long as the page stays open: whoever comes back to a list finds
 * it as it was left. Named by the path of its part, as `/residents search`.
 */
const kept = new Map<string, unknown>();

/** No row of a list is lower than this, px. */
const LEAST_ROW_PX = 60;
/** A list that has not grown for so long is all there. */
const GROWN_AFTER_MS = 1000;

/**
 * As `useState`, kept under a name while its screen is away.
 * @param asked what an address asks for, whatever was kept
 */
export function useKept<Value>(name: string, first: Value, asked?: Value): [Value, (value: Value) => void] {
  const [value, setValue] = useState<Value>(() => asked ?? (kept.has(name) ? (kept.get(name) as Value) : first));
  return [
    value,
    (next) => {
      kept.set(name, next);
      setValue(next);
    },
  ];
}

/** A part is begun anew: nothing of where one was in it is left. */
export function beginAnew(path: string): void {
  for (const name of kept.keys()) if (name.startsWith(path)) kept.delete(name);
}

const scrolledTo = (name: string): number => (kept.get(`${name} scroll`) as number | undefined) ?? 0;

/** Rows as they were left: which was the first in sight, and how high each was. */
export interface RowsLeft {
  firstSeen: string;
  heightPx: ReadonlyMap<string, number>;
}

/** How the rows of a place were left that call themselves by `rowId`; undefined where they never were. */
export const rowsLeft = (name: string): RowsLeft | undefined => kept.get(`${name} rows`) as RowsLeft | undefined;

/** Under this id a row of a place is found again. */
export const rowId = (key: string): string => `row ${key}`;

function noteRows(name: string, scroller: HTMLElement, content: HTMLElement): void {
  const { top } = scroller.getBoundingClientRect();
  const rows = Array.from(content.querySelectorAll(`[id^="${rowId('')}"]`));
  const boxes = rows.map((row) => ({ id: row.id, box: row.getBoundingClientRect() }));
  const firstSeen = boxes.find(({ box }) => box.bottom > top)?.id;
  if (firstSeen === undefined) return;
  const left: RowsLeft = { firstSeen, heightPx: new Map(boxes.map(({ id, box }) => [id, box.height])) };
  kept.set(`${name} rows`, left);
}

/** How many rows of a list have to be drawn for the place where it was left; at least `first`. */
export function rowsToPlace(name: string, first: number): number {
  const top = scrolledTo(name);
  return top === 0 ? first : Math.max(first, Math.ceil((top + window.innerHeight) / LEAST_ROW_PX));
}

/**
 * Scrolls to where it was left as soon as so much has been drawn, unless a hand is quicker, and notes from then on how
 * far it is scrolled. What never was left begins at its top.
 * @returns ends it
 */
export function keepPlace(name: string, scroller: HTMLElement, content: HTMLElement): () => void {
  let wanted = scrolledTo(name);
  let timer = 0;
  const arrive = () => {
    wanted = 0;
  };
  const reach = () => {
    if (wanted === 0) return;
    scroller.scrollTop = wanted;
    // Browsers round to parts of a pixel.
    if (scroller.scrollTop > wanted - 1) arrive();
    window.clearTimeout(timer);
    timer = window.setTimeout(arrive, GROWN_AFTER_MS);
  };
  const note = () => {
    if (wanted === 0) kept.set(`${name} scroll`, scroller.scrollTop);
  };
  scroller.scrollTop = 0;
  reach();
  const observer = new ResizeObserver(reach);
  observer.observe(content);
  const hands = ['pointerdown', 'wheel', 'keydown'] as const;
  for (const hand of hands) scroller.addEventListener(hand, arrive, { passive: true });
  scroller.addEventListener('scroll', note);
  return () => {
    // The last of the scrolling may not have been told yet.
    note();
    noteRows(name, scroller, content);
    window.clearTimeout(timer);
    observer.disconnect();
    for (const hand of hands) scroller.removeEventListener(hand, arrive);
    scroller.removeEventListener('scroll', note);
  };
}
