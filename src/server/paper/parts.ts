import type { LabelFont } from '@/core/labels/drawLabel';
import { slantedName } from '@/core/measure/slantedName';

/** Sizes of paper, in points. */
export const PAPERS = { a4: { width: 595, height: 842 }, letter: { width: 612, height: 792 } } as const;
export type Paper = keyof typeof PAPERS;

/** A piece of a line in one font. */
export interface Span {
  text: string;
  font: LabelFont;
}

/** What stands on a sheet, from top to bottom. */
export type PaperPart =
  | { as: 'heading'; text: string }
  | { as: 'line'; spans: Span[]; isAlert?: boolean; isSmall?: boolean }
  /** With a box to tick. */
  | { as: 'task'; text: string; note?: string | undefined; isAlert?: boolean | undefined }
  /** A label, and beside it what holds. */
  | { as: 'fact'; label: string; value: string; note?: string | undefined }
  /** What is not torn apart at the end of a page. */
  | { as: 'block'; parts: PaperPart[] };

export interface PaperSheet {
  title: string;
  subtitle?: string;
  paper: Paper;
  parts: PaperPart[];
}

export const heading = (text: string): PaperPart => ({ as: 'heading', text });
export const line = (text: string, look: { isAlert?: boolean; isSmall?: boolean } = {}): PaperPart => ({
  ...{ as: 'line', spans: [{ text, font: 'text' }] },
  ...look,
});
export const alert = (text: string): PaperPart => ({ as: 'line', spans: [{ text, font: 'bold' }], isAlert: true });
export const fact = (label: string, value: string | null | undefined, note?: string): PaperPart[] =>
  value === null || value === undefined || value === '' ? [] : [{ as: 'fact', label, value, note }];
export const block = (...parts: PaperPart[]): PaperPart => ({ as: 'block', parts });

/** A scientific name as it is set. */
export const nameSpans = (name: string): Span[] =>
  slantedName(name).map(({ text, isSlanted }, index) => ({
    ...{ text: index > 0 ? ` ${text}` : text, font: isSlanted ? 'name' : 'text' },
  }));

/** A box and who lives in it: "B3  Grammostola pulchra  Big one". */
export const whoLine = (code: string, name: string, called: string | null, rest = ''): PaperPart => ({
  as: 'line',
  spans: [
    { text: `${code}   `, font: 'bold' },
    ...nameSpans(name),
    { text: `${called === null ? '' : `   ${called}`}${rest}`, font: 'text' },
  ],
});
