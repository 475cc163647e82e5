import { useState } from 'react';
import { View } from 'react-native';
import { Line, Rect } from 'react-native-svg';
import { addDays, daysBetween, latestDay, type Day } from '@/core/measure/day';
import type { CLOSED_BY } from '@/contract/plan';
import { ChartFrame } from '../charts/ChartFrame';
import { Slider } from '../kit/Slider';
import { useTheme } from '../components/useStyles';
import { Soft } from '../components/Words';
import { space, stroke } from '../theme/tokens';
import { dayWords } from '@/words/days';

export interface ClosedDays {
  from: Day;
  until: Day;
  why: (typeof CLOSED_BY)[number];
}

interface Props {
  label: string;
  today: Day;
  on: Day;
  window: { from: Day; until: Day };
  closed: readonly ClosedDays[];
  onChange: (on: Day) => void;
}

/** So many days before and after its window can be seen. */
const MARGIN_DAYS = 10;
const HEIGHT = 22;

const WHY: Record<ClosedDays['why'], string> = {
  moult: 'a moult is expected, or just over',
  rest: 'it is in its winter rest',
  busy: 'no keeper has time',
  tub: 'its new box is not free and clean before',
};

/** The day of a move, drawn along its window: beyond it the row does not go, and says why. */
export function MoveDay({ label, today, on, window, closed, onChange }: Props) {
  const [problem, setProblem] = useState<string>();
  const first = latestDay(today, addDays(window.from, -MARGIN_DAYS));
  const last = addDays(window.until, MARGIN_DAYS);
  const try_ = (offset: number) => {
    const day = addDays(first, offset);
    const why = whyNot(day, today, window, closed);
    setProblem(why === null ? undefined : `Not on ${dayWords(day, today)}: ${why}.`);
    if (why === null) onChange(day);
  };
  return (
    <View style={{ marginTop: space.s }}>
      <Strip {...{ first, last, today, on, window, closed }} />
      <Slider
        label={label}
        words={dayWords(on, today)}
        value={daysBetween(first, on)}
        min={0}
        max={Math.max(1, daysBetween(first, last))}
        step={1}
        onChange={try_}
      />
      {problem === undefined ? null : <Soft role="status">{problem}</Soft>}
    </View>
  );
}

/** Why a move is not made on a day; null where it can be. */
export function whyNot(
  day: Day,
  today: Day,
  window: { from: Day; until: Day },
  closed: readonly ClosedDays[],
): string | null {
  if (day < today) return 'that day is over';
  const span = closed.find(({ from, until }) => day >= from && day <= until);
  if (span) {
    const [first, last] = [dayWords(span.from, today), dayWords(span.until, today)];
    return `${WHY[span.why]} (${first === last ? first : `${first} to ${last}`})`;
  }
  if (day < window.from) return `its window opens on ${dayWords(window.from, today)}`;
  if (day > window.until) return `its window closes on ${dayWords(window.until, today)}`;
  return null;
}

function Strip({
  first,
  last,
  today,
  on,
  window,
  closed,
}: {
  first: Day;
  last: Day;
  today: Day;
  on: Day;
  window: { from: Day; until: Day };
  closed: readonly ClosedDays[];
}) {
  const { theme } = useTheme();
  const { colors } = theme;
  const days = Math.max(1, daysBetween(first, last));
  return (
    <ChartFrame
      label={`The window is open from ${dayWords(window.from, today)} to ${dayWords(window.until, today)}`}
      height={HEIGHT}
    >
      {(width) => {
        const x = (day: Day) => (Math.max(0, Math.min(days, daysBetween(first, day))) / days) * width;
        return (
          <>
            <Rect x={0} width={width} y={6} height={HEIGHT - 12} fill={colors.resting} />
            <Rect
              x={x(window.from)}
              width={Math.max(stroke.mark, x(window.until) - x(window.from))}
              y={6}
              height={HEIGHT - 12}
              fill={colors.accent}
            />
            {closed
              .filter(({ from, until }) => until >= first && from <= last)
              .map(({ from, until }) => (
                <Line
                  key={`${from} ${until}`}
                  x1={x(from)}
                  x2={Math.max(x(from) + stroke.mark, x(until))}
                  y1={HEIGHT / 2}
                  y2={HEIGHT / 2}
                  stroke={colors.clay}
                  strokeWidth={stroke.mark}
                  strokeDasharray="3 3"
                />
              ))}
            <Line x1={x(on)} x2={x(on)} y1={0} y2={HEIGHT} stroke={colors.ink} strokeWidth={stroke.mark} />
          </>
        );
      }}
    </ChartFrame>
  );
}
