import { View } from 'react-native';
import { deliver, useLine } from '@/client/events';
import { useHouse } from '@/client/house';
import { usePreferences } from '@/client/preferences';
import { isMine, useQueue, type Act } from '@/client/queue';
import { Button } from '../kit/Button';
import { useConfirm } from '../kit/useConfirm';
import { makeStyles } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';
import { dayOfMoment } from '@/core/measure/day';
import { countWords, listWords } from '@/words/count';
import { fullDayWords, timeWords } from '@/words/days';

/** What this phone has not been able to send, and what the house would not take over. */
export function KeptHere() {
  const styles = useStyles();
  const { isAway, behind } = useLine();
  const who = usePreferences(({ personId }) => personId);
  const { acts, conflicts, forget, letGo, isSending, isFull, why } = useQueue();
  const { ask, dialog } = useConfirm();
  const mine = acts.filter((act) => isMine(act, who));
  const others = acts.filter((act) => !isMine(act, who));
  const of = listWords([...new Set(others.map(({ entries }) => entries[0]?.keeper ?? 'Somebody'))]);
  const giveUp = (some: readonly Act[]) =>
    ask({
      title: `Let ${keptWords(some.length)} go?`,
      text: `${listWords(some.map(({ text }) => text.replace(/\.$/, '')))}: not written down in the house, and lost then.`,
      act: 'Let go',
      run: async () => {
        letGo(some.map(({ id }) => id));
        await useHouse.getState().load();
      },
    });
  const send = async () => {
    if (await deliver()) await useHouse.getState().load();
  };
  return (
    <View style={styles.all} role="status">
      {isAway ? <Strong>The server is away. Go on: the walk is kept on this phone.</Strong> : null}
      {isFull ? (
        <Strong>This phone can keep no more. Leave the page open, and send what is kept before going on.</Strong>
      ) : null}
      {behind ? (
        <Strong>{`The clock of the house was set back: something is written down for ${fullDayWords(dayOfMoment(new Date(behind)))}, ${timeWords(behind)}. Set it right, or take that back, before you go on.`}</Strong>
      ) : null}
      {others.length > 0 ? (
        <View style={styles.line}>
          <Soft
            style={styles.words}
          >{`${keptWords(others.length)} of ${of} kept here, sent when they are in again.`}</Soft>
          <Button rank="second" title="Let go" onPress={() => giveUp(others)} />
        </View>
      ) : null}
      {mine.length > 0 ? (
        <View style={styles.line}>
          <Soft style={styles.words}>
            {isSending
              ? `Sending ${keptWords(mine.length)}…`
              : `${keptWords(mine.length)} kept here, ${why ? `and not taken over: ${why}` : 'sent in order when the server is back.'}`}
          </Soft>
          <Button rank="second" title="Send now" disabled={isSending} onPress={() => void send()} />
          {why ? <Button rank="second" title="Let go" onPress={() => giveUp(mine)} /> : null}
        </View>
      ) : null}
      {conflicts.map(({ id, text, message }) => (
        <View key={id} style={styles.line}>
          <View style={styles.words}>
            <Strong>{text}</Strong>
            <Soft>{`Not taken over: ${message}`}</Soft>
          </View>
          <Button rank="second" title="Seen" onPress={() => forget(id)} />
        </View>
      ))}
      {dialog}
    </View>
  );
}

const keptWords = (count: number) => countWords(count, 'answer');

const useStyles = makeStyles((theme) => ({
  all: {
    gap: space.s,
    marginVertical: space.m,
    paddingLeft: space.m,
    borderLeftWidth: stroke.mark,
    borderLeftColor: theme.colors.amber,
  },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  words: { flex: 1 },
}));
