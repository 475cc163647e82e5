import type { Slant } from '../measure/slantedName';

/** What a label says. Words are ready to be read; what is not known is left out. */
export interface LabelWords {
  /** Of the box. */
  code: string;
  /** What it is called by its keepers. */
  called?: string | undefined;
  /** The scientific name in pieces, slanted where the code of names slants it. Empty for a free box. */
  name: readonly Slant[];
  commonName?: string | undefined;
  /** "female, since 14 Mar 2026". */
  life?: string | undefined;
  /** Dangers, in two or three words each. */
  hazards: readonly string[];
  permit?: string | undefined;
  /** Who lives with it. */
  others?: string | undefined;
}

export const LABEL_FONTS = ['text', 'bold', 'name'] as const;
export type LabelFont = (typeof LABEL_FONTS)[number];

/** How wide a text is, in ems. */
export type WidthOf = (text: string, font: LabelFont) => number;

/** A piece of text: where its baseline begins, from the upper left corner of the label. mm */
export interface DrawnText {
  text: string;
  font: LabelFont;
  sizeMm: number;
  xMm: number;
  yMm: number;
}

export interface DrawnSquare {
  xMm: number;
  yMm: number;
  sizeMm: number;
}

/** A label as it is printed. */
export interface DrawnLabel {
  widthMm: number;
  heightMm: number;
  texts: DrawnText[];
  /** Where the code to be scanned stands. */
  code: DrawnSquare;
  /** The triangle before the words of danger; none where there is no danger. */
  warning: DrawnSquare | null;
  /** What there was no room for. */
  leftOut: ('others' | 'commonName' | 'permit' | 'life')[];
}

/** Type smaller than this is not read on a shelf: 5 points. mm, chosen here */
export const SMALLEST_TYPE_MM = 1.76;
/** Larger type says no more. mm, chosen here */
const LARGEST_TYPE_MM = 4;
const STEP_MM = 0.08;
/** From baseline to baseline, and from the top of a row to its baseline. In ems, by eye: close lines that do not touch */
const LEADING = 1.22;
const ASCENT = 0.95;
/** Left free along the edge, of the height of the label: printers are off by a millimetre. mm, chosen here */
const EDGE_SHARE = 0.06;
const [NARROWEST_EDGE_MM, WIDEST_EDGE_MM] = [1.3, 2.5];
/** The code of the box is read from a step away. In ems of the other rows, chosen here */
const CODE_EMS = 1.5;
/** The smallest square that a phone reads from a hand's breadth with an address in it, and the largest that is of use. mm, from memory */
const SMALLEST_CODE_MM = 12;
const LARGEST_CODE_MM = 24;
/** The words keep the rest of the width. Chosen here */
const LARGEST_SHARE = 0.4;

/** The smallest label that holds its code and one row of type beside it. mm */
export const SMALLEST_LABEL_MM = { widthMm: 30, heightMm: 14 } as const;

/** In this order rows give way where the label is too small. The box, the name and the dangers never do. */
const GIVE_WAY = ['others', 'commonName', 'permit', 'life'] as const;

interface Piece {
  text: string;
  font: LabelFont;
}
interface Row {
  pieces: Piece[];
  ems: number;
  isWarning?: boolean;
}

/**
 * Lays a label out: the code to be scanned at the right, the words at the left in the largest type with which all of them fit.
 * @param widthOf how wide a text is in ems; additive over words parted by spaces, to a thousandth
 * @example drawLabel({ code: 'B3', name: [{ text: 'Grammostola pulchra', isSlanted: true }], hazards: [] }, { widthMm: 62, heightMm: 35 }, widthOf)
 */
export function drawLabel(
  words: LabelWords,
  { widthMm, heightMm }: { widthMm: number; heightMm: number },
  widthOf: WidthOf,
): DrawnLabel {
  const edgeMm = Math.min(WIDEST_EDGE_MM, Math.max(NARROWEST_EDGE_MM, EDGE_SHARE * heightMm));
  const most = Math.min(heightMm - 2 * edgeMm, LARGEST_SHARE * widthMm, LARGEST_CODE_MM);
  const codeMm = Math.max(SMALLEST_CODE_MM, most);
  const code = { xMm: widthMm - edgeMm - codeMm, yMm: (heightMm - codeMm) / 2, sizeMm: codeMm };
  const room = { widthMm: code.xMm - 2 * edgeMm, heightMm: heightMm - 2 * edgeMm };
  for (let dropped = 0; ; dropped += 1) {
    const left = GIVE_WAY.slice(0, dropped);
    const kept = { ...words, ...Object.fromEntries(left.map((each) => [each, undefined])) } as LabelWords;
    const isLast = dropped === GIVE_WAY.length;
    const laid = largest(kept, room, widthOf) ?? (isLast ? cut(kept, room, widthOf) : null);
    if (!laid) continue;
    const { rows, sizeMm } = laid;
    let yMm = edgeMm + (room.heightMm - heightOf(rows) * sizeMm) / 2;
    let warning: DrawnSquare | null = null;
    const texts: DrawnText[] = [];
    for (const row of rows) {
      const emMm = sizeMm * row.ems;
      const baseMm = yMm + ASCENT * emMm;
      let xMm = edgeMm;
      if (row.isWarning) {
        warning ??= { xMm, yMm: baseMm - WARNING_HIGH * emMm, sizeMm: emMm };
        xMm += WARNING_EMS * emMm;
      }
      for (const { text, font } of row.pieces) {
        texts.push({ text, font, sizeMm: emMm, xMm, yMm: baseMm });
        xMm += widthOf(text, font) * emMm;
      }
      yMm += LEADING * emMm;
    }
    const leftOut = left.filter((each) => words[each] !== undefined);
    return { widthMm, heightMm, texts, code, warning, leftOut };
  }
}

/** The triangle, and the room behind it; how high it stands over the baseline: as high as a capital. In ems, by eye */
const WARNING_EMS = 1.25;
const WARNING_HIGH = 0.82;

const heightOf = (rows: readonly Row[]) => rows.reduce((sum, { ems }) => sum + ems * LEADING, 0);

interface Room {
  widthMm: number;
  heightMm: number;
}

/** The largest type with which every row fits; null where not even the smallest does. */
function largest(words: LabelWords, room: Room, widthOf: WidthOf): { rows: Row[]; sizeMm: number } | null {
  const fits = (sizeMm: number) => {
    const rows = rowsAt(words, room.widthMm / sizeMm, widthOf);
    return rows && heightOf(rows) * sizeMm <= room.heightMm ? { rows, sizeMm } : null;
  };
  // Whoever fits at a size fits at each smaller one.
  let [low, high] = [0, Math.floor((LARGEST_TYPE_MM - SMALLEST_TYPE_MM) / STEP_MM)];
  let best = fits(SMALLEST_TYPE_MM);
  if (!best) return null;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    const laid = fits(SMALLEST_TYPE_MM + middle * STEP_MM);
    if (laid) [best, low] = [laid, middle];
    else high = middle - 1;
  }
  return best;
}

/** What never gives way, in the smallest type, a row each, cut short at the edge. */
function cut(words: LabelWords, room: Room, widthOf: WidthOf): { rows: Row[]; sizeMm: number } {
  const sizeMm = SMALLEST_TYPE_MM;
  const ems = room.widthMm / sizeMm;
  const rows = [
    ...titleRows(words, Infinity, widthOf),
    ...wrapped(namePieces(words), Infinity, widthOf).map(plain),
    ...dangerRows(words, Infinity, widthOf),
  ];
  return { rows: rows.map((row) => shortened(row, ems / row.ems, widthOf)), sizeMm };
}

function rowsAt(words: LabelWords, ems: number, widthOf: WidthOf): Row[] | null {
  const text = (each: string | undefined): Row[] =>
    each === undefined ? [] : wrapped(piecesOf(each, 'text'), ems, widthOf).map(plain);
  const rows = [
    ...titleRows(words, ems, widthOf),
    ...wrapped(namePieces(words), ems, widthOf).map(plain),
    ...text(words.commonName),
    ...text(words.life),
    ...dangerRows(words, ems, widthOf),
    ...text(words.permit),
    ...text(words.others),
  ];
  return rows.every((row) => wide(row, widthOf) <= ems / row.ems) ? rows : null;
}

const plain = (pieces: Piece[]): Row => ({ pieces, ems: 1 });
const wide = ({ pieces, isWarning }: Row, widthOf: WidthOf) =>
  pieces.reduce((sum, { text, font }) => sum + widthOf(text, font), isWarning ? WARNING_EMS : 0);

/** The box, and what it is called beside it, or under it where that is too long. */
function titleRows({ code, called }: LabelWords, ems: number, widthOf: WidthOf): Row[] {
  const title: Row = { pieces: [{ text: code, font: 'bold' }], ems: CODE_EMS };
  if (called === undefined) return [title];
  const beside = { ...title, pieces: [...title.pieces, { text: `  ${called}`, font: 'text' as const }] };
  if (wide(beside, widthOf) <= ems / CODE_EMS) return [beside];
  return [title, ...wrapped(piecesOf(called, 'text'), ems, widthOf).map(plain)];
}

const namePieces = ({ name }: LabelWords): Piece[] =>
  name.flatMap(({ text, isSlanted }) => piecesOf(text, isSlanted ? 'name' : 'text'));

/** Dangers in one row or more, the triangle before each row. */
function dangerRows({ hazards }: LabelWords, ems: number, widthOf: WidthOf): Row[] {
  if (hazards.length === 0) return [];
  const pieces = piecesOf(hazards.join(', '), 'bold');
  return wrapped(pieces, ems - WARNING_EMS, widthOf).map((row) => ({ pieces: row, ems: 1, isWarning: true }));
}

const piecesOf = (text: string, font: LabelFont): Piece[] => text.split(' ').map((word) => ({ text: word, font }));

/** Words in rows no longer than `ems`, where each word is; words of one font become one piece. */
function wrapped(words: readonly Piece[], ems: number, widthOf: WidthOf): Piece[][] {
  const rows: Piece[][] = [];
  let row: Piece[] = [];
  let wideSoFar = 0;
  for (const word of words) {
    const spaced = row.length === 0 ? word : { ...word, text: ` ${word.text}` };
    const width = widthOf(spaced.text, spaced.font);
    if (row.length > 0 && wideSoFar + width > ems) {
      rows.push(row);
      row = [{ ...word }];
      wideSoFar = widthOf(word.text, word.font);
      continue;
    }
    const last = row.at(-1);
    if (last && last.font === word.font) last.text += spaced.text;
    else row.push({ ...spaced });
    wideSoFar += width;
  }
  return row.length === 0 ? rows : [...rows, row];
}

const DOTS = '…';

/** A row cut short, with dots, where it is longer than `ems`. */
function shortened(row: Row, ems: number, widthOf: WidthOf): Row {
  if (wide(row, widthOf) <= ems) return row;
  const dots = Math.max(...LABEL_FONTS.map((font) => widthOf(DOTS, font)));
  let left = ems - dots - (row.isWarning ? WARNING_EMS : 0);
  const pieces: Piece[] = [];
  for (const { text, font } of row.pieces) {
    const letters = [...text];
    while (letters.length > 0 && widthOf(letters.join(''), font) > left) letters.pop();
    pieces.push({ text: letters.join(''), font });
    left -= widthOf(letters.join(''), font);
    if (letters.join('') !== text) break;
  }
  const last = pieces.pop();
  return { ...row, pieces: [...pieces, ...(last ? [{ ...last, text: `${last.text}${DOTS}` }] : [])] };
}
