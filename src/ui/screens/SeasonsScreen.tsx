import { useState, type ComponentType } from 'react';
import { Choices } from '../components/Choices';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { Title } from '../components/Words';
import { AheadBoard } from '../seasons/AheadBoard';
import { AwayBoard } from '../seasons/AwayBoard';
import { BroodBoard } from '../seasons/BroodBoard';
import { ColonyBoard } from '../seasons/ColonyBoard';
import { MovesBoard } from '../seasons/MovesBoard';
import { RestBoard } from '../seasons/RestBoard';

const PARTS = [
  { value: 'ahead', title: 'Ahead' },
  { value: 'moves', title: 'Moves' },
  { value: 'away', title: 'Away' },
  { value: 'rest', title: 'Winter rest' },
  { value: 'broods', title: 'Broods' },
  { value: 'colonies', title: 'Colonies' },
] as const;
export type Part = (typeof PARTS)[number]['value'];

const BOARDS: Record<Part, ComponentType> = {
  ahead: AheadBoard,
  moves: MovesBoard,
  away: AwayBoard,
  rest: RestBoard,
  broods: BroodBoard,
  colonies: ColonyBoard,
};

/** What is coming: the months ahead, moves, absences, who rests, what hatches, which culture to split. */
export function SeasonsScreen({ first }: { first: Part }) {
  const loading = useLoadState();
  const [part, setPart] = useState<Part>(first);
  const Board = BOARDS[part];
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen>
      <Title>Seasons</Title>
      <Choices label="Part of the seasons" choices={PARTS} value={part} onChange={setPart} />
      <Board />
    </Screen>
  );
}
