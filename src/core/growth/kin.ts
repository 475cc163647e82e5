/** What tells who is whose sibling: the mother, the batch it came with, the group or the eggs it came out of. */
export interface KinTies {
  motherId: string | null;
  outOfId: string | null;
  batch: string | null;
}

/** Somebody of a species, with its ties. */
export interface Kin extends KinTies {
  id: string;
  scientificName: string;
}

/** Whether two animals of one species share a mother, a batch, or what they came out of. */
export function areSiblings(a: KinTies, b: KinTies): boolean {
  return (['motherId', 'outOfId', 'batch'] as const).some((tie) => a[tie] !== null && a[tie] === b[tie]);
}

/** Of the others of a kind so many tell all there is to know of its pace: its mean is then known to about 4 %. */
const OTHERS_ENOUGH = 40;

/** Who tells of one animal's pace: its siblings, and enough others of its species. */
export function kinOf<Each extends Kin>(self: Kin, all: readonly Each[]): { siblings: Each[]; others: Each[] } {
  const ofSpecies = all.filter((each) => each.id !== self.id && each.scientificName === self.scientificName);
  return {
    siblings: ofSpecies.filter((each) => areSiblings(each, self)),
    others: ofSpecies.filter((each) => !areSiblings(each, self)).slice(0, OTHERS_ENOUGH),
  };
}
