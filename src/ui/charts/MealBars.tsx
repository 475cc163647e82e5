import { scaleBand, scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Circle, Line, Path, Rect } from 'react-native-svg';
import type { FeedingWeek, Weighing } from '@/core/feeding/history';
import { dayTick, fullDayWords } from '@/words/days';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { useTheme } from '../components/useStyles';
import { stroke, type Palette } from '../theme/tokens';
import { ChartFrame, ChartText } from './ChartFrame';
import { hatched } from './hatched';
import type { ChartData } from './reader';

interface Props {
  label: string;
  weeks: readonly FeedingWeek[];
  weighings: readonly Weighing[];
}

const HEIGHT = 170;
const LEFT = 34;
const RIGHT = 40;
const TOP = 14;
const BOTTOM = 24;
/** A bar stays one where there are few weeks. px */
const WIDEST = 28;

/**
 * Meals week by week: taken ones stand filled on the line, those nobody looked after in outline above them, refused ones
 * hang below it, hatched. The weight of the animal runs over them, on a scale of its own at the right.
 */
export function MealBars(props: Props) {
  const { theme } = useTheme();
  return (
    <ChartFrame label={props.label} height={HEIGHT} inset={{ left: LEFT, right: RIGHT }} data={dataOf(props, theme)}>
      {(width) => <Bars {...props} width={width} />}
    </ChartFrame>
  );
}

function dataOf({ weeks, weighings }: Props, { colors }: { colors: Palette }): ChartData {
  const heaviest = (from: Day) => weighings.find(({ on }) => on >= from && on < addDays(from, 7));
  const series = [
    { name: 'taken', color: colors.good },
    { name: 'not looked after', color: colors.good, isDashed: true },
    { name: 'refused', color: colors.clay },
    ...(weighings.length > 0 ? [{ name: 'weight, g', color: colors.amber, isDashed: true }] : []),
  ];
  return {
    of: 'week from',
    series,
    rows: () =>
      weeks.map(({ from, offered, taken, refused }, index) => ({
        at: (index + 0.5) / weeks.length,
        head: fullDayWords(from),
        cells: [taken, offered - taken - refused, refused, heaviest(from)?.massG ?? '']
          .slice(0, series.length)
          .map((value) => String(typeof value === 'number' ? Number(value.toPrecision(3)) : value)),
      })),
  };
}

function Bars({ weeks, weighings, width }: Props & { width: number }) {
  const { theme } = useTheme();
  const { ink, line: rule, good, clay, amber } = theme.colors;
  const first = weeks[0]?.from ?? '';
  const last = weeks.at(-1)?.from ?? '';
  const x = scaleBand(
    weeks.map((week) => week.from),
    [LEFT, Math.max(LEFT + 1, width - RIGHT)],
  ).padding(0.25);
  const most = Math.max(1, ...weeks.map((week) => week.offered - week.refused));
  const worst = Math.max(0, ...weeks.map((week) => week.refused));
  const y = scaleLinear([-worst, most], [HEIGHT - BOTTOM, TOP]);
  const shown = weighings.filter((each) => each.on >= first);
  const heaviest = Math.max(...shown.map((each) => each.massG), 0);
  const mass = scaleLinear([0, heaviest * 1.1 || 1], [y(0), TOP]);
  const xOf = (on: string) =>
    LEFT + ((width - LEFT - RIGHT) * daysBetween(first, on)) / Math.max(1, daysBetween(first, addDays(last, 7)));
  const course = line<Weighing>(
    (each) => xOf(each.on),
    (each) => mass(each.massG),
  );
  const bar = Math.min(x.bandwidth(), WIDEST);
  return (
    <>
      {[...new Set([most, 0, -worst])].map((count) => (
        <ChartText key={count} x={LEFT - 6} y={y(count) + 4} anchor="end">
          {String(Math.abs(count))}
        </ChartText>
      ))}
      {weeks.map((week) => {
        const left = (x(week.from) ?? 0) + (x.bandwidth() - bar) / 2;
        const open = week.offered - week.taken - week.refused;
        const openTop = y(week.taken + open);
        return [
          week.taken > 0 ? (
            <Rect
              key={`${week.from} taken`}
              x={left}
              width={bar}
              y={y(week.taken)}
              height={y(0) - y(week.taken)}
              fill={good}
            />
          ) : null,
          open > 0 ? (
            <Rect
              key={`${week.from} open`}
              x={left}
              width={bar}
              y={openTop}
              height={y(week.taken) - openTop}
              fill="none"
              stroke={good}
              strokeWidth={stroke.line}
            />
          ) : null,
          week.refused > 0 ? (
            <Path
              key={`${week.from} refused`}
              d={hatched(left, y(0), bar, y(-week.refused) - y(0))}
              stroke={clay}
              strokeWidth={stroke.line}
              fill="none"
            />
          ) : null,
        ];
      })}
      <Line x1={LEFT} x2={width - RIGHT} y1={y(0)} y2={y(0)} stroke={shown.length > 0 ? ink : rule} />
      {shown.length > 0 ? (
        <>
          <Path d={course(shown) ?? ''} stroke={amber} strokeWidth={stroke.mark} strokeDasharray="5 4" fill="none" />
          {shown.map((each) => (
            <Circle key={each.on} cx={xOf(each.on)} cy={mass(each.massG)} r={3.5} fill={amber} />
          ))}
          <ChartText x={width - RIGHT + 6} y={mass(shown.at(-1)?.massG ?? 0) + 4} anchor="start" isStrong>
            {`${Number((shown.at(-1)?.massG ?? 0).toPrecision(3))} g`}
          </ChartText>
        </>
      ) : null}
      <ChartText x={LEFT} y={HEIGHT - 7} anchor="start">
        {first === '' ? '' : dayTick(first, last)}
      </ChartText>
      <ChartText x={width - RIGHT} y={HEIGHT - 7} anchor="end">
        now
      </ChartText>
    </>
  );
}
