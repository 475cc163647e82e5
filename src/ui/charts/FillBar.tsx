import { View } from 'react-native';
import { CROWDED_PCT } from '@/core/colony/fullness';
import { makeStyles } from '../components/useStyles';
import { radius, space, stroke } from '../theme/tokens';

const HEIGHT = 10;
/** Beyond this the bar is full; how much more is said in words. */
const MOST_PCT = 120;

/** How much of its room is taken, like soil in a box; past the line it is crowded. The number stands beside it. */
export function FillBar({ pct }: { pct: number }) {
  const styles = useStyles();
  const share = (value: number) => `${(100 * Math.min(MOST_PCT, value)) / MOST_PCT}%` as const;
  return (
    <View style={styles.box} aria-hidden>
      <View style={[styles.soil, pct > CROWDED_PCT && styles.crowded, { width: share(pct) }]} />
      <View style={[styles.line, pct > CROWDED_PCT && styles.overLine, { left: share(CROWDED_PCT) }]} />
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  box: {
    height: HEIGHT,
    marginVertical: space.xs,
    borderWidth: stroke.thin,
    borderColor: theme.colors.wall,
    borderRadius: radius.s,
    overflow: 'hidden',
    backgroundColor: theme.colors.air,
  },
  soil: { height: '100%', backgroundColor: theme.colors.soilDry },
  crowded: { backgroundColor: theme.colors.clay },
  line: { position: 'absolute', top: 0, bottom: 0, width: stroke.line, backgroundColor: theme.colors.ink },
  // On what is over it the line stands out by the ground.
  overLine: { backgroundColor: theme.colors.ground },
}));
