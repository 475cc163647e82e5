import { useState } from 'react';
import { useStock } from '@/client/stock';
import type { BoxSize } from '@/core/housing/ladder';
import { boxSizeWords } from '@/words/residents';
import { useLength } from '@/words/useLength';
import { ListInput } from '../kit/ListInput';

/** A box of a usual size: its lengths and openings are written into the form, where they can be changed. */
export function UsualSize({ onPick }: { onPick: (size: BoxSize) => void }) {
  const length = useLength();
  const { boxSizes } = useStock();
  const [picked, setPicked] = useState('');
  return (
    <ListInput
      label="Size"
      hint="Fills in the lengths and the openings; measure what you have and change them."
      choices={[
        { value: '', title: 'measured by hand' },
        ...boxSizes.map((size) => ({ value: size.id, title: boxSizeWords(size, length) })),
      ]}
      value={picked}
      onChange={(id) => {
        setPicked(id);
        const size = boxSizes.find((each) => each.id === id);
        if (size) onPick(size);
      }}
    />
  );
}
