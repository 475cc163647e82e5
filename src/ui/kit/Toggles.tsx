import { View } from 'react-native';
import { ChoiceChip, useChipRow } from './ChoiceChip';

interface Props<Value extends string> {
  label: string;
  choices: readonly { value: Value; title: string }[];
  values: readonly Value[];
  onChange: (values: Value[]) => void;
}

/** A few things of which any may hold. */
export function Toggles<Value extends string>({ label, choices, values, onChange }: Props<Value>) {
  const styles = useChipRow();
  return (
    <View role="group" aria-label={label} style={styles.row}>
      {choices.map(({ value, title }) => {
        const isOn = values.includes(value);
        return (
          <ChoiceChip
            key={value}
            role="checkbox"
            title={title}
            label={`${label}: ${title}`}
            isChosen={isOn}
            onPress={() => onChange(isOn ? values.filter((each) => each !== value) : [...values, value])}
          />
        );
      })}
    </View>
  );
}
