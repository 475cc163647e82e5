import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useSchools } from '@/client/schools';
import { useCall } from '@/client/useCall';
import type { SchoolChoice } from '@/contract/store';
import { Button } from '../kit/Button';
import { Failed } from '../kit/Failed';
import { makeStyles } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { CONTRADICTION_WORDS, changeWords, minutesWords } from '@/words/schools';
import { useLength } from '@/words/useLength';
import { useNames } from '@/words/useNames';
import { countWords } from '@/words/count';

/** A choice that is thought of: nothing is changed until it is made. */
type WantedChoice = Omit<SchoolChoice, 'school'> & { school: string | null };

interface Props {
  wanted: WantedChoice;
  /** What is chosen and for whom, in a sentence. */
  words: string;
  onDone: () => void;
}

/** More than these are summed up. */
const SHOWN = 4;

/** What flipping a school would change, before it is: work of a year, verdicts on homes, the next meals. */
export function SchoolPreview({ wanted, words, onDone }: Props) {
  const styles = useStyles();
  const choose = useSchools((schools) => schools.choose);
  const residents = useHouse((house) => house.residents);
  const names = useNames();
  const length = useLength();
  const { answer, problem, again } = useCall(JSON.stringify(wanted), () => call('schoolEffect', { body: wanted }));
  const calledOf = (id: string) => {
    const resident = residents.find((each) => each.id === id);
    return resident ? calledWords(resident) : '';
  };
  const make = async () => {
    await choose(wanted, words);
    onDone();
  };
  const contradictions = [...new Set((answer?.residents ?? []).flatMap((each) => each.contradictions))];
  return (
    <View style={styles.all} role="status">
      <Strong>What would change</Strong>
      {problem !== undefined ? <Failed {...{ problem, again }} /> : null}
      {answer === null && problem === undefined ? <Soft>Planning the year both ways…</Soft> : null}
      {answer?.residents.length === 0 ? <Body>Nothing: nobody is kept otherwise by it.</Body> : null}
      {answer && answer.residents.length > 0 ? (
        <Body>{`${countWords(answer.residents.length, 'resident')}, ${minutesWords(answer)}.`}</Body>
      ) : null}
      {answer?.residents.slice(0, SHOWN).map(({ residentId, change }) => {
        const lines = changeWords(change, names, length);
        return (
          <View key={residentId}>
            <Soft>{calledOf(residentId)}</Soft>
            <Body>{lines.length > 0 ? `${lines.join('; ')}.` : 'no work and no rule is another one.'}</Body>
          </View>
        );
      })}
      {answer && answer.residents.length > SHOWN ? <Soft>{`and ${answer.residents.length - SHOWN} more`}</Soft> : null}
      {contradictions.map((each) => (
        <Body key={each}>{`Against each other: ${CONTRADICTION_WORDS[each]} Both are kept as you choose.`}</Body>
      ))}
      <View style={styles.actions}>
        <Button grow title="Keep it so" disabled={answer === null} onPress={() => void make()} />
        <Button grow rank="second" title="Leave it" onPress={onDone} />
      </View>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  all: {
    gap: space.s,
    padding: space.m,
    borderWidth: stroke.line,
    borderColor: theme.colors.ink,
    backgroundColor: theme.colors.raised,
  },
  actions: { flexDirection: 'row', gap: space.m },
}));
