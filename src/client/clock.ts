/** By how much the clock of the house is ahead of this device's. ms */
let aheadMs = 0;

/** This moment by the clock of the house, as far as it has told: a phone may go wrong by hours. ms since 1970 */
export const houseNow = (): number => Date.now() + aheadMs;

/** The house has said what time it is. @param now an instant, UTC */
export function hearTime(now: string): void {
  aheadMs = Date.parse(now) - Date.now();
}
