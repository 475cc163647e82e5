/** The path of a box with a stroke across every few points: told from a filled one without colour. */
export function hatched(left: number, top: number, width: number, height: number): string {
  const outline = `M ${left} ${top} h ${width} v ${height} h ${-width} Z`;
  const across = Array.from({ length: Math.floor(height / 4) }, (_, index) => {
    const at = top + 4 * (index + 1);
    return `M ${left} ${at} L ${left + width} ${Math.max(top, at - 4)}`;
  });
  return [outline, ...across].join(' ');
}
