import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { Path } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { stroke, type Palette } from '../theme/tokens';
import type { ChartData } from './reader';
import { ChartFrame, ChartText, ScaleLines } from './ChartFrame';

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
export function SurvivalSteps(props: Props) {
  const { theme } = useTheme();
  return (
    <ChartFrame label={props.label} height={HEIGHT} inset={{ left: LEFT, right: RIGHT }} data={dataOf(props, theme)}>
      {(width) => <Steps {...props} width={width} />}
    </ChartFrame>
  );
}

/** Others are held against it at its own age, and a little further on. days */
const lastDay = (own: Course, others: readonly Course[]) =>
  Math.max(7, Math.min(FURTHER * own.until, Math.max(own.until, ...others.map((each) => each.until))));

function dataOf({ own, others }: Props, { colors }: { colors: Palette }): ChartData {
  const last = lastDay(own, others);
  const days = [0, ...own.steps.map(({ time }) => time).filter((time) => time <= last), Math.min(last, own.until)];
  const share = ({ steps, until }: Course, day: number) =>
    day > until ? '' : `${Math.round(100 * (steps.findLast(({ time }) => time <= day)?.survival ?? 1))} %`;
  const all = [own, ...others];
  return {
    of: 'days since they came',
    series: all.map(({ name }, index) => ({
      ...{ name, isDashed: index > 0 },
      color: index === 0 ? colors.good : index === 1 ? colors.clay : colors.ink,
    })),
    rows: () =>
      days.map((day) => ({
        ...{ at: day / last, head: `day ${Math.round(day)}` },
        cells: all.map((each) => share(each, day)),
      })),
  };
}

function Steps({ own, others, width }: Props & { width: number }) {
  const { theme } = useTheme();
  const { ink, good, clay } = theme.colors;
  const last = lastDay(own, others);
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
    <>
      <ScaleLines left={LEFT} right={width - RIGHT} ticks={[0, 0.5, 1]} y={y} words={(share) => `${100 * share} %`} />
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
        <ChartText key={day} x={x(day)} y={HEIGHT - 7} anchor={index === 0 ? 'start' : 'end'}>
          {index === 0 ? 'came' : `${Math.round(day)} days later`}
        </ChartText>
      ))}
    </>
  );
}
