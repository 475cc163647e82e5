import { scaleLinear } from 'd3-scale';
import { Line, Rect } from 'react-native-svg';
import { addDays, type Day } from '@/core/measure/day';
import { useTheme } from '../components/useStyles';
import { stroke } from '../theme/tokens';
import { fullDayWords } from '@/words/days';
import { ChartFrame, ChartText } from './ChartFrame';

interface Props {
  label: string;
  weeks: readonly { on: Day; p10: number; median: number; p90: number }[];
  /** So many weeks are shown: the same for all that stand under one another. */
  span: number;
  from: Day;
  day: (on: Day) => string;
}

const HEIGHT = 84;
const LEFT = 2;
const RIGHT = 2;
const TOP = 16;
const BOTTOM = 20;
/** A word over one of the first bars begins there: else it would be cut off. weeks */
const NEAR_EDGE = 5;
/** The bar leaves this share of its week free. */
const GAP = 0.25;

/** How many hatch in each week: a bar for the middle, a line to the most of eight in ten batches. */
export function HatchBars(props: Props) {
  return (
    <ChartFrame
      label={props.label}
      height={HEIGHT}
      inset={{ left: LEFT, right: RIGHT }}
      data={{
        of: 'week from',
        series: [{ name: 'hatch' }, { name: '8 in 10 within' }],
        rows: () =>
          props.weeks.slice(0, props.span).map(({ on, p10, median, p90 }, index) => ({
            at: (index + 0.5) / props.span,
            head: fullDayWords(on),
            cells: [String(Math.round(median)), `${Math.round(p10)} to ${Math.round(p90)}`],
          })),
      }}
    >
      {(width) => <Bars {...props} width={width} />}
    </ChartFrame>
  );
}

function Bars({ weeks, span, from, day, width }: Props & { width: number }) {
  const { theme } = useTheme();
  const { ink, good, line } = theme.colors;
  const shown = weeks.slice(0, span);
  const most = Math.max(1, ...shown.map((week) => week.p90));
  const peak = Math.max(...shown.map((week) => week.median));
  const x = scaleLinear([0, span], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const y = scaleLinear([0, most], [HEIGHT - BOTTOM, TOP]);
  const step = x(1) - x(0);
  return (
    <>
      <Line x1={LEFT} x2={width - RIGHT} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke={line} />
      {shown.map((week, index) => {
        const middle = x(index) + step / 2;
        return [
          <Rect
            key={week.on}
            x={x(index) + (step * GAP) / 2}
            width={Math.max(1, step * (1 - GAP))}
            y={y(week.median)}
            height={Math.max(0, y(0) - y(week.median))}
            fill={good}
          />,
          <Line
            key={`${week.on} doubt`}
            x1={middle}
            x2={middle}
            y1={y(week.p10)}
            y2={y(week.p90)}
            stroke={ink}
            strokeWidth={stroke.thin}
          />,
        ];
      })}
      {peak >= 1 ? (
        <ChartText
          x={x(shown.findIndex((week) => week.median === peak) + 0.5)}
          y={TOP - 4}
          anchor={shown.findIndex((week) => week.median === peak) < NEAR_EDGE ? 'start' : 'middle'}
          isStrong
        >
          {`${Math.round(peak)} a week`}
        </ChartText>
      ) : null}
      <ChartText x={LEFT} y={HEIGHT - 5} anchor="start">
        {day(from)}
      </ChartText>
      <ChartText x={width - RIGHT} y={HEIGHT - 5} anchor="end">
        {day(addDays(from, 7 * span))}
      </ChartText>
    </>
  );
}
