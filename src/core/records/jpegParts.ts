/** Marks of a JPEG file. @source ITU-T T.81, table B.1; where cameras write what, from memory */
const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
const RESTART = 0xd0;
const APP0 = 0xe0;
const APP1 = 0xe1;
const APP2 = 0xe2;
const APP14 = 0xee;
const APP15 = 0xef;
const COMMENT = 0xfe;
/** Kept: what is needed to draw it (its density, its colours), and nothing that tells of its maker. */
const KEPT = [APP0, APP2, APP14];

const EXIF = [0x45, 0x78, 0x69, 0x66, 0, 0];
const ORIENTATION = 0x0112;
const UPRIGHT = 1;

/** A part of a file: its mark, what it holds, and where it lies. */
interface Part {
  mark: number;
  body: Uint8Array;
  from: number;
  to: number;
}

/**
 * The parts of a JPEG up to its end, the picture itself in one of them with the head before it. What lies behind the end is none.
 * @returns null where it is none, or is cut off
 * @source ITU-T T.81, B.1.1 (marks, filling) and B.2 (order). From memory
 */
function partsOf(jpeg: Uint8Array): Part[] | null {
  if (jpeg[0] !== 0xff || jpeg[1] !== START) return null;
  const parts: Part[] = [];
  for (let at = 2; ;) {
    const from = at;
    while (jpeg[at] === 0xff && jpeg[at + 1] === 0xff) at += 1;
    const mark = jpeg[at + 1];
    if (jpeg[at] !== 0xff || mark === undefined) return null;
    if (mark === END) return [...parts, { mark, body: jpeg.subarray(at, at), from, to: at + 2 }];
    let to = at + 2 + ((jpeg[at + 2] ?? 0) << 8) + (jpeg[at + 3] ?? 0);
    if (to <= at + 3 || to > jpeg.length) return null;
    const body = jpeg.subarray(at + 4, to);
    // The picture runs on behind its head up to the next mark.
    if (mark === SCAN) while (to < jpeg.length && !isMark(jpeg, to)) to += 1;
    parts.push({ mark, body, from, to });
    at = to;
  }
}

/** Within a picture 0xff stands for itself where 0 follows, and before the marks from which reading can begin anew. */
function isMark(jpeg: Uint8Array, at: number): boolean {
  const next = jpeg[at + 1] ?? 0;
  return jpeg[at] === 0xff && next !== 0 && next !== 0xff && (next < RESTART || next > RESTART + 7);
}

/** Marks of the head of a picture, by which it is read: of all ways but those that are no heads. @source ITU-T T.81, table B.1 */
const isFrame = (mark: number) => mark >= 0xc0 && mark <= 0xcf && mark !== 0xc4 && mark !== 0xc8 && mark !== 0xcc;

/** Whether bytes are a whole JPEG: a head, a picture and an end, whatever they are called. */
export function isJpeg(bytes: Uint8Array): boolean {
  const marks = (partsOf(bytes) ?? []).map(({ mark }) => mark);
  return marks.some(isFrame) && marks.includes(SCAN);
}

/**
 * A JPEG without what a camera wrote into it beside the picture: where and when it was taken, by which device, the small picture
 * inside, and whatever stands behind it. Which way up it is held stays. The picture itself is not touched.
 * @returns the same bytes where the file is none, or is cut off: whoever reads it says so
 * @source Exif 2.3, 4.5 and 4.6.4 (orientation). From memory
 */
export function withoutMetadata(jpeg: Uint8Array): Uint8Array {
  const parts = partsOf(jpeg);
  if (!parts) return jpeg;
  const turned = turnedBy(parts);
  const isTold = (mark: number) => (mark >= APP0 && mark <= APP15) || mark === COMMENT;
  const kept = parts.filter(({ mark }) => !isTold(mark) || KEPT.includes(mark));
  const bytes = [
    jpeg.subarray(0, 2),
    ...(turned === UPRIGHT ? [] : [orientationPart(turned)]),
    ...kept.map(({ from, to }) => jpeg.subarray(from, to)),
  ];
  const all = new Uint8Array(bytes.reduce((sum, { length }) => sum + length, 0));
  let put = 0;
  for (const part of bytes) {
    all.set(part, put);
    put += part.length;
  }
  return all;
}

/** Which way up a JPEG is held, from 1 (as it is) to 8. */
export const orientationOf = (jpeg: Uint8Array): number => turnedBy(partsOf(jpeg) ?? []);

function turnedBy(parts: readonly Part[]): number {
  const told = parts.flatMap(({ mark, body }) => (mark === APP1 ? (orientationIn(body) ?? []) : []));
  return told.at(-1) ?? UPRIGHT;
}

function orientationIn(exif: Uint8Array): number | undefined {
  if (EXIF.some((byte, index) => exif[index] !== byte)) return undefined;
  const tiff = new DataView(exif.buffer, exif.byteOffset + EXIF.length, exif.length - EXIF.length);
  if (tiff.byteLength < 10) return undefined;
  const isLittle = tiff.getUint8(0) === 0x49;
  const first = tiff.getUint32(4, isLittle);
  if (first + 2 > tiff.byteLength) return undefined;
  const count = tiff.getUint16(first, isLittle);
  for (let index = 0; index < count; index += 1) {
    const tag = first + 2 + 12 * index;
    if (tag + 12 > tiff.byteLength) return undefined;
    if (tiff.getUint16(tag, isLittle) !== ORIENTATION) continue;
    const value = tiff.getUint16(tag + 8, isLittle);
    return value >= 1 && value <= 8 ? value : undefined;
  }
  return undefined;
}

/** The part of a JPEG that says which way up it is held, and nothing else. */
export function orientationPart(turned: number): Uint8Array {
  const tiff = [0x4d, 0x4d, 0, 0x2a, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, turned, 0, 0, 0, 0, 0, 0];
  const body = [...EXIF, ...tiff];
  return Uint8Array.from([0xff, APP1, 0, body.length + 2, ...body]);
}
