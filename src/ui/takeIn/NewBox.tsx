import { router } from 'expo-router';
import { useState } from 'react';
import type { sizesToGet } from '@/client/boxes';
import { useStock } from '@/client/stock';
import type { Shelf } from '@/contract/records';
import { LinkRow } from '../components/LinkRow';
import { Body, Soft, Strong } from '../components/Words';
import { RankedBoxes } from '../housing/RankedBoxes';
import { Button } from '../kit/Button';
import { ListInput } from '../kit/ListInput';

interface Props {
  toGet: ReturnType<typeof sizesToGet>;
  chosenId: string | undefined;
  /** One of them is chosen. */
  isNewBox: boolean;
  shelves: Shelf[];
  shelf: Shelf;
  /** Shown at once: no box of one's own serves. */
  isOpen: boolean;
  onChoose: (id: string) => void;
  onShelf: (id: string) => void;
}

/** Whoever has no box for a newcomer gets the usual sizes that serve it; the one that was bought is added with its animal. */
export function NewBox({ toGet, chosenId, isNewBox, shelves, shelf, isOpen, onChoose, onShelf }: Props) {
  const { boxSizes } = useStock();
  const [isAsked, setAsked] = useState(false);
  const { homes, ranking } = toGet;
  if (boxSizes.length === 0) return null;
  if (!isOpen && !isAsked && !isNewBox)
    return <Button rank="second" title="A new box" onPress={() => setAsked(true)} />;
  const sizes = new Map(boxSizes.map(({ id, name }) => [id, name]));
  return (
    <>
      <Strong>A new box</Strong>
      {ranking.length > 0 ? (
        <>
          <Soft>Usual sizes that serve it, the best first. Choose the one that you have or get.</Soft>
          <RankedBoxes {...{ ranking, homes, sizes, chosenId, onChoose }} />
        </>
      ) : (
        <Body>No usual size of box serves it as it is sold.</Body>
      )}
      {isNewBox && shelves.length > 1 ? (
        <ListInput
          label="It stands on"
          choices={shelves.map(({ id, name, room }) => ({ value: id, title: `${name}, ${room}` }))}
          value={shelf.id}
          onChange={onShelf}
        />
      ) : null}
      <LinkRow links={[{ title: 'Add a box by its measures', onPress: () => router.push('/homes/new') }]} />
    </>
  );
}
