/** What the physics leaves out, and which way it errs: said beside every forecast. */
export const LEFT_OUT = [
  {
    id: 'walls',
    words: 'Water through the walls themselves: thin plastic lets a little pass. It dries a little sooner than shown.',
  },
  {
    id: 'small-holes',
    words: 'Slow air sticks in small holes: in a still room holes under 3 mm pass less by draught than shown.',
  },
  { id: 'cooling', words: 'Evaporation cools the soil by a degree or so. It dries a little later than shown.' },
  {
    id: 'layers',
    words: 'Each end is one wetness from top to bottom. In life the top dries first and the bottom stays damp.',
  },
  { id: 'life', words: 'Breath, droppings, food and roots. They add water; a large colony adds much.' },
  { id: 'opening', words: 'Opening the box, and doors, heating and weather that change the room within the day.' },
  { id: 'mould', words: 'Mould, sour soil and smell. The warning of stale air says where they begin, not whether.' },
] as const;
