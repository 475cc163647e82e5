import { Pressable, View } from 'react-native';
import { Icon, type IconName } from '../components/Icon';
import { makeStyles } from '../components/useStyles';
import { Soft } from '../components/Words';
import { fonts, space, stroke, target } from '../theme/tokens';

export type Outcome = 'eaten' | 'left' | 'refused';
const OUTCOMES: { value: Outcome; title: string; icon: IconName }[] = [
  { value: 'eaten', title: 'Taken', icon: 'Check' },
  { value: 'left', title: 'Left in', icon: 'Clock' },
  { value: 'refused', title: 'Refused', icon: 'X' },
];
export const OUTCOME_WORDS: Record<Outcome, string> = {
  eaten: 'taken.',
  left: 'left in, to be looked after.',
  refused: 'refused, taken out.',
};

export type Found = 'gone' | 'some' | 'mouldy';
const FINDINGS: { value: Found; title: string; icon: IconName }[] = [
  { value: 'gone', title: 'All gone', icon: 'Check' },
  { value: 'some', title: 'Some left', icon: 'Clock' },
  { value: 'mouldy', title: 'Mouldy', icon: 'X' },
];
export const FOUND_WORDS: Record<Found, string> = {
  gone: 'all gone.',
  some: 'some was left: less the next time.',
  mouldy: 'gone mouldy: far less the next time.',
};

/** What came of prey at the box: one tap says it all. */
export const PreyAnswers = ({ code, onAnswer }: { code: string; onAnswer: (outcome: Outcome) => void }) => (
  <Answers {...{ code, onAnswer }} about="what came of the prey" choices={OUTCOMES} />
);

/** What is found of food that was given before. */
export const FoodAnswers = ({ code, onAnswer }: { code: string; onAnswer: (found: Found) => void }) => (
  <Answers {...{ code, onAnswer }} about="what is left of the food" choices={FINDINGS} />
);

interface AnswersProps<Value extends string> {
  code: string;
  about: string;
  choices: readonly { value: Value; title: string; icon: IconName }[];
  onAnswer: (value: Value) => void;
}

function Answers<Value extends string>({ code, about, choices, onAnswer }: AnswersProps<Value>) {
  const styles = useStyles();
  return (
    <View style={styles.answers} role="group" aria-label={`${code}: ${about}`}>
      {choices.map(({ value, title, icon }) => (
        <Pressable
          key={value}
          role="button"
          aria-label={`${code}: ${title.toLowerCase()}`}
          onPress={() => onAnswer(value)}
          style={({ pressed }) => [styles.answer, pressed && styles.pressed]}
        >
          <Icon name={icon} size={16} />
          <Soft style={styles.answerWord}>{title}</Soft>
        </Pressable>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  answers: { flexDirection: 'row', gap: space.s, marginTop: space.s },
  answer: {
    flex: 1,
    minHeight: target,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: space.xs,
    borderWidth: stroke.line,
    borderRadius: 3,
    borderColor: theme.colors.good,
    backgroundColor: theme.colors.raised,
  },
  answerWord: { fontFamily: fonts.bold, color: theme.colors.ink },
  pressed: { backgroundColor: theme.colors.resting },
}));
