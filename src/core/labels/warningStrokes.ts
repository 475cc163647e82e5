import type { DrawnSquare } from './drawLabel';

/** A point of a drawing: mm from the left and from the top. */
type Point = readonly [xMm: number, yMm: number];

/** Lines of one width through points. */
export interface Strokes {
  widthMm: number;
  lines: Point[][];
}

/** Of the side of its square, by eye: an even triangle, its bar and its dot in the middle of what is left free. */
const HIGH = 0.88;
const WIDTH = 0.1;
const BAR = [0.34, 0.66] as const;
const DOT = [0.76, 0.86] as const;

/** The triangle before words of danger, as the screen and the printer draw it: its sides, a bar and a dot. */
export function warningStrokes({ xMm, yMm, sizeMm }: DrawnSquare): Strokes {
  const high = HIGH * sizeMm;
  const middle = xMm + sizeMm / 2;
  const upright = ([from, to]: readonly [number, number]): Point[] => [
    [middle, yMm + from * high],
    [middle, yMm + to * high],
  ];
  const top: Point = [middle, yMm];
  const sides: Point[] = [top, [xMm + sizeMm, yMm + high], [xMm, yMm + high], top];
  return { widthMm: WIDTH * sizeMm, lines: [sides, upright(BAR), upright(DOT)] };
}
