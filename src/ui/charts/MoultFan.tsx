import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { Circle, Line, Path } from 'react-native-svg';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { useTheme } from '../components/useStyles';
import { stroke, type Palette } from '../theme/tokens';
import { dayWords, fullDayWords } from '@/words/days';
import { ChartFrame, ChartText } from './ChartFrame';
import type { ChartData } from './reader';

interface Props {
  label: string;
  today: Day;
  /** Moults that were seen, oldest first. */
  past: readonly Day[];
  /** Windows of the moults to come, the next first. */
  ahead: readonly { p10: Day; median: Day; p90: Day }[];
  /** What the next moult is called, and those after it: "L6", "+1". */
  names: readonly string[];
}

const HEIGHT = 150;
const LEFT = 12;
const RIGHT = 40;
const TOP = 14;
const BOTTOM = 24;
const TICK_ROOM = 96;
/** So many past moults are shown. */
const SHOWN_PAST = 4;

/** Moults as steps in time: those seen as a line, those to come as a fan that widens. */
export function MoultFan(props: Props) {
  const { theme } = useTheme();
  return (
    <ChartFrame label={props.label} height={HEIGHT} inset={{ left: LEFT, right: RIGHT }} data={dataOf(props, theme)}>
      {(width) => <Fan {...props} width={width} />}
    </ChartFrame>
  );
}

/** From the first day that is drawn to the last. */
function spanOf({ today, past, ahead }: Pick<Props, 'today' | 'past' | 'ahead'>): [number, number] {
  const at = (day: Day) => daysBetween(today, day);
  return [Math.min(-14, ...past.slice(-SHOWN_PAST).map(at)), Math.max(...ahead.map((each) => at(each.p90)), 14)];
}

function dataOf(props: Props, { colors }: { colors: Palette }): ChartData {
  const { today, past, ahead, names } = props;
  const [first, last] = spanOf(props);
  const at = (day: Day) => (daysBetween(today, day) - first) / (last - first);
  const seen = past.slice(-SHOWN_PAST).map((on) => ({ at: at(on), head: 'seen', cells: [fullDayWords(on), ''] }));
  const to = ahead.map(({ p10, median, p90 }, index) => ({
    at: at(median),
    head: names[index] ?? '',
    cells: [fullDayWords(median), `${fullDayWords(p10)} to ${fullDayWords(p90)}`],
  }));
  const series = [
    { name: 'likeliest day', color: colors.good, isDashed: true },
    { name: '8 in 10 within', color: colors.accent },
  ];
  return { of: 'moult', series, rows: () => [...seen, ...to] };
}

function Fan({ today, past, ahead, names, width }: Props & { width: number }) {
  const { theme } = useTheme();
  const { ink, line: rule, good, accent } = theme.colors;
  const at = (day: Day) => daysBetween(today, day);
  const seen = past.slice(-SHOWN_PAST).map(at);
  const windows = ahead.map((each) => ({ p10: at(each.p10), median: at(each.median), p90: at(each.p90) }));
  const [first, last] = spanOf({ today, past, ahead });
  const x = scaleLinear([first, last], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const y = scaleLinear([-seen.length + 0.5, windows.length], [HEIGHT - BOTTOM, TOP]);
  const start = { p10: 0, median: 0, p90: 0, step: 0 };
  const steps = [start, ...windows.map((each, index) => ({ ...each, step: index + 1 }))];
  const fan = area<(typeof steps)[number]>()
    .x0((each) => x(each.p10))
    .x1((each) => x(each.p90))
    .y((each) => y(each.step));
  const middle = line<(typeof steps)[number]>(
    (each) => x(each.median),
    (each) => y(each.step),
  );
  // Between two moults it stays what it is: steps, up to today.
  const stepOf = (index: number) => index - seen.length + 1;
  const behind = line<readonly [number, number]>(
    ([day]) => x(day),
    ([, step]) => y(step),
  ).curve(curveStepAfter);
  const steady = [...seen.map((day, index) => [day, stepOf(index)] as const), [0, 0] as const];
  // Written only where there is room beside today.
  const ticks = [
    { day: first, anchor: 'start' as const },
    { day: 0, anchor: 'middle' as const },
    { day: last, anchor: 'end' as const },
  ].filter(({ day }) => day === 0 || Math.abs(x(day) - x(0)) > TICK_ROOM);
  return (
    <>
      <Line x1={x(0)} x2={x(0)} y1={TOP - 6} y2={HEIGHT - BOTTOM} stroke={ink} strokeDasharray="3 3" />
      <Path d={fan(steps) ?? ''} fill={accent} fillOpacity={0.28} />
      <Path d={middle(steps) ?? ''} stroke={good} strokeWidth={stroke.mark - 0.5} strokeDasharray="5 4" fill="none" />
      {seen.length > 0 ? (
        <Path d={behind(steady) ?? ''} stroke={ink} strokeWidth={stroke.mark - 0.5} fill="none" />
      ) : null}
      {seen.map((day, index) => (
        <Circle key={day} cx={x(day)} cy={y(stepOf(index))} r={4} fill={ink} />
      ))}
      {windows.map((each, index) => (
        <Line
          key={index}
          x1={x(each.p10)}
          x2={x(each.p90)}
          y1={y(index + 1)}
          y2={y(index + 1)}
          stroke={good}
          strokeWidth={stroke.line}
        />
      ))}
      {windows.map((each, index) => (
        <Circle key={index} cx={x(each.median)} cy={y(index + 1)} r={3.5} fill={good} />
      ))}
      {windows.map((each, index) => (
        <ChartText
          key={index}
          x={Math.min(width - RIGHT, x(each.p90)) + 6}
          y={y(index + 1) + 4}
          anchor="start"
          isStrong
        >
          {names[index] ?? ''}
        </ChartText>
      ))}
      <Line x1={LEFT} x2={width - RIGHT} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke={rule} />
      {ticks.map(({ day, anchor }) => (
        <ChartText key={day} x={x(day)} y={HEIGHT - 7} anchor={anchor}>
          {dayWords(addDays(today, Math.round(day)), today)}
        </ChartText>
      ))}
    </>
  );
}
