import { scaleLinear } from 'd3-scale';
import { curveStepAfter, line } from 'd3-shape';
import { Circle, Line, Path, Rect } from 'react-native-svg';
import type { RestStep } from '@/core/season/rest';
import { daysBetween } from '@/core/measure/day';
import { useTheme } from '../components/useStyles';
import { stroke, type Palette } from '../theme/tokens';
import type { ChartData } from './reader';
import { ChartFrame, ChartText, LimitLine } from './ChartFrame';

interface Props {
  label: string;
  steps: readonly RestStep[];
  /** Day by day what the probe in its place has measured. */
  measured: readonly { on: string; temperatureC: number }[];
  /** What it is kept within while it rests, and never below. */
  band: { min: number; max: number };
  floorC: number;
  today: string;
  temperature: (celsius: number) => string;
  day: (on: string) => string;
}

const HEIGHT = 190;
const LEFT = 48;
const RIGHT = 12;
const TOP = 14;
const BOTTOM = 24;

/** A winter rest as a staircase of temperatures, down and up again; its band shaded, its floor dotted. */
export function RestStairs(props: Props) {
  const { theme } = useTheme();
  return (
    <ChartFrame label={props.label} height={HEIGHT} inset={{ left: LEFT, right: RIGHT }} data={dataOf(props, theme)}>
      {(width) => <Stairs {...props} width={width} />}
    </ChartFrame>
  );
}

function dataOf({ steps, measured, temperature, day }: Props, { colors }: { colors: Palette }): ChartData {
  const onDay = new Map(measured.map((each) => [each.on, temperature(each.temperatureC)]));
  const [first, last] = [steps[0]?.on ?? '', steps.at(-1)?.on ?? ''];
  const probe = measured.length > 0 ? [{ name: 'measured', color: colors.ink }] : [];
  return {
    of: 'from',
    series: [{ name: 'planned', color: colors.good }, ...probe],
    rows: () =>
      steps.map(({ on, targetC }) => ({
        ...{ at: daysBetween(first, on) / Math.max(1, daysBetween(first, last)), head: day(on) },
        cells: [temperature(targetC), ...probe.map(() => onDay.get(on) ?? '')],
      })),
  };
}

function Stairs({ steps, measured, band, floorC, today, temperature, day, width }: Props & { width: number }) {
  const { theme } = useTheme();
  const { line: rule, good, clay, ink, dew } = theme.colors;
  const [first, last] = [steps[0], steps.at(-1)];
  if (!first || !last) return null;
  const at = (on: string) => daysBetween(first.on, on);
  const x = scaleLinear([0, Math.max(1, at(last.on))], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const warmest = Math.max(...steps.map((step) => step.targetC));
  const y = scaleLinear(
    [
      Math.min(floorC, ...steps.map((step) => step.targetC), ...measured.map((each) => each.temperatureC)) - 2,
      warmest + 2,
    ],
    [HEIGHT - BOTTOM, TOP],
  );
  const stairs = line<RestStep>(
    (step) => x(at(step.on)),
    (step) => y(step.targetC),
  ).curve(curveStepAfter);
  const course = line<Props['measured'][number]>(
    (each) => x(at(each.on)),
    (each) => y(each.temperatureC),
  );
  const isOn = today >= first.on && today <= last.on;
  return (
    <>
      <Rect
        x={LEFT}
        width={Math.max(0, width - LEFT - RIGHT)}
        y={y(band.max)}
        height={Math.max(0, y(band.min) - y(band.max))}
        fill={dew}
        fillOpacity={0.16}
      />
      <LimitLine left={LEFT} right={width - RIGHT} at={y(floorC)} color={clay} />
      {[warmest, band.max, band.min].map((celsius) => (
        <ChartText key={celsius} x={LEFT - 6} y={y(celsius) + 4} anchor="end">
          {temperature(celsius)}
        </ChartText>
      ))}
      {isOn ? (
        <Line x1={x(at(today))} x2={x(at(today))} y1={TOP} y2={HEIGHT - BOTTOM} stroke={ink} strokeDasharray="3 3" />
      ) : null}
      <Path d={stairs([...steps]) ?? ''} stroke={good} strokeWidth={stroke.mark} fill="none" />
      {measured.length > 1 ? (
        <Path d={course([...measured]) ?? ''} stroke={ink} strokeWidth={stroke.thin} fill="none" />
      ) : null}
      {steps
        .filter((step) => step.what === 'check')
        .map((step) => (
          <Circle key={step.on} cx={x(at(step.on))} cy={y(step.targetC)} r={4} fill={ink} />
        ))}
      <Line x1={LEFT} x2={width - RIGHT} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke={rule} />
      <ChartText x={LEFT} y={HEIGHT - 7} anchor="start">
        {day(first.on)}
      </ChartText>
      <ChartText x={width - RIGHT} y={HEIGHT - 7} anchor="end">
        {day(last.on)}
      </ChartText>
    </>
  );
}
