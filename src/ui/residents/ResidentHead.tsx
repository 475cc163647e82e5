import Avatar from '@rneui/themed/dist/Avatar';
import { View } from 'react-native';
import Svg, { G } from 'react-native-svg';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { Home, Resident } from '@/contract/records';
import { CodeTag } from '../components/CodeTag';
import { makeStyles, useTheme } from '../components/useStyles';
import { LargeName, Soft, Strong } from '../components/Words';
import { Animal } from '../drawings/Animal';
import { radius, space } from '../theme/tokens';
import { lifeWords } from '@/words/residents';
import { todayWords } from '@/words/today';
import { useLength } from '@/words/useLength';
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
        <Portrait residentId={resident.id} silhouette={care.of(resident).silhouette} stage={resident.stage} />
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

/** Its last photo; else its silhouette, as large as it gets here: a scale would tell nothing without its box. */
function Portrait({ residentId, silhouette, stage }: PortraitProps & { residentId: string }) {
  const styles = useStyles();
  const { theme } = useTheme();
  // The house is loaded anew after every entry, and a photo is one.
  const round = useHouse((house) => house.round);
  const { answer } = useCall(round, () => call('history', { params: { id: residentId }, query: { kinds: 'photo' } }));
  const photo = answer?.entries[0];
  if (photo) {
    return (
      <Avatar
        source={{ uri: `/api/entries/${photo.id}/photo?small=1` }}
        size={SIDE}
        containerStyle={styles.portrait}
        imageProps={{ accessibilityLabel: 'Its last photo' } as object}
      />
    );
  }
  return (
    <View style={styles.portrait}>
      <Svg width={SIDE} height={SIDE} viewBox={`0 0 ${SIDE} ${SIDE}`} aria-hidden>
        <G transform={`translate(${SIDE / 2} ${SIDE * 0.7})`}>
          <Animal
            silhouette={silhouette}
            stage={stage}
            sizePx={SIDE * (SHARES[silhouette] ?? USUAL_SHARE)}
            color={theme.colors.animal}
            light={theme.colors.animalLight}
          />
        </G>
      </Svg>
    </View>
  );
}

const SIDE = 76;
/** How much of the picture the length that is taken of a kind fills: some reach beyond it. Chosen here */
const USUAL_SHARE = 0.62;
const SHARES: Partial<Record<PortraitProps['silhouette'], number>> = {
  tarantula: 0.9,
  'whip-spider': 0.42,
  moth: 0.42,
  scorpion: 0.42,
  vinegaroon: 0.38,
};

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
