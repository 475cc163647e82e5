import { parseISO } from 'date-fns/parseISO';
import { Pressable, View } from 'react-native';
import Text from '@rneui/themed/dist/Text';
import type { Seasons } from '@/contract/plan';
import type { Day } from '@/core/measure/day';
import { makeStyles } from '../components/useStyles';
import { fonts, space, stroke, target, type } from '../theme/tokens';
import { headlinesOn, isAway, MARK_TITLES, minutesOn, weeksOfMonth, type MarkKind } from './calendarDays';

/** What stands in a day: a letter for each kind of thing that is likeliest then. */
const LETTERS: Record<MarkKind, string> = {
  move: 'V',
  outgrown: 'O',
  moult: 'M',
  hatch: 'H',
  emerge: 'E',
  pair: 'P',
  workers: 'W',
  rest: 'R',
};
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const CELL = 58;

interface Props {
  seasons: Seasons;
  month: Day;
  chosen: Day;
  onChoose: (day: Day) => void;
}

/** A month of days: each with its work as a level of soil, and letters for what is foreseen. */
export function MonthGrid({ seasons, month, chosen, onChoose }: Props) {
  const styles = useStyles();
  const weeks = weeksOfMonth(month);
  const most = Math.max(1, ...weeks.flat().map((day) => (day === null ? 0 : minutesOn(seasons, day))));
  return (
    <View>
      <View style={styles.week}>
        {WEEKDAYS.map((name) => (
          <Text key={name} style={styles.weekday}>
            {name}
          </Text>
        ))}
      </View>
      {weeks.map((week, index) => (
        <View key={index} style={styles.week}>
          {week.map((day, place) =>
            day === null ? (
              <View key={place} style={styles.cell} />
            ) : (
              <DayCell key={day} {...{ seasons, day, most, onChoose }} isChosen={day === chosen} />
            ),
          )}
        </View>
      ))}
    </View>
  );
}

interface CellProps {
  seasons: Seasons;
  day: Day;
  most: number;
  isChosen: boolean;
  onChoose: (day: Day) => void;
}

function DayCell({ seasons, day, most, isChosen, onChoose }: CellProps) {
  const styles = useStyles();
  const minutes = minutesOn(seasons, day);
  const marks = headlinesOn(seasons, day);
  const letters = [...new Set(marks.flatMap(({ kind }) => LETTERS[kind] ?? []))];
  const away = isAway(seasons, day);
  const said = [...new Set(marks.map(({ kind }) => MARK_TITLES[kind]))];
  const label = [`${Number(day.slice(8))}`, `${minutes} minutes`, ...said, ...(away ? ['nobody there'] : [])].join(
    ', ',
  );
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={isChosen}
      onPress={() => onChoose(day)}
      style={[styles.cell, styles.day, away && styles.away, isChosen && styles.chosen]}
    >
      <View style={[styles.soil, { height: `${Math.round((100 * 0.45 * minutes) / most)}%` }]} />
      <Text style={[styles.number, day === seasons.from && styles.today]}>{String(parseISO(day).getDate())}</Text>
      <Text style={styles.letters}>{letters.join(' ')}</Text>
    </Pressable>
  );
}

const useStyles = makeStyles((theme) => ({
  week: { flexDirection: 'row', gap: space.hair, marginBottom: space.hair },
  weekday: { flex: 1, textAlign: 'center', fontSize: type.small, color: theme.colors.inkSoft },
  cell: { flex: 1, minHeight: Math.max(CELL, target) },
  day: {
    backgroundColor: theme.colors.raised,
    borderWidth: stroke.thin,
    borderColor: theme.colors.line,
    overflow: 'hidden',
    padding: space.hair,
  },
  away: { backgroundColor: theme.colors.resting },
  chosen: { borderColor: theme.colors.ink, borderWidth: stroke.line },
  soil: { position: 'absolute', left: 0, right: 0, bottom: 0, backgroundColor: theme.colors.line },
  number: { fontSize: type.small, color: theme.colors.ink },
  today: { fontFamily: fonts.bold, textDecorationLine: 'underline' },
  letters: { fontSize: type.small, fontFamily: fonts.bold, color: theme.colors.good },
}));
