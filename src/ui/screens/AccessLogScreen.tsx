import { View } from 'react-native';
import { call } from '@/client/api';
import { useToday } from '@/client/house';
import { useCall } from '@/client/useCall';
import { accessWords } from '@/words/access';
import { momentWords } from '@/words/days';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Soft, Title } from '../components/Words';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** Who signed in, was refused, changed rules or people, and took data out. */
export function AccessLogScreen() {
  const { answer, problem, again } = useCall('log', () => call('accessLog', {}));
  const today = useToday();
  return (
    <Screen>
      <PaneHeader back="/people" title="People" />
      <Title>Who came in</Title>
      <Soft>
        And what was changed that only keepers may, and what was taken out. What is written on the walk stands with each
        animal.
      </Soft>
      {answer ? null : <Waiting {...{ problem, again }}>Looking it up…</Waiting>}
      {answer?.events.length === 0 ? <Body>Nothing yet.</Body> : null}
      <View style={{ gap: space.m, marginTop: space.m }}>
        {(answer?.events ?? []).map((event, index) => (
          <View key={`${event.at} ${index}`}>
            <Body>{`${accessWords(event)}.`}</Body>
            <Soft>{`${momentWords(event.at, today)}, from ${event.address}`}</Soft>
          </View>
        ))}
      </View>
    </Screen>
  );
}
