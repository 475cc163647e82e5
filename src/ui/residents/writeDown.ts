/** Where on a resident's screen things are written down. */
export const WRITE_DOWN_ID = 'write-down';

/** Brings it under the thumb, and the keyboard to it: what has the focus stays where it is. */
export function goToWriteDown(): void {
  const part = document.getElementById(WRITE_DOWN_ID);
  part?.scrollIntoView({ block: 'center' });
  part?.focus({ preventScroll: true });
}
