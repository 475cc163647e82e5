import { View } from 'react-native';
import { ChoiceChip, useChipRow } from './ChoiceChip';
import { ListInput } from './ListInput';

interface Props<Value extends string> {
  label: string;
  choices: readonly { value: Value; title: string }[];
  value: Value | undefined;
  onChange: (value: Value) => void;
  /** On one line that slides where it is longer than the screen. */
  isOneLine?: boolean;
  /** A heading that says the same stands over it: a list need not say it again. */
  isNamedAbove?: boolean;
}

/** More than these are no longer seen at a glance: they are a list. Chosen here */
const MOST_CHIPS = 6;

/** One of several: a few are all to be seen and take one tap, many are a list in a sheet. */
export function Choices<Value extends string>(props: Props<Value>) {
  const { label, choices, value, onChange, isOneLine = false, isNamedAbove = false } = props;
  const styles = useChipRow();
  if (choices.length > MOST_CHIPS && !isOneLine) {
    return (
      <ListInput
        {...{ label, choices, isNamedAbove }}
        value={value ?? ''}
        onChange={(chosen) => onChange(chosen as Value)}
      />
    );
  }
  return (
    <View role="radiogroup" aria-label={label} style={[styles.row, isOneLine && styles.oneLine]}>
      {choices.map((choice) => (
        <ChoiceChip
          key={choice.value}
          role="radio"
          title={choice.title}
          isChosen={choice.value === value}
          onPress={() => onChange(choice.value)}
        />
      ))}
    </View>
  );
}
