import { Refusal, type FieldProblem } from '../refusal';

/** Sheets of labels in a grid. Everything in mm; steps go from one label's edge to the same edge of the next. */
export interface LabelSheet {
  form: 'sheet';
  paper: { widthMm: number; heightMm: number };
  columns: number;
  rows: number;
  widthMm: number;
  heightMm: number;
  /** Of the first label, from the left and the upper edge of the paper. */
  leftMm: number;
  topMm: number;
  acrossMm: number;
  downMm: number;
}

/** A roll: each label is a page of its own. */
export interface LabelTape {
  form: 'tape';
  widthMm: number;
  heightMm: number;
}

export type LabelStock = LabelSheet | LabelTape;

/** Where a label lies: the number of its page from 0, and its upper left corner on it. mm */
export interface LabelPlace {
  page: number;
  xMm: number;
  yMm: number;
}

/** Grids are told in tenths of a millimetre: so much in one step, and in all of a sheet, is rounding. mm, chosen here */
const STEP_ROUNDING_MM = 0.05;
const ROUNDING_MM = 0.5;

/**
 * Where labels come to lie, row by row from the upper left.
 * @param startAt the first label of the first sheet that is still there, from 1; a roll begins where it is
 * @throws Refusal where the grid goes beyond its paper, labels overlap, or the first sheet has no such label
 * @example labelPlaces(grid3x8, 2, 24) // the last of one sheet, the first of the next
 */
export function labelPlaces(stock: LabelStock, count: number, startAt = 1): LabelPlace[] {
  if (stock.form === 'tape') return Array.from({ length: count }, (_, page) => ({ page, xMm: 0, yMm: 0 }));
  requireGrid(stock);
  const { columns, rows, leftMm, topMm, acrossMm, downMm } = stock;
  const perPage = columns * rows;
  if (startAt < 1 || startAt > perPage)
    throw new Refusal([
      { path: 'startAt', message: `Must be a label of the sheet, from 1 to ${perPage}; got ${startAt}.` },
    ]);
  return Array.from({ length: count }, (_, index) => {
    const at = index + startAt - 1;
    const onPage = at % perPage;
    return {
      page: Math.floor(at / perPage),
      xMm: leftMm + (onPage % columns) * acrossMm,
      yMm: topMm + Math.floor(onPage / columns) * downMm,
    };
  });
}

/** @throws Refusal naming each measure that cannot be, with what would be right */
function requireGrid({ paper, columns, rows, widthMm, heightMm, leftMm, topMm, acrossMm, downMm }: LabelSheet): void {
  const rightMm = leftMm + (columns - 1) * acrossMm + widthMm;
  const bottomMm = topMm + (rows - 1) * downMm + heightMm;
  const beyond = (path: string, endMm: number, paperMm: number, side: string): FieldProblem[] =>
    endMm <= paperMm + ROUNDING_MM
      ? []
      : [
          {
            path,
            message: `The last label would end ${tenths(endMm)} mm from the ${side}; the paper has ${tenths(paperMm)} mm.`,
          },
        ];
  const apart = (path: string, stepMm: number, sizeMm: number, several: boolean): FieldProblem[] =>
    !several || stepMm >= sizeMm - STEP_ROUNDING_MM
      ? []
      : [{ path, message: `Must be at least the size of a label, ${tenths(sizeMm)} mm; got ${tenths(stepMm)} mm.` }];
  const problems = [
    ...apart('stock.acrossMm', acrossMm, widthMm, columns > 1),
    ...apart('stock.downMm', downMm, heightMm, rows > 1),
    ...beyond('stock.columns', rightMm, paper.widthMm, 'left'),
    ...beyond('stock.rows', bottomMm, paper.heightMm, 'top'),
  ];
  if (problems.length > 0) throw new Refusal(problems);
}

const tenths = (mm: number) => Math.round(mm * 10) / 10;

/** How many labels a sheet or a piece of tape has. */
export const labelsPerPage = (stock: LabelStock): number => (stock.form === 'tape' ? 1 : stock.columns * stock.rows);
