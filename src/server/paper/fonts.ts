import fs from 'node:fs';
import path from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import type { PDFDocument, PDFFont } from 'pdf-lib';
import type { LabelFont, WidthOf } from '@/core/labels/drawLabel';
import { ROOT } from '../root';

const FILES = path.join(ROOT, 'node_modules/@fontsource');
const cuts = (family: string, cut: string) =>
  ['latin', 'latin-ext'].map((letters) => path.join(FILES, family, 'files', `${family}-${letters}-${cut}.woff`));

/** The files of each font: western letters, then those of the rest of Europe. */
const FACES: Record<LabelFont, string[]> = {
  text: cuts('atkinson-hyperlegible', '400-normal'),
  bold: cuts('atkinson-hyperlegible', '700-normal'),
  name: cuts('alegreya', '700-italic'),
};

/** Shown for a letter that no font has. */
const UNKNOWN = '?';

/** A file of a font. */
interface Face {
  bytes: Buffer;
  /** In ems; undefined for a letter that it does not have. */
  widthOf: (codePoint: number) => number | undefined;
}

/** A piece of text that one file of a font can write, and how wide it is. In ems */
interface Run {
  face: Face;
  text: string;
  ems: number;
}

const opened = new Map<LabelFont, Face[]>();
/** Letters as each font writes them: looked up thousands of times for a sheet of labels. */
const known: Record<LabelFont, Map<string, Run>> = { text: new Map(), bold: new Map(), name: new Map() };

function facesOf(font: LabelFont): Face[] {
  const faces = opened.get(font) ?? FACES[font].map(faceOf);
  opened.set(font, faces);
  return faces;
}

function faceOf(file: string): Face {
  const bytes = fs.readFileSync(file);
  const font = fontkit.create(bytes);
  return {
    bytes,
    widthOf: (codePoint) =>
      font.hasGlyphForCodePoint(codePoint)
        ? font.glyphForCodePoint(codePoint).advanceWidth / font.unitsPerEm
        : undefined,
  };
}

function letterOf(letter: string, font: LabelFont): Run {
  const before = known[font].get(letter);
  if (before) return before;
  const found = writtenBy(letter, font) ?? writtenBy(UNKNOWN, font);
  if (!found) throw new Error(`The font for ${font} has no ${UNKNOWN}.`);
  known[font].set(letter, found);
  return found;
}

function writtenBy(text: string, font: LabelFont): Run | undefined {
  for (const face of facesOf(font)) {
    const ems = face.widthOf(text.codePointAt(0) ?? 0);
    if (ems !== undefined) return { face, text, ems };
  }
  return undefined;
}

/** A text in pieces, each of letters that one file has. */
function runsOf(text: string, font: LabelFont): Run[] {
  const runs: Run[] = [];
  for (const each of text.normalize('NFC')) {
    const letter = letterOf(each, font);
    const last = runs.at(-1);
    if (last?.face === letter.face) {
      last.text += letter.text;
      last.ems += letter.ems;
    } else runs.push({ ...letter });
  }
  return runs;
}

/** How wide a text is on paper, in ems. */
export const widthOnPaper: WidthOf = (text, font) => {
  let ems = 0;
  for (const letter of text.normalize('NFC')) ems += letterOf(letter, font).ems;
  return ems;
};

/** A piece of text as a file wants it: with the font that is laid into it. */
export interface PlacedRun {
  font: PDFFont;
  text: string;
  /** In ems, from where the text begins. */
  atEms: number;
}

/** The fonts of one file, laid in when they are first used, with the letters that are used. */
export function fontsIn(document: PDFDocument): (text: string, font: LabelFont) => Promise<PlacedRun[]> {
  document.registerFontkit(fontkit);
  const laidIn = new Map<Face, Promise<PDFFont>>();
  return async (text, font) => {
    const placed: PlacedRun[] = [];
    let atEms = 0;
    for (const { face, text: run, ems } of runsOf(text, font)) {
      // Whole, the file of the web would be laid in as it is, which no reader of paper knows.
      const laid = laidIn.get(face) ?? document.embedFont(face.bytes, { subset: true });
      laidIn.set(face, laid);
      placed.push({ font: await laid, text: run, atEms });
      atEms += ems;
    }
    return placed;
  };
}
