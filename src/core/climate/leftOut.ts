/** What the physics leaves out: said beside every forecast. */
export const LEFT_OUT = ['walls', 'small-holes', 'cooling', 'layers', 'life', 'opening', 'mould'] as const;
