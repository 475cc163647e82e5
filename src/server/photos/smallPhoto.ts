import { decode, encode } from 'jpeg-js';
import { orientationOf, orientationPart } from '@/core/records/jpegParts';

/** As long as the longer side of a small photo is. px, chosen here: sharp in a strip on a phone */
const LONG_SIDE = 360;
const QUALITY = 72;
/** What is larger is no photo of these animals. */
const LIMITS = { maxResolutionInMP: 60, maxMemoryUsageInMB: 512 };

/** A photo as a strip shows it; null where it cannot be read. */
export function smallPhoto(jpeg: Uint8Array): Uint8Array | null {
  try {
    const { data, width, height } = decode(jpeg, { useTArray: true, formatAsRGBA: true, ...LIMITS });
    const shrink = Math.min(1, LONG_SIDE / Math.max(width, height));
    const small = { width: Math.max(1, Math.round(width * shrink)), height: Math.max(1, Math.round(height * shrink)) };
    const made = encode({ ...small, data: shrunk(data, width, height, small) }, QUALITY).data;
    const turned = orientationOf(jpeg);
    return turned === 1 ? made : Buffer.concat([made.subarray(0, 2), orientationPart(turned), made.subarray(2)]);
  } catch {
    return null;
  }
}

/** Each dot is the mean of those that it stands for. */
function shrunk(data: Uint8Array, width: number, height: number, to: { width: number; height: number }): Buffer {
  const small = Buffer.alloc(to.width * to.height * 4, 255);
  const edge = (index: number, of: number, from: number) => Math.floor((index * from) / of);
  for (let y = 0; y < to.height; y += 1) {
    const [top, bottom] = [
      edge(y, to.height, height),
      Math.max(edge(y, to.height, height) + 1, edge(y + 1, to.height, height)),
    ];
    for (let x = 0; x < to.width; x += 1) {
      const [left, right] = [
        edge(x, to.width, width),
        Math.max(edge(x, to.width, width) + 1, edge(x + 1, to.width, width)),
      ];
      let [red, green, blue] = [0, 0, 0];
      for (let row = top; row < bottom; row += 1) {
        for (let at = 4 * (row * width + left); at < 4 * (row * width + right); at += 4) {
          red += data[at] ?? 0;
          green += data[at + 1] ?? 0;
          blue += data[at + 2] ?? 0;
        }
      }
      const dots = (bottom - top) * (right - left);
      small.set([red / dots, green / dots, blue / dots], 4 * (y * to.width + x));
    }
  }
  return small;
}
