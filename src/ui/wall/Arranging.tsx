import {
  closestCenter,
  DndContext,
  DragOverlay,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Home } from '@/contract/records';
import { makeStyles } from '../components/useStyles';
import { stroke } from '../theme/tokens';
import { towardsPlace } from './towardsPlace';

/** A place on a shelf: before a box, or at its end. */
export interface Spot {
  shelfId: string;
  shelfName: string;
  before: Home | null;
}

interface Props {
  children: ReactNode;
  /** What is drawn under the hand. */
  picture: (home: Home) => ReactNode;
  onPut: (home: Home, spot: Spot) => void;
}

const carried = (data: object | undefined) => (data as { home?: Home } | undefined)?.home;
const spotOf = (data: object | undefined) => (data as { spot?: Spot } | undefined)?.spot;

const placeWords = ({ shelfName, before }: Spot) =>
  before === null ? `at the end of ${shelfName}` : `on ${shelfName}, before ${before.code}`;

const announcements: Announcements = {
  onDragStart: ({ active }) => `${carried(active.data.current)?.code ?? 'The box'} is lifted.`,
  onDragOver: ({ over }) => {
    const spot = spotOf(over?.data.current);
    return spot ? `It would stand ${placeWords(spot)}.` : undefined;
  },
  onDragEnd: ({ over }) => {
    const spot = spotOf(over?.data.current);
    return spot ? `It stands ${placeWords(spot)}.` : 'It stays where it was.';
  },
  onDragCancel: () => 'It stays where it was.',
};

/** Boxes are lifted with the mouse, a long touch or the space bar, and put down elsewhere. */
export function Arranging({ children, picture, onPut }: Props) {
  const [lifted, setLifted] = useState<Home>();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 350, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
      coordinateGetter: towardsPlace,
    }),
  );
  const end = ({ active, over }: DragEndEvent) => {
    setLifted(undefined);
    const [home, spot] = [carried(active.data.current), spotOf(over?.data.current)];
    if (home && spot && spot.before?.id !== home.id) onPut(home, spot);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragStart={({ active }) => setLifted(carried(active.data.current))}
      onDragEnd={end}
      onDragCancel={() => setLifted(undefined)}
      accessibility={{
        announcements,
        screenReaderInstructions: {
          draggable:
            'Press Enter to open the box. Press the space bar to lift it, the arrow keys to carry it, and the space bar to put it down.',
        },
      }}
    >
      {children}
      <DragOverlay dropAnimation={null}>{lifted ? picture(lifted) : null}</DragOverlay>
    </DndContext>
  );
}

/** A box that can be lifted, and before which another can be put. */
export function Lifted({ home, spot, children }: { home: Home; spot: Spot; children: ReactNode }) {
  const styles = useStyles();
  const { setNodeRef: asDragged, listeners, isDragging } = useDraggable({ id: home.id, data: { home } });
  const { setNodeRef: asPlace, isOver } = useDroppable({ id: `before ${home.id}`, data: { spot } });
  const ref = (node: unknown) => {
    asDragged(node as HTMLElement | null);
    asPlace(node as HTMLElement | null);
  };
  return (
    <View ref={ref} {...listeners} style={[isDragging && styles.away, isOver && !isDragging && styles.over]}>
      {children}
    </View>
  );
}

/** The free end of a shelf. */
export function ShelfEnd({ spot }: { spot: Spot }) {
  const styles = useStyles();
  const { setNodeRef, isOver } = useDroppable({ id: `end ${spot.shelfId}`, data: { spot } });
  return <View ref={setNodeRef as (node: unknown) => void} style={[styles.end, isOver && styles.over]} />;
}

const useStyles = makeStyles((theme) => ({
  away: { opacity: 0.35 },
  over: { borderLeftWidth: stroke.mark, borderLeftColor: theme.colors.good },
  end: { flexGrow: 1, minWidth: 24, alignSelf: 'stretch' },
}));
