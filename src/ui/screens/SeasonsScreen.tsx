import type { ComponentType } from 'react';
import { Choices } from '../kit/Choices';
import { useLoadState } from '../components/LoadState';
import { useKept } from '../components/places';
import { Screen } from '../components/Screen';
import { Title } from '../components/Words';
import { space } from '../theme/tokens';
import { AheadBoard } from '../seasons/AheadBoard';
import { AwayBoard } from '../seasons/AwayBoard';
import { BroodBoard } from '../seasons/BroodBoard';
import { ColonyBoard } from '../seasons/ColonyBoard';
import { MovesBoard } from '../seasons/MovesBoard';
import { SEASONS_PARTS, type SeasonsPart } from '../seasons/parts';
import { RestBoard } from '../seasons/RestBoard';

const BOARDS: Record<SeasonsPart, ComponentType> = {
  ahead: AheadBoard,
  moves: MovesBoard,
  away: AwayBoard,
  rest: RestBoard,
  broods: BroodBoard,
  colonies: ColonyBoard,
};

/** What is coming: the months ahead, moves, absences, who rests, what hatches, which culture to split. */
export function SeasonsScreen({ asked }: { asked?: SeasonsPart | undefined }) {
  const loading = useLoadState();
  const [part, setPart] = useKept<SeasonsPart>('/seasons part', 'ahead', asked);
  const Board = BOARDS[part];
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen place={`/seasons ${part}`}>
      <Title style={{ marginBottom: space.s }}>Seasons</Title>
      <Choices label="Part of the seasons" choices={SEASONS_PARTS} value={part} onChange={setPart} />
      <Board />
    </Screen>
  );
}
