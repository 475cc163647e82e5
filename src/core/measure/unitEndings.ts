/** How names of numbers end, and in which unit they are then: `legSpanMm`, `areaCm2`, `dewPointC`. The first that fits holds. */
export const UNIT_ENDINGS: readonly (readonly [ending: RegExp, unit: string])[] = [
  [/Mm2$/, 'mm2'],
  [/Cm2$/, 'cm2'],
  [/Mm$/, 'mm'],
  [/Ml$/, 'mL'],
  [/Kg$/, 'kg'],
  [/G$/, 'g'],
  [/C$/, 'C'],
  [/Pct$/, '%'],
];
