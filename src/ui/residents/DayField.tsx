import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { addDays, isDay } from '@/core/measure/day';
import { Choices } from '../components/Choices';
import { Field } from '../components/Field';
import { space } from '../theme/tokens';

const WHEN = [
  { value: 'today', title: 'Today' },
  { value: 'yesterday', title: 'Yesterday' },
  { value: 'other', title: 'Another day' },
] as const;

/** The day something is written down for: today, or one that is typed. */
export function useDay() {
  const today = useHouse((house) => house.round?.on);
  const [when, setWhen] = useState<(typeof WHEN)[number]['value']>('today');
  const [typed, setTyped] = useState('');
  const other = when === 'other' ? typed.trim() : when === 'yesterday' && today ? addDays(today, -1) : undefined;
  return {
    when,
    setWhen,
    typed,
    setTyped,
    problem: when === 'other' && typed !== '' && !isDay(typed.trim()) ? 'A day written 2026-03-14.' : undefined,
    /** As an entry carries it; what cannot be a day is refused by the server, by name. */
    field: other === undefined ? {} : { on: other },
  };
}

export function DayField({ day }: { day: ReturnType<typeof useDay> }) {
  return (
    <View style={{ gap: space.m }}>
      <Choices label="When" choices={WHEN} value={day.when} onChange={day.setWhen} />
      {day.when === 'other' ? (
        <Field
          label="Day, as 2026-03-14"
          value={day.typed}
          onChange={day.setTyped}
          problem={day.problem}
          keyboard="numbers-and-punctuation"
        />
      ) : null}
    </View>
  );
}
