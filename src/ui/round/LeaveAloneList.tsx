import { View } from 'react-native';
import Svg, { Defs, Path, Pattern, Rect } from 'react-native-svg';
import { useHouse } from '@/client/house';
import type { Stop } from '@/contract/round';
import { makeStyles, useTheme } from '../components/useStyles';
import { Body, Heading, Name } from '../components/Words';
import { space, type } from '../theme/tokens';
import { waitingWords } from '@/words/doing';
import { leaveAloneWords } from '@/words/jobs';

/** Those to whom nothing is done today, and why. */
export function LeaveAloneList({ stops, today }: { stops: Stop[]; today: string }) {
  const styles = useStyles();
  const { homes, residents } = useHouse();
  if (stops.length === 0) return null;
  return (
    <View style={styles.all}>
      <Stripes />
      <Heading>{`Leave alone: ${stops.length}`}</Heading>
      {stops.map(({ residentId, homeId, leaveAlone, waiting = [] }) => {
        const resident = residents.find((each) => each.id === residentId);
        const home = homes.find((each) => each.id === homeId);
        if (!resident || !home || !leaveAlone) return null;
        return (
          <Body key={residentId}>
            {`${home.code}  `}
            <Name style={styles.name}>{resident.scientificName}</Name>
            {`, ${leaveAloneWords(leaveAlone, today)}${waitingWords(waiting)}`}
          </Body>
        );
      })}
    </View>
  );
}

/** Hatching, as on a map of ground not to be entered. */
function Stripes() {
  const { theme } = useTheme();
  return (
    <View style={{ position: 'absolute', inset: 0 }} aria-hidden>
      <Svg width="100%" height="100%">
        <Defs>
          <Pattern id="stripes" width={18} height={18} patternUnits="userSpaceOnUse">
            <Path d="M -4 22 L 22 -4 M -4 4 L 4 -4 M 14 22 L 22 14" stroke={theme.colors.resting} strokeWidth={6} />
          </Pattern>
        </Defs>
        <Rect width="100%" height="100%" fill="url(#stripes)" />
      </Svg>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  all: {
    marginHorizontal: -space.l,
    padding: space.l,
    gap: space.s,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
    overflow: 'hidden',
  },
  name: { fontSize: type.strong },
}));
