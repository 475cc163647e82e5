import fs from 'node:fs';
import path from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import { parseISO } from 'date-fns/parseISO';
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';
import type { SitterSheet } from '@/contract/plan';
import { NEVER_OPEN_WORDS, sitterTask } from '@/words/sheet';
import type { Day } from '@/core/measure/day';
import { ROOT } from './root';

const PAGE = { width: 595, height: 842, margin: 48 } as const;
const SIZE = { title: 20, heading: 14, text: 11 } as const;
const LEADING = 1.35;
const INK = rgb(0.2, 0.15, 0.12);
const CLAY = rgb(0.64, 0.27, 0.13);
const FONTS = path.join(ROOT, 'node_modules/@fontsource/atkinson-hyperlegible/files');

/** The sitter's sheet on paper: A4, large enough to be read at arm's length, a box to tick before each task. */
export async function sheetPdf(sheet: SitterSheet): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle('Looking in');
  const read = (weight: 400 | 700) =>
    fs.readFileSync(path.join(FONTS, `atkinson-hyperlegible-latin-${weight}-normal.woff`));
  // Only the letters that are used: whole, the file of the web would be laid in as it is, which no reader of paper knows.
  const subset = { subset: true };
  const text = await document.embedFont(read(400), subset);
  const bold = await document.embedFont(read(700), subset);
  const paper = new Paper(document, text, bold);
  paper.line('Looking in', { size: SIZE.title, isBold: true });
  paper.line(
    `${dayOnPaper(sheet.from)} to ${dayOnPaper(sheet.until)}${sheet.sitter === null ? '' : `, for ${sheet.sitter}`}`,
  );
  if (sheet.call !== null)
    paper.line(`If anything is wrong: ${sheet.call}`, { isBold: true, color: CLAY, size: SIZE.heading });
  paper.line('A bite, a sting, trouble breathing: the emergency services first.', { color: CLAY });
  if (sheet.neverOpen.length > 0) {
    paper.heading('Never open');
    for (const { code, scientificName, why, until } of sheet.neverOpen) {
      paper.line(
        `${code}   ${scientificName}: ${NEVER_OPEN_WORDS[why]}${until === null ? '' : `, until about ${dayOnPaper(until)}`}`,
        {
          color: CLAY,
        },
      );
    }
  }
  if (sheet.needsKeeper.length > 0) {
    paper.line(`Somebody who knows these has to come: ${sheet.needsKeeper.map(({ code }) => code).join(', ')}.`);
  }
  if (sheet.visits.length === 0) paper.line('No box needs anything in these days.');
  for (const { on, stops } of sheet.visits) {
    paper.heading(dayOnPaper(on));
    for (const stop of stops) {
      paper.line(`${stop.code}   ${stop.scientificName}   (${stop.room}, ${stop.shelf})`, { isBold: true });
      for (const kind of stop.kinds) paper.task(sitterTask(kind, stop));
    }
  }
  if (sheet.stock.length > 0) {
    paper.heading('Food for these days');
    for (const { name, needed, unit } of sheet.stock) paper.line(`${name}: ${needed} ${unit}`);
  }
  return document.save();
}

/** "Saturday 19 December". */
const dayOnPaper = (day: Day) =>
  parseISO(day).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

interface Look {
  size?: number;
  isBold?: boolean;
  color?: ReturnType<typeof rgb>;
  indent?: number;
}

/** Lines from top to bottom, page after page; what is too long is broken between words. */
class Paper {
  private page: PDFPage;
  private y = 0;

  constructor(
    private readonly document: PDFDocument,
    private readonly text: PDFFont,
    private readonly bold: PDFFont,
  ) {
    this.page = this.newPage();
  }

  heading(words: string): void {
    this.y -= SIZE.text;
    this.line(words, { size: SIZE.heading, isBold: true });
  }

  task(words: string): void {
    const indent = 36;
    this.line(words, { indent });
    const rows = this.broken(words, this.text, SIZE.text, indent).length;
    // Level with the first of its lines; the pen stands on the last.
    const first = this.y + (rows - 1) * SIZE.text * LEADING;
    this.page.drawRectangle({
      x: PAGE.margin + 16,
      y: first - 1,
      width: 10,
      height: 10,
      borderColor: INK,
      borderWidth: 1,
    });
  }

  line(words: string, { size = SIZE.text, isBold = false, color = INK, indent = 0 }: Look = {}): void {
    const font = isBold ? this.bold : this.text;
    for (const row of this.broken(words, font, size, indent)) {
      if (this.y - size * LEADING < PAGE.margin) this.page = this.newPage();
      this.y -= size * LEADING;
      this.page.drawText(row, { x: PAGE.margin + indent, y: this.y, size, font, color });
    }
  }

  private newPage(): PDFPage {
    this.y = PAGE.height - PAGE.margin;
    return this.document.addPage([PAGE.width, PAGE.height]);
  }

  private broken(words: string, font: PDFFont, size: number, indent: number): string[] {
    const width = PAGE.width - 2 * PAGE.margin - indent;
    const rows: string[] = [];
    let row = '';
    for (const word of words.split(' ')) {
      const longer = row === '' ? word : `${row} ${word}`;
      if (row !== '' && font.widthOfTextAtSize(longer, size) > width) {
        rows.push(row);
        row = word;
      } else row = longer;
    }
    return [...rows, row];
  }
}
