import { useState } from 'react';
import { Choices } from '../components/Choices';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { Title } from '../components/Words';
import { BoxesAndSoil } from '../store/BoxesAndSoil';
import { FoodStore } from '../store/FoodStore';

const PARTS = [
  { value: 'food', title: 'Food and feeders' },
  { value: 'boxes', title: 'Boxes and soil' },
] as const;

type Part = (typeof PARTS)[number]['value'];

interface Props {
  chosenMaterial?: string;
  chosenItem?: string;
  /** What is shown first. */
  first?: Part;
}

/** What the house has and needs: to eat, and to live in. */
export function StoreScreen({ chosenMaterial, chosenItem, first = 'food' }: Props) {
  const loading = useLoadState();
  const [part, setPart] = useState<Part>(chosenMaterial === undefined ? first : 'boxes');
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen>
      <Title>Store</Title>
      <Choices label="Part of the store" choices={PARTS} value={part} onChange={setPart} />
      {part === 'food' ? <FoodStore chosenItem={chosenItem} /> : <BoxesAndSoil chosenMaterial={chosenMaterial} />}
    </Screen>
  );
}
