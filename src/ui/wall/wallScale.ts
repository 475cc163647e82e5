/** A box is drawn between these: smaller, nobody would tell a spider from a stick; larger, a page of its own is better. px/mm, chosen here */
export const LEAST_PX_PER_MM = 0.16;
export const MOST_PX_PER_MM = 0.9;
/** Each press makes the wall so much larger. Chosen here */
export const ZOOM_STEP = 1.3;

/** No box is narrower than a thumb. px */
export const LEAST_BOX_PX = 44;
/** Between two boxes, with what their walls take. px */
const BETWEEN_PX = 20;

/** So many of the shelves are seen whole; longer ones slide along. Chosen here */
const SEEN_WHOLE = 0.6;

/**
 * The scale at which most shelves are no wider than the wall.
 * @param shelves how wide the boxes of each shelf are, mm
 * @param widthPx of the wall
 */
export function fittingPxPerMm(shelves: readonly (readonly number[])[], widthPx: number): number {
  const wide = (boxes: readonly number[], pxPerMm: number) =>
    boxes.reduce((sum, mm) => sum + Math.max(LEAST_BOX_PX, mm * pxPerMm) + BETWEEN_PX, 0);
  let [low, high] = [LEAST_PX_PER_MM, MOST_PX_PER_MM];
  for (let step = 0; step < 20; step += 1) {
    const middle = (low + high) / 2;
    const whole = shelves.filter((boxes) => wide(boxes, middle) <= widthPx).length;
    if (whole >= SEEN_WHOLE * shelves.length) low = middle;
    else high = middle;
  }
  return low;
}

export const zoomed = (pxPerMm: number, times: number): number =>
  Math.min(MOST_PX_PER_MM, Math.max(LEAST_PX_PER_MM, pxPerMm * times));
