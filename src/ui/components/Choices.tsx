import Text from '@rneui/themed/dist/Text';
import { View } from 'react-native';
import { fonts, radius, space, stroke, target, type } from '../theme/tokens';
import { Tappable } from './Tappable';
import { makeStyles } from './useStyles';

interface Props<Value extends string> {
  label: string;
  choices: readonly { value: Value; title: string }[];
  value: Value | undefined;
  onChange: (value: Value) => void;
}

/** A few ways of which one holds: all to be seen, one tap. */
export function Choices<Value extends string>({ label, choices, value, onChange }: Props<Value>) {
  const styles = useStyles();
  return (
    <View role="radiogroup" aria-label={label} style={styles.group}>
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

const useStyles = makeStyles((theme) => ({
  group: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  choice: {
    minHeight: target,
    justifyContent: 'center',
    paddingHorizontal: space.m,
    borderWidth: stroke.thin,
    borderColor: theme.colors.inkSoft,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
  chosen: { backgroundColor: theme.colors.bar, borderColor: theme.colors.bar },
  title: { fontFamily: fonts.text, fontSize: type.body },
  chosenTitle: { fontFamily: fonts.bold, color: theme.colors.barInk },
}));
