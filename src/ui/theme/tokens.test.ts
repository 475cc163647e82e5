import fs from 'node:fs';
import { DAY, NIGHT, type Palette } from './tokens';

/** Relative luminance and contrast, WCAG 2.1 definitions. */
const channels = (hex: string) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
const luminance = (hex: string) => {
  const [r = 0, g = 0, b = 0] = channels(hex).map((c) => (c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};
const contrast = (a: string, b: string) => {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
};

/** What is written on what. WCAG 2.1 AA asks for 4.5 : 1. */
const WRITTEN: [keyof Palette, keyof Palette][] = [
  ['ink', 'ground'],
  ['ink', 'raised'],
  ['ink', 'resting'],
  ['inkSoft', 'ground'],
  ['inkSoft', 'raised'],
  ['inkSoft', 'resting'],
  ['inkSoft', 'air'],
  ['good', 'ground'],
  ['good', 'raised'],
  ['good', 'resting'],
  ['clay', 'ground'],
  ['clay', 'raised'],
  ['clay', 'resting'],
  ['amber', 'ground'],
  ['amber', 'raised'],
  ['amber', 'resting'],
  ['onGood', 'good'],
  ['onClay', 'clay'],
  ['barInk', 'bar'],
  ['barInk', 'chosen'],
  ['barInkSoft', 'bar'],
  ['onSoil', 'soilDamp'],
  ['onSoil', 'soilDry'],
];

describe.each([
  ['day', DAY],
  ['night', NIGHT],
])('the %s colours', (_name, palette) => {
  it.each(WRITTEN)('%s can be read on %s', (ink, ground) => {
    expect(contrast(palette[ink], palette[ground])).toBeGreaterThanOrEqual(4.5);
  });
});

it('the night round is black, and nothing in it is white or blue', () => {
  expect(NIGHT.ground).toBe('#000000');
  for (const hex of Object.values(NIGHT)) {
    const [red = 0, green = 0, blue = 0] = channels(hex);
    expect(blue).toBeLessThanOrEqual(0.3);
    expect(blue).toBeLessThanOrEqual(red);
    expect(green).toBeLessThanOrEqual(red * 0.45);
  }
});

/** What shows where the keyboard is stands beside all of these. WCAG 2.1 AA, 1.4.11: 3 : 1 */
it.each([
  ['day', DAY],
  ['night', NIGHT],
])('by %s it is seen what has the focus', (_name, palette) => {
  for (const ground of ['ground', 'raised', 'resting', 'bar', 'air'] as const)
    expect(`${ground} ${contrast(palette.focus, palette[ground]) >= 3}`).toBe(`${ground} true`);
});

/** What the browser draws itself has the colours of the program. */
it.each(['look.css', 'look.js'])('%s has no colours of its own', (file) => {
  const text = fs.readFileSync(`public/${file}`, 'utf8').toUpperCase();
  const named = text.match(/#[0-9A-F]{6}/g) ?? [];
  expect(named.length).toBeGreaterThan(0);
  const known = [...Object.values(DAY), ...Object.values(NIGHT)];
  expect(named.filter((each) => !known.includes(each))).toEqual([]);
});
