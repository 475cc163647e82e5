import { deflateSync } from 'node:zlib';
import { PDFDocument, PDFName, type PDFPage, type PDFRef } from 'pdf-lib';
import { drawLabel, type DrawnLabel, type DrawnSquare, type LabelFont, type LabelWords } from '@/core/labels/drawLabel';
import { warningStrokes, type Strokes } from '@/core/labels/warningStrokes';
import { labelPlaces, labelsPerPage, type LabelPlace, type LabelStock } from '@/core/labels/stock';
import { fontsIn, widthOnPaper } from '../paper/fonts';
import { squaresOf, type Squares } from './squares';

/** One label to print: its words, and the address that its code holds. */
export interface LabelToPrint {
  words: LabelWords;
  url: string;
}

export interface LabelsToPrint {
  labels: LabelToPrint[];
  stock: LabelStock;
  startAt: number;
  cutMarks: boolean;
}

const POINTS_PER_MM = 72 / 25.4;
/** Each square of a code is so many dots wide in its picture: a reader of paper that softens edges leaves the squares apart. */
const DOTS = 8;
/** Cut marks. mm, and points */
const MARK_MM = 3;
const MARK_WIDTH = 0.25;
/** Codes are all alike to whoever packs them: more care takes time and saves nothing. */
const PACKED = { level: 1 };

/**
 * Labels as a PDF, black alone: a page for each sheet, or for each label of a roll.
 * @throws Refusal as `labelPlaces` does
 */
export async function labelPdf({ labels, stock, startAt, cutMarks }: LabelsToPrint): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle('Labels');
  const places = labelPlaces(stock, labels.length, startAt);
  const paper = stock.form === 'tape' ? stock : stock.paper;
  const pen = new Pen(document);
  const pages: { page: PDFPage; drawn: string[] }[] = [];
  // Their addresses differ in the id alone: what breaks up the first breaks up all of them.
  let mask: number | undefined;
  for (const [index, { words, url }] of labels.entries()) {
    const squares = squaresOf(url, mask);
    mask = squares.mask;
    const place = places[index] as LabelPlace;
    const on = (pages[place.page] ??= {
      page: document.addPage([paper.widthMm * POINTS_PER_MM, paper.heightMm * POINTS_PER_MM]),
      drawn: [],
    });
    const at = pointsFrom(place, paper.heightMm);
    on.drawn.push(await pen.label(on.page, drawLabel(words, stock, widthOnPaper), squares, at));
  }
  for (const { page, drawn } of pages) {
    if (cutMarks && stock.form === 'sheet') drawn.push(marks(stock));
    page.node.set(PDFName.of('Contents'), packed(document, Buffer.from(drawn.join('\n'), 'latin1'), {}));
  }
  // In a thread of its own nobody waits for a turn.
  return document.save({ objectsPerTick: Infinity });
}

const n = (value: number) => String(Math.round(value * 1000) / 1000);

/** Points of the paper, as PDF counts them from its lower left, for mm from the upper left of a place. */
const pointsFrom = (place: Omit<LabelPlace, 'page'>, paperMm: number) => ({
  x: (mm: number) => n((place.xMm + mm) * POINTS_PER_MM),
  y: (mm: number) => n((paperMm - place.yMm - mm) * POINTS_PER_MM),
});
type Points = ReturnType<typeof pointsFrom>;

function packed(document: PDFDocument, bytes: Uint8Array, facts: Record<string, string | number>): PDFRef {
  const { context } = document;
  return context.register(context.stream(deflateSync(bytes, PACKED), { ...facts, Filter: 'FlateDecode' }));
}

/**
 * Writes labels in the operators of PDF itself, each text laid out by its font once: `drawText` does so each time it is met.
 * @source ISO 32000-1, 8.4 (graphics state), 8.5 (paths), 8.9 (images), 9.4 (text)
 */
class Pen {
  private readonly fonts: ReturnType<typeof fontsIn>;
  private readonly texts = new Map<string, Promise<{ ref: PDFRef; hex: string; atEms: number }[]>>();
  private readonly given = new WeakMap<PDFPage, Set<string>>();

  constructor(private readonly document: PDFDocument) {
    this.fonts = fontsIn(document);
  }

  async label(page: PDFPage, drawn: DrawnLabel, squares: Squares, at: Points): Promise<string> {
    const written: string[] = [];
    for (const { text, font, sizeMm, xMm, yMm } of drawn.texts) {
      for (const { ref, hex, atEms } of await this.runs(text, font)) {
        const name = this.named(page, 'F', ref);
        const place = `1 0 0 1 ${at.x(xMm + atEms * sizeMm)} ${at.y(yMm)} Tm`;
        written.push(`BT ${name} ${n(sizeMm * POINTS_PER_MM)} Tf ${place} ${hex} Tj ET`);
      }
    }
    if (drawn.warning) written.push(stroked(warningStrokes(drawn.warning), at));
    written.push(this.code(page, squares, drawn.code, at));
    return written.join('\n');
  }

  private runs(text: string, font: LabelFont) {
    const key = `${font} ${text}`;
    const made =
      this.texts.get(key) ??
      this.fonts(text, font).then((runs) =>
        runs.map(({ font: laid, text: run, atEms }) => ({
          ...{ ref: laid.ref, hex: laid.encodeText(run).toString(), atEms },
        })),
      );
    this.texts.set(key, made);
    return made;
  }

  /** The name by which a page knows a font or a picture. */
  private named(page: PDFPage, kind: 'F' | 'C', ref: PDFRef): string {
    const name = `${kind}${ref.objectNumber}`;
    const known = this.given.get(page) ?? new Set();
    this.given.set(page, known);
    if (!known.has(name)) {
      known.add(name);
      if (kind === 'F') page.node.setFontDictionary(PDFName.of(name), ref);
      else page.node.setXObject(PDFName.of(name), ref);
    }
    return `/${name}`;
  }

  private code(page: PDFPage, squares: Squares, { xMm, yMm, sizeMm }: DrawnSquare, at: Points): string {
    const dots = squares.count * DOTS;
    const facts = { Width: dots, Height: dots, ColorSpace: 'DeviceGray', BitsPerComponent: 1 };
    const picture = packed(this.document, bitsOf(squares), { Type: 'XObject', Subtype: 'Image', ...facts });
    const side = n(sizeMm * POINTS_PER_MM);
    return `q ${side} 0 0 ${side} ${at.x(xMm)} ${at.y(yMm + sizeMm)} cm ${this.named(page, 'C', picture)} Do Q`;
  }
}

/** The rows of a picture, a bit for each dot; 0 is dark. With 8 dots to a square each square is a byte wide. */
function bitsOf({ count, isDark }: Squares): Uint8Array {
  const all = new Uint8Array(count * count * DOTS).fill(0xff);
  for (let row = 0; row < count; row += 1) {
    const from = row * DOTS * count;
    for (let column = 0; column < count; column += 1) if (isDark(row, column)) all[from + column] = 0;
    for (let dot = 1; dot < DOTS; dot += 1) all.copyWithin(from + dot * count, from, from + count);
  }
  return all;
}

/** Lines through points. */
function stroked({ widthMm, lines }: Strokes, { x, y }: Points): string {
  const drawn = lines.map((points) =>
    points.map(([xMm, yMm], index) => `${x(xMm)} ${y(yMm)} ${index === 0 ? 'm' : 'l'}`).join(' '),
  );
  return `q 1 j ${n(widthMm * POINTS_PER_MM)} w ${drawn.join(' ')} S Q`;
}

/** A small cross at each corner of every label. */
function marks(stock: Extract<LabelStock, { form: 'sheet' }>): string {
  const { x, y } = pointsFrom({ xMm: 0, yMm: 0 }, stock.paper.heightMm);
  const half = MARK_MM / 2;
  const crosses = labelPlaces(stock, labelsPerPage(stock)).flatMap(({ xMm, yMm }) =>
    [xMm, xMm + stock.widthMm].flatMap((across) =>
      [yMm, yMm + stock.heightMm].map(
        (down) =>
          `${x(across - half)} ${y(down)} m ${x(across + half)} ${y(down)} l ${x(across)} ${y(down - half)} m ${x(across)} ${y(down + half)} l`,
      ),
    ),
  );
  return `q ${MARK_WIDTH} w ${crosses.join(' ')} S Q`;
}
