const UUID = /^([0-9a-f]{8})([0-9a-f]{4})([0-9a-f]{4})([0-9a-f]{4})([0-9a-f]{12})$/;

/**
 * What the code on a box holds: an address that any camera opens, short so that its squares stay large.
 * @param address of the house, with nothing behind it
 * @param homeId a UUID
 * @example boxAddress('http://burrow.local:4870', '6f1c…') // "http://burrow.local:4870/b/6f1c…"
 */
export const boxAddress = (address: string, homeId: string): string => `${address}/b/${homeId.replace(/-/g, '')}`;

/**
 * The id of the box that a scanned code is of, under whichever address the house was known when the label was printed.
 * @returns null for a code that is of no box: another program's, or a text
 */
export function boxOfCode(scanned: string): string | null {
  const [, compact, whole] =
    /^https?:\/\/[^\s/]+\/(?:b\/([0-9a-f]{32})|homes\/([0-9a-f-]{36}))\/?$/.exec(scanned.trim()) ?? [];
  return uuidOf(compact ?? whole ?? '');
}

/** A UUID as it is written elsewhere; null for what is none. */
export function uuidOf(text: string): string | null {
  const parts = UUID.exec(text.replace(/-/g, ''));
  return parts ? parts.slice(1).join('-') : null;
}
