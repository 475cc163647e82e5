import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { View } from 'react-native';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { fonts, stroke, type } from '../theme/tokens';
import { useWidth } from './useWidth';

export interface Course {
  name: string;
  steps: readonly { time: number; survival: number; low: number; high: number }[];
  /** How far it was followed. days */
  until: number;
}

interface Props {
  label: string;
  /** The group itself, and others beside it. */
  own: Course;
  others: readonly Course[];
}

const HEIGHT = 170;
const LEFT = 44;
const RIGHT = 10;
const TOP = 10;
const BOTTOM = 24;
const FURTHER = 1.3;
/** Patterns of the lines of other groups: told apart without colour. */
const DASHES = ['6 4', '2 3', '10 3 2 3'];

/** Shares that live on, in steps: the group with its bounds, others as dashed lines. */
export function SurvivalSteps({ label, own, others }: Props) {
  const { theme } = useTheme();
  const { width, onLayout } = useWidth();
  const { ink, inkSoft, line: rule, good, clay } = theme.colors;
  // Others are held against it at its own age, and a little further on.
  const last = Math.max(7, Math.min(FURTHER * own.until, Math.max(own.until, ...others.map((each) => each.until))));
  const x = scaleLinear([0, last], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const y = scaleLinear([0, 1], [HEIGHT - BOTTOM, TOP]);
  const pointsOf = ({ steps, until }: Course) => {
    const first = { time: 0, survival: 1, low: 1, high: 1 };
    const shown = [first, ...steps.filter((each) => each.time <= last)];
    return [...shown, { ...(shown.at(-1) ?? first), time: Math.min(last, until) }];
  };
  type Point = ReturnType<typeof pointsOf>[number];
  const path = line<Point>(
    (point) => x(point.time),
    (point) => y(point.survival),
  ).curve(curveStepAfter);
  const band = area<Point>()
    .x((point) => x(point.time))
    .y0((point) => y(point.low))
    .y1((point) => y(point.high))
    .curve(curveStepAfter);
  return (
    <View role="img" aria-label={label} onLayout={onLayout} style={{ height: HEIGHT, width: '100%' }}>
      {width === 0 ? null : (
        <Svg width={width} height={HEIGHT} aria-hidden>
          {[0, 0.5, 1].map((share) => (
            <Line key={share} x1={LEFT} x2={width - RIGHT} y1={y(share)} y2={y(share)} stroke={rule} />
          ))}
          {[0, 0.5, 1].map((share) => (
            <SvgText
              key={share}
              x={LEFT - 6}
              y={y(share) + 4}
              fontSize={type.small - 1}
              fontFamily={fonts.text}
              fill={inkSoft}
              textAnchor="end"
            >
              {`${100 * share} %`}
            </SvgText>
          ))}
          <Path d={band(pointsOf(own)) ?? ''} fill={good} fillOpacity={0.14} />
          {others.map((each, index) => (
            <Path
              key={each.name}
              d={path(pointsOf(each)) ?? ''}
              stroke={index === 0 ? clay : ink}
              strokeWidth={stroke.line}
              strokeDasharray={DASHES[index % DASHES.length]}
              fill="none"
            />
          ))}
          <Path d={path(pointsOf(own)) ?? ''} stroke={good} strokeWidth={stroke.mark} fill="none" />
          {[0, last].map((day, index) => (
            <SvgText
              key={day}
              x={x(day)}
              y={HEIGHT - 7}
              fontSize={type.small - 1}
              fontFamily={fonts.text}
              fill={inkSoft}
              textAnchor={index === 0 ? 'start' : 'end'}
            >
              {index === 0 ? 'came' : `${Math.round(day)} days later`}
            </SvgText>
          ))}
        </Svg>
      )}
    </View>
  );
}
