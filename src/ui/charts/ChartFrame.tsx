import { useState, type ReactNode } from 'react';
import { View, type LayoutChangeEvent, type ViewProps, type ViewStyle } from 'react-native';
import Svg, { Line, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { fonts, space, stroke, type } from '../theme/tokens';
import { Reading } from './Reading';
import { useReader, type ChartData, type Hand } from './reader';

/** Between the drawing and the words at its side. */
const LABEL_GAP = space.xs + space.hair;

interface FrameProps {
  /** What it shows and how that goes, for those who do not see it. */
  label: string;
  height: number;
  /** Left free at both sides of the drawing for words. px */
  inset?: { left: number; right: number };
  /** What is drawn, in words: read off under a finger, and as a table. */
  data?: ChartData;
  /** The drawing, once it is known how wide its place is. */
  children: (width: number) => ReactNode;
}

/** The place of a chart: one picture with a name, as wide as the column; a line follows the finger and says what is there. */
export function ChartFrame({ label, height, inset = { left: 0, right: 0 }, data, children }: FrameProps) {
  const { theme } = useTheme();
  const [width, setWidth] = useState(0);
  const reader = useReader(data, inset);
  const lineX = reader.row && inset.left + reader.row.at * (width - inset.left - inset.right);
  return (
    <View>
      <ViewWithHand
        role="img"
        aria-label={label}
        onLayout={(event: LayoutChangeEvent) => setWidth(event.nativeEvent.layout.width)}
        style={[{ height, width: '100%' }, data && HAND]}
        {...reader.hand}
      >
        {width === 0 ? null : (
          <Svg width={width} height={height} aria-hidden>
            {children(width)}
            {lineX === undefined ? null : (
              <Line x1={lineX} x2={lineX} y1={0} y2={height} stroke={theme.colors.ink} strokeWidth={stroke.line} />
            )}
          </Svg>
        )}
      </ViewWithHand>
      {data && data.series.length > 0 ? <Reading data={data} row={reader.row} title={label} /> : null}
    </View>
  );
}

/** react-native-web hands these on, though React Native's types do not know them. */
const ViewWithHand = View as React.ComponentType<ViewProps & Hand>;
// Sliding a finger sideways reads it off; up and down it scrolls the page.
const HAND = { touchAction: 'pan-y', cursor: 'crosshair' } as unknown as ViewStyle;

interface TextProps {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
  /** Says more than a number along an axis. */
  isStrong?: boolean;
  children: string;
}

/** A word or a number in a chart. */
export function ChartText({ x, y, anchor, isStrong = false, children }: TextProps) {
  const { theme } = useTheme();
  return (
    <SvgText
      x={x}
      y={y}
      fontSize={type.small - 1}
      fontFamily={isStrong ? fonts.bold : fonts.text}
      fill={isStrong ? theme.colors.ink : theme.colors.inkSoft}
      textAnchor={anchor}
    >
      {children}
    </SvgText>
  );
}

interface ScaleProps {
  /** Where the drawing begins and ends from side to side. */
  left: number;
  right: number;
  ticks: readonly number[];
  y: (value: number) => number;
  words: (value: number) => string;
}

/** Lines across the drawing at some values, each said at its left end. */
export function ScaleLines({ left, right, ticks, y, words }: ScaleProps) {
  const { theme } = useTheme();
  return (
    <>
      {ticks.map((tick) => (
        <Line key={tick} x1={left} x2={right} y1={y(tick)} y2={y(tick)} stroke={theme.colors.line} />
      ))}
      {ticks.map((tick) => (
        <ChartText key={tick} x={left - LABEL_GAP} y={y(tick) + 4} anchor="end">
          {words(tick)}
        </ChartText>
      ))}
    </>
  );
}

/** A limit that is not to be crossed: dotted, across the drawing. */
export function LimitLine({ left, right, at, color }: { left: number; right: number; at: number; color: string }) {
  return <Line x1={left} x2={right} y1={at} y2={at} stroke={color} strokeWidth={stroke.line} strokeDasharray="2 4" />;
}
