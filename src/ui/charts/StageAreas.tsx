import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { Defs, Path, Pattern, Rect } from 'react-native-svg';
import type { ColonyWeek } from '@/core/colony/project';
import { useTheme } from '../components/useStyles';
import { addDays, type Day } from '@/core/measure/day';
import { dayTick, fullDayWords } from '@/words/days';
import type { Palette } from '../theme/tokens';
import type { ChartData } from './reader';
import { ChartFrame, ChartText, LimitLine, ScaleLines } from './ChartFrame';

interface Props {
  label: string;
  weeks: readonly ColonyWeek[];
  /** In the order in which they lie on each other, the grown ones lowest. */
  stages: readonly string[];
  /** The day on which they begin. */
  from: Day;
  nameOf: (stage: string) => string;
  /** As many as there is room for. */
  room: number | null;
}

const HEIGHT = 220;
const LEFT = 48;
const RIGHT = 10;
const TOP = 12;
const BOTTOM = 24;

/**
 * The stages of a colony on each other over the weeks, like layers of soil; the band of all heads between two thin lines;
 * weeks of rest hatched.
 */
export function StageAreas(props: Props) {
  const { theme } = useTheme();
  return (
    <ChartFrame
      label={props.label}
      height={HEIGHT}
      inset={{ left: LEFT, right: RIGHT }}
      data={dataOf(props, fillsOf(theme.colors))}
    >
      {(width) => <Areas {...props} width={width} />}
    </ChartFrame>
  );
}

const fillsOf = ({ soilDry, bark, litter, good }: Palette) => [soilDry, bark, litter, good];

function dataOf({ weeks, stages, from, nameOf }: Props, fills: readonly string[]): ChartData {
  const last = weeks.at(-1)?.week ?? 1;
  return {
    of: 'week from',
    series: [
      ...stages.map((stage, index) => ({ name: nameOf(stage), color: fills[index % fills.length] ?? '' })),
      { name: 'all, 8 in 10 within' },
    ],
    rows: () =>
      weeks.map(({ week, stages: of, total }) => ({
        at: week / last,
        head: fullDayWords(addDays(from, 7 * week)),
        cells: [...stages.map((stage) => heads(of[stage]?.median ?? 0)), `${heads(total.p10)} to ${heads(total.p90)}`],
      })),
  };
}

const heads = (count: number) => Math.round(count).toLocaleString('en-GB');

function Areas({ weeks, stages, room, from, width }: Props & { width: number }) {
  const { theme } = useTheme();
  const { ink, amber, resting } = theme.colors;
  const fills = fillsOf(theme.colors);
  const last = weeks.at(-1)?.week ?? 1;
  const most = Math.max(1, ...weeks.map((week) => week.total.p90));
  const x = scaleLinear([0, last], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const y = scaleLinear([0, most], [HEIGHT - BOTTOM, TOP]).nice(3);
  const upTo = (week: ColonyWeek, count: number) =>
    stages.slice(0, count).reduce((sum, name) => sum + (week.stages[name]?.median ?? 0), 0);
  const layer = (index: number) =>
    area<ColonyWeek>()
      .x((week) => x(week.week))
      .y0((week) => y(upTo(week, index)))
      .y1((week) => y(upTo(week, index + 1)));
  const edge = (of: 'p10' | 'p90') =>
    line<ColonyWeek>(
      (week) => x(week.week),
      (week) => y(week.total[of]),
    );
  const cold = weeks.filter((week) => week.isResting && week.week < last);
  return (
    <>
      <Defs>
        <Pattern id="rest" width={8} height={8} patternUnits="userSpaceOnUse">
          <Path d="M -2 10 L 10 -2 M -2 2 L 2 -2 M 6 10 L 10 6" stroke={ink} strokeOpacity={0.35} strokeWidth={1.5} />
        </Pattern>
      </Defs>
      {cold.map((week) => (
        <Rect
          key={week.week}
          x={x(week.week)}
          width={x(1) - x(0) + 0.5}
          y={TOP}
          height={HEIGHT - BOTTOM - TOP}
          fill={resting}
        />
      ))}
      <ScaleLines left={LEFT} right={width - RIGHT} ticks={y.ticks(3)} y={y} words={String} />
      {stages.map((name, index) => (
        <Path key={name} d={layer(index)([...weeks]) ?? ''} fill={fills[index % fills.length]} fillOpacity={0.85} />
      ))}
      {cold.map((week) => (
        <Rect
          key={`${week.week} rest`}
          x={x(week.week)}
          width={x(1) - x(0) + 0.5}
          y={TOP}
          height={HEIGHT - BOTTOM - TOP}
          fill="url(#rest)"
        />
      ))}
      {(['p10', 'p90'] as const).map((of) => (
        <Path key={of} d={edge(of)([...weeks]) ?? ''} stroke={ink} strokeWidth={1} strokeDasharray="3 3" fill="none" />
      ))}
      {room !== null && room < (y.domain()[1] ?? 0) ? (
        <LimitLine left={LEFT} right={width - RIGHT} at={y(room)} color={amber} />
      ) : null}
      <ChartText x={LEFT} y={HEIGHT - 7} anchor="start">
        {dayTick(from, from)}
      </ChartText>
      <ChartText x={width - RIGHT} y={HEIGHT - 7} anchor="end">
        {dayTick(addDays(from, 7 * last), from)}
      </ChartText>
    </>
  );
}
