import { useState } from 'react';
import { Choices } from '../components/Choices';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { Title } from '../components/Words';
import { BroodBoard } from '../seasons/BroodBoard';
import { ColonyBoard } from '../seasons/ColonyBoard';
import { RestBoard } from '../seasons/RestBoard';

const PARTS = [
  { value: 'rest', title: 'Winter rest' },
  { value: 'broods', title: 'Broods' },
  { value: 'colonies', title: 'Colonies' },
] as const;
type Part = (typeof PARTS)[number]['value'];

/** What is coming: who rests, what hatches, which culture to split. */
export function SeasonsScreen({ first }: { first: Part }) {
  const loading = useLoadState();
  const [part, setPart] = useState<Part>(first);
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen>
      <Title>Seasons</Title>
      <Choices label="Part of the seasons" choices={PARTS} value={part} onChange={setPart} />
      {part === 'rest' ? <RestBoard /> : part === 'broods' ? <BroodBoard /> : <ColonyBoard />}
    </Screen>
  );
}
