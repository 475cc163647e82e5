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

/** What came of prey at the box: one tap says it all. */
export function PreyAnswers({ code, onAnswer }: { code: string; onAnswer: (outcome: Outcome) => void }) {
  const styles = useStyles();
  return (
    <View style={styles.answers} role="group" aria-label={`${code}: what came of the prey`}>
      {OUTCOMES.map(({ value, title, icon }) => (
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
