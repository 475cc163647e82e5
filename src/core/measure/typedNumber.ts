/** A plain number as typed, with a comma or a point; undefined when it is none. */
export function numberIn(text: string): number | undefined {
  return /^\s*-?\d+([.,]\d+)?\s*$/.test(text) ? Number(text.trim().replace(',', '.')) : undefined;
}
