import { useState } from 'react';
import type { Control, FieldPath, FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { addDays, type Day } from '@/core/measure/day';
import { Choices } from '../kit/Choices';
import { DayInput } from '../kit/DayInput';
import { space } from '../theme/tokens';
import { AskedField } from './AskedField';

const WHEN = [
  { value: 'today', title: 'Today' },
  { value: 'yesterday', title: 'Yesterday' },
  { value: 'other', title: 'Another day' },
] as const;

/** Another day is asked for, and none is chosen yet. */
const NOT_CHOSEN = 'choose';

/** The day of a new entry, as the form holds it: `TODAY` is what an entry without a day means. */
export const TODAY = '';

/** As an entry carries it. */
export const onDay = (on: string): { on?: Day } => (on === TODAY ? {} : { on });

/** The day something is written down for, field `on` of the form: today, or another one before it. */
export function When<Values extends FieldValues & { on: string }>({ control }: { control: Control<Values> }) {
  const today = useHouse((house) => house.round?.on);
  const [when, setWhen] = useState<(typeof WHEN)[number]['value']>('today');
  return (
    <AskedField
      control={control}
      name={'on' as FieldPath<Values>}
      label="When"
      check={(on) => on !== NOT_CHOSEN || 'Choose the day.'}
    >
      {(field, problem) => (
        <View ref={field.ref} tabIndex={-1} style={{ gap: space.m, outlineWidth: 0 }}>
          <Choices
            label="When"
            choices={WHEN}
            value={when}
            onChange={(chosen) => {
              setWhen(chosen);
              const before = chosen === 'yesterday' && today ? addDays(today, -1) : TODAY;
              field.onChange(chosen === 'other' ? NOT_CHOSEN : before);
            }}
          />
          {when === 'other' || problem !== undefined ? (
            <DayInput
              label="Which day"
              value={field.value === NOT_CHOSEN ? '' : String(field.value)}
              onChange={(day) => {
                setWhen('other');
                field.onChange(day === '' ? NOT_CHOSEN : day);
              }}
              max={today}
              problem={problem}
            />
          ) : null}
        </View>
      )}
    </AskedField>
  );
}
