import { scaleLinear } from 'd3-scale';
import { G, Line, Path, Rect } from 'react-native-svg';
import type { Seasons } from '@/contract/plan';
import { daysBetween } from '@/core/measure/day';
import { parseISO } from 'date-fns/parseISO';
import { ChartFrame, ChartText } from '../charts/ChartFrame';
import { useTheme } from '../components/useStyles';
import { stroke } from '../theme/tokens';
import { LANES, monthsAfter } from './calendarDays';
import { markInk } from './marks';

const LABELS = 64;
const TOP = 20;
const LANE = 34;
const SOIL = 76;
/** Bars of a lane lie in so many rows, one below the other. */
const ROWS = 4;
const SMOOTH_DAYS = 7;

/** Twelve months as a section through the ground: what is foreseen in the air above, the work of each week as soil below. */
export function YearStrip({ seasons }: { seasons: Seasons }) {
  const height = TOP + LANES.length * LANE + SOIL;
  const counts = LANES.map(
    ({ kinds, title }) => `${seasons.marks.filter((mark) => kinds.includes(mark.kind)).length} ${title.toLowerCase()}`,
  );
  const busiest = Math.round(Math.max(...seasons.minutes));
  return (
    <ChartFrame
      label={`The next twelve months: ${counts.join(', ')}. The fullest day takes ${busiest} minutes.`}
      height={height}
    >
      {(width) => <Strip seasons={seasons} width={width} height={height} />}
    </ChartFrame>
  );
}

function Strip({ seasons, width, height }: { seasons: Seasons; width: number; height: number }) {
  const { theme } = useTheme();
  const { colors } = theme;
  const { from, days, marks, minutes } = seasons;
  const x = scaleLinear([0, days], [LABELS, width]);
  const at = (day: string) => x(Math.max(0, Math.min(days, daysBetween(from, day))));
  const ground = TOP + LANES.length * LANE;
  const weekly = smoothed(minutes);
  const y = scaleLinear([0, Math.max(1, ...weekly)], [0, SOIL - 8]);
  const soil = weekly.map((value, day) => `${x(day).toFixed(1)} ${(height - y(value)).toFixed(1)}`);
  const months = monthsAfter(from);
  return (
    <G>
      {seasons.absences
        .filter(({ keeperId }) => keeperId === null)
        .map((absence) => (
          <Rect
            key={absence.id}
            x={at(absence.from)}
            width={Math.max(2, at(absence.until) - at(absence.from))}
            y={TOP}
            height={height - TOP}
            fill={colors.resting}
          />
        ))}
      {months.map((month, index) => (
        <G key={month}>
          <Line x1={at(month)} x2={at(month)} y1={TOP} y2={height} stroke={colors.line} />
          {index % 2 === 0 ? (
            <ChartText x={at(month) + 2} y={TOP - 6} anchor="start">
              {parseISO(month).toLocaleDateString('en-GB', { month: 'short' })}
            </ChartText>
          ) : null}
        </G>
      ))}
      {LANES.map(({ kind, kinds, title }, lane) => {
        const top = TOP + lane * LANE;
        const own = marks.filter((mark) => kinds.includes(mark.kind)).sort((a, b) => a.from.localeCompare(b.from));
        return (
          <G key={kind}>
            <Line x1={0} x2={width} y1={top + LANE} y2={top + LANE} stroke={colors.line} />
            <ChartText x={0} y={top + LANE / 2 + 4} anchor="start" isStrong>
              {title}
            </ChartText>
            {own.map((mark, index) => {
              const row = top + 5 + (index % ROWS) * ((LANE - 8) / ROWS);
              const left = at(mark.from);
              return (
                <G key={`${mark.residentId} ${mark.from} ${index}`}>
                  <Rect
                    x={left}
                    width={Math.max(2, at(mark.until) - left)}
                    y={row}
                    height={stroke.mark}
                    fill={markInk(colors, kind)}
                    opacity={0.75}
                  />
                  {mark.median === null ? null : (
                    <Rect
                      x={at(mark.median) - 1}
                      width={stroke.line}
                      y={row - 1}
                      height={stroke.mark + 2}
                      fill={colors.ink}
                    />
                  )}
                </G>
              );
            })}
          </G>
        );
      })}
      <Path d={`M ${LABELS} ${height} L ${soil.join(' L ')} L ${width} ${height} Z`} fill={colors.soilDry} />
      <Line x1={0} x2={width} y1={ground} y2={ground} stroke={colors.ink} strokeWidth={stroke.line} />
      <ChartText x={0} y={ground + 22} anchor="start" isStrong>
        Work
      </ChartText>
      <ChartText x={0} y={ground + 38} anchor="start">
        {`to ${Math.round(Math.max(...weekly))} min`}
      </ChartText>
      <ChartText x={0} y={ground + 53} anchor="start">
        a day
      </ChartText>
    </G>
  );
}

/** Each day as the mean of the week about it. */
function smoothed(minutes: readonly number[]): number[] {
  const reach = Math.floor(SMOOTH_DAYS / 2);
  return minutes.map((_, day) => {
    const week = minutes.slice(Math.max(0, day - reach), day + reach + 1);
    return week.reduce((sum, each) => sum + each, 0) / week.length;
  });
}
