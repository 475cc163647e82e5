import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Circle, Line, Path } from 'react-native-svg';
import { pct } from '@/words/count';
import { useTheme } from '../components/useStyles';
import { stroke } from '../theme/tokens';
import { ChartFrame, ChartText, ScaleLines } from './ChartFrame';

interface Point {
  saidPct: number;
  camePct: number;
}

interface Props {
  label: string;
  points: readonly Point[];
  /** Over how much of it the chances reach. % */
  upToPct?: number;
}

const HEIGHT = 190;
const LEFT = 48;
const RIGHT = 14;
const TOP = 12;
const BOTTOM = 40;
const DOT = 4;

/** What was said against what came: on the dashed line they are the same; under it less came than was said, over it more. */
export function Reliability({ label, points, upToPct = 100 }: Props) {
  const { theme } = useTheme();
  const { good, clay } = theme.colors;
  const data = {
    of: 'what was said, in % of cases',
    series: [
      { name: 'came', color: good, isDashed: false },
      { name: 'as said', color: clay, isDashed: true },
    ],
    rows: () =>
      points.map(({ saidPct, camePct }) => ({
        ...{ at: saidPct / upToPct, head: `said ${pct(saidPct)}` },
        cells: [pct(camePct), pct(saidPct)],
      })),
  };
  return (
    <ChartFrame label={label} height={HEIGHT} inset={{ left: LEFT, right: RIGHT }} data={data}>
      {(width) => {
        const x = scaleLinear([0, upToPct], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
        const y = scaleLinear([0, upToPct], [HEIGHT - BOTTOM, TOP]);
        const path = line<Point>(
          (point) => x(point.saidPct),
          (point) => y(Math.min(upToPct, point.camePct)),
        );
        const half = upToPct / 2;
        return (
          <>
            <ScaleLines left={LEFT} right={width - RIGHT} ticks={[0, half, upToPct]} y={y} words={pct} />
            <Line
              {...{ x1: x(0), y1: y(0), x2: x(upToPct), y2: y(upToPct) }}
              stroke={clay}
              strokeWidth={stroke.line}
              strokeDasharray="6 4"
            />
            <Path d={path([...points]) ?? ''} stroke={good} strokeWidth={stroke.mark} fill="none" />
            {points.map(({ saidPct, camePct }) => (
              <Circle key={saidPct} cx={x(saidPct)} cy={y(Math.min(upToPct, camePct))} r={DOT} fill={good} />
            ))}
            {[0, half, upToPct].map((said, at) => (
              <ChartText
                key={said}
                x={x(said)}
                y={HEIGHT - BOTTOM + 16}
                anchor={at === 0 ? 'start' : at === 1 ? 'middle' : 'end'}
              >
                {pct(said)}
              </ChartText>
            ))}
            <ChartText x={x(half)} y={HEIGHT - 6} anchor="middle">
              said to have come by then
            </ChartText>
          </>
        );
      }}
    </ChartFrame>
  );
}
