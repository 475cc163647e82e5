import { decode, encode } from 'jpeg-js';
import { orientationOf, orientationPart } from '@/core/records/jpegParts';
import { smallPhoto } from './smallPhoto';

const plain = (width: number, height: number) =>
  encode({ data: Buffer.alloc(width * height * 4, 200), width, height }, 90).data;

describe('a photo made small', () => {
  it('has its shape and its colours, and is not made larger', () => {
    const { width, height, data } = decode(smallPhoto(plain(1280, 960)) ?? Buffer.alloc(0));
    expect([width, height]).toEqual([360, 270]);
    expect(Math.abs((data[0] ?? 0) - 200)).toBeLessThan(4);
    const { width: same } = decode(smallPhoto(plain(100, 40)) ?? Buffer.alloc(0));
    expect(same).toBe(100);
  });

  it('stands the way up that the whole one stood, and of what is no picture there is none', () => {
    const whole = plain(40, 20);
    const turned = Buffer.concat([whole.subarray(0, 2), orientationPart(8), whole.subarray(2)]);
    expect(orientationOf(smallPhoto(turned) ?? Buffer.alloc(0))).toBe(8);
    expect(smallPhoto(Buffer.from('no picture'))).toBeNull();
  });
});
