import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import type { Hazard } from '@/core/profiles/hazards';
import { makeStyles, useTheme } from '../components/useStyles';
import { Soft } from '../components/Words';
import { space } from '../theme/tokens';

/** Before anything is opened: what the animal can do, in a few words behind a spine. */
export function HazardLine({ hazards }: { hazards: readonly Hazard[] }) {
  const styles = useStyles();
  const { theme } = useTheme();
  if (hazards.length === 0) return null;
  const words = [
    ...hazards.map(({ title }) => title),
    ...(hazards.some(({ notAlone }) => notAlone) ? ['not alone'] : []),
  ];
  return (
    <View style={styles.line}>
      <Svg width={12} height={12} viewBox="0 0 12 12" aria-hidden>
        <Path d="M1 11 C4 9 5 5 6 0 C7 5 8 9 11 11 Z" fill={theme.colors.amber} />
      </Svg>
      <Soft style={styles.words}>{words.join(', ')}</Soft>
    </View>
  );
}

const useStyles = makeStyles(() => ({
  line: { flexDirection: 'row', alignItems: 'center', gap: space.xs },
  words: { flex: 1 },
}));
