export const FURNITURE_KINDS = [
  'bark',
  'bark-round',
  'hide',
  'branch',
  'stone-stack',
  'slab',
  'perch',
  'roof-net',
  'rough-strip',
  'dish',
  'bottle',
] as const;
export type FurnitureKind = (typeof FURNITURE_KINDS)[number];

/** One piece, or several alike. */
export interface Furniture {
  kind: FurnitureKind;
  count?: number | undefined;
  /** Of a perch or branch: height of the lowest place to hang from, over the inside floor. mm */
  heightMm?: number | undefined;
  /** Of a bottle with cuttings: its neck is stopped, so that nothing drowns in it. */
  stopped?: boolean | undefined;
}

const USES: Record<'hide' | 'hanging' | 'crevice' | 'bridge' | 'roof', FurnitureKind[]> = {
  hide: ['bark', 'hide', 'slab', 'stone-stack'],
  hanging: ['bark-round', 'branch', 'perch', 'rough-strip', 'roof-net', 'bark'],
  crevice: ['stone-stack'],
  bridge: ['bark', 'slab'],
  roof: ['roof-net'],
};

/** Pieces that serve a use; null while nobody said what is in the home. */
export function furnitureCount(furniture: Furniture[] | undefined, use: keyof typeof USES): number | null {
  if (!furniture) return null;
  return furniture
    .filter((piece) => USES[use].includes(piece.kind))
    .reduce((sum, piece) => sum + (piece.count ?? 1), 0);
}

/** Bottles in which something could drown; null while nobody said what is in the home. */
export function openBottleCount(furniture: Furniture[] | undefined): number | null {
  if (!furniture) return null;
  return furniture
    .filter((piece) => piece.kind === 'bottle' && piece.stopped !== true)
    .reduce((sum, piece) => sum + (piece.count ?? 1), 0);
}

/** The lowest place to hang from. mm over the inside floor, null when none was measured. */
export function lowestPerchMm(furniture: Furniture[] | undefined): number | null {
  const heights = (furniture ?? []).flatMap((piece) =>
    piece.heightMm !== undefined && USES.hanging.includes(piece.kind) ? [piece.heightMm] : [],
  );
  return heights.length === 0 ? null : Math.min(...heights);
}
