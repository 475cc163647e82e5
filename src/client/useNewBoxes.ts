import { useState } from 'react';
import type { Home } from '@/contract/records';
import { tellsSize } from '@/core/profiles/animal';
import { call } from './api';
import { newBoxesFor, nextCode, shelfFor } from './boxes';
import type { Measured } from './fitting';
import { useHouse } from './house';
import { airAt, useRooms } from './rooms';
import { useStock } from './stock';

/** Boxes of usual sizes that nobody has yet, for one that wants another than those of the house. */
export function useNewBoxes() {
  const { homes, shelves, care, load } = useHouse();
  const { boxSizes } = useStock();
  const { rooms } = useRooms();
  const [chosenShelf, setShelf] = useState<string>();

  /**
   * @param animal who is to live in it; null while that is not told
   * @param chosenId the box that is chosen, one of these or not
   * @param besideId the shelf that is put forward where it is warm enough there: that on which it lives
   */
  const boxesToGet = (animal: Measured | null, chosenId: string | undefined, besideId?: string) => {
    const first = shelves.filter(({ id }) => id === besideId);
    const shelf =
      shelves.find(({ id }) => id === chosenShelf) ??
      shelfFor([...first, ...shelves], rooms, animal ? care.of(animal) : undefined);
    const { temperatureC } = airAt(rooms, shelf) ?? {};
    const place = { code: nextCode(homes, shelf), shelfId: shelf?.id ?? '', temperatureC };
    const isKnown = animal !== null && boxSizes.length > 0 && tellsSize(care.of(animal), animal);
    const newBoxes = isKnown ? newBoxesFor(care, animal, boxSizes, place) : [];
    const newBox = newBoxes.find(({ home }) => home.id === chosenId);
    return { isKnown, newBoxes, newBox, shelves, shelf, onShelf: setShelf };
  };

  /** It stands empty on its shelf from then on, whatever becomes of what it was added for. */
  const addBox = async ({ code, shelfId, container, nest, substrateDepthMm }: Home): Promise<Home> => {
    const { home } = await call('addHome', {
      body: { code, shelfId, container, ...(nest && { nest }), substrateDepthMm },
    });
    await load();
    return home;
  };
  return { boxesToGet, addBox };
}
