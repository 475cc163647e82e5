import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { space } from '../theme/tokens';

/** Free squares round the code. @source ISO/IEC 18004: four modules */
const QUIET = 4;
const SIZE = 240;

/** An address for the camera of a phone: dark on light by day and by night, as cameras want it; by night on red light. */
export function Scannable({ label, path, squares }: { label: string; path: string; squares: number }) {
  const { theme } = useTheme();
  const light = theme.mode === 'dark' ? theme.colors.ink : '#fff';
  const all = squares + 2 * QUIET;
  return (
    <View role="img" aria-label={label} style={{ alignSelf: 'flex-start', backgroundColor: light, padding: space.xs }}>
      <Svg width={SIZE} height={SIZE} viewBox={`${-QUIET} ${-QUIET} ${all} ${all}`}>
        <Path d={path} fill="#000" />
      </Svg>
    </View>
  );
}
