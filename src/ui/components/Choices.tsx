import Text from '@rneui/themed/dist/Text';
import { View } from 'react-native';
import { useChipStyles } from './chipStyles';
import { Tappable } from './Tappable';

interface Props<Value extends string> {
  label: string;
  choices: readonly { value: Value; title: string }[];
  value: Value | undefined;
  onChange: (value: Value) => void;
  /** On one line that slides where it is longer than the screen. */
  isOneLine?: boolean;
}

/** A few ways of which one holds: all to be seen, one tap. */
export function Choices<Value extends string>({ label, choices, value, onChange, isOneLine = false }: Props<Value>) {
  const styles = useChipStyles();
  return (
    <View role="radiogroup" aria-label={label} style={[styles.group, isOneLine && styles.oneLine]}>
      {choices.map((choice) => {
        const chosen = choice.value === value;
        return (
          <Tappable
            key={choice.value}
            role="radio"
            aria-checked={chosen}
            onPress={() => onChange(choice.value)}
            style={[styles.choice, chosen && styles.chosen]}
          >
            <Text style={[styles.title, chosen && styles.chosenTitle]}>{choice.title}</Text>
          </Tappable>
        );
      })}
    </View>
  );
}
