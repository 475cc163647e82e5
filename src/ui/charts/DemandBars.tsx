import { scaleBand, scaleLinear } from 'd3-scale';
import { Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { stroke } from '../theme/tokens';
import { ChartFrame, ChartText } from './ChartFrame';
import { hatched } from './hatched';

interface Props {
  label: string;
  /** Week by week, and what of it is not covered. */
  demand: readonly number[];
  short: readonly number[];
}

const HEIGHT = 120;
const LEFT = 44;
const RIGHT = 10;
const TOP = 12;
const BOTTOM = 22;

/** What is needed week by week: covered parts filled, what is short hatched on top. */
export function DemandBars(props: Props) {
  return (
    <ChartFrame label={props.label} height={HEIGHT}>
      {(width) => <Bars {...props} width={width} />}
    </ChartFrame>
  );
}

function Bars({ demand, short, width }: Props & { width: number }) {
  const { theme } = useTheme();
  const { line: rule, good, clay } = theme.colors;
  const x = scaleBand(
    demand.map((_, week) => String(week)),
    [LEFT, Math.max(LEFT + 1, width - RIGHT)],
  ).padding(0.25);
  const most = Math.max(...demand, 1e-9);
  const y = scaleLinear([0, most], [HEIGHT - BOTTOM, TOP]);
  return (
    <>
      <ChartText x={LEFT - 6} y={y(most) + 4} anchor="end">
        {String(Number(most.toPrecision(2)))}
      </ChartText>
      {demand.map((needed, week) => {
        const missing = Math.min(needed, short[week] ?? 0);
        const covered = needed - missing;
        const left = x(String(week)) ?? 0;
        return [
          <Rect
            key={`${week} covered`}
            x={left}
            width={x.bandwidth()}
            y={y(covered)}
            height={y(0) - y(covered)}
            fill={good}
          />,
          missing > 0 ? (
            <Path
              key={`${week} short`}
              d={hatched(left, y(needed), x.bandwidth(), y(covered) - y(needed))}
              stroke={clay}
              strokeWidth={stroke.line}
              fill="none"
            />
          ) : null,
        ];
      })}
      <Line x1={LEFT} x2={width - RIGHT} y1={y(0)} y2={y(0)} stroke={rule} />
      <ChartText x={LEFT} y={HEIGHT - 6} anchor="start">
        this week
      </ChartText>
      <ChartText x={width - RIGHT} y={HEIGHT - 6} anchor="end">{`in ${demand.length - 1} weeks`}</ChartText>
    </>
  );
}
