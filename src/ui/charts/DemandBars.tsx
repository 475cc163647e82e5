import { scaleBand, scaleLinear } from 'd3-scale';
import { Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { stroke } from '../theme/tokens';
import { addDays, type Day } from '@/core/measure/day';
import { dayTick, fullDayWords } from '@/words/days';
import { ChartFrame, ChartText } from './ChartFrame';
import { hatched } from './hatched';

interface Props {
  label: string;
  /** Week by week, and what of it is not covered. */
  demand: readonly number[];
  short: readonly number[];
  /** The day on which the first week begins. */
  from: Day;
  /** An amount with its unit. */
  words: (amount: number) => string;
}

const HEIGHT = 120;
const LEFT = 44;
const RIGHT = 10;
const TOP = 12;
const BOTTOM = 22;

/** What is needed week by week: covered parts filled, what is short hatched on top. */
export function DemandBars(props: Props) {
  const { theme } = useTheme();
  const { good, clay } = theme.colors;
  return (
    <ChartFrame
      label={props.label}
      height={HEIGHT}
      inset={{ left: LEFT, right: RIGHT }}
      data={{
        of: 'week from',
        series: [{ name: 'needed' }, { name: 'there or bred', color: good }, { name: 'short', color: clay }],
        rows: () =>
          props.demand.map((needed, week) => {
            const missing = Math.min(needed, props.short[week] ?? 0);
            return {
              at: (week + 0.5) / props.demand.length,
              head: fullDayWords(addDays(props.from, 7 * week)),
              cells: [needed, needed - missing, missing].map(props.words),
            };
          }),
      }}
    >
      {(width) => <Bars {...props} width={width} />}
    </ChartFrame>
  );
}

function Bars({ demand, short, from, words, width }: Props & { width: number }) {
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
        {words(most)}
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
        {dayTick(from, from)}
      </ChartText>
      <ChartText x={width - RIGHT} y={HEIGHT - 6} anchor="end">
        {dayTick(addDays(from, 7 * (demand.length - 1)), from)}
      </ChartText>
    </>
  );
}
