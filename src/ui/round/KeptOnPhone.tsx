import { View } from 'react-native';
import { deliver, useLine } from '@/client/events';
import { useHouse } from '@/client/house';
import { useQueue } from '@/client/queue';
import { Button } from '../kit/Button';
import { makeStyles } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';
import { countWords } from '@/words/count';

/** What this phone has not been able to send, and what the house would not take over. Nothing while all is well. */
export function KeptOnPhone() {
  const styles = useStyles();
  const isAway = useLine((line) => line.isAway);
  const { acts, conflicts, forget, isSending, isFull } = useQueue();
  if (!isAway && acts.length === 0 && conflicts.length === 0) return null;
  const send = async () => {
    if (await deliver()) await useHouse.getState().load();
  };
  return (
    <View style={styles.all} role="status">
      {isAway ? <Strong>The server is away. Go on: the walk is kept on this phone.</Strong> : null}
      {isFull ? (
        <Strong>This phone can keep no more. Leave the page open, and send what is kept before going on.</Strong>
      ) : null}
      {acts.length > 0 ? (
        <View style={styles.line}>
          <Soft style={styles.words}>
            {isSending
              ? `Sending ${keptWords(acts.length)}…`
              : `${keptWords(acts.length)} kept here, sent in order when the server is back.`}
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
    marginTop: space.m,
    paddingLeft: space.m,
    borderLeftWidth: stroke.mark,
    borderLeftColor: theme.colors.amber,
  },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  words: { flex: 1 },
}));
