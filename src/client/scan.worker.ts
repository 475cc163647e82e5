import { expose } from 'comlink';
import readSquares from 'jsqr';

const work = {
  /** What the code in a picture holds; null where there is none that can be read. */
  read(data: Uint8ClampedArray, width: number, height: number): string | null {
    return readSquares(data, width, height, { inversionAttempts: 'dontInvert' })?.data ?? null;
  },
};
export type ScanWork = typeof work;

expose(work);
