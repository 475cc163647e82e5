import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';

/** Draws from a seed: the same seed asks the same. */
export class Dice {
  private readonly random: RandomGenerator;
  constructor(seed: number) {
    this.random = xoroshiro128plus(seed);
  }
  upTo(most: number): number {
    return uniformInt(this.random, 0, most);
  }
  oneOf<Value>(list: readonly Value[]): Value {
    return list[this.upTo(list.length - 1)] as Value;
  }
  isIn(outOf: number): boolean {
    return this.upTo(outOf - 1) === 0;
  }
}

const NUMBERS = [
  ...[0, -0, 1, -1, 0.5, -0.5, 1e-9, 1e-300, 2, 3, 10, 99.99, 100, 365, 366, 1000, 70149, 1e5, 1e6, 1e9, 1e12],
  ...[2 ** 31, -(2 ** 31), 2 ** 53, -(2 ** 53), 1e308, -1e308],
];
const DAYS = [
  '1900-01-01',
  '1950-01-01',
  '2026-02-29',
  '2028-02-29',
  '2026-03-14',
  '9999-12-31',
  '2026-13-45',
  '0000-00-00',
];
const TEXTS = [
  ...['', ' ', '\u0000', '\ud800', '\u202e', '🕷️'.repeat(30), 'x'.repeat(10_000), '<script>alert(1)</script>'],
  ...[
    "' OR 1=1 --",
    '=cmd|calc',
    '../../../etc/passwd',
    '%00',
    '{{7*7}}',
    '__proto__',
    'constructor',
    'NaN',
    'Infinity',
    'null',
  ],
];
const STRANGE: unknown[] = [null, true, false, [], {}, [[]], [null], { a: 1 }, '', 0];

/** What is shorter may come many times over. characters */
const MANY_OF = 20_000;

type Json = unknown;

/** Something like a value: near it, at an edge, of another kind, gone, or many of it. */
export function mutated(value: Json, dice: Dice, depth = 0): Json {
  // Most parts stay as they are: what is refused at its first field is seen by nobody behind the schema.
  if (depth > 0 && !dice.isIn(4)) return Array.isArray(value) || isRecord(value) ? inside(value, dice, depth) : value;
  if (dice.isIn(12)) return dice.oneOf(STRANGE);
  if (typeof value === 'number') return nearNumber(value, dice);
  if (typeof value === 'string') return nearText(value, dice);
  if (typeof value === 'boolean') return !value;
  if (Array.isArray(value) || isRecord(value)) return inside(value, dice, depth);
  return dice.oneOf(STRANGE);
}

const isRecord = (value: Json): value is Record<string, Json> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function nearNumber(value: number, dice: Dice): Json {
  const near = [value * 2, value / 2, -value, value + 1, value - 1, Math.round(value), value * 1000];
  return dice.isIn(3) ? dice.oneOf(NUMBERS) : dice.oneOf(near);
}

function nearText(value: string, dice: Dice): Json {
  if (/^\d{4}-\d{2}-\d{2}/.test(value)) return dice.oneOf(DAYS);
  return dice.isIn(2) ? dice.oneOf(TEXTS) : `${value}${dice.oneOf(['', 'x', ' ', '\n', '0'])}`;
}

function inside(value: Json[] | Record<string, Json>, dice: Dice, depth: number): Json {
  if (Array.isArray(value)) {
    if (dice.isIn(10)) return [];
    const list = value.map((each) => mutated(each, dice, depth + 1));
    // Many of the same: the work grows, and no field is wrong. Not of what is many already: larger is only too large.
    if (list.length > 0 && dice.isIn(12) && JSON.stringify(list).length < MANY_OF) {
      const many = dice.oneOf([3, 30, 300, 3000]);
      return Array.from({ length: many }, (_, index) => list[index % list.length]);
    }
    return list;
  }
  const entries = Object.entries(value).flatMap(([key, each]): [string, Json][] =>
    dice.isIn(25) ? [] : [[key, mutated(each, dice, depth + 1)]],
  );
  if (dice.isIn(25)) entries.push([dice.oneOf(['__proto__', 'constructor', 'extra', 'id', '']), dice.oneOf(STRANGE)]);
  // Not by assignment: a key such as __proto__ is to arrive.
  return Object.fromEntries(entries);
}
