import Text from '@rneui/themed/dist/Text';
import { View } from 'react-native';
import { useChipStyles } from './chipStyles';
import { Tappable } from './Tappable';

interface Props<Value extends string> {
  label: string;
  choices: readonly { value: Value; title: string }[];
  values: readonly Value[];
  onChange: (values: Value[]) => void;
}

/** A few things of which any may hold. */
export function Toggles<Value extends string>({ label, choices, values, onChange }: Props<Value>) {
  const styles = useChipStyles();
  return (
    <View role="group" aria-label={label} style={styles.group}>
      {choices.map(({ value, title }) => {
        const isOn = values.includes(value);
        return (
          <Tappable
            key={value}
            role="checkbox"
            aria-checked={isOn}
            aria-label={`${label}: ${title}`}
            onPress={() => onChange(isOn ? values.filter((each) => each !== value) : [...values, value])}
            style={[styles.choice, isOn && styles.chosen]}
          >
            <Text style={[styles.title, isOn && styles.chosenTitle]}>{title}</Text>
          </Tappable>
        );
      })}
    </View>
  );
}
