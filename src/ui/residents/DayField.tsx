import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { addDays, type Day } from '@/core/measure/day';
import { Choices } from '../kit/Choices';
import { DayInput } from '../kit/DayInput';
import { space } from '../theme/tokens';

const WHEN = [
  { value: 'today', title: 'Today' },
  { value: 'yesterday', title: 'Yesterday' },
  { value: 'other', title: 'Another day' },
] as const;

/** The day something is written down for: today, or another one before it. */
export function useDay() {
  const today = useHouse((house) => house.round?.on);
  const [when, setWhen] = useState<(typeof WHEN)[number]['value']>('today');
  const [chosen, setChosen] = useState<Day | ''>('');
  const other = when === 'other' ? chosen : when === 'yesterday' && today ? addDays(today, -1) : undefined;
  return {
    when,
    setWhen,
    chosen,
    setChosen,
    today,
    /** As an entry carries it; a day that is not chosen yet is refused by the server, by name. */
    field: other === undefined ? {} : { on: other },
  };
}

export function DayField({ day }: { day: ReturnType<typeof useDay> }) {
  return (
    <View style={{ gap: space.m }}>
      <Choices label="When" choices={WHEN} value={day.when} onChange={day.setWhen} />
      {day.when === 'other' ? (
        <DayInput label="Which day" value={day.chosen} onChange={day.setChosen} max={day.today} />
      ) : null}
    </View>
  );
}
