import { parseISO } from 'date-fns/parseISO';
import DateTimePicker from 'react-native-ui-datepicker';
import '../stubs/midnight';
import { dayOfMoment, type Day } from '@/core/measure/day';
import { makeStyles, useTheme } from '../components/useStyles';
import { fonts, radius, space, target, type } from '../theme/tokens';

interface Props {
  value: Day | undefined;
  /** Days before and after cannot be chosen. */
  min?: Day | undefined;
  max?: Day | undefined;
  onChange: (day: Day) => void;
}

const dateOf = (day: Day | undefined) => (day === undefined ? undefined : parseISO(day));

/** A month of days, of which one is chosen; months and years are chosen by their names. */
export default function Calendar({ value, min, max, onChange }: Props) {
  const styles = useStyles();
  const { theme } = useTheme();
  const shown = dateOf(value ?? max);
  return (
    <DateTimePicker
      mode="single"
      date={dateOf(value)}
      {...(shown && { month: shown.getMonth(), year: shown.getFullYear() })}
      minDate={dateOf(min)}
      maxDate={dateOf(max)}
      firstDayOfWeek={1}
      showOutsideDays
      locale="en"
      onChange={({ date }) => date && onChange(dayOfMoment(new Date(date as Date)))}
      style={styles.all}
      styles={{
        day: styles.day,
        day_label: styles.dayLabel,
        outside_label: styles.outside,
        disabled_label: styles.outside,
        today: styles.today,
        selected: styles.selected,
        selected_label: styles.selectedLabel,
        month_selector_label: styles.title,
        year_selector_label: styles.title,
        weekday_label: styles.weekday,
        month: styles.day,
        month_label: styles.dayLabel,
        year: styles.day,
        year_label: styles.dayLabel,
        selected_month: styles.selected,
        selected_month_label: styles.selectedLabel,
        selected_year: styles.selected,
        selected_year_label: styles.selectedLabel,
        button_prev: styles.button,
        button_next: styles.button,
        button_prev_image: { tintColor: theme.colors.ink },
        button_next_image: { tintColor: theme.colors.ink },
      }}
    />
  );
}

const useStyles = makeStyles((theme) => ({
  all: { maxWidth: 380, padding: space.s, borderRadius: radius.m, backgroundColor: theme.colors.raised },
  day: { borderRadius: target / 2, minHeight: target - space.xs, minWidth: target - space.xs },
  dayLabel: { fontFamily: fonts.text, fontSize: type.body, color: theme.colors.ink },
  outside: { color: theme.colors.inkSoft, opacity: 0.6 },
  today: { borderWidth: 1, borderColor: theme.colors.good },
  selected: { backgroundColor: theme.colors.good },
  selectedLabel: { color: theme.colors.onGood, fontFamily: fonts.bold },
  title: { fontFamily: fonts.bold, fontSize: type.strong, color: theme.colors.ink },
  weekday: { fontFamily: fonts.text, fontSize: type.small, color: theme.colors.inkSoft },
  button: { width: target, height: target, alignItems: 'center', justifyContent: 'center' },
}));
