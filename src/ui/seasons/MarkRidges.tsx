import Text from '@rneui/themed/dist/Text';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { parseISO } from 'date-fns/parseISO';
import type { SeasonMark, Seasons } from '@/contract/plan';
import { daysBetween } from '@/core/measure/day';
import { ChartText } from '../charts/ChartFrame';
import { Leading } from '../components/Leading';
import { makeStyles, useTheme } from '../components/useStyles';
import { useGrowing } from '../components/useGrowing';
import { Body, Soft } from '../components/Words';
import { fonts, space, stroke, type } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';
import { inLane, monthsAfter, type MarkKind } from './calendarDays';
import { markInk, markWords, openMark } from './marks';
import { useResidentOf } from './useResidentOf';
import { windowCurve } from './windowCurve';

const ROW = 40;
const NAMES = 112;
const HEAD = 22;
/** Names are drawn first for as many as fill a screen. */
const FIRST_ROWS = 20;
const MORE_ROWS = 20;

/** What is foreseen of one kind, one below the other by their likeliest days: each a hill over the days on which it may come. */
export function MarkRidges({ seasons, kind }: { seasons: Seasons; kind: MarkKind }) {
  const styles = useStyles();
  const [width, setWidth] = useState(0);
  const likeliest = ({ median, from }: SeasonMark) => median ?? from;
  const own = seasons.marks
    .filter((mark) => inLane(kind).includes(mark.kind))
    .sort((a, b) => likeliest(a).localeCompare(likeliest(b)));
  const drawn = useGrowing(own.length, FIRST_ROWS, MORE_ROWS);
  if (own.length === 0) return <Body>Nothing of this is foreseen within a year.</Body>;
  const drawing = { seasons, widthPx: Math.max(0, width - NAMES) };
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {width === 0 ? null : (
        <>
          <View style={styles.head}>
            <Months {...drawing} />
          </View>
          {own.slice(0, drawn).map((mark, index) => (
            <Ridge key={`${mark.residentId} ${index}`} mark={mark} {...drawing} />
          ))}
        </>
      )}
      <Soft style={styles.foot}>{FOOT[kind] ?? HILLS}</Soft>
    </View>
  );
}

/** What is to be seen in the picture. */
const HILLS = 'The higher the hill, the likelier the day; the stroke is the likeliest.';
const FOOT: Partial<Record<MarkKind, string>> = {
  move: 'The bar is when it can be made, the stroke the day that is planned.',
  hatch: 'Eggs, moths and first workers: the higher the hill, the likelier the day. A stroke alone is a night to pair.',
  rest: 'The bar is the rest, from its first cooling until it is warm again.',
};

interface Drawing {
  seasons: Seasons;
  widthPx: number;
}

/** Words can be read on it, by night as well. */
const HILL_OPACITY = 0.35;

/** Months that are named: each where there is room, else every other. */
const LEAST_MONTH_PX = 34;

const xOf =
  ({ seasons, widthPx }: Drawing) =>
  (day: number) =>
    (Math.max(0, Math.min(seasons.days, day)) / seasons.days) * widthPx;

function Months(drawing: Drawing) {
  const x = xOf(drawing);
  const { seasons, widthPx } = drawing;
  const every = Math.max(1, Math.ceil(LEAST_MONTH_PX / (widthPx / 12)));
  return (
    <Svg width={widthPx} height={HEAD} aria-hidden>
      {monthsAfter(seasons.from).map((month, index) =>
        index % every === 0 ? (
          <ChartText key={month} x={x(daysBetween(seasons.from, month)) + 2} y={HEAD - 7} anchor="start">
            {parseISO(month).toLocaleDateString('en-GB', { month: 'short' })}
          </ChartText>
        ) : null,
      )}
    </Svg>
  );
}

function Ridge({ mark, ...drawing }: Drawing & { mark: SeasonMark }) {
  const styles = useStyles();
  const { theme } = useTheme();
  const residentOf = useResidentOf();
  const { seasons, widthPx } = drawing;
  const found = residentOf(mark.residentId);
  if (!found) return null;
  const { resident, home } = found;
  const x = xOf(drawing);
  const at = (day: string) => daysBetween(seasons.from, day);
  const { from, until, median, kind } = mark;
  const [begins, ends] = [at(from), at(until)];
  const top = 7;
  const y = (height: number) => ROW - (ROW - top) * height;
  const middle = median === null ? null : at(median);
  // The days on which a move can be made are all alike: no hill, and the stroke is the day that was chosen.
  const hill = middle !== null && kind !== 'move' ? windowCurve(begins, middle, ends) : [];
  const ink = markInk(theme.colors, kind);
  // The words stand where there is room for them.
  const isLate = middle !== null && x(middle) > widthPx - 70;
  return (
    <Leading
      aria-label={`${calledWords(resident)}, ${home.code}: ${markWords(mark, seasons.from)}`}
      onPress={() => openMark(mark)}
      style={styles.row}
    >
      <View style={styles.name}>
        <Text style={styles.called} numberOfLines={1}>
          {calledWords(resident)}
        </Text>
        <Text
          style={styles.code}
          numberOfLines={1}
        >{`${home.code}  ${resident.scientificName.split(' ')[0] ?? ''}`}</Text>
      </View>
      <Svg width={widthPx} height={ROW} aria-hidden>
        {monthsAfter(seasons.from).map((month) => (
          <Line
            key={month}
            x1={x(at(month))}
            x2={x(at(month))}
            y1={0}
            y2={ROW}
            stroke={theme.colors.line}
            strokeWidth={stroke.thin}
          />
        ))}
        {hill.length === 0 ? (
          <Rect
            x={x(begins)}
            width={Math.max(2, x(ends) - x(begins))}
            y={ROW - 12}
            height={8}
            rx={4}
            fill={ink}
            opacity={0.75}
          />
        ) : (
          <Path
            d={`M ${x(hill[0]?.[0] ?? 0)} ${ROW} ${hill.map(([day, height]) => `L ${x(day).toFixed(1)} ${y(height).toFixed(1)}`).join(' ')} L ${x(hill.at(-1)?.[0] ?? 0)} ${ROW} Z`}
            fill={ink}
            fillOpacity={HILL_OPACITY}
            stroke={ink}
            strokeWidth={stroke.thin}
          />
        )}
        {middle === null ? null : (
          <>
            <Line x1={x(middle)} x2={x(middle)} y1={top} y2={ROW} stroke={theme.colors.ink} strokeWidth={stroke.line} />
            <ChartText x={x(middle) + (isLate ? -5 : 5)} y={top + 8} anchor={isLate ? 'end' : 'start'} isStrong>
              {dayWords(median ?? from, seasons.from)}
            </ChartText>
          </>
        )}
        <Line x1={0} x2={widthPx} y1={ROW - 0.5} y2={ROW - 0.5} stroke={theme.colors.line} />
      </Svg>
    </Leading>
  );
}

const useStyles = makeStyles((theme) => ({
  head: { paddingLeft: NAMES },
  row: { flexDirection: 'row', minHeight: ROW + 4, alignItems: 'flex-end' },
  name: { width: NAMES, paddingRight: space.s, paddingBottom: space.xs },
  called: { fontFamily: fonts.bold, fontSize: type.small },
  code: { fontSize: 12, color: theme.colors.inkSoft },
  foot: { marginTop: space.m },
}));
