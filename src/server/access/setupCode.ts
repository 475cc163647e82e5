import { randomInt, timingSafeEqual } from 'node:crypto';
import { digestOf } from '../secrets';

/** The code that the terminal shows while nobody can sign in: whoever has read it is let in as keeper, once. */
export interface SetupCode {
  take: (code: string | undefined) => boolean;
}

export function setupCodeOf(code: string): SetupCode {
  let isTaken = false;
  const plain = (text: string) => text.replace(/[^a-z0-9]/gi, '').toLowerCase();
  return {
    take: (asked) => {
      if (isTaken || asked === undefined) return false;
      const [a, b] = [digestOf(plain(asked)), digestOf(plain(code))].map((each) => Buffer.from(each)) as [
        Buffer,
        Buffer,
      ];
      isTaken = timingSafeEqual(a, b);
      return isTaken;
    },
  };
}

/** Letters and digits that are not taken for one another; ten of them are 49 bits. */
const LETTERS = '23456789abcdefghjkmnpqrstuvwxyz';

/** A code to be typed: "h4k2p-x7m9q". */
export const newSetupCode = (): string =>
  Array.from({ length: 10 }, (_, index) => (index === 5 ? '-' : '') + LETTERS.charAt(randomInt(LETTERS.length))).join(
    '',
  );
