import { View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { StatusMark } from '../components/StatusMark';
import { makeStyles, useTheme } from '../components/useStyles';
import { space, stroke } from '../theme/tokens';
import type { BoxFacts, Look } from './boxFacts';

const SIDE = 14;

/** Over a box: a ring where there is something to do, a diamond where a probe calls, and how it stands where that is not well. */
export function BoxMarks({ facts, look }: { facts: BoxFacts; look: Look }) {
  const styles = useStyles();
  const { theme } = useTheme();
  const { due, hasAlarm, verdict } = facts;
  const saysVerdict = look === 'fit' || (look === 'today' && verdict !== 'pass');
  return (
    <View style={styles.marks}>
      {look === 'today' && due ? (
        <Svg width={SIDE} height={SIDE} viewBox="0 0 14 14" aria-hidden>
          <Circle
            cx={7}
            cy={7}
            r={5.5}
            fill={theme.colors.air}
            stroke={due === 'first' ? theme.colors.clay : theme.colors.good}
            strokeWidth={stroke.mark}
          />
        </Svg>
      ) : null}
      {hasAlarm ? (
        <Svg width={SIDE} height={SIDE} viewBox="0 0 14 14" aria-hidden>
          <Path d="M7 0.6 L13.4 7 L7 13.4 L0.6 7 Z" fill={theme.colors.clay} />
        </Svg>
      ) : null}
      {verdict && saysVerdict ? <StatusMark status={verdict} size={SIDE} /> : null}
    </View>
  );
}

const useStyles = makeStyles(() => ({
  // Small boxes are no larger than their marks: they stand over them.
  marks: { height: 16, flexDirection: 'row', gap: space.hair, alignItems: 'center', marginBottom: space.hair },
}));
