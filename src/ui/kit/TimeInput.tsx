import { useState } from 'react';
import { View } from 'react-native';
import { IconButton } from '../components/IconButton';
import { makeStyles } from '../components/useStyles';
import { Strong } from '../components/Words';
import { space, target } from '../theme/tokens';
import { InputButton } from './InputButton';

interface Props {
  label: string;
  /** "19:00". */
  value: string;
  onChange: (time: string) => void;
}

const MINUTES_A_DAY = 24 * 60;
/** Nobody begins a walk to the minute. */
const STEP_MIN = 15;

const minutesIn = (time: string) => {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return (hours * 60 + minutes) % MINUTES_A_DAY;
};
const timeOf = (minutes: number) => {
  const whole = ((minutes % MINUTES_A_DAY) + MINUTES_A_DAY) % MINUTES_A_DAY;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return `${String(hours).padStart(2, '0')}:${String(rest).padStart(2, '0')}`;
};

/** A time of the day, set by hours and quarters. */
export function TimeInput({ label, value, onChange }: Props) {
  const styles = useStyles();
  const [isOpen, setOpen] = useState(false);
  const by = (minutes: number) => () => onChange(timeOf(minutesIn(value) + minutes));
  return (
    <InputButton label={label} words={value} isChosen icon="Clock" isOpen={isOpen} onPress={() => setOpen(!isOpen)}>
      <View style={styles.steps}>
        <IconButton label={`${label}: an hour earlier`} icon="Minus" onPress={by(-60)} />
        <Strong style={styles.part}>{`${value.slice(0, 2)} h`}</Strong>
        <IconButton label={`${label}: an hour later`} icon="Plus" onPress={by(60)} />
        <View style={styles.gap} />
        <IconButton label={`${label}: a quarter earlier`} icon="Minus" onPress={by(-STEP_MIN)} />
        <Strong style={styles.part}>{`${value.slice(3)} min`}</Strong>
        <IconButton label={`${label}: a quarter later`} icon="Plus" onPress={by(STEP_MIN)} />
      </View>
    </InputButton>
  );
}

const useStyles = makeStyles(() => ({
  steps: { flexDirection: 'row', alignItems: 'center', gap: space.xs },
  part: { minWidth: target + space.m, textAlign: 'center' },
  gap: { width: space.l },
}));
