import { scaleBand, scaleLinear } from 'd3-scale';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { fonts, type } from '../theme/tokens';
import { useWidth } from './useWidth';

const HEIGHT = 132;
const TOP = 22;
const BOTTOM = 24;
/** At least so many instars stand side by side: one bar alone is not the whole width. */
const FEWEST = 5;

/** How many are in which instar. */
export function InstarBars({ label, instars }: { label: string; instars: Readonly<Record<string, number>> }) {
  const { theme } = useTheme();
  const { width, onLayout } = useWidth();
  const { accent, ink, inkSoft, line } = theme.colors;
  const known = Object.keys(instars).map(Number);
  const lowest = Math.min(...known);
  const count = Math.max(FEWEST, Math.max(...known) - lowest + 1);
  const names = Array.from({ length: count }, (_, index) => lowest + index);
  const x = scaleBand<number>(names, [0, width]).padding(0.24);
  const y = scaleLinear([0, Math.max(...Object.values(instars))], [HEIGHT - BOTTOM, TOP]);
  return (
    <View role="img" aria-label={label} onLayout={onLayout} style={{ height: HEIGHT, width: '100%' }}>
      {width === 0 ? null : (
        <Svg width={width} height={HEIGHT} aria-hidden>
          {names.map((instar) => {
            const heads = instars[instar] ?? 0;
            const left = x(instar) ?? 0;
            const middle = left + x.bandwidth() / 2;
            return [
              heads > 0 ? (
                <Rect
                  key={`bar ${instar}`}
                  x={left}
                  y={y(heads)}
                  width={x.bandwidth()}
                  height={HEIGHT - BOTTOM - y(heads)}
                  fill={accent}
                />
              ) : null,
              heads > 0 ? (
                <SvgText
                  key={`heads ${instar}`}
                  x={middle}
                  y={y(heads) - 6}
                  fontSize={type.body}
                  fontFamily={fonts.bold}
                  fill={ink}
                  textAnchor="middle"
                >
                  {String(heads)}
                </SvgText>
              ) : null,
              <SvgText
                key={`name ${instar}`}
                x={middle}
                y={HEIGHT - 7}
                fontSize={type.small - 1}
                fontFamily={fonts.text}
                fill={inkSoft}
                textAnchor="middle"
              >
                {`L${instar}`}
              </SvgText>,
            ];
          })}
          <Line x1={0} x2={width} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke={line} />
        </Svg>
      )}
    </View>
  );
}
