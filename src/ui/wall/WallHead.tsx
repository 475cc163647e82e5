import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { minutesOf, openToday } from '@/client/openJobs';
import type { Stop } from '@/contract/round';
import { Choices } from '../kit/Choices';
import { IconButton } from '../components/IconButton';
import { useIsWide } from '../components/useLayout';
import { makeStyles } from '../components/useStyles';
import { Soft, Title } from '../components/Words';
import { space } from '../theme/tokens';
import { jobsWords } from '@/words/today';
import { LOOKS, type Look } from './boxFacts';
import { countWords } from '@/words/count';

interface Props {
  look: Look;
  setLook: (look: Look) => void;
  room: string | undefined;
  setRoomId: (id: string) => void;
  onZoom: (way: 1 | -1) => void;
  onExport: () => void;
  onPrint: () => void;
}

const LOOK_TITLES = LOOKS.map((value) => ({ value, title: value }));

/** Over the wall: which room it is, how its day stands, and what it is looked at for. */
export function WallHead({ look, setLook, room, setRoomId, onZoom, onExport, onPrint }: Props) {
  const styles = useStyles();
  const { shelves, homes, round } = useHouse();
  const here = shelves.filter((shelf) => shelf.roomId === room);
  const ids = new Set(here.map(({ id }) => id));
  const boxes = homes.filter((home) => ids.has(home.shelfId)).length;
  const stops = (round?.stops ?? []).filter((stop) => ids.has(stop.shelfId));
  const rooms = [...new Map(shelves.map((shelf) => [shelf.roomId, shelf.room])).entries()];
  const isWide = useIsWide();
  // Before the first box there is nothing to look at in six ways.
  if (homes.length === 0) return <Title style={styles.head}>Wall</Title>;
  const looks = <Choices label="Look at" choices={LOOK_TITLES} value={look} onChange={setLook} isOneLine />;
  return (
    <View style={styles.head}>
      <View style={styles.line}>
        <View style={styles.name}>
          <Title>{here[0]?.room ?? 'Wall'}</Title>
          <Soft>{[countWords(boxes, 'box', 'boxes'), ...dayOf(stops)].join(', ')}</Soft>
        </View>
        <View style={styles.tools}>
          <IconButton label="Smaller" icon="Minus" onPress={() => onZoom(-1)} />
          <IconButton label="Larger" icon="Plus" onPress={() => onZoom(1)} />
          {isWide ? <IconButton label="Save as a drawing" icon="Save" onPress={onExport} /> : null}
          {isWide ? <IconButton label="Print" icon="Print" onPress={onPrint} /> : null}
        </View>
      </View>
      <View style={styles.choices}>
        {looks}
        {rooms.length > 1 && room !== undefined ? (
          <Choices
            label="Room"
            choices={rooms.map(([value, title]) => ({ value, title }))}
            value={room}
            onChange={setRoomId}
            isOneLine
          />
        ) : null}
      </View>
    </View>
  );
}

/** "9 jobs, 41 min, 3 left alone". */
function dayOf(stops: readonly Stop[]): string[] {
  const open = openToday(stops);
  const alone = stops.filter(({ leaveAlone }) => leaveAlone !== null).length;
  return [
    open.length === 0 ? 'nothing to do today' : `${jobsWords(open.length)} today, ${minutesOf(open)} min`,
    ...(alone > 0 ? [`${alone} left alone`] : []),
  ];
}

const useStyles = makeStyles(() => ({
  head: { padding: space.l, paddingBottom: space.s, gap: space.m },
  line: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'flex-start', gap: space.m },
  name: { flexShrink: 1 },
  tools: { flexDirection: 'row', gap: space.xs },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, columnGap: space.xl },
}));
