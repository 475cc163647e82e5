import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Circle, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { space, stroke } from '../theme/tokens';
import { ChartFrame, ChartText, LimitLine, ScaleLines } from './ChartFrame';
import type { ChartData, ChartRow } from './reader';

export interface ChartLine {
  /** What it shows, with its unit where the numbers do not say it. */
  name: string;
  /** Pairs of x and y, in the order of x. */
  points: readonly (readonly [number, number])[];
  color: string;
  isDashed?: boolean;
  width?: number;
}

export interface ChartMark {
  x: number;
  label: string;
}

interface Props {
  /** What it shows and how that goes, for those who do not see it. */
  label: string;
  height: number;
  x: readonly [number, number];
  y: readonly [number, number];
  xTick: (x: number) => string;
  yTick: (y: number) => string;
  /** What is counted along x. */
  of?: string;
  /** Where to write along x; evenly if left out. */
  xTicks?: readonly number[];
  lines: readonly ChartLine[];
  /** What the animal is kept within. */
  band?: { min: number; max: number } | undefined;
  /** A limit that is not to be crossed. */
  limit?: number | undefined;
  /** Things that happen, each on a line of its own from top to bottom. */
  marks?: readonly ChartMark[];
  dots?: readonly (readonly [number, number])[];
  /** Doubted ones: rings. */
  rings?: readonly (readonly [number, number])[];
}

const LEFT = 44;
const BOTTOM = 22;
const TOP = 16;
const RIGHT = 10;

/** Lines over a common x, with a band, a limit, marks and dots. As wide as its place. */
export function LineChart(props: Props) {
  return (
    <ChartFrame label={props.label} height={props.height} inset={{ left: LEFT, right: RIGHT }} data={dataOf(props)}>
      {(width) => <Lines {...props} width={width} />}
    </ChartFrame>
  );
}

function dataOf(props: Props): ChartData {
  return { of: props.of ?? 'when', series: props.lines, rows: () => rowsOf(props) };
}

/** Every x at which a line has a point, with what each of them says there. */
function rowsOf({ x: [from, to], lines, xTick, yTick }: Props): ChartRow[] {
  const values = lines.map(({ points }) => new Map(points));
  const all = [...new Set(lines.flatMap(({ points }) => points.map(([at]) => at)))].sort((a, b) => a - b);
  const words = (value: number | undefined) => (value === undefined ? '' : yTick(Number(value.toPrecision(3))));
  return all.map((at) => ({
    ...{ at: (at - from) / (to - from), head: xTick(at) },
    cells: values.map((each) => words(each.get(at))),
  }));
}

/** A word along x takes so much. px */
const WORD_PX = 60;

/** Those of the words along x that do not run into the one before; the first and the last always. */
function apart(ticks: readonly number[], x: (tick: number) => number): number[] {
  const last = ticks.at(-1) ?? 0;
  return ticks.reduce<number[]>((kept, tick) => {
    const before = kept.at(-1);
    const isFree = before === undefined || x(tick) - x(before) >= WORD_PX;
    return isFree && (tick === last || x(last) - x(tick) >= WORD_PX) ? [...kept, tick] : kept;
  }, []);
}

function Lines(props: Props & { width: number }) {
  const { height, width, lines, band, limit, marks = [], dots = [], rings = [] } = props;
  const { theme } = useTheme();
  const { ink, good, amber } = theme.colors;
  const x = scaleLinear(props.x, [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const y = scaleLinear(props.y, [height - BOTTOM, TOP]);
  const xTicks = apart(props.xTicks ?? x.ticks(5), x);
  const yTicks = y.ticks(height > 130 ? 4 : 3);
  const path = line<readonly [number, number]>(
    (point) => x(point[0]),
    (point) => y(point[1]),
  );
  const within = (value: number) => Math.min(props.y[1], Math.max(props.y[0], value));
  return (
    <>
      {band ? (
        <Rect
          x={LEFT}
          y={y(within(band.max))}
          width={Math.max(0, width - LEFT - RIGHT)}
          height={Math.max(0, y(within(band.min)) - y(within(band.max)))}
          fill={good}
          fillOpacity={0.13}
        />
      ) : null}
      <ScaleLines left={LEFT} right={width - RIGHT} ticks={yTicks} y={y} words={props.yTick} />
      {xTicks.map((tick, index) => (
        <ChartText
          key={tick}
          x={x(tick)}
          y={height - space.xs - space.hair}
          anchor={index === 0 ? 'start' : index === xTicks.length - 1 ? 'end' : 'middle'}
        >
          {props.xTick(tick)}
        </ChartText>
      ))}
      {limit !== undefined ? <LimitLine left={LEFT} right={width - RIGHT} at={y(limit)} color={amber} /> : null}
      {marks.map((mark) => (
        <Line
          key={mark.x}
          x1={x(mark.x)}
          x2={x(mark.x)}
          y1={TOP}
          y2={height - BOTTOM}
          stroke={ink}
          strokeDasharray="3 3"
        />
      ))}
      {lines.map((each, index) => (
        <Path
          key={index}
          d={path(each.points) ?? ''}
          stroke={each.color}
          strokeWidth={each.width ?? stroke.mark - 0.5}
          fill="none"
          strokeLinejoin="round"
          {...(each.isDashed && { strokeDasharray: '5 4' })}
        />
      ))}
      {dots.map((dot, index) => (
        <Circle key={index} cx={x(dot[0])} cy={y(dot[1])} r={1.4} fill={ink} />
      ))}
      {rings.map((ring, index) => (
        <Circle key={index} cx={x(ring[0])} cy={y(within(ring[1]))} r={4} stroke={amber} strokeWidth={2} fill="none" />
      ))}
      {marks.map((mark) => {
        // A label that would leave the picture stands on the other side of its mark.
        const isLate = x(mark.x) > width * 0.7;
        return (
          <ChartText
            key={mark.x}
            x={x(mark.x) + (isLate ? -space.xs : space.xs)}
            y={TOP - space.xs - space.hair}
            anchor={isLate ? 'end' : 'start'}
            isStrong
          >
            {mark.label}
          </ChartText>
        );
      })}
    </>
  );
}
