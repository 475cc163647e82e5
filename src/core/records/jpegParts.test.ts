import { decode, encode } from 'jpeg-js';
import { orientationOf, orientationPart, withoutMetadata } from './jpegParts';

const [WIDTH, HEIGHT] = [24, 16];
const dots = Buffer.from(Array.from({ length: WIDTH * HEIGHT * 4 }, (_, at) => (at % 4 === 3 ? 255 : (at * 7) % 256)));
const PICTURE = Uint8Array.from(encode({ data: dots, width: WIDTH, height: HEIGHT }, 90).data);

const part = (mark: number, body: number[]) => [0xff, mark, (body.length + 2) >> 8, (body.length + 2) & 255, ...body];
const ascii = (text: string) => [...Buffer.from(text, 'latin1')];
/** Exif as a phone writes it, in either order of bytes: which way up, and where it was. */
function exif(turned: number, isLittle: boolean): number[] {
  const order = (bytes: number[]) => (isLittle ? bytes.reverse() : bytes);
  const tag = (id: number, type: number, count: number, value: number[]) => [
    ...order([id >> 8, id & 255]),
    ...order([0, type]),
    ...order([0, 0, 0, count]),
    ...value,
  ];
  return part(0xe1, [
    ...ascii('Exif\0\0'),
    ...(isLittle ? ascii('II') : ascii('MM')),
    ...order([0, 0x2a]),
    ...order([0, 0, 0, 8]),
    ...order([0, 2]),
    ...tag(0x0112, 3, 1, [...order([0, turned]), 0, 0]),
    ...tag(0x8825, 4, 1, order([0, 0, 0, 42])),
    ...[0, 0, 0, 0],
    ...ascii('51.0 N, 1.0 W, SECRET PLACE'),
  ]);
}
const withParts = (...parts: number[][]) => Uint8Array.from([0xff, 0xd8, ...parts.flat(), ...PICTURE.subarray(2)]);

describe('a photo without what its camera wrote into it', () => {
  it.each([
    ['in one order of bytes', true],
    ['in the other', false],
  ])('keeps its picture and which way up it is, and no place, %s', (_, isLittle) => {
    const whole = withParts(exif(6, isLittle), part(0xfe, ascii('SECRET NOTE')), part(0xed, ascii('SECRET NAME')));
    const bare = withoutMetadata(whole);
    expect(Buffer.from(whole).includes('SECRET')).toBe(true);
    expect(Buffer.from(bare).includes('SECRET')).toBe(false);
    expect([orientationOf(whole), orientationOf(bare)]).toEqual([6, 6]);
    // By another reader of JPEG.
    expect(Buffer.from(decode(bare).data).equals(Buffer.from(decode(PICTURE).data))).toBe(true);
    expect(withoutMetadata(bare)).toEqual(bare);
  });

  it('has nothing behind its end, where phones put a second picture with its own place, and nothing behind filling', () => {
    const second = withParts(exif(1, true));
    const pair = Uint8Array.from([...withParts(exif(6, true)), ...second]);
    const bare = withoutMetadata(pair);
    expect(Buffer.from(bare).includes('SECRET')).toBe(false);
    expect(Buffer.from(decode(bare).data).equals(Buffer.from(decode(PICTURE).data))).toBe(true);
    // Any part may be begun with more than one 0xff.
    const filled = Uint8Array.from([0xff, 0xd8, 0xff, 0xff, ...exif(1, true), ...PICTURE.subarray(2)]);
    expect(Buffer.from(withoutMetadata(filled)).includes('SECRET')).toBe(false);
  });

  it('that stands upright says nothing of it, and what is no whole JPEG stays as it is', () => {
    expect(withoutMetadata(withParts(exif(1, true)))).toEqual(PICTURE);
    expect(orientationOf(PICTURE)).toBe(1);
    for (const other of [
      Uint8Array.of(),
      Uint8Array.of(1, 2, 3),
      PICTURE.subarray(0, 9),
      withParts([0xff, 0xe1, 255, 255]),
    ])
      expect(withoutMetadata(other)).toEqual(other);
  });

  it('each way up is told by a part of its own', () => {
    for (let turned = 1; turned <= 8; turned += 1)
      expect(orientationOf(Uint8Array.from([0xff, 0xd8, ...orientationPart(turned), ...PICTURE.subarray(2)]))).toBe(
        turned,
      );
  });
});
