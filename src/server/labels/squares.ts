import QRCode, { type QRCodeMaskPattern } from 'qrcode';

/** The dark squares of a code to be scanned. */
export interface Squares {
  /** Along each side. */
  count: number;
  isDark: (row: number, column: number) => boolean;
  /** By which of the eight patterns it is broken up. */
  mask: number | undefined;
}

/**
 * A text as a QR code. A seventh of it may be scratched.
 * @param mask of a text that is like it: to try all eight takes most of the time that a code takes. Left out, the best of them
 * @source ISO/IEC 18004, error correction level M, by `qrcode`; every reader reads every mask
 */
export function squaresOf(text: string, mask?: number): Squares {
  const { modules, maskPattern } = QRCode.create([{ data: Buffer.from(text), mode: 'byte' }], {
    errorCorrectionLevel: 'M',
    ...(mask !== undefined && { maskPattern: mask as QRCodeMaskPattern }),
  });
  return { count: modules.size, isDark: (row, column) => modules.get(row, column) === 1, mask: maskPattern };
}

/** The dark squares as the path of a picture in which each square is 1 wide. */
export function pathOf({ count, isDark }: Squares): string {
  let path = '';
  for (let row = 0; row < count; row += 1) {
    for (let from = 0; from < count; from += 1) {
      let to = from;
      while (to < count && isDark(row, to)) to += 1;
      if (to > from) path += `M${from} ${row}h${to - from}v1H${from}z`;
      from = to;
    }
  }
  return path;
}
