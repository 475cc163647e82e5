import type { FieldPathValue, FieldPath, FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { Body, Strong } from '../components/Words';
import { Choices } from '../kit/Choices';
import { space } from '../theme/tokens';
import { AskedField, type AskedFieldProps } from './AskedField';

interface Props<Values extends FieldValues, Name extends FieldPath<Values>> extends AskedFieldProps<Values> {
  name: Name;
  choices: readonly { value: FieldPathValue<Values, Name> & string; title: string }[];
  isNamedAbove?: boolean;
  onChosen?: (value: FieldPathValue<Values, Name> & string) => void;
}

/** One of several as a field of a form. */
export function FormChoices<Values extends FieldValues, Name extends FieldPath<Values>>(props: Props<Values, Name>) {
  const { choices, isNamedAbove = false, onChosen, ...asked } = props;
  return (
    <AskedField {...asked}>
      {(field, problem) => (
        <View ref={field.ref} tabIndex={-1} style={{ gap: space.xs, outlineWidth: 0 }}>
          {isNamedAbove ? null : <Strong>{asked.label}</Strong>}
          <Choices
            isNamedAbove
            label={asked.label}
            choices={choices}
            value={field.value as (FieldPathValue<Values, Name> & string) | undefined}
            onChange={(value) => {
              field.onChange(value);
              onChosen?.(value);
            }}
          />
          {problem === undefined ? null : <Body>{problem}</Body>}
        </View>
      )}
    </AskedField>
  );
}
