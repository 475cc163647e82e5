import fs from 'node:fs';
import { squaresOf } from '../src/server/labels/squares';

const [WIDTH, HEIGHT] = [640, 480];
const QUIET = 4;

/** A film of a label before a grey shelf, in the plainest form that a browser takes for a camera. */
export function filmOf(text: string, file: string): void {
  const { count, isDark } = squaresOf(text);
  const dot = Math.floor(320 / (count + 2 * QUIET));
  const side = dot * (count + 2 * QUIET);
  const [left, top] = [Math.floor((WIDTH - side) / 2), Math.floor((HEIGHT - side) / 2)];
  const light = Buffer.alloc(WIDTH * HEIGHT, 110);
  for (let y = 0; y < side; y += 1) {
    for (let x = 0; x < side; x += 1) {
      const [row, column] = [Math.floor(y / dot) - QUIET, Math.floor(x / dot) - QUIET];
      const isCode = row >= 0 && column >= 0 && row < count && column < count;
      light[(top + y) * WIDTH + left + x] = isCode && isDark(row, column) ? 30 : 220;
    }
  }
  const colour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  const frame = Buffer.concat([Buffer.from('FRAME\n'), light, colour]);
  fs.writeFileSync(
    file,
    Buffer.concat([Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`), frame, frame]),
  );
}
