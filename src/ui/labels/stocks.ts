import type { LabelBoard } from '@/contract/labels';
import type { LabelStock } from '@/core/labels/stock';
import type { LengthUnit } from '@/core/measure/length';
import { lengthIn } from '../forms/checks';

/** Sizes of sheets that are typed. */
export const OWN = 'own';

/** How many labels an own sheet has. */
export const GRID_FIELDS = [
  { name: 'columns', label: 'Labels across', most: 20 },
  { name: 'rows', label: 'Labels down', most: 40 },
] as const;

/** The measures of an own sheet, as they are typed. */
export const OWN_FIELDS = [
  { name: 'paperWide', label: 'Paper, width', mm: 210, least: 50, most: 330 },
  { name: 'paperHigh', label: 'Paper, height', mm: 297, least: 50, most: 490 },
  { name: 'wide', label: 'One label, width', mm: 70, least: 30, most: 320 },
  { name: 'high', label: 'One label, height', mm: 37, least: 14, most: 320 },
  { name: 'left', label: 'Left edge to the first label', mm: 0, least: 0, most: 200 },
  { name: 'top', label: 'Upper edge to the first label', mm: 0.5, least: 0, most: 200 },
  { name: 'across', label: 'From one label to the next, across', mm: 70, least: 5, most: 330 },
  { name: 'down', label: 'From one label to the next, down', mm: 37, least: 5, most: 490 },
] as const;

export type OwnField = (typeof OWN_FIELDS)[number]['name'];
export type SheetValues = Record<OwnField, string> & {
  stockId: string;
  columns: string;
  rows: string;
  startAt: string;
  address: string;
};

/** The sheet or tape that was chosen; undefined while an own one is not typed in full. */
export function stockOf(values: SheetValues, stocks: LabelBoard['stocks'], unit: LengthUnit): LabelStock | undefined {
  const chosen = stocks.find(({ id }) => id === values.stockId);
  if (chosen) {
    const { id: _id, title: _title, ...stock } = chosen;
    return stock;
  }
  const mm = Object.fromEntries(OWN_FIELDS.map(({ name }) => [name, lengthIn(values[name], unit)]));
  const [columns, rows] = [Number(values.columns), Number(values.rows)];
  if (Object.values(mm).includes(undefined) || !(columns >= 1) || !(rows >= 1)) return undefined;
  const of = (name: OwnField) => mm[name] as number;
  return {
    ...{ form: 'sheet', columns, rows, widthMm: of('wide'), heightMm: of('high') },
    paper: { widthMm: of('paperWide'), heightMm: of('paperHigh') },
    ...{ leftMm: of('left'), topMm: of('top'), acrossMm: of('across'), downMm: of('down') },
  };
}

/** What was chosen last, as it stands in the form. */
export function valuesOf(
  { last, stocks }: Pick<LabelBoard, 'last' | 'stocks'>,
  here: string,
  short: (mm: number) => string,
): SheetValues {
  const sameAs = (one: object) => JSON.stringify(Object.entries(one).sort());
  const known =
    last && stocks.find(({ id: _id, title: _title, ...stock }) => sameAs(stock) === sameAs(last.stock as object));
  const own = last && !known && last.stock.form === 'sheet' ? last.stock : undefined;
  const typed: Partial<Record<OwnField, number>> = own
    ? {
        ...{ paperWide: own.paper.widthMm, paperHigh: own.paper.heightMm, wide: own.widthMm, high: own.heightMm },
        ...{ left: own.leftMm, top: own.topMm, across: own.acrossMm, down: own.downMm },
      }
    : {};
  const fields = Object.fromEntries(OWN_FIELDS.map(({ name, mm }) => [name, short(typed[name] ?? mm)]));
  return {
    ...(fields as Record<OwnField, string>),
    stockId: own ? OWN : (known?.id ?? stocks.find(({ form }) => form === 'tape')?.id ?? ''),
    columns: String(own?.columns ?? 3),
    rows: String(own?.rows ?? 8),
    startAt: '1',
    address: last?.address ?? here,
  };
}

const FIELD_OF_PATH: Record<string, keyof SheetValues> = {
  'stock.paper.widthMm': 'paperWide',
  'stock.paper.heightMm': 'paperHigh',
  'stock.widthMm': 'wide',
  'stock.heightMm': 'high',
  'stock.leftMm': 'left',
  'stock.topMm': 'top',
  'stock.acrossMm': 'across',
  'stock.downMm': 'down',
  'stock.columns': 'columns',
  'stock.rows': 'rows',
};

/** The field of the form that the server names. */
export const fieldOf = (path: string): string => FIELD_OF_PATH[path] ?? path;
