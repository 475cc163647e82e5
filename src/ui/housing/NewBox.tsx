import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { NewBox as BoxToGet } from '@/client/boxes';
import type { Shelf } from '@/contract/records';
import { LinkRow } from '../components/LinkRow';
import { Body, Soft, Strong } from '../components/Words';
import { Button } from '../kit/Button';
import { ListInput } from '../kit/ListInput';
import { space } from '../theme/tokens';
import { RankedBoxes } from './RankedBoxes';

interface Props {
  /** Whether anybody can say which serve: without the size of the animal nobody can. */
  isKnown: boolean;
  newBoxes: BoxToGet[];
  /** The one that is chosen. */
  newBox: BoxToGet | undefined;
  shelves: Shelf[];
  shelf: Shelf | undefined;
  /** Shown at once: no box of one's own serves. */
  isOpen: boolean;
  onChoose: (id: string) => void;
  onShelf: (id: string) => void;
}

/** Whoever has no box for an animal gets the usual sizes that serve it; the one that was bought is added with what is done. */
export function NewBox({ isKnown, newBoxes, newBox, shelves, shelf, isOpen, onChoose, onShelf }: Props) {
  const [isAsked, setAsked] = useState(false);
  if (!isKnown) return null;
  if (!isOpen && !isAsked && !newBox) {
    return (
      <View style={part}>
        <Button rank="second" title="A new box" onPress={() => setAsked(true)} />
      </View>
    );
  }
  return (
    <View style={part}>
      <Strong>A new box</Strong>
      {newBoxes.length > 0 ? (
        <>
          <Soft>Usual sizes that serve it, the best first. Choose the one that you have or get.</Soft>
          <RankedBoxes
            ranking={newBoxes.map(({ ranked }) => ranked)}
            homes={newBoxes.map(({ home }) => home)}
            sizes={new Map(newBoxes.map(({ home, size }) => [home.id, size]))}
            chosenId={newBox?.home.id}
            onChoose={onChoose}
          />
        </>
      ) : (
        <Body>No usual size of box serves it as it is sold.</Body>
      )}
      {newBox && shelf && shelves.length > 1 ? (
        <ListInput
          label="It stands on"
          choices={shelves.map(({ id, name, room }) => ({ value: id, title: `${name}, ${room}` }))}
          value={shelf.id}
          onChange={onShelf}
        />
      ) : null}
      {newBox && !shelf ? <Body>It needs a shelf to stand on: put up one first.</Body> : null}
      <LinkRow
        links={[
          shelf
            ? { title: 'Add a box by its measures', onPress: () => router.push('/homes/new') }
            : { title: 'Put up shelves', onPress: () => router.push('/homes/shelves') },
        ]}
      />
    </View>
  );
}

const part = { gap: space.s, marginTop: space.m };
