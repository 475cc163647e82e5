import { Choices } from '../kit/Choices';
import { useLoadState } from '../components/LoadState';
import { useKept } from '../components/places';
import { Screen } from '../components/Screen';
import { Title } from '../components/Words';
import { space } from '../theme/tokens';
import { BoxesAndSoil } from '../store/BoxesAndSoil';
import { FoodStore } from '../store/FoodStore';

const PARTS = [
  { value: 'food', title: 'Food and feeders' },
  { value: 'boxes', title: 'Boxes and soil' },
] as const;

type Part = (typeof PARTS)[number]['value'];

interface Props {
  chosenMaterial?: string | undefined;
  chosenItem?: string | undefined;
  /** What an address asks for. */
  asked?: Part | undefined;
}

/** What the house has and needs: to eat, and to live in. */
export function StoreScreen({ chosenMaterial, chosenItem, asked }: Props) {
  const loading = useLoadState();
  const [part, setPart] = useKept<Part>('/store part', 'food', asked);
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen place={`/store ${part}`}>
      <Title style={{ marginBottom: space.s }}>Store</Title>
      <Choices label="Part of the store" choices={PARTS} value={part} onChange={setPart} />
      {part === 'food' ? <FoodStore chosenItem={chosenItem} /> : <BoxesAndSoil chosenMaterial={chosenMaterial} />}
    </Screen>
  );
}
