import { View } from 'react-native';
import type { Sign } from '@/core/trouble/table';
import { Choices } from '../kit/Choices';
import { makeStyles } from '../components/useStyles';
import { Body } from '../components/Words';
import { space } from '../theme/tokens';

export type SignAnswer = 'yes' | 'no' | 'open';

const ANSWERS = [
  { value: 'yes', title: 'yes' },
  { value: 'no', title: 'no' },
  { value: 'open', title: 'not looked' },
] as const satisfies readonly { value: SignAnswer; title: string }[];

interface Props {
  signs: readonly Pick<Sign, 'id' | 'title'>[];
  answers: Readonly<Record<string, SignAnswer>>;
  onAnswer: (id: string, answer: SignAnswer) => void;
}

/** Every sign of a kind with its three answers: what was not looked for says nothing. */
export function SignAnswers({ signs, answers, onAnswer }: Props) {
  const styles = useStyles();
  return (
    <View>
      {signs.map(({ id, title }) => (
        <View key={id} style={styles.sign}>
          <Body>{title}</Body>
          <Choices
            label={title}
            choices={ANSWERS}
            value={answers[id] ?? 'open'}
            onChange={(next) => onAnswer(id, next)}
          />
        </View>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  sign: { gap: space.xs, paddingVertical: space.s, borderBottomWidth: 1, borderBottomColor: theme.colors.line },
}));
