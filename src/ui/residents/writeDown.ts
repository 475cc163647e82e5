/** Where on a resident's screen things are written down. */
export const WRITE_DOWN_ID = 'write-down';

/** Brings it under the thumb. */
export function goToWriteDown(): void {
  document.getElementById(WRITE_DOWN_ID)?.scrollIntoView({ block: 'center' });
}
