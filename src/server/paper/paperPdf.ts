import { PDFDocument, rgb, type PDFPage } from 'pdf-lib';
import type { LabelFont } from '@/core/labels/drawLabel';
import { fontsIn, widthOnPaper } from './fonts';
import { PAPERS, type PaperPart, type PaperSheet, type Span } from './parts';

/** Points of the paper. */
const MARGIN = 48;
const FOOT = 26;
const SIZE = { title: 20, heading: 14, text: 11, small: 9 } as const;
const LEADING = 1.35;
const BOX = 10;
const INDENT = 36;
/** Where the value of a fact begins, from its label. */
const FACT_SHARE = 0.36;
const INK = rgb(0.2, 0.15, 0.12);
const SOFT = rgb(0.4, 0.34, 0.28);
const CLAY = rgb(0.64, 0.27, 0.13);

interface Row {
  spans: Span[];
  size: number;
  indent: number;
  color: typeof INK;
  /** A box to tick before it. */
  hasBox?: boolean;
  /** Beside the row before, not under it. */
  isBeside?: boolean;
  /** Room above it. */
  above?: number;
}

/**
 * A sheet on paper, large enough to be read at arm's length: from top to bottom, page after page, what belongs together on one page
 * where it fits.
 */
export async function paperPdf({ title, subtitle, parts, paper }: PaperSheet): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(title);
  const { width, height } = PAPERS[paper];
  const room = width - 2 * MARGIN;
  const fonts = fontsIn(document);
  const pages: PDFPage[] = [];
  let y = 0;
  const turn = () => {
    pages.push(document.addPage([width, height]));
    y = height - MARGIN;
  };
  const write = async (page: PDFPage, row: Row, at: number) => {
    let x = MARGIN + row.indent;
    for (const { text, font } of row.spans) {
      for (const run of await fonts(text, font))
        page.drawText(run.text, {
          x: x + run.atEms * row.size,
          y: at,
          size: row.size,
          font: run.font,
          color: row.color,
        });
      x += widthOnPaper(text, font) * row.size;
    }
    if (row.hasBox)
      page.drawRectangle({ x: MARGIN + 16, y: at - 1, width: BOX, height: BOX, borderColor: INK, borderWidth: 1 });
  };
  turn();
  const head: Row[] = [
    ...rowsOf([{ text: title, font: 'bold' }], SIZE.title, room),
    ...(subtitle === undefined ? [] : rowsOf([{ text: subtitle, font: 'text' }], SIZE.text, room)),
  ];
  for (const block of [head, ...parts.map((part) => rowsOfPart(part, room))]) {
    const tall = block.reduce((sum, row) => sum + heightOf(row), 0);
    const left = y - MARGIN - FOOT;
    if (tall > left && tall <= height - 2 * MARGIN - FOOT) turn();
    for (const row of block) {
      if (y - heightOf(row) < MARGIN + FOOT) turn();
      y -= heightOf(row);
      await write(pages.at(-1) as PDFPage, row, y);
    }
  }
  for (const [index, page] of pages.entries()) {
    const foot = `${title}${subtitle === undefined ? '' : `, ${subtitle}`}, page ${index + 1} of ${pages.length}`;
    const [row] = rowsOf([{ text: foot, font: 'text' }], SIZE.small, room, { color: SOFT });
    if (row) await write(page, row, MARGIN - FOOT + SIZE.small);
  }
  return document.save({ objectsPerTick: Infinity });
}

const heightOf = ({ size, isBeside, above = 0 }: Row) => (isBeside ? 0 : size * LEADING + above);

function rowsOfPart(part: PaperPart, room: number): Row[] {
  switch (part.as) {
    case 'heading':
      return first(rowsOf([{ text: part.text, font: 'bold' }], SIZE.heading, room), { above: SIZE.text });
    case 'line': {
      const look = { color: part.isAlert ? CLAY : part.isSmall ? SOFT : INK };
      return rowsOf(part.spans, part.isSmall ? SIZE.small : SIZE.text, room, look);
    }
    case 'task': {
      const task = rowsOf([{ text: part.text, font: part.isAlert ? 'bold' : 'text' }], SIZE.text, room, {
        indent: INDENT,
      });
      const note = part.note === undefined ? [] : small(part.note, room);
      return [...first(task, { hasBox: true }), ...note];
    }
    case 'fact': {
      const indent = FACT_SHARE * room;
      const label = rowsOf([{ text: part.label, font: 'bold' }], SIZE.text, indent - SIZE.text);
      const value = rowsOf([{ text: part.value, font: 'text' }], SIZE.text, room, { indent });
      const note = part.note === undefined ? [] : small(part.note, room, indent);
      const beside = [...value, ...note];
      // Row by row beside each other; what is longer goes on alone.
      const both = Math.max(label.length, beside.length);
      return Array.from({ length: both }, (_, index) => {
        const [left, right] = [label[index], beside[index]];
        if (!left) return right ? [right] : [];
        return right ? [left, { ...right, isBeside: true }] : [left];
      }).flat();
    }
    case 'block':
      return first(
        part.parts.flatMap((each) => rowsOfPart(each, room)),
        { above: SIZE.text / 2 },
      );
  }
}

const small = (text: string, room: number, indent = INDENT) =>
  rowsOf([{ text, font: 'text' }], SIZE.small, room, { indent, color: SOFT });

const first = ([row, ...others]: Row[], look: Partial<Row>): Row[] => (row ? [{ ...row, ...look }, ...others] : []);

/** Spans broken between words into rows no wider than the room. */
function rowsOf(
  spans: readonly Span[],
  size: number,
  room: number,
  { indent = 0, color = INK }: Partial<Pick<Row, 'indent' | 'color'>> = {},
): Row[] {
  const most = (room - indent) / size;
  const rows: Span[][] = [[]];
  let wide = 0;
  const put = (text: string, font: LabelFont) => {
    const row = rows.at(-1) as Span[];
    const last = row.at(-1);
    if (last?.font === font) last.text += text;
    else row.push({ text, font });
    wide += widthOnPaper(text, font);
  };
  for (const { text, font } of spans) {
    for (const [index, word] of text.split(' ').entries()) {
      const spaced = index > 0 ? ` ${word}` : word;
      if (wide > 0 && wide + widthOnPaper(spaced, font) > most) {
        rows.push([]);
        wide = 0;
        put(word, font);
      } else put(spaced, font);
    }
  }
  return rows.map((row) => ({ spans: row, size, indent, color }));
}
