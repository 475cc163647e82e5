import { View } from 'react-native';
import { useSheets } from '@/client/sheets';
import type { BuildStep } from '@/core/substrate/buildSheet';
import { TickCircle } from '../components/TickCircle';
import { makeStyles } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';
import { CAUTION_WORDS, stepWords } from '@/words/build';
import { useLength } from '@/words/useLength';

/** The steps of one home in order, each to be ticked; what can hurt someone stands at its step. */
export function StepList({ homeId, code, steps }: { homeId: string; code: string; steps: BuildStep[] }) {
  const styles = useStyles();
  const length = useLength();
  const { ticked, tick } = useSheets();
  return (
    <View>
      {steps.map((step, index) => {
        const key = `${homeId}/${index} ${step.code}`;
        const { title, detail } = stepWords(step, length, code);
        const done = ticked[key] === true;
        return (
          <View key={key} style={styles.step}>
            <View style={styles.words}>
              <Strong style={done && styles.done}>{`${index + 1}. ${title}`}</Strong>
              {detail === '' ? null : <Soft>{detail}</Soft>}
              {done
                ? null
                : step.cautions.map((caution) => (
                    <Soft key={caution} style={styles.caution}>
                      {CAUTION_WORDS[caution]}
                    </Soft>
                  ))}
            </View>
            <TickCircle label={`${code}: ${title}`} done={done} onPress={() => tick(key)} />
          </View>
        );
      })}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  step: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingVertical: space.m,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
  },
  words: { flex: 1, gap: space.xs },
  done: { textDecorationLine: 'line-through', color: theme.colors.inkSoft },
  caution: {
    color: theme.colors.ink,
    paddingLeft: space.s,
    borderLeftWidth: stroke.mark,
    borderLeftColor: theme.colors.amber,
  },
}));
