import { scaleBand, scaleLinear } from 'd3-scale';
import { Line, Rect } from 'react-native-svg';
import { useTheme } from '../components/useStyles';
import { ChartFrame, ChartText } from './ChartFrame';

const HEIGHT = 132;
const TOP = 22;
const BOTTOM = 24;
/** At least so many instars stand side by side: one bar alone is not the whole width. */
const FEWEST = 5;

/** How many are in which instar. */
export function InstarBars({ label, instars }: { label: string; instars: Instars }) {
  return (
    <ChartFrame label={label} height={HEIGHT}>
      {(width) => <Bars instars={instars} width={width} />}
    </ChartFrame>
  );
}

type Instars = Readonly<Record<string, number>>;

function Bars({ instars, width }: { instars: Instars; width: number }) {
  const { theme } = useTheme();
  const { accent, line } = theme.colors;
  const known = Object.keys(instars).map(Number);
  const lowest = Math.min(...known);
  const count = Math.max(FEWEST, Math.max(...known) - lowest + 1);
  const names = Array.from({ length: count }, (_, index) => lowest + index);
  const x = scaleBand<number>(names, [0, width]).padding(0.24);
  const y = scaleLinear([0, Math.max(...Object.values(instars))], [HEIGHT - BOTTOM, TOP]);
  return (
    <>
      {names.map((instar) => {
        const heads = instars[instar] ?? 0;
        const left = x(instar) ?? 0;
        const middle = left + x.bandwidth() / 2;
        return [
          heads > 0 ? (
            <Rect
              key={`bar ${instar}`}
              x={left}
              y={y(heads)}
              width={x.bandwidth()}
              height={HEIGHT - BOTTOM - y(heads)}
              fill={accent}
            />
          ) : null,
          heads > 0 ? (
            <ChartText key={`heads ${instar}`} x={middle} y={y(heads) - 6} anchor="middle" isStrong>
              {String(heads)}
            </ChartText>
          ) : null,
          <ChartText key={`name ${instar}`} x={middle} y={HEIGHT - 7} anchor="middle">{`L${instar}`}</ChartText>,
        ];
      })}
      <Line x1={0} x2={width} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke={line} />
    </>
  );
}
