import { View } from 'react-native';
import Svg, { G } from 'react-native-svg';
import { useHouse } from '@/client/house';
import type { Home, Resident } from '@/contract/records';
import { CodeTag } from '../components/CodeTag';
import { makeStyles, useTheme } from '../components/useStyles';
import { LargeName, Soft, Strong } from '../components/Words';
import { Animal } from '../drawings/Animal';
import { radius, space } from '../theme/tokens';
import { lifeWords } from '../words/residents';
import { todayWords } from '../words/today';
import { useLength } from '../words/useLength';
import { QuietPanel } from './QuietPanel';

/** Who it is, where it lives, and how its day stands in one sentence. */
export function ResidentHead({ resident, home }: { resident: Resident; home: Home }) {
  const styles = useStyles();
  const length = useLength();
  const { round, shelves, care } = useHouse();
  const shelf = shelves.find(({ id }) => id === home.shelfId);
  const stop = round?.stops.find(({ residentId }) => residentId === resident.id);
  return (
    <View style={styles.all}>
      <View style={styles.who}>
        <Portrait silhouette={care.of(resident).silhouette} stage={resident.stage} />
        <View style={styles.words}>
          <LargeName>{resident.scientificName}</LargeName>
          {resident.called === null ? null : <Strong>{resident.called}</Strong>}
          <Soft>{[resident.commonName, lifeWords(resident, length)].filter((word) => word !== null).join(', ')}</Soft>
        </View>
      </View>
      <View style={styles.place}>
        <CodeTag code={home.code} />
        <Soft>{[shelf?.name, shelf?.room].filter((word) => word !== undefined).join(', ')}</Soft>
      </View>
      {stop?.leaveAlone ? <QuietPanel residentId={resident.id} /> : <Strong>{todayWords(stop)}</Strong>}
    </View>
  );
}

type PortraitProps = Pick<React.ComponentProps<typeof Animal>, 'silhouette' | 'stage'>;

/** Its silhouette, as large as it gets here: a scale would tell nothing without its box. */
function Portrait({ silhouette, stage }: PortraitProps) {
  const styles = useStyles();
  const { theme } = useTheme();
  return (
    <View style={styles.portrait}>
      <Svg width={SIDE} height={SIDE} viewBox={`0 0 ${SIDE} ${SIDE}`} aria-hidden>
        <G transform={`translate(${SIDE / 2} ${SIDE * 0.7})`}>
          <Animal
            silhouette={silhouette}
            stage={stage}
            sizePx={SIDE * (WIDE_ONES.has(silhouette) ? 0.42 : silhouette === 'tarantula' ? 0.9 : 0.62)}
            color={theme.colors.animal}
            light={theme.colors.animalLight}
          />
        </G>
      </Svg>
    </View>
  );
}

const SIDE = 76;
/** Those that reach beyond the length that is taken of them. */
const WIDE_ONES: ReadonlySet<string> = new Set(['whip-spider', 'moth', 'scorpion']);

const useStyles = makeStyles((theme) => ({
  all: { gap: space.m, marginTop: space.s },
  who: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  words: { flex: 1, gap: space.hair },
  portrait: {
    width: SIDE,
    height: SIDE,
    borderRadius: radius.m,
    backgroundColor: theme.colors.resting,
    overflow: 'hidden',
  },
  place: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
}));
