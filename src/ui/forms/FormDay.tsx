import type { FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import type { Day } from '@/core/measure/day';
import { DayInput } from '../kit/DayInput';
import { AskedField, type AskedFieldProps } from './AskedField';

interface Props<Values extends FieldValues> extends AskedFieldProps<Values> {
  none?: string;
  isOptional?: boolean;
  min?: Day | undefined;
  max?: Day | undefined;
  hint?: string | undefined;
}

/** A day as a field of a form, from the calendar; empty while none is chosen. */
export function FormDay<Values extends FieldValues>({ none, isOptional, min, max, hint, ...asked }: Props<Values>) {
  return (
    <AskedField {...asked}>
      {(field, problem) => (
        <View ref={field.ref} tabIndex={-1} style={{ outlineWidth: 0 }}>
          <DayInput
            label={asked.label}
            value={(field.value ?? '') as Day | ''}
            onChange={field.onChange}
            problem={problem}
            {...{ min, max, hint }}
            {...(none !== undefined && { none })}
            {...(isOptional !== undefined && { isOptional })}
          />
        </View>
      )}
    </AskedField>
  );
}
