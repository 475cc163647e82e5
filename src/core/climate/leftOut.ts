/** What the physics leaves out: said beside every forecast. */
export const LEFT_OUT = ['walls', 'cooling', 'cracks', 'life', 'opening', 'mould'] as const;
