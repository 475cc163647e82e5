/** What tells who is whose sibling: the mother, the batch it came with, the group or the eggs it came out of. */
export interface KinTies {
  motherId: string | null;
  outOfId: string | null;
  batch: string | null;
}

/** Whether two animals of one species share a mother, a batch, or what they came out of. */
export function areSiblings(a: KinTies, b: KinTies): boolean {
  return (['motherId', 'outOfId', 'batch'] as const).some((tie) => a[tie] !== null && a[tie] === b[tie]);
}

/** Of the others of a kind so many tell all there is to know of its pace: its mean is then known to about 4 %. */
export const OTHERS_ENOUGH = 40;
