/** Marks of a JPEG file. @source ITU-T T.81, table B.1; where cameras write what, from memory */
const START = 0xd8;
const SCAN = 0xda;
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

/**
 * A JPEG without what a camera wrote into it beside the picture: where and when it was taken, by which device, and the small
 * picture inside. Which way up it is held stays. The picture itself is not touched.
 * @returns the same bytes where the file is none, or is cut off within its head: whoever reads it says so
 * @source Exif 2.3, 4.5 and 4.6.4 (orientation). From memory
 */
export function withoutMetadata(jpeg: Uint8Array): Uint8Array {
  if (jpeg[0] !== 0xff || jpeg[1] !== START) return jpeg;
  const parts: Uint8Array[] = [jpeg.subarray(0, 2)];
  let turned = 1;
  let at = 2;
  for (;;) {
    const mark = jpeg[at + 1];
    if (jpeg[at] !== 0xff || mark === undefined) return jpeg;
    if (mark === SCAN) break;
    const end = at + 2 + ((jpeg[at + 2] ?? 0) << 8) + (jpeg[at + 3] ?? 0);
    if (end <= at + 3 || end > jpeg.length) return jpeg;
    const isTold = (mark >= APP0 && mark <= APP15) || mark === COMMENT;
    if (mark === APP1) turned = orientationIn(jpeg.subarray(at + 4, end)) ?? turned;
    if (!isTold || KEPT.includes(mark)) parts.push(jpeg.subarray(at, end));
    at = end;
  }
  if (turned !== 1) parts.splice(1, 0, orientationPart(turned));
  parts.push(jpeg.subarray(at));
  const all = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let put = 0;
  for (const part of parts) {
    all.set(part, put);
    put += part.length;
  }
  return all;
}

/** Which way up a JPEG is held, from 1 (as it is) to 8. */
export function orientationOf(jpeg: Uint8Array): number {
  for (let at = 2; jpeg[at] === 0xff && jpeg[at + 1] !== SCAN;) {
    const end = at + 2 + ((jpeg[at + 2] ?? 0) << 8) + (jpeg[at + 3] ?? 0);
    if (end <= at + 3 || end > jpeg.length) return 1;
    const found = jpeg[at + 1] === APP1 ? orientationIn(jpeg.subarray(at + 4, end)) : undefined;
    if (found !== undefined) return found;
    at = end;
  }
  return 1;
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
