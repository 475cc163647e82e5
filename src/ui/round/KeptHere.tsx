import { View } from 'react-native';
import { deliver, useLine } from '@/client/events';
import { useHouse } from '@/client/house';
import { usePreferences } from '@/client/preferences';
import { isMine, useQueue } from '@/client/queue';
import { Button } from '../kit/Button';
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
  const { acts, conflicts, forget, isSending, isFull, why } = useQueue();
  const mine = acts.filter((act) => isMine(act, who));
  const others = acts.filter((act) => !isMine(act, who)).map(({ entries }) => entries[0]?.keeper ?? 'Somebody');
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
        <Soft>{`${keptWords(others.length)} of ${listWords([...new Set(others)])} kept here, sent when they are in again.`}</Soft>
      ) : null}
      {mine.length > 0 ? (
        <View style={styles.line}>
          <Soft style={styles.words}>
            {isSending
              ? `Sending ${keptWords(mine.length)}…`
              : `${keptWords(mine.length)} kept here, ${why ? `and not taken over: ${why}` : 'sent in order when the server is back.'}`}
          </Soft>
          <Button rank="second" title="Send now" disabled={isSending} onPress={() => void send()} />
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
