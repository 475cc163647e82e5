const partsOf = (hex: string): number[] => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));

/**
 * A colour between two, both `#rrggbb`. Its own few lines: the library of scales is a tenth of the wall's first screen, and
 * nothing else of it is used there.
 * @param share how far from the first to the second, 0 to 1; beyond them the ends
 */
export function mixed(from: string, to: string, share: number): string {
  const at = Math.min(1, Math.max(0, share));
  const [a, b] = [partsOf(from), partsOf(to)];
  return `#${a
    .map((part, index) => Math.round(part + ((b[index] ?? part) - part) * at))
    .map((part) => part.toString(16).padStart(2, '0'))
    .join('')}`;
}
