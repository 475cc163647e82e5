import Svg, { Circle, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Status } from '@/core/housing/fit';
import { fonts } from '../theme/tokens';
import { useTheme } from './useStyles';

const SIZE = 22;

/**
 * A verdict as a shape: a ring passes, a triangle is to be watched, a filled square fails. The word stands beside it;
 * a number names the place in the drawing.
 */
export function StatusMark({
  status,
  number,
  size = SIZE,
}: {
  status: Status;
  number?: number | undefined;
  size?: number;
}) {
  const { theme } = useTheme();
  const { good, amber, clay, onClay } = theme.colors;
  return (
    <Svg width={size} height={size} viewBox="0 0 22 22" aria-hidden>
      {status === 'pass' && <Circle cx={11} cy={11} r={7.5} fill="none" stroke={good} strokeWidth={3} />}
      {status === 'watch' && (
        <Path d="M11 3 L20 19 H2 Z" fill="none" stroke={amber} strokeWidth={3} strokeLinejoin="round" />
      )}
      {status === 'fail' && <Rect x={2.5} y={2.5} width={17} height={17} fill={clay} />}
      {number !== undefined && (
        <SvgText
          x={11}
          y={status === 'fail' ? 15.4 : 17}
          fontSize={status === 'fail' ? 12.5 : 10}
          fontFamily={fonts.bold}
          fill={status === 'fail' ? onClay : amber}
          textAnchor="middle"
        >
          {String(number)}
        </SvgText>
      )}
    </Svg>
  );
}

export const STATUS_WORD: Record<Status, string> = { pass: 'Fits', watch: 'Watch', fail: 'Does not fit' };

/** The ink in which a status is written. */
export function useStatusInk(status: Status): string {
  const { theme } = useTheme();
  return { pass: theme.colors.good, watch: theme.colors.amber, fail: theme.colors.clay }[status];
}
